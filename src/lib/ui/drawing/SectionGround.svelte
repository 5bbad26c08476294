<script lang="ts">
  import { curveMonotoneX, line } from 'd3-shape';
  import type { SectionScene } from '#core/scene/section';

  /** What the sets of a section stand before: the ice with its snow, lodges, bed, the ticks of the stations and of the way. */
  let { scene }: { scene: SectionScene } = $props();

  const curve = line().curve(curveMonotoneX);
  const bedPath = $derived(curve(scene.bed) ?? '');
  const ground = $derived(`${bedPath}L${scene.width + 10} ${scene.height + 10}L-10 ${scene.height + 10}Z`);
</script>

{#if scene.ice}
  <rect
    x={scene.ice.from}
    y={scene.ice.y}
    width={scene.ice.to - scene.ice.from}
    height={Math.max(2, scene.ice.height)}
    fill="var(--ice)"
    stroke="var(--mute)"
    stroke-width="1"
  />
  {#if scene.ice.snow > 0}<rect
      x={scene.ice.from}
      y={scene.ice.y - scene.ice.snow}
      width={scene.ice.to - scene.ice.from}
      height={scene.ice.snow}
      fill="var(--paper)"
      stroke="var(--mute)"
      stroke-dasharray="2 3"
    />{/if}
  <text x={scene.ice.to - 70} y={scene.ice.y - scene.ice.snow - 6} font-size="13" font-weight="650" text-anchor="end" class="halo"
    >{scene.ice.text}</text
  >
{/if}
{#each scene.lodges as l (l.x)}
  <path
    d="M{l.x - l.half} {l.base + 30}C{l.x - l.half * 0.75} {l.top + 20} {l.x - l.half * 0.4} {l.top} {l.x} {l.top}C{l.x +
      l.half * 0.45} {l.top} {l.x + l.half * 0.8} {l.top + 26} {l.x + l.half} {l.base + 30}Z"
    fill="var(--bed)"
    stroke="var(--bedink)"
    stroke-width="2"
  />
  <path
    d="M{l.x - 30} {l.top + 44}l24 -12M{l.x - 6} {l.top + 66}l30 -10M{l.x - 34} {l.top + 88}l28 -8M{l.x + 4} {l.top + 34}l18 9M{l.x +
      8} {l.top + 98}l28 -14"
    stroke="var(--stick)"
    stroke-width="2.4"
    stroke-linecap="round"
  />
{/each}
<path d={ground} fill="var(--bed)" />
<path d={ground} fill="url(#hatch)" />
<path d={bedPath} fill="none" stroke="var(--bedink)" stroke-width="2.2" stroke-dasharray={scene.guessed ? '3 7' : undefined} />
{#if scene.guessed}<text x={scene.width / 2} y={scene.height - 34} font-size="13" text-anchor="middle"
    >no depth measured yet: the bed is a guess</text
  >{/if}
{#each scene.stations as s (s.id)}
  {#if s.deep}<path d="M{s.x} {s.y}v7" stroke="var(--bedink)" stroke-width="1.6"><title>{s.text}</title></path>
  {:else if !scene.guessed}<text x={s.x} y={s.y + 15} font-size="13" font-weight="700" text-anchor="middle" class="ask"
      >?<title>{s.text}: depth not measured</title></text
    >{/if}
{/each}
{#each scene.ways as w (w.x)}
  <path d="M{w.x} {scene.height - 6}v6" stroke="var(--ink)" /><text x={w.x + 3} y={scene.height - 5} font-size="11.5">{w.text}</text>
{/each}

<style>
  .ask {
    fill: var(--bedink);
  }
  .halo {
    paint-order: stroke;
    stroke: color-mix(in srgb, var(--sky) 75%, transparent);
    stroke-width: 4px;
  }
</style>
