<script lang="ts">
  import type { DamGap } from '#core/scene/surveyMaps';

  let { gaps, main }: { gaps: DamGap[]; main: number | null } = $props();
</script>

<svg
  viewBox="0 0 800 190"
  role="img"
  aria-label="The dam seen from below with its gaps numbered; the main crossing is ringed. The table has the same."
>
  <rect width="800" height="190" fill="var(--sky)" />
  <path d="M0 60H800V150H0Z" fill="var(--bed)" stroke="var(--bedink)" />
  <g stroke="var(--stick)" stroke-width="4" stroke-linecap="round">
    {#each Array.from({ length: 26 }, (_, i) => i) as i (i)}<path
        d="M{14 + i * 31} {72 + (i % 3) * 22}l{i % 2 ? 34 : 26} {i % 2 ? 12 : -8}"
      />{/each}
  </g>
  <path d="M0 150H800V190H0Z" fill="var(--water)" /><path d="M0 150H800" stroke="var(--line)" stroke-width="3" />
  {#each gaps as g (g.n)}
    {@const x = 40 + g.at * 720}
    {@const foot = 59 + 45 * g.cut}
    <path
      d="M{x - 34} 59L{x - 20} {foot}Q{x} {foot + 14 * g.cut} {x + 20} {foot}L{x + 34} 59Z"
      fill="var(--sky)"
      stroke="var(--bedink)"
      stroke-width="1.5"
    />
    {#if g.wet}<path d="M{x - 6} {foot + 4}V150M{x + 5} {foot + 4}V150" stroke="var(--line)" stroke-width="2.4" />{/if}
    {#if g.poles}<path
        d="M{x - 44} 66L{x + 40} 56M{x - 38} 54L{x + 44} 72"
        stroke="var(--stick)"
        stroke-width="5"
        stroke-linecap="round"
      />{/if}
    {#if main === g.n - 1}<circle cx={x} cy="38" r="19" fill="none" stroke="var(--now)" stroke-width="3" />{/if}
    <circle cx={x} cy="38" r="13" fill="var(--paper)" stroke="var(--ink)" stroke-width="2" />
    <text {x} y="43" font-size="15" font-weight="700" text-anchor="middle">{g.n}</text>
  {/each}
</svg>
<p class="quiet">Seen from below, left is your left. Places in the dam are symbolic.</p>

<style>
  svg {
    width: 100%;
    border: 1px solid var(--rule);
  }
</style>
