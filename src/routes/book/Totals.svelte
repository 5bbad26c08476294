<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { nights, type Exposure } from '#core/effort/exposure';
  import { nightsRange, rateOf, rateSays } from '#core/effort/rate';
  import type { PageData } from './$types';
  import HoursBar from './HoursBar.svelte';
  import RateLine from './RateLine.svelte';
  import EmptyRoom from '$lib/ui/EmptyRoom.svelte';

  /** What the season adds up to, an animal at a time: its catch over the nights of the sets meant for it. */
  let { totals }: { totals: NonNullable<PageData['totals']> } = $props();

  const caught = (all: Record<string, number>): string =>
    Object.entries(all)
      .map(([species, n]) => `${n} ${species}`)
      .join(', ');
  /** why hours do not count, the most first */
  const lost = ({ inBand, lost: off }: Exposure): string =>
    [
      { hours: off.outside, why: 'out of range' },
      { hours: off.sprung, why: 'sprung (half the time between looks)' },
      { hours: off.spent, why: 'left sprung or frozen' },
      { hours: inBand.high - inBand.low, why: 'water not read' },
    ]
      .filter(({ hours }) => nights(hours) > 0)
      .sort((a, b) => b.hours - a.hours)
      .map(({ hours, why }) => `${nights(hours)} ${why}`)
      .join('; ');
  const rates = $derived(totals.species.map((s) => rateOf(s.count, s.inBand)));
  /** one scale for all lines: the highest end that is known */
  const most = $derived(Math.max(1, ...rates.flatMap((r) => (r ? [r.limits.high, r.rate.low * 2].filter(Number.isFinite) : []))));
  const longest = $derived(Math.max(1, ...totals.sets.map((s) => s.hoursSet)));
</script>

{#if totals.species.length === 0}<EmptyRoom
    room="book"
    label="What will stand here: nights that worked, and what was caught a hundred nights"
  >
    Nothing was set yet. Catch and nights stand here from the first live set on.
  </EmptyRoom>{:else}
  <Scroller label="Totals"
    ><table class="plain-table totals mt-2">
      <caption class="only-heard">Catch and nights by the animal that sets are meant for</caption>
      <thead
        ><tr
          ><th scope="col">Meant for</th><th scope="col">Caught</th><th scope="col">Nights working</th><th scope="col"
            >Per 100 working nights</th
          ></tr
        ></thead
      >
      <tbody>
        {#each totals.species as s, i (s.species)}
          {@const rate = rates[i]}
          <tr
            ><th scope="row">{s.species}</th><td class="count">{s.count}</td><td>{nightsRange(s.inBand)} of {nights(s.hoursSet)}</td><td
              >{#if rate}<RateLine {rate} {most} />
              {/if}{rateSays(s.count, s.inBand, '')}</td
            ></tr
          >
        {/each}
      </tbody>
    </table></Scroller
  >{/if}
{#if Object.keys(totals.also).length > 0}<p class="mt-1">Caught in sets meant for another: <b>{caught(totals.also)}</b>.</p>{/if}
<details class="mt-2">
  <summary>{totals.one ? 'Why nights do not count' : 'By set, and why nights do not count'}</summary>
  <p class="quiet mt-1">
    A night is 24 h of one trap. In brackets exact 95% limits (Garwood 1936). A trap found sprung loses half the time since the look before
    (Nelson and Clark 1973). Nights at unread water count only to the upper figure; no rate under 10 nights.
  </p>
  <Scroller label="Sets"
    ><table class="plain-table mt-2">
      <thead
        ><tr
          ><th scope="col">Set</th><th scope="col">Nights</th><th scope="col">Working</th><th scope="col">Not counted</th><th scope="col"
            >Caught</th
          ><th scope="col">Own species per 100</th></tr
        ></thead
      >
      <tbody>
        {#each totals.sets as set (set.id)}
          <tr
            ><th scope="row"><a class="link" href="/book?set={set.id}">{set.number} {set.name}</a></th><td>{nights(set.hoursSet)}</td><td
              ><HoursBar hours={set} most={longest} />{nightsRange(set.inBand)}</td
            ><td>{lost(set) || '–'}</td><td>{caught(set.caught) || 'nothing yet'}</td><td
              >{rateSays(set.caught[set.species] ?? 0, set.inBand, '')}</td
            ></tr
          >
        {/each}
      </tbody>
    </table></Scroller
  >
</details>

<style>
  .totals td,
  .totals th {
    vertical-align: middle;
  }
  .totals :global(svg) {
    display: inline;
    vertical-align: -3px;
    margin-right: 8px;
  }
  .count {
    font-size: 1.3rem;
    font-weight: 700;
  }
  summary {
    cursor: pointer;
    font-weight: 700;
    min-height: 28px;
  }
</style>
