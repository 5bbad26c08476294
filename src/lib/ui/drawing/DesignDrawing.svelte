<script lang="ts">
  import { MADE, type DesignScene, type Dimension } from '#core/scene/designScene';
  import type { MoveArrow } from '#core/scene/moveArrow';
  import { INKS, type Ink } from '#core/scene/stroke';

  interface Props {
    scene: DesignScene;
    title: string;
    /** a length was drawn longer or shorter: its number and by how much, m, from where the pull began */
    onpull?: (key: string, by: number, begins: boolean) => void;
    /** small pictures carry no heading */
    heading?: string;
    /** what is to be moved, and how far */
    move?: MoveArrow | null;
  }
  let { scene, title, onpull, heading, move = null }: Props = $props();

  const STEP = 0.00635;
  const KEYS: Record<string, number> = {
    ArrowUp: STEP,
    ArrowRight: STEP,
    ArrowDown: -STEP,
    ArrowLeft: -STEP,
    PageUp: STEP * 4,
    PageDown: -STEP * 4,
  };
  let pulled: { key: string; x: number; y: number; pull: [number, number]; px: number } | null = null;

  const line = (ink: Ink): string => `var(--${INKS[ink].line})`;
  const filling = (ink: Ink, fill: 'ink' | 'pale' | 'none'): string =>
    fill === 'none' ? 'none' : `var(--${INKS[ink][fill === 'pale' ? 'pale' : 'line']})`;
  const id = $props.id();

  /** short lines across both ends of a length */
  function ends({ from, to, pull }: Dimension): string {
    const across: [number, number] = pull[0] === 0 ? [4, 0] : [0, 4];
    return [from, to].map(([x, y]) => `M${x - across[0]} ${y - across[1]}L${x + across[0]} ${y + across[1]}`).join('');
  }
  function began(event: PointerEvent, d: Dimension): void {
    const target = event.currentTarget as SVGElement;
    const wide = target.ownerSVGElement?.getBoundingClientRect().width ?? scene.width;
    if (!d.key || !onpull) return;
    target.setPointerCapture(event.pointerId);
    pulled = { key: d.key, x: event.clientX, y: event.clientY, pull: d.pull, px: scene.width / wide };
    onpull(d.key, 0, true);
    event.preventDefault();
  }
  function moved(event: PointerEvent): void {
    if (!pulled || !onpull) return;
    const [dx, dy] = [(event.clientX - pulled.x) * pulled.px, (event.clientY - pulled.y) * pulled.px];
    const { pull } = pulled;
    onpull(pulled.key, (dx * pull[0] + dy * pull[1]) / (pull[0] ** 2 + pull[1] ** 2), false);
  }
  function keyed(event: KeyboardEvent, d: Dimension): void {
    const by = KEYS[event.key];
    if (by === undefined || !d.key || !onpull) return;
    event.preventDefault();
    onpull(d.key, 0, true);
    onpull(d.key, by, false);
  }
</script>

