<script lang="ts">
  import { setTypeOf } from '#core/sets/catalogue';
  import { LESSONS } from '#core/trainer/lessons';
  import { fits, minutesFor, type Move } from '#core/trainer/lived';
  import type { System } from '#core/units/factors';
  import { fullDayText, lookText } from '#core/words/trainer';
  import type { Playing } from '$lib/trainer/moves.svelte';

  /** What stands, how it was found this morning, and what can be done to it. */
  interface Props {
    game: Playing;
    system: System;
    linkTo: (station: string, type?: string) => string;
  }
  let { game, system, linkTo }: Props = $props();
  const pond = $derived(game.pond);
  const lesson = $derived(game.lesson);
  const rows = $derived(
    lesson.sets
      .filter((s) => !s.pulled)
      .map(({ build }) => {
        const looks = lesson.looks.filter((l) => l.set === build.id && l.day === lesson.day);
        const stands = lesson.hidden.world.standing.filter((p) => p.id.startsWith(`${build.id}.`));
        return {
          ...{ build, looks, type: setTypeOf(build.type).name },
          place: pond.stations.find((s) => s.id === build.station)?.name ?? '',
          needs: stands.some((p) => p.state !== 'set'),
        };
      }),
  );
  const left = $derived(LESSONS[pond.level].minutes - lesson.minutes);
  const why = (move: Move): string | undefined => (fits(pond, lesson, move) ? undefined : fullDayText(minutesFor(lesson, move), left));
</script>

<section class="mt-3">
  <h2>Your sets</h2>
  <ul>
    {#each rows as { build, looks, type, place, needs } (build.id)}
      {@const remake = { do: 'remake' as const, id: build.id }}
      {@const pull = { do: 'pull' as const, id: build.id }}
      <li>
        <a class="link font-bold" href={linkTo(build.station, build.type)}>{type}, {place}</a>
        <span class:caught={looks.some((l) => l.found === 'caught')}
          >{#each looks as look (look.trap)}<span class="block">{lookText(look, system)}</span>{:else}Set today{/each}</span
        >
        <span class="do">
          {#if needs}<button
              type="button"
              class="btn btn-sm btn-primary"
              disabled={why(remake) !== undefined}
              title={why(remake)}
              onclick={() => game.play(remake)}
              >Remake, {minutesFor(lesson, remake)} minutes<span class="only-heard">: {place}</span></button
            >{/if}
          <button type="button" class="btn btn-sm" disabled={why(pull) !== undefined} title={why(pull)} onclick={() => game.play(pull)}
            >Pull<span class="only-heard">: {place}</span></button
          >
        </span>
      </li>
    {/each}
  </ul>
</section>

<style>
  li {
    display: grid;
    grid-template-columns: minmax(200px, 2fr) minmax(160px, 1fr) minmax(220px, 1fr);
    gap: 4px 16px;
    align-items: center;
    border-top: 1px solid var(--rule);
    padding: 6px 0;
  }
  .caught {
    font-weight: 700;
  }
  .do {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  @media (max-width: 700px) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
