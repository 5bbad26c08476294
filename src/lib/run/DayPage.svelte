<script lang="ts">
  import type { SubmitFunction } from '@sveltejs/kit';
  import { bandOf } from '#core/run/visit';
  import type { DayPlan } from '#core/run/dayPlan';
  import { clockText, spanText } from '#core/time/clock';
  import { many } from '#core/units/many';
  import { goto } from '$app/navigation';
  import { keepRun } from '$lib/ui/ownRun';
  import type { Kept } from '$lib/ui/kept';
  import ShareForm from './ShareForm.svelte';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import Scroller from '$lib/ui/Scroller.svelte';
  import type { RunDay } from '#lib/run/page';
  import AskRun from './AskRun.svelte';
  import DayRail from './DayRail.svelte';
  import { DayOrder } from './dayOrder.svelte';
  import { dragged } from './dragged';
  import StopRow from './StopRow.svelte';
  import WaysOut from './WaysOut.svelte';

  interface Props {
    day: RunDay;
    link: (set: string) => string;
    keep: Record<string, string>;
    isDesk: boolean;
    share: { entry: string; kept: Kept | null; send: SubmitFunction };
  }
  let { day, link, keep, isDesk, share }: Props = $props();
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
  /** one that is to be placed is placed at the bench, or on the device */
  const hrefOf = ({ id, visit }: RunDay['stops'][number]): string =>
    visit.task === 'place' ? (isDesk ? `/bench/${id}` : `/field?place=${id}`) : link(id);
  /** From here on each check leads to the next of this order. */
  function go(order: readonly string[]): void {
    const checks = order.filter((id) => day.stops.find((s) => s.id === id)?.visit.task !== 'place');
    keepRun(day.date, checks);
    if (checks[0]) void goto(link(checks[0]));
  }
  /** looks alone: what is placed belongs to whoever carries it */
  const idsOf = (tour: DayPlan['tours'][number]): string[] =>
    tour.stops.flatMap(({ stop }) => {
      const found = day.stops[stop];
      return found && found.visit.task !== 'place' ? [found.id] : [];
    });
  const gpx = $derived(
    plan
      ? `/morning/run/stops.gpx?${new URLSearchParams({ stops: plan.tours.flatMap((t) => t.stops.flatMap((s) => day.stops[s.stop]?.id ?? [])).join(',') })}`
      : '',
  );
</script>

<PrintHead {title} />
<AskRun {day} {keep} />
{#if day.note}<p>{day.note}</p>{/if}
{#each day.parts as part (part.person)}
  <p>
    <b>{part.name}</b> has {many(part.stops.length, 'set')}{part.left.length === part.stops.length
      ? ''
      : part.left.length === 0
        ? ', all done'
        : `, ${part.left.length} left`}{part.person === day.me ? '' : '.'}
    {#if part.person === day.me && part.left[0]}<a class="btn btn-sm no-print" href={link(part.left[0])}>Go on</a>{/if}
  </p>
{/each}
{#if plan}
  {#each homes as home, i (i)}
    <p>
      {homes.length > 1 ? `${i === 0 ? 'First' : 'Second'}: ` : ''}{spanText(home.work * 60_000)} of work, {spanText(home.travel * 60_000)} on
      the way.
      {#if more !== null && i === 0}{more === 0 ? 'No more looks fit' : `${many(more, 'more look')} would fit`} before dark.{/if}
    </p>
  {/each}
  {#if plan.tours.length > 1}<ShareForm {day} orders={plan.tours.map(idsOf)} {...share} />{/if}
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
    <ol {@attach plan.tours.length > 1 ? undefined : dragged((from, to) => it.moveTo(order, order[from] ?? '', to))}>
      {#each tour.stops as timed, i (timed.stop)}
        {@const stop = day.stops[timed.stop]}
        {#if stop}
          <StopRow
            {stop}
            href={hrefOf(stop)}
            {timed}
            nth={i + 1}
            of={tour.stops.length}
            start={day.start}
            clock={day.clock}
            held={it.heldAs(stop.id)}
            move={plan.tours.length > 1 ? null : (by) => it.move(order, stop.id, by)}
            last={() => it.toTheEnd(stop.id)}
            leftLast={plan.last?.id === stop.id ? plan.last.minutes : null}
            notLast={() => it.notLast(stop.id)}
            letGo={() => it.letGo(stop.id)}
          />
        {/if}
      {/each}
    </ol>
  {/each}
  {#if isDesk}<p class="mt-3 no-print"><a class="link" href={gpx} data-sveltekit-reload>Stops in this order as GPX</a></p>{/if}
{:else}
  <ol class="mt-3">
    {#each [...day.stops].sort((a, b) => (a.due ?? Infinity) - (b.due ?? Infinity)) as stop (stop.id)}
      <li><a class="link" href={hrefOf(stop)}><b>{stop.label}</b></a> {stop.order}</li>
    {/each}
  </ol>
{/if}
