<script lang="ts">
  import type { Tour } from '#core/run/tour';
  import { clockText, hourText, type Clock } from '#core/time/clock';

  /** One person's day as a rail: stops as blocks, ways between them, each last minute as a mark below. The list beside it says the same. */
  interface Props {
    tour: Tour;
    stops: readonly { label: string; due: number | null; visit: { minutes: number } }[];
    start: number;
    /** between which two it is light, ms; null where the place of the line is not known */
    light: { from: number; to: number } | null;
    clock: Clock;
  }
  let { tour, stops, start, light, clock }: Props = $props();

  const WIDTH = 1200;
  const HOUR = 3_600_000;
  const until = $derived(Math.max(tour.back, ...tour.stops.map((s) => Math.min(stops[s.stop]?.due ?? 0, tour.back + 90))) + 8);
  const x = (minute: number): number => (minute / until) * WIDTH;
  const first = $derived(Math.ceil(start / HOUR) * HOUR);
  const hours = $derived(
    Array.from({ length: Math.max(0, Math.floor((start + until * 60_000 - first) / HOUR) + 1) }, (_, i) => new Date(first + i * HOUR)),
  );
  const minuteOf = (at: number): number => (at - start) / 60_000;
  /** what of the rail lies in the dark */
  const nights = $derived(
    (light === null
      ? []
      : [
          [0, x(minuteOf(light.from))],
          [x(minuteOf(light.to)), WIDTH],
        ]
    )
      .map(([from = 0, to = 0]): [number, number] => [Math.max(0, from), Math.min(WIDTH, to)])
      .filter(([from, to]) => to > from),
  );
  const every = $derived(hours.length > 8 ? 2 : 1);
</script>

<svg
  viewBox="0 0 {WIDTH} 64"
  role="img"
  aria-label="The day from {clockText(new Date(start), clock)} until back at {clockText(new Date(start + tour.back * 60_000), clock)}, {tour
    .stops.length} stops"
>
  {#each nights as [from, to] (from)}<rect x={from} y="0" width={to - from} height="46" fill="var(--ink)" opacity="0.13" />{/each}
  <line x1="0" x2={x(tour.back)} y1="22" y2="22" stroke="var(--ink)" stroke-width="2" />
  {#each tour.stops as stop (stop.stop)}
    {@const due = stops[stop.stop]?.due ?? null}
    <rect
      x={x(stop.at)}
      y="10"
      width={Math.max(2.5, x(stop.leaves - stop.at))}
      height="24"
      fill={stop.late > 0 ? 'var(--out)' : 'var(--ink)'}
      stroke="var(--paper)"
      stroke-width="0.8"
    />
    {#if due !== null && due > 0 && due < until}<path
        d="M{x(due)} 36 l-4 8 h8 z"
        fill={stop.late > 0 ? 'var(--out)' : 'var(--mute)'}
      />{/if}
  {/each}
  <path d="M{x(tour.back)} 12 v20" stroke="var(--ink)" stroke-width="4" />
  {#each hours as hour, i (hour.getTime())}
    {#if i % every === 0 && x(minuteOf(hour.getTime())) < WIDTH - 60}<line
        x1={x(minuteOf(hour.getTime()))}
        x2={x(minuteOf(hour.getTime()))}
        y1="0"
        y2="46"
        stroke="var(--rule)"
      /><text x={x(minuteOf(hour.getTime())) + 4} y="60" font-size="14">{hourText(hour, clock)}</text>{/if}
  {/each}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    min-width: 560px;
    background: var(--paper);
    border: 1px solid var(--rule);
  }
  text {
    fill: var(--ink);
  }
</style>
