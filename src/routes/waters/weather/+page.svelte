<script lang="ts">
  import OriginKey from '$lib/ui/OriginKey.svelte';
  import Scroller from '$lib/ui/Scroller.svelte';
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import { many } from '#core/units/many';
  import { planWeather, type WeatherPlan } from '#core/weather/table';
  import Field from '$lib/ui/Field.svelte';
  import FindingLine from '$lib/ui/FindingLine.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { keeping } from '$lib/ui/keeping';
  import type { Kept } from '$lib/ui/kept';
  import WeatherChart from './WeatherChart.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  let rows = $state<Record<string, string>[]>([]);
  let name = $state('');
  let broken = $state('');
  const plan = $derived<WeatherPlan | null>(rows.length > 0 ? planWeather(rows, new Set(data.known), data.clock.zone) : null);
  const taken = $derived(page.url.searchParams.get('taken'));

  async function choose(event: Event): Promise<void> {
    const file = (event.currentTarget as HTMLInputElement).files?.[0];
    rows = [];
    broken = '';
    if (!file) return;
    name = file.name.slice(0, 60);
    const { csvRows } = await import('$lib/exchange/csv');
    const read = csvRows(await file.text());
    if (read.problem) broken = read.problem;
    rows = read.rows;
  }
</script>

<svelte:head><title>Weather · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/waters">Waters</a></p>
  <h1>Weather</h1>
  {#if taken}<p role="status"><b>{many(Number(taken), 'hour')} taken into the book.</b></p>{/if}
  <p class="quiet">
    {data.told ?? 'No weather is in the record yet: read the simulated station, or take a table of hours.'}{data.wind
      ? `. Now ${data.wind}`
      : ''}
  </p>
  {#each data.findings as f (f.id)}<FindingLine finding={f} />{/each}
  {#if data.banks.length > 0}
    <h2 class="mt-3">Upwind bank</h2>
    <p class="quiet">Wind carries scent over the water: it belongs on the upwind bank (rule of thumb).</p>
    <ul class="banks">
      {#each data.banks as b (b.id)}<li><b>{b.name}</b>: {b.text}</li>{/each}
    </ul>
  {/if}
  {#if data.chart.x.length > 0}
    {#key data.chart.x.length}<div class="mt-3"><WeatherChart chart={data.chart} /></div>{/key}
    <details class="mt-2" open>
      <summary class="font-bold cursor-pointer">Days as a table</summary>
      <Scroller label="Days of weather"
        ><table class="plain-table mt-1">
          <thead
            ><tr
              ><th scope="col">Day</th><th scope="col">Lowest</th><th scope="col">Highest</th><th scope="col">Strongest wind</th><th
                scope="col">Rain</th
              ><th scope="col">Snow, melted</th><th scope="col">Frost</th></tr
            ></thead
          >
          <tbody>
            {#each data.days as d (d.at)}<tr
                ><td>{d.at}{d.ahead ? ', expected' : ''}</td><td>{d.low}</td><td>{d.high}</td><td>{d.wind}</td><td>{d.rain}</td><td
                  >{d.snow}</td
                ><td>{d.frost}</td></tr
              >{/each}
          </tbody>
        </table></Scroller
      >
    </details>
  {/if}
  <div class="two mt-4 no-print">
    <form method="POST" action="?/file" class="sheet" use:enhance={keeping}>
      <h2>A table of hours</h2>
      <p class="quiet mb-2">
        CSV with the columns time and temperature, and wind, wind from, rain and snow as far as it has them. Units in brackets: temperature
        (F), rain (in).
      </p>
      <Problem text={kept?.values && 'rows' in kept.values ? kept.problem : undefined} />
      <input type="hidden" name="form" value={data.ids.file} />
      <input type="hidden" name="rows" value={JSON.stringify(rows)} />
      <input type="hidden" name="station" value={name} />
      <Field label="CSV of hours" name="file" error={broken || plan?.problem || kept?.errors?.file}>
        {#snippet children(attributes)}<input
            type="file"
            class="file-input w-full"
            accept=".csv"
            onchange={choose}
            {...attributes}
          />{/snippet}
      </Field>
      {#if plan && !plan.problem}
        <p aria-live="polite">{many(plan.hours.length, 'hour')} new, {plan.here} here already, {plan.refused.length} refused.</p>
        <ul>
          {#each plan.warnings as w (w)}<li>{w}</li>{/each}
          {#each plan.refused.slice(0, 6) as r (r.row)}<li>Row {r.row}: {r.reason}</li>{/each}
        </ul>
        <button class="btn btn-primary mt-2" disabled={plan.hours.length === 0}>Take the {plan.hours.length} new</button>
      {/if}
    </form>
    <form method="POST" action="?/simulated" class="sheet" use:enhance={keeping}>
      <h2>The simulated station</h2>
      <p class="quiet mb-2">It stands in for a weather service and says so wherever its hours are shown.</p>
      <Problem text={kept?.values && 'sim' in kept.values ? kept.problem : undefined} />
      <input type="hidden" name="sim" value={data.ids.sim} />
      <button class="btn">Update</button>
    </form>
  </div>
  <OriginKey />
</div>

<style>
  .banks {
    columns: 2 320px;
  }
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 16px;
    align-items: start;
  }
</style>
