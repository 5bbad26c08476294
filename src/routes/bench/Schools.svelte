<script lang="ts">
  import { otherSide, SCHOOLS } from '#core/words/schools';
  import type { BenchDesign } from '$lib/bench/design.svelte';

  /** The disputed matters that this set touches: how it is built, why, and the other school with its reason, one tap away. */
  let { it }: { it: BenchDesign } = $props();
</script>

{#if it.sides.length > 0}
  <details class="sheet mt-3">
    <summary><h2>Schools</h2></summary>
    {#each it.sides as { matter, side, picked, change } (matter)}
      {@const own = SCHOOLS[matter]}
      {@const other = own[otherSide(side)]}
      <p>
        <b>{own.about}</b>: here {own[side].says}, since {own[side].why}{picked === null
          ? ''
          : picked === side
            ? ' (your line’s school)'
            : ' (not your line’s school)'}. The other: {other.says}, {other.why}.
        {#if change}<button type="button" class="link" onclick={() => it.change(change)}>Build it so</button>{/if}
      </p>
    {/each}
    <a class="link" href="/rules/schools">Pick for the line</a>
  </details>
{/if}

<style>
  summary {
    cursor: pointer;
  }
  h2 {
    display: inline;
  }
  p {
    margin: 8px 0;
  }
</style>
