<script lang="ts">
  import { against, counted, mean, MEASURES, type MeasureOf } from '#core/sim/colony/seasons';
  import { againstText, MEASURE_WORDS } from '#core/words/plans';
  import { capital } from '#core/words/say';
  import type { Snippet } from 'svelte';
  import Scroller from '$lib/ui/Scroller.svelte';

  /** What the seasons of two plans came to by one measure: the first above the line, the second below it. */
  interface Props {
    what: MeasureOf;
    pair: readonly [readonly number[], readonly number[]];
    names: readonly [string, string];
    children?: Snippet;
  }
  let { what, pair, names, children }: Props = $props();
  const MOST_BARS = 24;
  const all = $derived([...pair[0], ...pair[1]]);
  const low = $derived(Math.min(...all));
  const high = $derived(Math.max(...all));
  /** so much of the measure is one bar */
  const wide = $derived(niceStep((high - low) / MOST_BARS));
  const from = $derived(Math.floor(low / wide));
  const bars = $derived(
    pair.map((values) =>
      counted(
        values.map((v) => Math.floor(v / wide)),
        from,
        Math.floor(high / wide),
      ),
    ),
  );
  const tallest = $derived(Math.max(1, ...bars.flat()));
  const found = $derived(against(pair[0], pair[1], MEASURES[what]));
  const round = (value: number): string => (wide > 1 ? String(Math.round(value)) : value.toFixed(1));
  const label = (at: number): string => (wide === 1 ? String(from + at) : `${(from + at) * wide}–${(from + at + 1) * wide - 1}`);
  const each = $derived(Math.max(1, Math.ceil((bars[0]?.length ?? 1) / 12)));

  function niceStep(step: number): number {
    return [1, 2, 5, 10, 20, 50, 100, 200, 500].find((nice) => nice >= step) ?? Math.ceil(step);
  }
</script>

<section class="versus">
  <h2>{MEASURE_WORDS[what]}</h2>
  <p>{againstText(found, names)} <span class="quiet">On average {round(mean(pair[0]))} and {round(mean(pair[1]))}.</span></p>
  {@render children?.()}
  <div class="bars" aria-hidden="true">
    {#each bars[0] ?? [] as count, at (at)}
      <div>
        <span class="up"><i style:height="{(count / tallest) * 100}%"></i></span>
        <span class="mark">{at % each === 0 ? (from + at) * wide : ''}</span>
        <span class="down"><i style:height="{((bars[1]?.[at] ?? 0) / tallest) * 100}%"></i></span>
      </div>
    {/each}
  </div>
  <details class="quiet">
    <summary>As a table</summary>
    <Scroller label="{MEASURE_WORDS[what]}, seasons of each plan">
      <table class="plain-table">
        <thead
          ><tr
            ><th scope="col">{MEASURE_WORDS[what]}</th><th scope="col">{capital(names[0])}</th><th scope="col">{capital(names[1])}</th></tr
          ></thead
        >
        <tbody>
          {#each bars[0] ?? [] as count, at (at)}
            <tr><th scope="row">{label(at)}</th><td>{count}</td><td>{bars[1]?.[at] ?? 0}</td></tr>
          {/each}
        </tbody>
      </table>
    </Scroller>
  </details>
</section>

<style>
  .versus + :global(.versus) {
    margin-top: 14px;
  }
  .bars {
    display: flex;
    gap: 2px;
    margin-top: 4px;
    max-width: 620px;
  }
  .bars > div {
    flex: 1 1 0;
    min-width: 0;
    text-align: center;
  }
  .bars span {
    display: flex;
  }
  .up,
  .down {
    height: 44px;
  }
  .up {
    align-items: end;
  }
  .bars i {
    display: block;
    width: 100%;
    border: 2px solid var(--ink);
    border-width: 0;
  }
  .up i {
    background: var(--ink);
  }
  .down i {
    border-width: 0 2px 2px;
  }
  .down i[style*=' 0%'] {
    border: 0;
  }
  .mark {
    justify-content: center;
    font-size: 0.85rem;
    line-height: 1.3;
    min-height: 1.2em;
    font-variant-numeric: tabular-nums;
  }
  summary {
    cursor: pointer;
    min-height: 28px;
  }
</style>
