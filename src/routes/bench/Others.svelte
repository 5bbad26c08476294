<script lang="ts">
  import type { Other } from '#core/others/others';
  import { seasonAt } from '#core/rules/seasons';
  import { SPECIES, type Species } from '#core/animals/species';
  import type { BenchData } from '$lib/server/benchData';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** Who else could be in it, why, and what would spare it; closed animals by the rulebook first. */
  let { others, rules }: { others: Other[]; rules: BenchData['rules'] } = $props();

  const owned = ['dog'];
  const closed = (who: string): string => {
    const species = SPECIES.find((s): s is Species => s === who);
    const found = rules && species ? seasonAt(rules.book, species, rules.facts.day) : null;
    return found?.is === 'closed' ? `closed, ${found.rule}` : owned.includes(who) ? 'somebody’s own' : '';
  };
  const rows = $derived([...others].sort((a, b) => Number(closed(b.who) !== '') - Number(closed(a.who) !== '')));
</script>

{#if rows.length > 0}
  <details class="sheet mt-3">
    <summary><h2>Who else</h2></summary>
    <p class="quiet">Rules of thumb, by opening, place, bait and sign.</p>
    {#each rows as other (other.who)}
      <p class="other">
        <StateMark verdict={closed(other.who) ? 'outOfWater' : 'nearEdge'} />
        <span
          ><b>{other.who}{closed(other.who) ? ` (${closed(other.who)})` : ''}</b>: {other.because.join(', ')}.
          {#if other.spares.length > 0}
            Spared by {#each other.spares as s, n (s.how)}{n > 0 ? '; ' : ''}{s.how}
              <span class="quiet">{s.done ? '(done)' : '(not here)'}</span>{/each}.
          {/if}</span
        >
      </p>
    {/each}
  </details>
{/if}

<style>
  summary {
    cursor: pointer;
  }
  h2 {
    display: inline;
  }
  .other {
    display: flex;
    gap: 8px;
    margin: 6px 0;
  }
  .other :global(svg) {
    flex: none;
    margin-top: 3px;
  }
</style>
