<script lang="ts">
  import type { PartKind } from '#core/water/part';

  /** A device in a section: its height is true, its width symbolic. */
  let {
    kind,
    x,
    top,
    height,
    stick,
    hung = 0,
  }: { kind: PartKind; x: number; top: number; height: number; stick: number; hung?: number } = $props();
  const width = $derived(kind === 'pan' ? 34 : Math.max(height, 14));
</script>

<g fill="none" stroke="var(--steel)" stroke-width="2">
  {#if kind === 'jaws'}
    {#if hung > 0}<path d="M{x} {top}v-{hung}M{x - 22} {top - hung}h44" stroke-width="1.6" />{:else}<path
        d="M{x} {top + height}v{stick}"
        stroke="var(--stick)"
        stroke-width="3.5"
      />{/if}
    <rect x={x - width / 2} y={top} {width} {height} rx="2.5" />
    <path d="M{x - width / 2} {top + height / 2}h-7M{x + width / 2} {top + height / 2}h7" />
    <circle cx={x - width / 2 - 10} cy={top + height / 2} r="3" /><circle cx={x + width / 2 + 10} cy={top + height / 2} r="3" />
    <path d="M{x - 2} {top}l-4 {height * 0.45}M{x + 2} {top}l4 {height * 0.45}" stroke-width="1.4" />
  {:else if kind === 'loop'}
    <circle cx={x} cy={top + height / 2} r={height / 2} />
    <path d="M{x + height * 0.32} {top + height * 0.12}q{height * 0.5} -{height * 0.3} {height * 0.75} {height * 0.2}" />
    <circle cx={x + height * 0.32} cy={top + height * 0.12} r="2.4" fill="var(--steel)" />
  {:else}
    <path d="M{x - width / 2} {top + height}h{width}" stroke-width="3.2" />
    <path d="M{x - width * 0.4} {top + height}q{width * 0.4} -{Math.max(height * 2, 9)} {width * 0.8} 0" />
    <path d="M{x - 6} {top}h12" stroke-width="3" />
  {/if}
</g>
