<script lang="ts">
  import { sizeText } from '#core/devices/sizes';
  import DeviceSymbol from '$lib/ui/DeviceSymbol.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import BandGauge from '$lib/ui/drawing/BandGauge.svelte';
  import type { SetRow } from './setRows';

  /** The set that was tapped on the drawing: how it stands, what it wants, and the ways from it. */
  let { row, onclose }: { row: SetRow; onclose: () => void } = $props();
  const { view } = $derived(row);
  let card: HTMLElement;

  $effect(() => {
    if (view.id) card.focus();
  });
</script>

<section class="card" tabindex="-1" bind:this={card} aria-labelledby="card-name">
  <div class="mark">
    {#if row.state}<BandGauge state={row.state} then={null} height={56} />{/if}
  </div>
  <div>
    <h2 id="card-name">{view.number} {view.name}</h2>
    <p class="quiet">
      {#each view.devices.slice(0, 1) as d (d.tag)}<DeviceSymbol kind={d.class} />{/each}
      {view.typeName.toLowerCase()}, {view.devices.map((d) => `${sizeText(d.class, d.size)} ${d.tag}`).join(', ')}
    </p>
    <p><StateMark verdict={row.verdict} /> <b>{row.label}</b></p>
    <p class="order">{row.order}</p>
    <p>{row.why}</p>
    <p class="ways">
      <a class="btn btn-primary" href="/check/{view.id}">Check it</a>
      <a class="btn" href="/bench/{view.id}">To the bench</a>
      <button type="button" class="btn btn-ghost" onclick={onclose}>Close</button>
    </p>
  </div>
</section>

<style>
  .card {
    display: grid;
    grid-template-columns: 96px 1fr;
    gap: 16px;
    padding: 12px 20px;
    border-bottom: 1px solid var(--rule);
    background: var(--paper);
    outline-offset: -4px;
  }
  .card p :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
  .order {
    font-weight: 700;
    font-size: 1.15rem;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 12px;
    margin-top: 8px;
  }
</style>
