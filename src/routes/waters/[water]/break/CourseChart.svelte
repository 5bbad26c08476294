<script lang="ts">
  import type { CourseChart } from '#core/scene/courseChart';

  let { chart }: { chart: CourseChart } = $props();
</script>

<svg
  viewBox="0 0 {chart.width} {chart.height}"
  role="img"
  aria-label="Course of the level with its range, and the working ranges of the sets. The table has the same."
>
  <rect width={chart.width} height={chart.height} fill="var(--paper)" />
  {#each chart.levels as l (l.y)}<path d="M56 {l.y}H{chart.width}" stroke="var(--rule)" /><text
      x="50"
      y={l.y + 4}
      font-size="12"
      text-anchor="end">{l.text}</text
    >{/each}
  {#each chart.hours as h (h.x)}<text x={h.x} y={chart.height - 8} font-size="12" text-anchor="middle">{h.text}</text>{/each}
  <path d={chart.area} fill="var(--water)" />
  <path d={chart.line} fill="none" stroke="var(--line)" stroke-width="3" />
  {#each chart.sets as s (s.id)}
    <g stroke="var(--ink)" stroke-width="2" fill="none">
      <path d="M{s.x} {s.top}V{s.bottom}" /><path d="M{s.x - 5} {s.top}h10M{s.x - 5} {s.bottom}h10" />
    </g>
    <text x={s.x} y="11" font-size="11" text-anchor="middle" font-weight="600">{s.name.split(' ')[0]}</text>
  {/each}
</svg>

<style>
  svg {
    width: 100%;
    border: 1px solid var(--rule);
  }
</style>
