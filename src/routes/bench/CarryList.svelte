<script lang="ts">
  import type { Carried } from '#core/gear/carry';
  import type { System } from '#core/units/factors';
  import { amountText } from '#core/gear/amount';

  /** What is cut at the water, taken from the shed and carried as tools. */
  let { items, system }: { items: Carried[]; system: System } = $props();
  const GROUPS = [
    { name: 'From the shed', kinds: ['device', 'stand', 'stake', 'made', 'cable', 'wire', 'rope', 'fill', 'bait', 'lure'] },
    { name: 'Cut there', kinds: ['stick'] },
    { name: 'In the basket', kinds: ['tool'] },
  ];
  const groups = $derived(
    GROUPS.map((g) => ({ ...g, items: items.filter((item) => g.kinds.includes(item.kind)) })).filter((g) => g.items.length > 0),
  );
</script>

<dl>
  {#each groups as group (group.name)}
    <dt>{group.name}</dt>
    <dd>
      {group.items
        .map(
          (item) =>
            `${item.amount === undefined && item.count > 1 ? `${item.count} × ` : ''}${item.what}${item.amount === undefined ? '' : ` ${amountText(item, system)}`}`,
        )
        .join(', ')}
    </dd>
  {/each}
</dl>

<style>
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 2px 12px;
  }
  dt {
    font-weight: 650;
  }
</style>
