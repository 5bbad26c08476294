<script lang="ts">
  import type { SideScene } from '#core/scene/sideView';

  /** A set from the side, to one scale. */
  let { scene, title }: { scene: SideScene; title: string } = $props();

  const ground = $derived(scene.ground.map(([x, y]) => `${x} ${y}`).join('L'));
  const bed = $derived(scene.ground.length > 0 ? `M${ground}L${scene.width + 5} ${scene.height + 5}L-5 ${scene.height + 5}Z` : '');
  const lineOf = (d: { from: number; to: number }): number => (d.from + d.to) / 2;
  /** sticks across the travel stand behind what they fence */
  const drawn = $derived([...scene.parts].sort((a, b) => Number(b.kind === 'stick') - Number(a.kind === 'stick')));
  const stop = $derived(scene.parts.find((p) => p.kind === 'slideStop'));
  const stake = $derived(scene.parts.find((p) => p.kind === 'stake'));
  const raft = $derived(scene.parts.find((p) => p.kind === 'raft'));
</script>

<svg
  viewBox="0 0 {scene.width} {scene.height}"
  width="100%"
  role="img"
  aria-label="{title}, from the side, to scale. {scene.twin.join(' ')}"
>
  <defs
    ><pattern id="hatch-side" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(40)"
      ><path d="M0 0v9" stroke="var(--hatch)" /></pattern
    ></defs
  >
  <rect width={scene.width} height={scene.height} fill="var(--sky)" />
  {#if scene.water}<rect
      y={scene.water.y}
      width={scene.width}
      height={Math.max(0, scene.height - scene.water.y)}
      fill="var(--water)"
    />{/if}
  {#if bed}<path d={bed} fill="var(--bed)" /><path d={bed} fill="url(#hatch-side)" /><path
      d="M{ground}"
      fill="none"
      stroke="var(--bedink)"
      stroke-width="2"
      stroke-linejoin="round"
    />{/if}
  {#if stop && stake}<path
      d="M{stake.x + stake.width / 2} {stake.y + 6}L{stop.x + stop.width / 2} {stop.y + stop.height / 2}"
      stroke="var(--steel)"
      stroke-width="1.6"
      stroke-dasharray="7 3"
    />{/if}
  {#if raft && stake}<path
      d="M{raft.x + raft.width} {raft.y + raft.height / 2}Q{stake.x} {raft.y + 30} {stake.x + 2} {stake.y}"
      fill="none"
      stroke="var(--steel)"
      stroke-width="1.4"
    />{/if}
  {#each drawn as p (p.id)}
    {@const mid = p.x + p.width / 2}
    {#if p.kind === 'jaws'}
      {@const arm = Math.max(p.height * 0.42, 10)}
      <g stroke="var(--steel)" fill="none" stroke-width="3">
        <path d="M{mid - 4} {p.y}V{p.y + p.height}M{mid + 4} {p.y}V{p.y + p.height}M{mid - 4} {p.y}h8M{mid - 4} {p.y + p.height}h8" />
        <path
          d="M{mid - 4} {p.y + p.height * 0.5}L{mid - arm} {p.y + p.height * 0.36}M{mid + 4} {p.y + p.height * 0.5}L{mid + arm} {p.y +
            p.height * 0.36}"
          stroke-width="2"
        />
        <circle cx={mid - arm} cy={p.y + p.height * 0.33} r="4" stroke-width="2" /><circle
          cx={mid + arm}
          cy={p.y + p.height * 0.33}
          r="4"
          stroke-width="2"
        />
        <path d="M{mid - 6} {p.y - 4}h12" stroke-width="4" /><path
          d="M{mid} {p.y}l-5 {p.height * 0.5}M{mid + 1} {p.y}l6 {p.height * 0.48}"
          stroke-width="1.3"
        />
      </g>
    {:else if p.kind === 'stand'}
      <path
        d="M{p.x} {p.y + p.height}h{p.width}M{mid - 8} {p.y + p.height}V{p.y - 8}M{mid + 8} {p.y + p.height}V{p.y - 8}"
        stroke="var(--steel)"
        stroke-width="2.6"
        fill="none"
      />
    {:else if p.kind === 'pan'}
      <path d="M{p.x} {p.y + p.height}h{p.width}" stroke="var(--steel)" stroke-width="3.4" />
      <path
        d="M{p.x + 2} {p.y + p.height}Q{mid} {p.y + p.height - Math.max(p.height * 2.4, 12)} {p.x + p.width - 2} {p.y + p.height}"
        fill="none"
        stroke="var(--steel)"
        stroke-width="2.2"
      />
      <path d="M{mid - p.width * 0.16} {p.y}h{p.width * 0.32}M{mid} {p.y}v{p.height}" stroke="var(--steel)" stroke-width="2.6" />
    {:else if p.kind === 'loop'}
      <path d="M{mid} {p.y}V{p.y + p.height}" stroke="var(--steel)" stroke-width="2.6" /><ellipse
        cx={mid}
        cy={p.y + p.height / 2}
        rx={Math.max(p.height * 0.13, 4)}
        ry={p.height / 2}
        fill="none"
        stroke="var(--steel)"
        stroke-width="2"
      />
      <circle cx={mid + 4} cy={p.y + p.height * 0.2} r="3" fill="var(--steel)" />
    {:else if p.kind === 'mound'}
      <path
        d="M{p.x} {p.y + p.height}Q{mid} {p.y - p.height * 0.8} {p.x + p.width} {p.y + p.height}Z"
        fill="var(--bed)"
        stroke="var(--bedink)"
        stroke-width="2"
      />
    {:else if p.kind === 'bed'}
      <rect
        x={p.x}
        y={p.y}
        width={p.width}
        height={p.height}
        fill="var(--bed)"
        stroke="var(--bedink)"
        stroke-width="1.6"
        stroke-dasharray="4 3"
      />
    {:else if p.kind === 'raft'}
      <rect x={p.x} y={p.y} width={p.width} height={p.height} fill="var(--bed)" stroke="var(--stick)" stroke-width="2.4" rx="3" />
      <path d="M{p.x} {p.y + p.height * 0.35}h{p.width}M{p.x} {p.y + p.height * 0.7}h{p.width}" stroke="var(--stick)" stroke-width="1.2" />
    {:else if p.kind === 'ceiling'}
      <rect x={p.x} y={p.y} width={p.width} height={p.height} fill="var(--bed)" stroke="var(--bedink)" stroke-width="2" />
    {:else if p.kind === 'slideStop'}
      <rect
        x={p.x}
        y={p.y}
        width={Math.max(p.width, 8)}
        height={Math.max(p.height, 8)}
        fill="none"
        stroke="var(--steel)"
        stroke-width="2.2"
      />
    {:else}
      <rect
        x={mid - Math.max(p.width, 4) / 2}
        y={p.y}
        width={Math.max(p.width, 4)}
        height={p.height}
        rx="2"
        fill="var(--stick)"
        opacity={p.kind === 'stick' ? 0.5 : 1}
      />
    {/if}
  {/each}
  {#if scene.ice}
    <rect y={scene.ice.y} width={scene.width} height={scene.ice.height} fill="var(--ice)" stroke="var(--mute)" opacity="0.7" />
    <text x="8" y={scene.ice.y - 5} font-size="13" font-weight="650" class="halo">{scene.ice.text}</text>
  {/if}
  {#if scene.water}
    <path d="M0 {scene.water.y}H{scene.width}" stroke="var(--line)" stroke-width="3.4" />
    <text
      x={scene.width - 8}
      y={scene.water.y - 6}
      font-size="13"
      font-weight="700"
      text-anchor="end"
      class="halo"
      style:fill="var(--linetext)">{scene.water.text}</text
    >
  {/if}
  {#each scene.dimensions as d (d.x)}
    <path d="M{d.x} {d.from}V{d.to}M{d.x - 4} {d.from}h8M{d.x - 4} {d.to}h8" stroke="var(--ink)" stroke-width="1.4" />
    <text x={d.x + (d.left ? -6 : 6)} y={lineOf(d) + 5} font-size="14" font-weight="650" text-anchor={d.left ? 'end' : 'start'} class="halo"
      >{d.text}</text
    >
  {/each}
</svg>

<style>
  svg {
    display: block;
    background: var(--sky);
  }
  .halo {
    paint-order: stroke;
    stroke: color-mix(in srgb, var(--sky) 70%, transparent);
    stroke-width: 4px;
  }
</style>
