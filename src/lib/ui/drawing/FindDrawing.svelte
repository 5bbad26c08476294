<script lang="ts">
  import type { FindPlan } from '#core/scene/findPlan';

  /** The place from above, to scale. */
  let { plan, title }: { plan: FindPlan; title: string } = $props();
</script>

<svg viewBox="0 0 {plan.width} {plan.height}" width="100%" role="img" aria-label={title}>
  <rect width={plan.width} height={plan.height} fill={plan.own ? 'var(--bed)' : 'var(--water)'} />
  {#if plan.own}
    <path d={plan.own.ring} fill="var(--water)" stroke="var(--line)" stroke-width="3" />
    {#each plan.own.dams as d (d)}<path {d} fill="none" stroke="var(--bedink)" stroke-width="9" />{/each}
    <g transform="translate({plan.width - 30} 32) rotate({plan.own.north})">
      <path d="M0 14V-12M-6 -4 0 -13 6 -4" fill="none" stroke="var(--ink)" stroke-width="2.4" />
      <text y="-15" text-anchor="middle" font-size="13" class="halo">N</text>
    </g>
  {/if}
  {#each plan.land as land, i (i)}
    <rect {...land} fill="var(--bed)" />
    <path
      d={land.width === plan.width ? `M0 ${land.y === 0 ? land.height : land.y}H${plan.width}` : `M${land.x} 0V${plan.height}`}
      stroke="var(--line)"
      stroke-width="3"
    />
  {/each}
  {#if plan.deep}
    <path d="M{plan.anchor.join(' ')}L{plan.deep.join(' ')}" stroke="var(--steel)" stroke-width="2" stroke-dasharray="7 4" />
    <circle cx={plan.deep[0]} cy={plan.deep[1]} r={plan.reach} fill="var(--water-deep)" stroke="var(--mute)" stroke-dasharray="4 4" />
    <rect x={plan.deep[0] - 6} y={plan.deep[1] - 6} width="12" height="12" fill="var(--paper)" stroke="var(--steel)" stroke-width="2.4" />
  {:else}
    <circle
      cx={plan.anchor[0]}
      cy={plan.anchor[1]}
      r={plan.reach}
      fill="none"
      stroke="var(--mute)"
      stroke-width="1.6"
      stroke-dasharray="4 4"
    />
    <circle
      cx={plan.anchor[0]}
      cy={plan.anchor[1]}
      r={plan.tether}
      fill="none"
      stroke="var(--steel)"
      stroke-width="2"
      stroke-dasharray="8 4"
    />
  {/if}
  <path
    d="M{plan.device[0] - 8} {plan.device[1] - 8}h16v16h-16z"
    fill="none"
    stroke="var(--steel)"
    stroke-width="2"
    stroke-dasharray="3 3"
  />
  <text x={plan.device[0]} y={plan.device[1] + 22} text-anchor="middle" font-size="13" class="halo">stood here</text>
  <path d="M{plan.anchor[0]} {plan.anchor[1] - 9}v18M{plan.anchor[0] - 9} {plan.anchor[1]}h18" stroke="var(--stick)" stroke-width="4" />
  {#each plan.spots as spot (spot.n)}
    <circle cx={spot.x} cy={spot.y} r="12" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.6" />
    <text x={spot.x} y={spot.y + 5} text-anchor="middle" font-size="15" font-weight="700" fill="var(--ink)">{spot.n}</text>
  {/each}
</svg>

<style>
  text {
    fill: var(--ink);
  }
  .halo {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
</style>
