<script lang="ts">
  import type { Severity } from '#core/critique/rule';
  import { REMARK_MARK } from '$lib/ui/remarkMark';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** The few remarks that matter most on the line; each leads to its set. */
  let { remarks }: { remarks: { id: string | null; set: string; severity: Severity; about: string; sentence: string }[] } = $props();
</script>

<section class="remarks" aria-label="What an old hand would change first">
  {#each remarks as own (own.id ?? '')}
    <details>
      <summary>
        <StateMark verdict={REMARK_MARK[own.severity]} label={own.severity} />
        <span>{own.set}: {own.about.toLowerCase()}</span>
      </summary>
      <p>
        {own.sentence}
        {#if own.id}<a class="link" href="/bench/{own.id}">To the bench</a>{/if}
      </p>
    </details>
  {/each}
</section>

<style>
  .remarks {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 28px;
    margin: 8px 0;
  }
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
    font-weight: 600;
  }
  summary :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
</style>
