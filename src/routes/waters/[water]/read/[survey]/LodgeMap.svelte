<script lang="ts">
  import type { LodgePlan } from '#core/scene/surveyMaps';

  let { plan }: { plan: LodgePlan } = $props();
  const FILL = { sticks: 'var(--stick)', 'edge of the sticks': 'var(--fine)', clear: 'var(--paper)' } as const;
  const INK = { sticks: 'var(--paper)', 'edge of the sticks': 'var(--paper)', clear: 'var(--ink)' } as const;
</script>

<svg
  viewBox="0 0 {plan.size} {plan.size}"
  role="img"
  aria-label="Map of the lodge from above, north up, with its pile, likely runs and numbered holes. The table has the same."
>
  <rect width={plan.size} height={plan.size} fill="var(--water)" />
  {#each plan.runs as r (r.n)}
    <path
      d="M{r.x1} {r.y1}L{r.x2} {r.y2}"
      stroke="var(--line)"
      stroke-width="10"
      stroke-dasharray={r.n === 'c' ? '4 7' : undefined}
      opacity="0.55"
    />
    <text x={r.x2} y={r.y2 + 5} text-anchor="middle" font-size="16" font-weight="700" class="halo">{r.n}</text>
  {/each}
  <circle cx={plan.middle} cy={plan.middle} r={plan.radius} fill="var(--bed)" stroke="var(--bedink)" stroke-width="2" />
  {#if plan.ledge}<ellipse
      cx={plan.ledge.x}
      cy={plan.ledge.y}
      rx={plan.radius * 0.32}
      ry={plan.radius * 0.24}
      fill="none"
      stroke="var(--bedink)"
      stroke-width="2"
      stroke-dasharray="5 4"
    /><text x={plan.ledge.x} y={plan.ledge.y + 4} font-size="12" text-anchor="middle">ledge</text>{/if}
  <path d="M{plan.middle - 6} {plan.middle}h12M{plan.middle} {plan.middle - 6}v12" stroke="var(--ink)" stroke-width="2" />
  {#if plan.pile}
    <g stroke="var(--stick)" stroke-width="3">
      {#each [-16, -8, 0, 8, 16] as dx (dx)}<path
          d="M{plan.pile.x + dx - 8} {plan.pile.y + 10}L{plan.pile.x + dx + 8} {plan.pile.y - 10}"
        />{/each}
    </g>
    <text x={plan.pile.x} y={plan.pile.y + 27} font-size="14" text-anchor="middle" class="halo">pile</text>
  {/if}
  {#each plan.holes as h (h.n)}
    <circle cx={h.x} cy={h.y} r="12" fill={FILL[h.felt]} stroke="var(--ink)" stroke-width="2" />
    <text x={h.x} y={h.y + 5} font-size="14" font-weight="700" text-anchor="middle" style="fill: {INK[h.felt]}">{h.n}</text>
  {/each}
  <path d="M{plan.size - 26} 44V14m-7 9l7-10l7 10" stroke="var(--ink)" stroke-width="2.4" fill="none" />
  <text x={plan.size - 26} y="60" font-size="13" text-anchor="middle">N</text>
  <path d="M16 {plan.size - 18}v6h{plan.bar.px}v-6" stroke="var(--ink)" stroke-width="2" fill="none" />
  <text x="16" y={plan.size - 24} font-size="13">{plan.bar.text}</text>
</svg>
<p class="quiet">
  Brown: sticks. Green: edge of the sticks. White: clear. a, b: likely runs; c: a refuse exit, not at every lodge. Holes and lodge to scale.
</p>

<style>
  svg {
    width: 100%;
    max-width: 520px;
    border: 1px solid var(--rule);
  }
  .halo {
    paint-order: stroke;
    stroke: var(--water);
    stroke-width: 4px;
  }
</style>
