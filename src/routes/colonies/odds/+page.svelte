<script lang="ts">
  import { FEARS } from '#core/colony/looks';
  import { BY_PRACTICE, chanceIn, FEAR_PRIOR, NIGHT_ROWS, NIGHT_SAWS } from '#core/colony/practice';
  import type { Calibration, Held } from '#core/counting/calibration';
  import { NIGHT_ROW_WORDS, NIGHT_SAW_WORDS, SHORT } from '#core/words/colony';
  import type { Drawn } from '$lib/colony/oddsWorker';
  import OddsWorker from '$lib/colony/oddsWorker?worker&inline';
  import { grouped } from '#core/units/many';
  import Scroller from '$lib/ui/Scroller.svelte';

  let { data } = $props();
  const COUNT = 2000;
  let seed = $derived(data.seed);
  let done = $state<number | null>(null);
  let found = $state<Calibration | null>(null);

  function draw(): void {
    const worker = new OddsWorker();
    [done, found] = [0, null];
    worker.onmessage = ({ data: drawn }: MessageEvent<Drawn>): void => {
      done = drawn.found ? null : drawn.done;
      found = drawn.found;
      if (drawn.found) worker.terminate();
    };
    worker.postMessage({ count: COUNT, seed });
  }
  const percent = (share: number): string => `${Math.round(share * 1000) / 10}%`;
</script>

<svelte:head><title>How sure the odds are · Zaprud</title></svelte:head>

{#snippet held(title: string, rows: readonly Held[])}
  <h3 class="mt-3">{title}</h3>
  <table class="plain-table">
    <thead><tr><th scope="col">Said, on the average</th><th scope="col">Was so</th><th scope="col">Colonies</th></tr></thead>
    <tbody>
      {#each rows as r (r.said)}
        <tr>
          <th scope="row">{percent(r.held)}</th>
          <td
            ><span class="bar"><i style:width={percent(r.right / r.of)}></i><b style:left={percent(r.held)}></b></span>
            {percent(r.right / r.of)}</td
          >
          <td>{grouped(r.of)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
{/snippet}

<div class="page">
  <p><a class="link" href="/colonies">Colonies</a></p>
  <h1>How sure the odds are</h1>
  <p>
    Colonies are drawn here by the rules of thumb below, trapped for eight nights, and worked out as yours are. “Four in five” is right if
    four of five such ranges hold. It is a model: it shows that the arithmetic holds, not that your colony lives by the rules. It leaves out
    ice, weather, age, and what they learn.
  </p>
  <p class="mt-2">
    <button class="btn btn-primary" onclick={draw} disabled={done !== null}>Draw {grouped(COUNT)} colonies</button>
    <a class="link ml-3" href="/colonies/odds?seed={(seed % 999_999) + 1}">Others: seed {(seed % 999_999) + 1}</a>
  </p>
  {#if done !== null}<progress class="mt-2" max={COUNT} value={done} aria-label="Colonies drawn"></progress>{/if}
  <div aria-live="polite">
    {#if found}
      {@render held('Ranges that should hold half, four in five, nineteen in twenty', found.ranges)}
      {@render held('“None is left”, by how sure it was said', found.none)}
    {/if}
  </div>

  <h2 class="mt-5">What each tells, by practice</h2>
  <p class="quiet">
    A trap in its range for a night. Numbers of our own for common practice, without a published source; changed for one colony on its page.
  </p>
  <Scroller label="What a night brings">
    <table class="plain-table mt-1">
      <thead>
        <tr
          ><th scope="col">Where</th>{#each NIGHT_SAWS as saw (saw)}<th scope="col">{NIGHT_SAW_WORDS[saw]}</th>{/each}</tr
        >
      </thead>
      <tbody>
        {#each NIGHT_ROWS as row (row)}
          <tr>
            <th scope="row">{NIGHT_ROW_WORDS[row]}</th>
            {#each NIGHT_SAWS as saw (saw)}<td>{percent(chanceIn(BY_PRACTICE, row, saw))}</td>{/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </Scroller>
  <h2 class="mt-5">How likely each is before anything was met</h2>
  <p class="quiet">Changed for one colony on its page.</p>
  <table class="plain-table mt-1">
    <tbody>
      {#each FEARS as fear (fear)}<tr><th scope="row">{SHORT[fear]}</th><td>{percent(FEAR_PRIOR[fear])}</td></tr>{/each}
    </tbody>
  </table>
</div>

<style>
  progress {
    width: min(24rem, 100%);
    height: 14px;
  }
  .bar {
    display: inline-block;
    position: relative;
    width: 140px;
    height: 14px;
    border: 1px solid var(--rule);
    vertical-align: middle;
  }
  .bar i {
    display: block;
    height: 100%;
    background: var(--water-deep);
  }
  .bar b {
    position: absolute;
    top: -3px;
    bottom: -3px;
    width: 2px;
    background: var(--ink);
  }
</style>
