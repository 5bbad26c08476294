<script lang="ts">
  import type { Rate } from '#core/effort/rate';

  /** A rate as a dot on the line of its limits; the words beside it say the same. */
  let { rate, most }: { rate: Rate; most: number } = $props();
  const WIDTH = 180;
  const x = (n: number): number => 2 + (Math.min(n, most) / most) * (WIDTH - 12);
  const open = $derived(!Number.isFinite(rate.limits.high));
</script>

<svg width={WIDTH} height="16" viewBox="0 0 {WIDTH} 16" aria-hidden="true">
  <path d="M0 14.5H{WIDTH - 8}" stroke="var(--rule)" />
  <path d="M{x(rate.limits.low)} 8H{open ? WIDTH - 2 : x(rate.limits.high)}" stroke="var(--ink)" stroke-width="1.6" />
  {#if open}<path d="M{WIDTH - 8} 4l6 4-6 4" fill="none" stroke="var(--ink)" stroke-width="1.6" />{/if}
  <rect x={x(rate.rate.low) - 4} y="4" width={Math.max(8, x(rate.rate.high) - x(rate.rate.low) + 8)} height="8" rx="4" fill="var(--ink)" />
</svg>
