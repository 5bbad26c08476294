<script lang="ts">
  import { bandOf } from '#core/run/visit';
  import { clockText, spanText } from '#core/time/clock';
  import { many } from '#core/units/many';
  import { goto } from '$app/navigation';
  import { keepRun } from '$lib/ui/ownRun';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import Scroller from '$lib/ui/Scroller.svelte';
  import type { PageData } from './$types';
  import AskRun from './AskRun.svelte';
  import DayRail from './DayRail.svelte';
  import { DayOrder } from './dayOrder.svelte';
  import StopRow from './StopRow.svelte';
  import WaysOut from './WaysOut.svelte';

  let { day }: { day: Extract<PageData, { start: number }> } = $props();
  const it = new DayOrder(() => day);
  const plan = $derived(it.plan);
  const at = (minute: number): string => clockText(new Date(day.start + minute * 60_000), day.clock);

  const homes = $derived(
    (plan?.tours ?? []).map((tour) => {
      const visits = tour.stops.flatMap((s) => day.stops[s.stop]?.visit ?? []);
      const { usual, sooner, later } = bandOf(visits, day.catches, day.minutes);
      const back = tour.back + usual;
      return { back, from: back - sooner, to: back + later, work: visits.reduce((sum, v) => sum + v.minutes, 0), travel: tour.travel };
    }),
  );
  const title = $derived.by(() => {
    const [one, two] = homes;
    if (!one) return `${many(day.stops.length, 'stop')}, the first deadline first`;
    return two ? `Back about ${at(one.back)} and ${at(two.back)}` : `Back about ${at(one.back)} (${at(one.from)} to ${at(one.to)})`;
  });
  /** looks that fit before dark, each with its share of the way */
  const more = $derived.by(() => {
    const [home] = homes;
    if (!home || homes.length > 1 || day.light === null) return null;
    const left = (day.light.to - day.start) / 60_000 - home.back;
    const each = day.minutes.look.minutes + home.travel / Math.max(1, day.stops.length);
    return Math.max(0, Math.floor(left / each));
  });
  /** From here on each check leads to the next of this order. */
  function go(order: readonly string[]): void {
    const checks = order.filter((id) => day.stops.find((s) => s.id === id)?.visit.task !== 'place');
    keepRun(day.date, checks);
    if (checks[0]) void goto(`/check/${checks[0]}`);
  }
  const gpx = $derived(
    plan
      ? `/morning/run/stops.gpx?${new URLSearchParams({ stops: plan.tours.flatMap((t) => t.stops.flatMap((s) => day.stops[s.stop]?.id ?? [])).join(',') })}`
      : '',
  );
</script>

<PrintHead {title} />
<AskRun {day} />
{#if plan}
  {#each homes as home, i (i)}
    <p>
      {homes.length > 1 ? `${i === 0 ? 'First' : 'Second'}: ` : ''}{spanText(home.work * 60_000)} of work, {spanText(home.travel * 60_000)} on
      the way.
      {#if more !== null && i === 0}{more === 0 ? 'No more looks fit' : `${many(more, 'more look')} would fit`} before dark.{/if}
    </p>
  {/each}
  <WaysOut {plan} ways={it.ways} {day} />
  {#if plan.pins}
    <p role="status">
      Held as you want it: {plan.pins.minutes < 0.5 ? 'no minute' : spanText(plan.pins.minutes * 60_000)} longer{plan.pins.late > 0.5
        ? `, and ${spanText(plan.pins.late * 60_000)} late`
        : ''}.
      <button type="button" class="btn btn-sm" onclick={() => it.letAllGo()}>Let all go</button>
    </p>
  {/if}
  {#each plan.tours as tour, person (person)}
    {#if plan.tours.length > 1}<h2 class="mt-3">{person === 0 ? 'First' : 'Second'}: {many(tour.stops.length, 'stop')}</h2>{/if}
    <Scroller label="The day as a rail"><DayRail {tour} stops={day.stops} start={day.start} light={day.light} clock={day.clock} /></Scroller
    >
    {@const order = tour.stops.flatMap((s) => day.stops[s.stop]?.id ?? [])}
    {#if order.length > 0}
      <p class="no-print mt-2">
        <button type="button" class="btn btn-primary" onclick={() => go(order)}
          >{plan.tours.length > 1 ? `Go as ${person === 0 ? 'first' : 'second'}` : 'Go in this order'}</button
        >
      </p>
    {/if}
    <ol>
      {#each tour.stops as timed, i (timed.stop)}
        {@const stop = day.stops[timed.stop]}
        {#if stop}
          <StopRow
            {stop}
            {timed}
            nth={i + 1}
            of={tour.stops.length}
            start={day.start}
            clock={day.clock}
            held={it.heldAs(stop.id)}
            move={plan.tours.length > 1 ? null : (by) => it.move(order, stop.id, by)}
            last={() => it.toTheEnd(stop.id)}
            letGo={() => it.letGo(stop.id)}
          />
        {/if}
      {/each}
    </ol>
  {/each}
  <p class="mt-3 no-print"><a class="link" href={gpx} data-sveltekit-reload>Stops in this order as GPX</a></p>
{:else}
  <ol class="mt-3">
    {#each [...day.stops].sort((a, b) => (a.due ?? Infinity) - (b.due ?? Infinity)) as stop (stop.id)}
      <li><a class="link" href={stop.href}><b>{stop.label}</b></a> {stop.order}</li>
    {/each}
  </ol>
{/if}
