<script lang="ts">
  import type { StationDiagram } from '#core/scene/stationDiagram';

  let { diagram, label }: { diagram: StationDiagram; label: string } = $props();
</script>

<svg viewBox="-6 -4 252 158" role="img" aria-label={label}>
  {#each diagram.water as d (d)}<path {d} fill="var(--water)" />{/each}
  {#each diagram.ground as d (d)}<path {d} fill="var(--bed)" stroke="var(--bedink)" stroke-width="1.2" />{/each}
  {#each diagram.lines as d (d)}<path {d} stroke="var(--stick)" stroke-width="3.4" fill="none" stroke-linecap="round" />{/each}
  {#each diagram.water as d (d)}
    {@const [, x1, y1] = /^M([\d.]+) ([\d.]+)H/.exec(d) ?? ['', '0', '0']}
    {@const end = /H([\d.]+)/.exec(d)?.[1] ?? '0'}
    <path d="M{x1} {y1}H{end}" stroke="var(--line)" stroke-width="2.4" />
  {/each}
  {#each diagram.dims as { letter, from, to } (letter)}
    {#if from && to}
      {@const upright = Math.abs(from[0] - to[0]) < Math.abs(from[1] - to[1])}
      <g stroke="var(--ink)" stroke-width="1.3">
        <path d="M{from[0]} {from[1]}L{to[0]} {to[1]}" />
        {#each [from, to] as [x, y], i (i)}<path d={upright ? `M${x - 3.5} ${y}h7` : `M${x} ${y - 3.5}v7`} />{/each}
      </g>
      <circle cx={(from[0] + to[0]) / 2} cy={(from[1] + to[1]) / 2} r="7.5" fill="var(--paper)" stroke="var(--ink)" />
      <text x={(from[0] + to[0]) / 2} y={(from[1] + to[1]) / 2 + 3.7} font-size="10.5" font-weight="700" text-anchor="middle">{letter}</text
      >
    {/if}
  {/each}
</svg>

<style>
  svg {
    width: 100%;
    height: auto;
    background: var(--sky);
    border: 1px solid var(--rule);
  }
</style>
