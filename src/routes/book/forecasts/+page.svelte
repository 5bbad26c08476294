<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';

  let { data } = $props();
</script>

{#snippet table(rows: (typeof data.whole)[number][])}
  <Scroller label="How far off"
    ><table class="plain-table mt-1">
      <thead
        ><tr
          ><th scope="col">Ahead</th><th scope="col">Readings</th><th scope="col">In the mean</th><th scope="col">Mean distance</th><th
            scope="col">In the forecast range</th
          ><th scope="col">Exact 95% limits</th><th scope="col">So it is</th></tr
        ></thead
      >
      <tbody>
        {#each rows as r (r.span)}
          <tr
            ><td>{r.span}</td><td>{r.pairs}</td><td>{r.bias}</td><td>{r.off}</td><td><b>{r.inside}</b></td><td>{r.limits}</td><td
              >{r.verdict}</td
            ></tr
          >
        {/each}
      </tbody>
    </table></Scroller
  >
{/snippet}

<svelte:head><title>Forecast accuracy · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/book">Book</a></p>
  <h1>Forecast accuracy</h1>
  <p class="answer">{data.sentence}</p>
  <p class="quiet">
    {data.kept === 1 ? '1 forecast is kept' : `${data.kept} forecasts are kept`}, each from a reading on. 8 in 10 readings should land in
    the shaded range. Limits after Clopper and Pearson (1934), as if each reading told by itself.
  </p>
  {@render table(data.whole)}
  {#each data.gauges as g (g.id)}
    <h2 class="mt-4"><a class="link" href="/waters/{g.water}/levels">{g.name}</a></h2>
    {@render table(g.rows)}
    <details class="mt-1">
      <summary class="font-bold cursor-pointer">The last ones</summary>
      <Scroller label="The last forecasts"
        ><table class="plain-table mt-1">
          <thead
            ><tr
              ><th scope="col">Made</th><th scope="col">For</th><th scope="col">Said</th><th scope="col">Came</th><th scope="col">Inside</th
              ></tr
            ></thead
          >
          <tbody>
            {#each g.last as l, i (i)}
              <tr
                ><td>{l.made}</td><td>{l.at}</td><td>{l.said}</td><td>{l.came}</td><td class="in"
                  ><StateMark verdict={l.inside ? 'fine' : 'outOfWater'} /> {l.inside ? 'yes' : 'no'}</td
                ></tr
              >
            {/each}
          </tbody>
        </table></Scroller
      >
    </details>
  {/each}
</div>

<style>
  .answer {
    font-size: 1.2rem;
    font-weight: 650;
    margin: 6px 0;
  }
  .in {
    white-space: nowrap;
  }
</style>
