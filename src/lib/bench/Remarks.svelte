<script lang="ts">
  import type { Remark } from '#core/critique/rule';
  import type { System } from '#core/units/factors';
  import { many } from '#core/units/many';
  import { CRITIQUE, remarkText, type CritiqueId } from '#core/words/critique';
  import { REMARK_MARK } from '$lib/ui/remarkMark';
  import StateMark from '$lib/ui/StateMark.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import type { benchDesign } from './design.svelte';

  /** What an old hand would say before one walks away: the change that mends it by one tap, and room to know better. */
  let {
    it,
    overruled,
    kept,
    system,
    canOverrule = true,
  }: {
    it: ReturnType<typeof benchDesign>;
    overruled: Record<string, string>;
    kept: Kept | null;
    system: System;
    /** somebody may know better, and say why */
    canOverrule?: boolean;
  } = $props();

  /** So many are told at once. */
  const FIRST = 3;
  const open = $derived(it.remarks.filter(({ id }) => overruled[id] === undefined));
  const known = $derived(Object.keys(overruled).filter((id): id is CritiqueId => id in CRITIQUE));
</script>

{#snippet reason(id: CritiqueId)}
  <label
    >I know better, because<span class="only-heard">: {CRITIQUE[id].about}</span>
    <input class="input w-full" name="k.{id}" maxlength="300" value={typed(kept, `k.${id}`, overruled[id] ?? '')} /></label
  >
{/snippet}

{#snippet remark(own: Remark)}
  {@const text = remarkText(own, system)}
  <details>
    <summary
      ><StateMark verdict={REMARK_MARK[own.severity]} label={own.severity} />
      <span>{text.about} </span></summary
    >
    <p>{text.sentence}</p>
    {#if own.mend}<button type="button" class="btn btn-sm" onclick={() => it.mend(own)}>Change it</button>{/if}
    {#if canOverrule}{@render reason(own.id)}{/if}
  </details>
{/snippet}

{#if open.length + known.length > 0 || it.mended}
  <section class="sheet mt-3" aria-labelledby="remarks">
    <h2 id="remarks">Before you walk away</h2>
    {#if it.mended}<p role="status">
        {CRITIQUE[it.mended.id as CritiqueId].about}: changed. <button type="button" class="link" onclick={() => it.unmend()}>Undo</button>
      </p>{/if}
    {#each open.slice(0, FIRST) as own (own.id)}{@render remark(own)}{/each}
    {#if open.length > FIRST}
      <details>
        <summary>{many(open.length - FIRST, 'more', 'more')}</summary>
        {#each open.slice(FIRST) as own (own.id)}{@render remark(own)}{/each}
      </details>
    {/if}
    {#each known as id (id)}
      <details>
        <summary
          ><StateMark verdict="fine" label="known better" />
          <span>{CRITIQUE[id].about} <span class="quiet">you know better</span></span></summary
        >
        {@render reason(id)}
        <p class="quiet">Empty it, and it is told again.</p>
      </details>
    {/each}
  </section>
{/if}

<style>
  summary {
    cursor: pointer;
    min-height: 40px;
    align-content: center;
    border-top: 1px solid var(--rule);
    font-weight: 600;
  }
  summary :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
  details details {
    margin-left: 12px;
  }
  label {
    display: block;
    margin: 8px 0;
  }
</style>
