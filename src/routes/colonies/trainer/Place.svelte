<script lang="ts">
  import { page } from '$app/state';
  import { suggestionsFor } from '#core/planning/suggest';
  import { setTypeOf } from '#core/sets/catalogue';
  import { useOf } from '#core/sign/activity';
  import { MEASURES, type Measure } from '#core/stations/measures';
  import { printMeasure } from '#core/stations/measureText';
  import { offeredAt } from '#core/stations/offered';
  import type { Station } from '#core/stations/placed';
  import { dayOf } from '#core/trainer/stranger';
  import type { System } from '#core/units/factors';
  import { tell } from '#core/words/finding';
  import { signText, tracksText } from '#core/words/trainer';
  import { freeTraps } from '$lib/trainer/bench';
  import type { Playing } from '$lib/trainer/moves.svelte';
  import LessonBench from './LessonBench.svelte';

  /** One place: its sign, its measures, what suits it, and the bench. */
  interface Props {
    game: Playing;
    station: Station;
    system: System;
    linkTo: (station: string, type?: string) => string;
  }
  let { game, station, system, linkTo }: Props = $props();
  const pond = $derived(game.pond);
  const lesson = $derived(game.lesson);
  const signs = $derived(pond.signs[station.id] ?? []);
  const use = $derived(tell(useOf(signs, dayOf(0)), system));
  const tracks = $derived(lesson.tracks.filter((t) => t.station === station.id));
  const standing = $derived(lesson.sets.find((s) => !s.pulled && s.build.station === station.id)?.build ?? null);
  const free = $derived(new Set(freeTraps(pond, lesson, standing?.id).map((t) => t.class)));
  const offers = $derived(
    suggestionsFor('beaver', { ...offeredAt(station, lesson.levels, false), met: pond.before }, 11).filter((o) => {
      const type = setTypeOf(o.built);
      return !type.underIce && type.devices.some((d) => free.has(d));
    }),
  );
  const FIRST = 3;
  const asked = $derived(page.url.searchParams.get('type'));
  const type = $derived(offers.find((o) => o.built === asked)?.built ?? null);
  const measure = (what: keyof typeof MEASURES): Measure => MEASURES[what];
</script>

{#snippet offer(own: (typeof offers)[number])}
  <li><a class="link" href={linkTo(station.id, own.built)} aria-current={own.built === type}><b>{own.type}</b></a>: {own.why}</li>
{/snippet}

<section class="mt-4" aria-labelledby="place">
  <h2 id="place">{station.number} {station.name}</h2>
  <div class="read">
    <div>
      <p><b>{signText(signs)}</b></p>
      {#if pond.level === 'first'}<p>{use.sentence}</p>{/if}
      {#each tracks as t (t.day)}<p>Day {t.day}: {tracksText(t.went)}.</p>{/each}
      <dl>
        {#each station.measures as m (m.what)}
          <dt>{measure(m.what).label}</dt>
          <dd>{printMeasure(m.what, m.value, system)}</dd>
        {/each}
      </dl>
    </div>
    <div>
      <h3>{standing ? 'Build it otherwise' : 'What could stand here'}</h3>
      <ul>
        {#each offers.slice(0, FIRST) as own (own.built)}{@render offer(own)}{:else}<li>No free trap suits this place.</li>{/each}
      </ul>
      {#if offers.length > FIRST}
        <details open={offers.slice(FIRST).some((o) => o.built === type)}>
          <summary>{offers.length - FIRST} more</summary>
          <ul>
            {#each offers.slice(FIRST) as own (own.built)}{@render offer(own)}{/each}
          </ul>
        </details>
      {/if}
    </div>
  </div>
  {#if type}
    {#key type}
      <LessonBench
        {game}
        {station}
        {type}
        held={standing?.type === type ? standing : null}
        id={standing?.id ?? `set-${station.number}`}
        {system}
        back={linkTo(station.id)}
      />
    {/key}
  {/if}
</section>

<style>
  .read {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
    gap: 8px 32px;
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0 16px;
  }
  dd {
    font-variant-numeric: tabular-nums;
  }
  li {
    padding: 3px 0;
  }
  summary {
    cursor: pointer;
    min-height: 32px;
    align-content: center;
  }
</style>
