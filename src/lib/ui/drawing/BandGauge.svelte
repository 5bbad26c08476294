<script lang="ts">
  import { bandGauge } from '#core/scene/bandGauge';
  import type { DeviceState } from '#core/water/state';

  /** The band of a set as a box around the level now, its aim filled, what is in doubt dashed; all gauges of a list share one scale. */
  let { state, then, height = 46 }: { state: DeviceState; then: number | null; height?: number } = $props();
  const gauge = $derived(bandGauge(state, then, height));
</script>

<svg width="96" {height} viewBox="0 0 96 {height}" aria-hidden="true">
  <rect x="0" y={gauge.now} width="96" height={height - gauge.now} fill="var(--water)" />
  {#each gauge.doubt as [top, bottom] (top)}
    <path d="M37 {top}V{bottom}M59 {top}V{bottom}" stroke="var(--ink)" stroke-width="1.6" stroke-dasharray="3 3" />
  {/each}
  {#if gauge.aim}
    <rect x="36" y={gauge.aim.top} width="24" height={Math.max(gauge.aim.bottom - gauge.aim.top, 2)} fill="var(--fine)" opacity="0.35" />
  {/if}
  {#if gauge.box}
    <rect
      x="33"
      y={gauge.box.top}
      width="30"
      height={Math.max(gauge.box.bottom - gauge.box.top, 2)}
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.6"
      stroke-dasharray={gauge.box.openTop && gauge.box.openBottom ? '3 3' : undefined}
    />
    {#if gauge.box.openTop}<path d="M43 5l5-4 5 4" fill="none" stroke="var(--ink)" stroke-width="1.6" />{/if}
    {#if gauge.box.openBottom}<path d="M43 {height - 5}l5 4 5-4" fill="none" stroke="var(--ink)" stroke-width="1.6" />{/if}
  {/if}
  <path d="M0 {gauge.now}H96" stroke="var(--line)" stroke-width="3" />
  {#if gauge.then !== null}<path d="M0 {gauge.then}H14M82 {gauge.then}H96" stroke="var(--linetext)" stroke-width="1.8" />{/if}
</svg>
