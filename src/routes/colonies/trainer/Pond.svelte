<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { page } from '$app/state';
  import { sectionScene } from '#core/scene/section';
  import { LESSONS, type Level } from '#core/trainer/lessons';
  import { fits, minutesFor } from '#core/trainer/lived';
  import type { System } from '#core/units/factors';
  import { plainFrame } from '#core/units/frame';
  import { many } from '#core/units/many';
  import { fullDayText, morningText, nextText, signText, storyText } from '#core/words/trainer';
  import { asViews } from '$lib/trainer/asViews';
  import { playing } from '$lib/trainer/moves.svelte';
  import Section from '$lib/ui/drawing/Section.svelte';
  import Debriefing from './Debriefing.svelte';
  import Place from './Place.svelte';
  import Sets from './Sets.svelte';

  /** The pond of a lesson: its section, its places, what stands there, and the night to come. */
  let { seed, level, system }: { seed: number; level: Level; system: System } = $props();
  // made anew for another pond: its page keys it
  const game = untrack(() => playing(seed, level));
  onMount(game.resume);
  const { pond } = game;
  const lesson = $derived(game.lesson);
  const { minutes, nights } = $derived(LESSONS[pond.level]);
  const chosen = $derived(pond.stations.find((s) => s.id === page.url.searchParams.get('at')) ?? null);
  const linkTo = (station: string, type = ''): string =>
    `?level=${pond.level}&seed=${pond.seed}&at=${station}${type ? `&type=${type}` : ''}`;
  let width = $state(900);
  const isNarrow = $derived(width < 600);
  const scene = $derived(
    sectionScene({
      water: { profile: [], kind: 'pond' },
      stations: pond.stations,
      views: asViews(pond, lesson),
      levels: { known: lesson.levels, age: {}, atMost: {} },
      earlier: null,
      size: { width: Math.max(320, width), height: isNarrow ? 300 : 340, columns: isNarrow },
      frame: plainFrame(system),
    }),
  );
  let opens = $state(false);
  const night = $derived({ do: 'night' as const, opens });
  const hasDam = $derived(pond.stations.some((s) => s.kind === 'dam'));

  function sleep(): void {
    game.play(night);
    opens = false;
  }
</script>

<section class="mt-2" aria-live="polite">
  {#if lesson.over}
    <Debriefing {pond} {lesson} {system} />
  {:else}
    <p class="now">
      Day {lesson.day} of {nights}. {morningText(lesson, system)}
      <span class="quiet">{lesson.minutes} of {minutes} minutes gone.</span>
    </p>
    <p><b>{nextText(pond, lesson)}</b></p>
    {#if !game.hasBegun}<p class="quiet">{storyText(pond)}</p>{/if}
  {/if}
</section>

<div bind:clientWidth={width} class="mt-2">
  <Section
    {scene}
    water="lesson"
    level={lesson.levels.pond ?? 0}
    isWhatIf={false}
    valueText={morningText(lesson, system)}
    columns={isNarrow}
    hrefs={{ place: linkTo, set: (id) => linkTo(lesson.sets.find((s) => s.build.id === id)?.build.station ?? '') }}
  />
</div>

{#if !lesson.over}
  {#if lesson.sets.length > 0}<Sets {game} {system} {linkTo} />{/if}
  <form
    class="night"
    onsubmit={(event) => {
      event.preventDefault();
      sleep();
    }}
  >
    {#if hasDam}
      <label
        ><input type="checkbox" class="checkbox" bind:checked={opens} disabled={!fits(pond, lesson, { do: 'night', opens: true })} />
        Open the dam before dark: two breaks, {minutesFor(lesson, { do: 'night', opens: true })} minutes</label
      >
    {/if}
    {#if opens}<p class="problem">On a real dam: opening it can flood who is below, and in many places needs leave.</p>{/if}
    <button class="btn btn-primary btn-lg">Let the night come</button>
    {#if game.canUndo}<button type="button" class="btn" onclick={game.undo}>Take the last step back</button>{/if}
  </form>
{/if}
{#if game.hasBegun}<p class="mt-2"><button type="button" class="link" onclick={game.again}>Begin this pond anew</button></p>{/if}

{#if chosen && !lesson.over}
  {#key `${chosen.id} ${lesson.day}`}
    <Place {game} station={chosen} {system} {linkTo} />
  {/key}
{:else if !lesson.over}
  <section class="mt-4">
    <h2>{many(pond.stations.length, 'place')}</h2>
    <ul>
      {#each pond.stations as station (station.id)}
        <li>
          <a class="link font-bold" href={linkTo(station.id)}>{station.number} {station.name}</a>: {signText(pond.signs[station.id] ?? [])}
          {lesson.tracks.some((t) => t.station === station.id && t.day === lesson.day) ? 'Fresh tracks this morning.' : ''}
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#if lesson.minutes >= minutes && !lesson.over}<p class="quiet">{fullDayText(0, minutes - lesson.minutes)}</p>{/if}

<style>
  li {
    padding: 3px 0;
  }
  .now {
    font-size: 1.2rem;
    font-weight: 700;
  }
  .night {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 20px;
    align-items: center;
    margin-top: 12px;
  }
  .night label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 44px;
  }
</style>