<figure>
  {#if heading}<figcaption>{heading}</figcaption>{/if}
  <svg viewBox="0 0 {scene.width} {scene.height}" width="100%" role="group" aria-label="{title}. {scene.twin.join(' ')}">
    <defs
      ><pattern id="hatch-{id}" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(40)"
        ><path d="M0 0v9" stroke="var(--hatch)" /></pattern
      ></defs
    >
    <g aria-hidden="true">
      <rect width={scene.width} height={scene.height} fill="var(--sky)" />
      {#if scene.beyond}<rect y={scene.beyond.y} width={scene.width} height={scene.beyond.height} fill="var(--bed)" opacity="0.35" />{/if}
      {#if scene.water}<rect
          x={scene.water.from}
          y={scene.water.y}
          width={scene.water.to - scene.water.from}
          height={Math.max(0, scene.height - scene.water.y)}
          fill="var(--water)"
        />{/if}
      {#if scene.ice}<rect y={scene.ice.y} width={scene.width} height={scene.ice.height} fill="var(--ice)" stroke="var(--mute)" />{/if}
      {#if scene.ground}<path d={scene.ground} fill="var(--bed)" /><path
          d={scene.ground}
          fill="url(#hatch-{id})"
          stroke="var(--bedink)"
          stroke-width="2"
          stroke-linejoin="round"
        />{/if}
      {#each scene.shapes as s, i (i)}<path
          d={s.d}
          stroke={line(s.ink)}
          stroke-width={s.width}
          fill={filling(s.ink, s.fill)}
          stroke-dasharray={s.dash ? '6 3' : undefined}
          stroke-linejoin="round"
          stroke-linecap="round"
          opacity={s.part === 'animal' ? 0.42 : 1}
          data-part={s.part}
        />{/each}
      {#if scene.water}<path
          d="M{scene.water.from} {scene.water.y}H{scene.water.to}"
          stroke="var(--line)"
          stroke-width="3"
          opacity="0.85"
        />{/if}
    </g>
    {#if scene.made}
      <path d="M0 {scene.made.y}H{scene.width}" stroke="var(--line)" stroke-width="1.5" stroke-dasharray="3 5" />
      <text x={scene.made.text[0]} y={scene.made.text[1]} font-size="13" class="halo" style:fill="var(--linetext)">{MADE}</text>
    {/if}
    {#each scene.dimensions as d, i (i)}
      <path d="M{d.from.join(' ')}L{d.to.join(' ')}{ends(d)}" fill="none" stroke="var(--ink)" stroke-width="1.3" />
      {#if d.leader}<path d="M{d.leader[0]} {d.leader[1]}L{d.leader[2]} {d.leader[3]}" stroke="var(--mute)" stroke-width="0.9" />{/if}
      <text x={d.box.x} y={d.box.y + 13} font-size="14" font-weight="650" class="halo" aria-hidden="true"
        ><title>{d.label}</title>{d.text}</text
      >
    {/each}
    {#if onpull}
      {#each scene.dimensions as d, i (i)}
        {#if d.key !== null}
          <circle
            cx={d.to[0]}
            cy={d.to[1]}
            r="6"
            class="pull"
            class:flat={d.pull[0] !== 0}
            role="slider"
            tabindex="0"
            aria-label="{d.label}, drawn {scene.view === 'side' ? 'from the side' : 'as it is met'}"
            aria-valuenow={Math.round(Math.hypot(d.to[0] - d.from[0], d.to[1] - d.from[1]) / scene.scale / 0.00254) / 10}
            aria-valuetext={d.text}
            onpointerdown={(event) => began(event, d)}
            onpointermove={moved}
            onpointerup={() => (pulled = null)}
            onkeydown={(event) => keyed(event, d)}
          />
        {/if}
      {/each}
    {/if}
    {#if scene.water}<text
        x={scene.water.box.x}
        y={scene.water.box.y + 13}
        font-size="14"
        font-weight="700"
        class="halo"
        style:fill="var(--linetext)"
        aria-hidden="true">water</text
      >{/if}
    {#if move}
      {@const tip = move.to > move.from ? -9 : 9}
      <path d="M{move.x} {move.from}V{move.to}M{move.x - 7} {move.to + tip}L{move.x} {move.to}L{move.x + 7} {move.to + tip}" class="move" />
      <text x={move.box.x} y={move.box.y + 15} font-size="16" font-weight="750" class="halo" style:fill="var(--out)">{move.text}</text>
    {/if}
  </svg>
</figure>

<style>
  figure {
    position: relative;
  }
  figcaption {
    position: absolute;
    left: 12px;
    top: 8px;
    font-weight: 700;
    color: var(--ink);
  }
  svg {
    display: block;
    background: var(--sky);
    touch-action: pan-y;
  }
  .halo {
    paint-order: stroke;
    stroke: color-mix(in srgb, var(--sky) 82%, transparent);
    stroke-width: 4px;
    fill: var(--ink);
  }
  .move {
    fill: none;
    stroke: var(--out);
    stroke-width: 3.5;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .pull {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 2;
    cursor: ns-resize;
    touch-action: none;
  }
  .flat {
    cursor: ew-resize;
  }
  .pull:focus-visible {
    outline: none;
    stroke: var(--focus);
    stroke-width: 4;
  }
</style>
