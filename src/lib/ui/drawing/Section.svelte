<script lang="ts">
  import { INCH } from '#core/units/factors';
  import { alongAt, xAt, type SectionScene } from '#core/scene/section';
  import { hrefsOf, type Hrefs } from './hrefs';
  import SectionLabels from './SectionLabels.svelte';
  import SectionGround from './SectionGround.svelte';
  import SectionSets from './SectionSets.svelte';

  interface Props {
    scene: SectionScene;
    /** id of the water */
    water: string;
    /** the what-if level, or the read one; m */
    level: number | null;
    isWhatIf: boolean;
    valueText: string;
    /** another time than now is shown */
    isAhead?: boolean;
    /** times as wide as the page; the section scrolls then */
    zoom?: number;
    onzoom?: (zoom: number) => void;
    /** the waterline is moved; without it there is no handle */
    onlevel?: (level: number) => void;
    /** at an equal pitch and its own width, the axis fixed beside it */
    columns?: boolean;
    /** a way along the shore that was tapped, m, and how it is printed */
    spot?: { along: number; text: string } | null;
    onspot?: (along: number) => void;
    /** the waterline was tapped */
    onwaterline?: () => void;
    /** a live set was tapped; without it, or without script, its name leads to its check */
    onset?: (id: string) => void;
    /** where the names lead; else to the pages of the record */
    hrefs?: Hrefs;
  }
  let {
    spot = null,
    onspot,
    onwaterline,
    onset,
    hrefs = hrefsOf(() => water),
    columns = false,
    scene,
    water,
    level,
    isWhatIf,
    isAhead = false,
    zoom = 1,
    onzoom,
    valueText,
    onlevel,
  }: Props = $props();

  const pond = $derived(scene.surfaces.find((s) => s.surface === 'pond'));
  const tail = $derived(scene.surfaces.find((s) => s.surface === 'tail'));
  const handle = $derived(pond && onlevel ? { x: 95, y: pond.y } : null);

  let dragFrom: { y: number; level: number; scale: number } | null = null;
  function down(event: PointerEvent): void {
    if (level === null) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    dragFrom = { y: event.clientY, level, scale: scene.scale };
  }
  function move(event: PointerEvent): void {
    if (!dragFrom) return;
    const svg = (event.currentTarget as SVGElement).ownerSVGElement;
    const ratio = svg ? scene.height / svg.getBoundingClientRect().height : 1;
    const raw = dragFrom.level - ((event.clientY - dragFrom.y) * ratio) / dragFrom.scale;
    onlevel?.(Math.round(raw / (INCH / 4)) * (INCH / 4));
  }
  /** A tap beside all links: the way along the shore there, or the waterline itself. */
  function tapped(event: MouseEvent): void {
    if ((event.target as Element).closest('a, .handle')) return;
    const box = (event.currentTarget as Element).getBoundingClientRect();
    const ratio = scene.width / box.width;
    const at = alongAt(scene, (event.clientX - box.left) * ratio);
    if (pond && Math.abs((event.clientY - box.top) * ratio - pond.y) < 8) onwaterline?.();
    else if (at !== null) onspot?.(at);
  }
  const STEPS: Record<string, number> = { ArrowUp: 0.25, ArrowDown: -0.25, ArrowRight: 0.25, ArrowLeft: -0.25, PageUp: 2, PageDown: -2 };
  function key(event: KeyboardEvent): void {
    const step = STEPS[event.key];
    if (step === undefined || level === null) return;
    event.preventDefault();
    onlevel?.(Math.round((level + step * INCH) / (INCH / 4)) * (INCH / 4));
  }
</script>

