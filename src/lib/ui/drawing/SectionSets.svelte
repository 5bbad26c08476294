<script lang="ts">
  import type { SectionScene } from '#core/scene/section';
  import DeviceShape from './DeviceShape.svelte';

  /** The sets of a section at their heights, each with its shelf and the band of levels in which it works. */
  let { scene }: { scene: SectionScene } = $props();
</script>

{#each scene.sets as s (s.id)}
  {@const near = s.label.y + 22}
  <path
    d="M{s.x} {near}V{Math.min(...s.devices.map((d) => d.top), scene.height) - 3}"
    stroke="var(--mute)"
    stroke-width="1"
    stroke-dasharray="1.5 3.5"
  />
  {#if s.ledge !== null}<path d="M{s.x - 26} {s.ledge}h52v7h-52z" fill="var(--bed)" stroke="var(--bedink)" stroke-width="1.4" />{/if}
  {#each s.devices as d (d.device)}<g opacity={s.shape === 'live' ? 1 : 0.55}><DeviceShape {...d} /></g>{/each}
  {#if s.band}
    <g stroke="var(--ink)" stroke-width="1.7" fill="none">
      <path d="M{s.band.x} {s.band.top}V{s.band.bottom}" />
      {#if s.band.openTop}<path d="M{s.band.x - 4} {s.band.top + 6}l4 -6 4 6" />{:else}<path d="M{s.band.x - 5} {s.band.top}h10" />{/if}
      {#if s.band.openBottom}<path d="M{s.band.x - 4} {s.band.bottom - 6}l4 6 4 -6" />{:else}<path
          d="M{s.band.x - 5} {s.band.bottom}h10"
        />{/if}
    </g>
  {/if}
{/each}
