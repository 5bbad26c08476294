<script lang="ts">
  import { stepsSaid } from '#core/sets/arming';
  import type { System } from '#core/units/factors';
  import { inWords } from '#core/units/inWords';
  import type { DeviceClass } from '#core/devices/sizes';
  import type { Order } from '#core/sets/work';

  /** The work in the order of hands, twice where a depth decides that nobody measured: the last moment of reach, and what every later one keeps hands away from. */
  let {
    device,
    orders,
    system,
    large = false,
  }: { device: DeviceClass; orders: readonly Order[]; system: System; large?: boolean } = $props();
  const told = (text: string): string => inWords(text, system);
</script>

{#each orders as { when, steps } (when)}
  {#if when}<h3 class="mt-2">{told(when)}</h3>{/if}
  <ol class:large>
    {#each stepsSaid(device, steps) as step, i (i)}
      <li class:last={step.lastReach !== ''}>
        {told(step.do)}
        {#if step.lastReach}<b>{told(step.lastReach)}</b>{/if}
        {#if step.caution}<br /><span class="caution">{told(step.caution)}</span>{/if}
        {#if step.clear}<br /><span class="quiet">{told(step.clear)}</span>{/if}
      </li>
    {/each}
  </ol>
{/each}

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
