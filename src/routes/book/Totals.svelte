<script lang="ts">
  import type { PageData } from './$types';

  /** What the season adds up to: nights set, nights inside the band, catch, and the rate with its exact limits. */
  let { totals }: { totals: NonNullable<PageData['totals']> } = $props();

  const span = (low: number, high: number): string => (Math.abs(low - high) < 0.05 ? String(high) : `${low} to ${high}`);
  const caught = (all: Record<string, number>): string =>
    Object.entries(all)
      .map(([species, n]) => `${n} ${species}`)
      .join(', ') || 'nothing yet';
  const one = (n: number): string => n.toFixed(1);
  const rate = (r: { rate: number; low: number; high: number } | null): string =>
    r ? `${one(r.rate)} (${one(r.low)} to ${one(r.high)})` : 'no exposure';
</script>

<p class="mt-2 text-lg">
  <b>{caught(totals.all.caught)}</b> in {totals.all.nightsSet} trap-nights set, {span(totals.all.low, totals.all.high)} of them inside the band:
  <b>{rate(totals.all.rate)}</b> per 100 in-band nights.
</p>
<p class="quiet">
  In brackets the exact 95 % limits (Garwood 1936). A sprung trap loses half its interval. Where no level was read, nights count only to the
  upper figure.
</p>
<details class="mt-2">
  <summary class="font-bold cursor-pointer">By set</summary>
  <table class="plain-table mt-2">
    <thead
      ><tr
        ><th scope="col">Set</th><th scope="col">Trap-nights set</th><th scope="col">Nights working</th><th scope="col">Caught</th><th
          scope="col">Its own species per 100 in-band nights</th
        ></tr
      ></thead
    >
    <tbody>
      {#each totals.sets as set (set.id)}
        <tr
          ><td><a class="link" href="/book?set={set.id}">{set.number} {set.name}</a></td><td>{set.nightsSet}</td><td
            >{span(set.low, set.high)}</td
          ><td>{caught(set.caught)}</td><td>{rate(set.rate)}</td></tr
        >
      {/each}
    </tbody>
  </table>
</details>
