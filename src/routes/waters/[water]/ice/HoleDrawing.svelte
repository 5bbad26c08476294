<script lang="ts">
  import type { HoleDrawing } from '$lib/server/ice';

  /** A hole from the side, heights to scale: the ice now, the thickest it may be at the check, and the top of what hangs below it. */
  let { drawn }: { drawn: HoleDrawing } = $props();
  const TOP = 16;
  const deepest = $derived(Math.max(drawn.then, drawn.top ?? 0, drawn.now) * 1.25);
  const y = (m: number): number => TOP + (m / deepest) * 110;
</script>

<svg viewBox="0 0 230 140" width="230" height="140" aria-hidden="true">
  <rect y={TOP} width="230" height="124" fill="var(--water)" />
  {#each [0, 132] as x (x)}
    <rect {x} y={TOP} width="78" height={y(drawn.then) - TOP} fill="var(--ice)" opacity="0.55" />
    <rect {x} y={TOP} width="78" height={y(drawn.now) - TOP} fill="var(--ice)" stroke="var(--mute)" />
    <path d="M{x} {y(drawn.then)}h78" stroke="var(--now)" stroke-width="2" stroke-dasharray="6 4" />
  {/each}
  <text x="4" y={Math.max(y(drawn.now) - 5, TOP + 12)} font-size="12">{drawn.nowText}</text>
  <text x="136" y={Math.min(y(drawn.then) + 14, 136)} font-size="12">{drawn.thenText}</text>
  {#if drawn.top !== null}
    <path d="M105 4V{y(drawn.top)}" stroke="var(--steel)" stroke-width="1.6" />
    <path d="M88 {y(drawn.top)}h34v26h-34z" fill="none" stroke="var(--steel)" stroke-width="2.4" />
  {/if}
</svg>
