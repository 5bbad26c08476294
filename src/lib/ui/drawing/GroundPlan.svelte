<script lang="ts">
  import type { GroundPlan } from '#core/scene/groundPlan';

  let { plan, label, bar }: { plan: GroundPlan; label: string; bar: string } = $props();
</script>

<svg viewBox="0 0 {plan.width} {plan.height}" role="img" aria-label={label}>
  {#each plan.shapes as s (s.id)}
    <path
      d={s.d}
      fill={s.kind === 'shore' ? 'var(--water)' : 'none'}
      stroke={s.kind === 'dam crest' ? 'var(--bedink)' : s.kind === 'shore' || s.kind === 'stream line' ? 'var(--line)' : 'var(--mute)'}
      stroke-width={s.kind === 'dam crest' ? 6 : s.kind === 'stream line' ? 4 : 2}
    />
  {/each}
  {#each plan.points as p (p.id)}
    <circle
      cx={p.x}
      cy={p.y}
      r={p.strong ? 12 : 5}
      fill={p.strong ? 'var(--ink)' : 'var(--paper)'}
      stroke="var(--ink)"
      stroke-width="1.6"
    />
    <text
      x={p.x}
      y={p.strong ? p.y + 4.5 : p.y + 19}
      font-size={p.strong ? 12 : 12}
      font-weight="700"
      text-anchor="middle"
      style="fill: {p.strong ? 'var(--paper)' : 'var(--ink)'}">{p.text}</text
    >
  {/each}
  <path d="M{plan.width - 22} 40V12m-6 8l6-9l6 9" stroke="var(--ink)" stroke-width="2" fill="none" />
  <path d="M12 {plan.height - 12}v5h{plan.bar.px}v-5" stroke="var(--ink)" stroke-width="1.8" fill="none" />
  <text x="12" y={plan.height - 17} font-size="12">{bar}</text>
</svg>

<style>
  svg {
    width: 100%;
    border: 1px solid var(--rule);
    background: var(--paper);
  }
</style>
