<script lang="ts">
  import type { DayPlan, Ways } from '#core/run/dayPlan';
  import { clockText } from '#core/time/clock';
  import { agree, many } from '#core/units/many';
  import type { RunDay } from '#lib/run/page';

  /** What is late, and what would bring all in time; nothing where all are. */
  interface Props {
    plan: DayPlan;
    /** undefined while it is looked for */
    ways: Ways | null | undefined;
    day: RunDay;
  }
  let { plan, ways, day }: Props = $props();
  const at = (minute: number): string => clockText(new Date(day.start + minute * 60_000), day.clock);
  /** nobody begins before now */
  const isGone = (earlier: number): boolean => day.start - earlier * 60_000 < day.now;
  const named = (stops: readonly number[]): string => stops.map((i) => day.stops[i]?.label ?? '').join(', ');
  const overdue = $derived([...day.stops.keys()].filter((i) => (day.stops[i]?.due ?? 0) < 0));
  const late = $derived(plan.tours.flatMap((t) => t.stops.filter((s) => s.late > 0.05).map((s) => s.stop)));
  const helps = $derived(ways ? ways.earlier !== null || ways.shared !== null || ways.without.length > 0 : false);
</script>

{#if overdue.length > 0}<p class="bad">Overdue already: {named(overdue)}.</p>{/if}
{#if late.length > 0}
  <p class="bad">{many(late.length, 'set')} {agree(late.length, 'is', 'are')} reached too late: {named(late)}.</p>
  {#if plan.tours.length === 1 && ways === undefined}
    <p class="quiet">Looking for what helps ...</p>
  {:else if ways && helps}
    <ul>
      {#if ways.earlier !== null}<li>
          {isGone(ways.earlier)
            ? `Begun by ${at(-ways.earlier)} it would have been`
            : `Begin ${ways.earlier} min earlier, at ${at(-ways.earlier)}:`} all in time.
        </li>{/if}
      {#if ways.shared}<li>Two people: back by {at(ways.shared[0])} and {at(ways.shared[1])}, all in time.</li>{/if}
      {#if ways.without.length > 0}<li>Without {named(ways.without)}, pulled or handed over: the rest in time.</li>{/if}
    </ul>
  {/if}
{/if}

<style>
  .bad {
    color: var(--out);
    font-weight: 700;
  }
  ul {
    list-style: disc;
    padding-left: 1.4rem;
  }
</style>
