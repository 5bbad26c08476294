<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { movingOf } from '#core/ahead/moving';
  import { compass, way, type Position } from '#core/ground/geodesic';
  import { runMap } from '#core/scene/runMap';
  import { printWay } from '#core/units/length';
  import { roundRow } from '#lib/season/rounds';
  import type { Season } from '#lib/season/season';
  import type { Field } from '$lib/field/client.svelte';
  import { Receiver } from '$lib/ui/receiver.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** The run on its ground, drawn on the device from its own lines, with where the device is; and the same as a list, the nearest first. */
  let { field, season }: { field: Field; season: Season } = $props();
  const [WIDTH, HEIGHT] = [360, 400];
  /** What lies around the one who walks, m. */
  const AROUND = 120;
  /** So many have their numbers alone. */
  const MANY = 8;

  const receiver = new Receiver();
  onMount(receiver.listen);
  const here = $derived(receiver.here && ([receiver.here.coords.longitude, receiver.here.coords.latitude] as const));
  const system = $derived(field.asker?.who.person.system ?? 'us');

  const sets = $derived.by(() => {
    const { asker } = field;
    if (!asker) return [];
    const moving = movingOf(season, field.now);
    return season.views
      .filter((v) => v.state === 'live')
      .map((view) => {
        const { number, name, id, water, by, overdue, state } = roundRow(season, view, moving, asker);
        const { lat, lon } = view.station;
        const at: Position | null = lat === null || lon === null ? null : [lon, lat];
        return {
          id,
          label: String(number),
          text: `${number} ${name}`,
          water,
          by: overdue ? 'overdue' : by,
          verdict: state?.verdict ?? 'unknown',
          at,
        };
      });
  });
  const waters = $derived(season.waters.filter(({ id }) => sets.some((s) => s.water === id)));
  const asked = $derived(page.url.searchParams.get('map') ?? '');
  let chosen = $state<string | null>(null);
  const shown = $derived(chosen ?? (waters.some(({ id }) => id === asked) ? asked : here ? 'around' : (waters[0]?.id ?? '')));
  const own = $derived(shown === 'around' ? sets : sets.filter((s) => s.water === shown));
  /** names where there is room for them */
  const placed = $derived(own.flatMap((s) => (s.at ? [{ ...s, at: s.at, label: own.length > MANY ? s.label : s.text }] : [])));
  const map = $derived(
    runMap({
      stops: placed,
      ground: season.ground,
      here,
      within: shown === 'around' ? AROUND : null,
      width: WIDTH,
      height: HEIGHT,
      system,
    }),
  );
  const listed = $derived(
    own
      .map((s) => ({ ...s, off: here && s.at ? way(here, s.at) : null }))
      .sort((a, b) => (a.off?.distance ?? Infinity) - (b.off?.distance ?? Infinity)),
  );
</script>

<div class="one">
  <p class="quiet"><a class="link" href="/field">The run</a></p>
  <h1>Where they stand</h1>
  <p role="status">
    {#if receiver.here}You are at the cross, within {printWay(receiver.here.coords.accuracy, system)}.{:else}{receiver.silent ||
        'Waiting for the receiver …'}{/if}
  </p>
  <SelectField
    label="Show"
    name="shown"
    value={shown}
    options={[...(here ? [{ value: 'around', text: 'around me' }] : []), ...waters.map(({ id, name }) => ({ value: id, text: name }))]}
    onchange={(e) => (chosen = e.currentTarget.value)}
  />
  {#if map}
    <svg viewBox="0 0 {WIDTH} {HEIGHT}" role="img" aria-label="The sets on their ground, north up. The list below says where each one is.">
      {#each map.lines as { kind, d }, i (i)}<path {d} class={kind.replaceAll(' ', '-')} class:area={d.endsWith('Z')} />{/each}
      {#each map.stops as { id, leader } (id)}{#if leader}<path class="leader" d={leader} />{/if}{/each}
      {#each map.stops as stop (stop.id)}
        <g transform="translate({stop.x - 9} {stop.y - 9})"><StateMark verdict={stop.verdict} /></g>
        <text x={stop.labelX} y={stop.labelY}>{stop.label}</text>
      {/each}
      {#if map.here}<path class="here" d="M{map.here.x} {map.here.y - 14}v28M{map.here.x - 14} {map.here.y}h28" />{/if}
      <g transform="translate(12 {HEIGHT - 12})">
        <rect x="-6" y="-18" width={map.bar.px + 70} height="26" />
        <path class="bar" d="M0 -5V0H{map.bar.px}V-5" /><text x={map.bar.px + 6} y="0">{printWay(map.bar.length, system)}</text>
      </g>
      <g transform="translate({WIDTH - 18} 34)"
        ><path class="bar" d="M0 0V-22M-5 -14 0 -22 5 -14" /><text x="0" y="15" text-anchor="middle">N</text></g
      >
    </svg>
  {:else}
    <p>No set here has a position: mark one, or type it at its location.</p>
  {/if}
  <ul>
    {#each listed as { id, text, by, verdict, off, at } (id)}
      <li>
        <a href="/field?set={id}">
          <StateMark {verdict} />
          <b>{text}</b>
          <span>{off ? `${printWay(off.distance, system)} ${compass(off.bearing)}` : at ? '' : 'no position'}</span>
          <span class="quiet">{by}</span>
        </a>
      </li>
    {/each}
  </ul>
</div>

<style>
  .one {
    max-width: 560px;
    margin: 0 auto;
    padding: 10px 14px;
  }
  svg[role='img'] {
    width: 100%;
    height: auto;
    background: var(--paper);
    border: 1px solid var(--rule);
    overflow: hidden;
  }
  path {
    fill: none;
    stroke: var(--mute);
    stroke-width: 1.5;
  }
  .shore {
    stroke: var(--line);
    stroke-width: 2;
  }
  .shore.area {
    fill: var(--water);
  }
  .stream-line {
    stroke: var(--line);
    stroke-width: 3.5;
  }
  .dam-crest {
    stroke: var(--bedink);
    stroke-width: 5;
  }
  .road,
  .track {
    stroke-dasharray: 8 5;
  }
  .boundary-of-permission {
    stroke: var(--edge);
    stroke-dasharray: 2 6;
  }
  .leader {
    stroke: var(--ink);
    stroke-width: 1;
  }
  .here {
    stroke: var(--out);
    stroke-width: 3;
  }
  rect {
    fill: var(--paper);
  }
  .bar {
    stroke: var(--ink);
    stroke-width: 2;
  }
  text {
    font-size: 14px;
    font-weight: 700;
    fill: var(--ink);
    stroke: var(--paper);
    stroke-width: 3px;
    paint-order: stroke;
  }
  li a {
    display: grid;
    grid-template-columns: auto 1fr auto auto;
    gap: 10px;
    align-items: center;
    min-height: 56px;
    border-bottom: 1px solid var(--rule);
  }
</style>
