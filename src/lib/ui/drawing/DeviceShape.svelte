<script lang="ts">
  import type { SectionDevice } from '#core/scene/sectionSets';

  /** A device in a section, with what it hangs or stands on: heights are true, widths symbolic. */
  let { kind, x, top, height, stick, hung, at }: SectionDevice = $props();
  const width = $derived(kind === 'pan' ? 34 : Math.max(height, 14));
</script>

{#each at as b, i (i)}
  {@const earth = ['wall', 'ledge', 'ceiling', 'stones', 'root'].includes(b.kind)}
  {@const half = b.kind === 'bar' ? 12 : b.kind === 'box' ? width / 2 + 10 : b.kind === 'ceiling' || b.kind === 'pipe' ? 36 : 30}
  {@const left = b.kind === 'wall' ? x - width / 2 - 24 : x - half}
  {#if b.kind === 'pipe'}<path
      d="M{left} {b.top}h{half * 2}M{left} {b.top + b.height}h{half * 2}"
      stroke="var(--bedink)"
      stroke-width="3"
    />
  {:else}<rect
      x={left}
      y={b.top}
      width={b.kind === 'wall' ? 12 : half * 2}
      height={Math.max(b.height, 2.5)}
      rx={earth ? 0 : 3}
      fill={b.kind === 'box' ? 'none' : earth ? 'var(--bed)' : 'var(--stick)'}
      stroke={earth ? 'var(--bedink)' : 'var(--stick)'}
      stroke-width="1.4"
      fill-opacity={earth ? 1 : 0.45}
    />{/if}
{/each}
<g fill="none" stroke="var(--steel)" stroke-width="2">
  {#if kind === 'jaws'}
    {#if hung > 0}<path d="M{x} {top}v-{hung}M{x - 22} {top - hung}h44" stroke-width="1.6" />{:else if stick > 0}<path
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
  {:else if kind === 'tube'}
    <rect x={x - 6} y={top} width="12" {height} rx="2" />
    {#if stick > 0}<path d="M{x} {top + height}v{stick}" stroke="var(--stick)" stroke-width="3.5" />{/if}
  {:else}
    {#if stick > 0}<path d="M{x - 14} {top + height}v{stick}M{x + 14} {top + height}v{stick}" stroke="var(--stick)" stroke-width="3" />{/if}
    <path d="M{x - width / 2} {top + height}h{width}" stroke-width="3.2" />
    <path d="M{x - width * 0.4} {top + height}q{width * 0.4} -{Math.max(height * 2, 9)} {width * 0.8} 0" />
    <path d="M{x - 6} {top}h12" stroke-width="3" />
  {/if}
</g>
