<script lang="ts">
  import type { PoleSheet } from '#core/scene/poleSheet';

  /** A pole one to ten: printed, a centimetre on paper is ten at the water. */
  let { sheet, title }: { sheet: PoleSheet; title: string } = $props();
</script>

<svg
  width="{sheet.width}mm"
  height="{sheet.height}mm"
  viewBox="0 0 {sheet.width} {sheet.height}"
  role="img"
  aria-label="{title}: {sheet.marks.map((m) => m.text).join(', ')} from the foot"
>
  <rect x="10" y="15.6" width={sheet.length} height="2.8" rx="0.8" fill="var(--wood)" stroke="var(--stick)" stroke-width="0.5" />
  {#each sheet.marks as mark, i (i)}
    <path d="M{10 + mark.at} 14.6v4.8" stroke="var(--ink)" stroke-width="0.5" />
    <path
      d="M{10 + mark.at} {mark.box.y > 17 ? 19.4 : 14.6}L{mark.box.x + mark.box.width / 2} {mark.box.y > 17
        ? mark.box.y
        : mark.box.y + mark.box.height}"
      stroke="var(--mute)"
      stroke-width="0.2"
    />
    <text x={mark.box.x} y={mark.box.y + 3.1} font-size="3.2" fill="var(--ink)">{mark.text}</text>
  {/each}
</svg>

<style>
  svg {
    max-width: 100%;
  }
  @media print {
    svg {
      max-width: none;
    }
  }
</style>