{#snippet axis(x: number)}
  <text x={x + 8} y={scene.top - 4} font-size="12" text-anchor="end">gauge</text>
  {#each scene.levels as t (t.y)}
    <path d="M{x} {t.y}h10" stroke="var(--ink)" stroke-width="1.4" /><text
      x={x - 4}
      y={t.y + 4}
      font-size="12"
      text-anchor="end"
      class="halo">{t.text}</text
    >
  {/each}
{/snippet}

<div class="whole">
  {#if onzoom && !columns}
    <div class="zoom no-print" role="group" aria-label="Zoom along the shore">
      <button type="button" class="btn btn-sm" aria-label="Wider" disabled={zoom >= 8} onclick={() => onzoom(Math.min(8, zoom + 0.5))}
        >+</button
      >
      <button type="button" class="btn btn-sm" aria-label="Narrower" disabled={zoom <= 1} onclick={() => onzoom(Math.max(1, zoom - 0.5))}
        >−</button
      >
    </div>
  {/if}
  <div class="frame" class:columns={columns || zoom > 1}>
    {#if columns || zoom > 1}<svg class="axis" viewBox="0 0 46 {scene.height}" width="46" height={scene.height} aria-hidden="true"
        ><rect width="46" height={scene.height} fill="var(--sky)" />{@render axis(34)}{#if pond}<path
            d="M0 {pond.y}h46"
            stroke="var(--line)"
            stroke-width="3"
          />{/if}</svg
      >{/if}
    <div class="scroll">
      <!-- what a tap does here the forms below do by keyboard -->
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
      <svg
        onclick={tapped}
        viewBox="0 0 {scene.width} {scene.height}"
        width={columns || zoom > 1 ? scene.width : '100%'}
        role="group"
        aria-label="Section of the water, unrolled along its shore. The table below has the same numbers."
      >
        <defs>
          <pattern id="hatch" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(40)"
            ><path d="M0 0v9" stroke="var(--hatch)" stroke-width="1" /></pattern
          >
        </defs>
        <rect width={scene.width} height={scene.height} fill="var(--sky)" />
        {#each scene.surfaces as s (s.surface)}
          <rect x={s.from} y={s.y} width={s.to - s.from} height={Math.max(0, scene.height - s.y)} fill="var(--water)" />
        {/each}
        {#if scene.before}
          <path
            d="M{scene.before.from} {scene.before.y}H{scene.before.to}"
            stroke="var(--line)"
            stroke-width="1.6"
            stroke-dasharray="2 6"
            stroke-linecap="round"
          />
        {/if}
        {#if scene.ahead}
          <rect
            x={scene.ahead.from}
            y={scene.ahead.top}
            width={scene.ahead.to - scene.ahead.from}
            height={Math.max(2, scene.ahead.bottom - scene.ahead.top)}
            fill="var(--line)"
            opacity="0.22"
          />
        {/if}
        <SectionGround {scene} />

        <SectionSets {scene} />

        {#each scene.surfaces as s (s.surface)}
          <path
            d="M{s.from} {s.y}H{s.to}"
            stroke="var(--line)"
            stroke-width="3.6"
            stroke-dasharray={isWhatIf && s.surface === 'pond' ? '14 4' : undefined}
          />
        {/each}
        {#if scene.ahead}
          <path d="M{scene.ahead.from} {scene.ahead.y}H{scene.ahead.to}" stroke="var(--line)" stroke-width="1.6" stroke-dasharray="7 5" />
          <text
            x={columns ? 10 : scene.ahead.to - 12}
            y={scene.ahead.bottom + 15}
            font-size="13"
            text-anchor={columns ? 'start' : 'end'}
            class="halo"
            style:fill="var(--linetext)">{scene.ahead.text}</text
          >
        {/if}
        {#if scene.before}<text x="10" y={scene.before.textY} font-size="13" class="halo" style:fill="var(--linetext)"
            >{scene.before.text}</text
          >{/if}
        {#if pond}<text x="10" y={pond.y - 7} font-size="13.5" font-weight="700" class="halo" style:fill="var(--linetext)"
            >{isAhead ? 'then' : isWhatIf ? 'what if' : 'now'} {pond.text}</text
          >{/if}
        {#if tail}<text
            x={tail.to - 62}
            y={tail.y - 6}
            font-size="13"
            font-weight="700"
            text-anchor="end"
            class="halo"
            style:fill="var(--linetext)">below the dam {tail.text}</text
          >{/if}

        <SectionLabels {scene} {hrefs} {onset} />

        {#if !columns && zoom === 1}{@render axis(scene.width - 16)}{/if}

        {#if spot}
          {@const x = xAt(scene, spot.along)}
          <path d="M{x} {scene.top}V{scene.height}" stroke="var(--ink)" stroke-width="2" stroke-dasharray="2 5" />
          <text {x} y={scene.height - 26} font-size="13.5" font-weight="700" text-anchor="middle" class="halo">{spot.text}</text>
        {/if}

        {#if handle && level !== null}
          <g
            class="handle"
            role="slider"
            tabindex="0"
            aria-label="Level of the water, what if"
            aria-valuenow={Math.round((level / INCH) * 4) / 4}
            aria-valuetext={valueText}
            aria-orientation="vertical"
            transform="translate({handle.x} {handle.y})"
            onpointerdown={down}
            onpointermove={move}
            onpointerup={() => (dragFrom = null)}
            onpointercancel={() => (dragFrom = null)}
            onkeydown={key}
          >
            <circle r="22" fill="transparent" />
            <circle r="11" fill="var(--paper)" stroke="var(--line)" stroke-width="3" />
            <path d="M0 -6v12M-3 -3.4 0 -6.4 3 -3.4M-3 3.4 0 6.4 3 3.4" stroke="var(--linetext)" stroke-width="1.8" fill="none" />
          </g>
        {/if}
      </svg>
    </div>
  </div>
</div>

<style>
  .whole {
    position: relative;
  }
  .frame.columns {
    display: flex;
  }
  .zoom {
    position: absolute;
    left: 20px;
    bottom: 26px;
    display: flex;
    gap: 4px;
    z-index: 2;
  }
  @media print {
    .scroll svg {
      width: 100%;
      height: auto;
    }
  }
  .axis {
    flex: none;
  }
  .scroll {
    overflow-x: auto;
    flex: 1;
  }

  svg {
    display: block;
    background: var(--sky);
  }
  .handle {
    cursor: ns-resize;
    touch-action: none;
  }
  .halo {
    paint-order: stroke;
    stroke: color-mix(in srgb, var(--sky) 75%, transparent);
    stroke-width: 4px;
  }
</style>
