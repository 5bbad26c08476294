<script lang="ts">
  import type { Exposure } from '#core/effort/exposure';

  /** The hours that sets stood, by what became of them: worked, nobody read, and why the rest does not count. */
  let { hours, most }: { hours: Exposure; most: number } = $props();
  const WIDTH = 220;
  const parts = $derived([
    { id: 'worked', hours: hours.inBand.low, fill: 'var(--fine)' },
    { id: 'unknown', hours: hours.inBand.high - hours.inBand.low, fill: 'url(#unread)' },
    { id: 'sprung', hours: hours.lost.sprung + hours.lost.spent, fill: 'var(--edge)' },
    { id: 'outside', hours: hours.lost.outside, fill: 'var(--outbg)' },
  ]);
  const start = (i: number): number => parts.slice(0, i).reduce((sum, p) => sum + p.hours, 0);
</script>

<svg width={WIDTH} height="14" viewBox="0 0 {WIDTH} 14" aria-hidden="true">
  <defs
    ><pattern id="unread" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
      ><path d="M0 0V5" stroke="var(--mute)" stroke-width="2" /></pattern
    ></defs
  >
  {#each parts as p, i (p.id)}
    {#if p.hours > 0}<rect
        x={(start(i) / most) * WIDTH}
        width={(p.hours / most) * WIDTH}
        y="1"
        height="12"
        fill={p.fill}
        stroke="var(--mute)"
        stroke-width="0.6"
      />{/if}
  {/each}
</svg>
