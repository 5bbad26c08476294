<script lang="ts">
  import type { BrookStrip } from '#core/scene/surveyMaps';

  let { strip, take }: { strip: BrookStrip; take: number[] } = $props();
</script>

<svg
  viewBox="0 0 {strip.width} {strip.height}"
  role="img"
  aria-label="The creek as a strip with numbered marks at their way along it; those to set are filled. The table has the same."
>
  <rect width={strip.width} height={strip.height} fill="var(--sky)" />
  <path d={strip.path} fill="none" stroke="var(--line)" stroke-width="12" opacity="0.6" />
  {#each strip.marks as m (m.n)}
    {@const on = take.includes(m.n)}
    <circle cx={m.x} cy={m.y} r="14" fill={on ? 'var(--ink)' : 'var(--paper)'} stroke="var(--ink)" stroke-width="2" />
    <text x={m.x} y={m.y + 5} font-size="15" font-weight="700" text-anchor="middle" style="fill: {on ? 'var(--paper)' : 'var(--ink)'}"
      >{m.n}</text
    >
    <text x={m.x} y={strip.height - 8} font-size="13" text-anchor="middle">{m.along}</text>
  {/each}
</svg>
<p class="quiet">
  Ways along are to scale, bends are symbolic. Filled marks are the ones to set: the best first, none within 150 ft of a better one (rule of
  thumb).
</p>

<style>
  svg {
    width: 100%;
    border: 1px solid var(--rule);
  }
</style>
