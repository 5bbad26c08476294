<script lang="ts">
  import { stepsSaid } from '#core/sets/arming';
  import type { System } from '#core/units/factors';
  import { inWords } from '#core/units/inWords';
  import type { SetType, Step } from '#core/sets/setType';

  /** Steps in their order: the last moment of reach, and what every later one keeps hands away from. */
  let { type, steps, system, large = false }: { type: SetType; steps: readonly Step[]; system: System; large?: boolean } = $props();
  const told = (text: string): string => inWords(text, system);
  const said = $derived(stepsSaid(type, steps));
</script>

<ol class:large>
  {#each said as step (step.do)}
    <li class:last={step.lastReach !== ''}>
      {told(step.do)}
      {#if step.lastReach}<b>{told(step.lastReach)}</b>{/if}
      {#if step.caution}<br /><span class="caution">{told(step.caution)}</span>{/if}
      {#if step.clear}<br /><span class="quiet">{told(step.clear)}</span>{/if}
    </li>
  {/each}
</ol>

<style>
  ol {
    list-style: decimal;
    padding-left: 1.5rem;
  }
  li {
    padding: 3px 0;
  }
  .large {
    font-size: 1.1rem;
  }
  .large li {
    padding: 6px 0;
  }
  .last {
    border-left: 4px solid var(--edge);
    padding-left: 8px;
    margin-left: -12px;
  }
  .caution {
    color: var(--out);
    font-weight: 600;
  }
</style>
