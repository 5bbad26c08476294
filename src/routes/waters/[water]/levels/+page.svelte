<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import CourseChart from '$lib/ui/CourseChart.svelte';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { keeping } from '$lib/ui/keeping';
  import { typed, type Kept } from '$lib/ui/kept';
  import LoggerForm from './LoggerForm.svelte';
  import EmptyRoom from '$lib/ui/EmptyRoom.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const said = (name: string): string | null => page.url.searchParams.get(name);
</script>

<svelte:head><title>{data.water.name}: water level · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/waters/{data.water.id}">{data.water.name}</a></p>
  <PrintHead title={`${data.water.name}: water level`} />
  {#if said('taken')}<p role="status"><b>{said('taken')} points of the logger are in the book.</b></p>{/if}
  {#if said('read')}<p role="status"><b>The simulated gauge was read.</b></p>{/if}
  {#if said('moved')}<p role="status">
      <b>The gauge was moved. Everything read on it since, and everything measured by it, now stands where it belongs.</b>
    </p>{/if}
  <form method="GET" class="pick no-print">
    {#if data.gauges.length > 1}
      <label
        >Gauge <select name="surface" class="select">
          {#each data.gauges as g (g.surface)}<option value={g.surface} selected={g.surface === data.surface}>{g.name}</option>{/each}
        </select></label
      >
    {/if}
    <label
      >Days back <select name="days" class="select">
        {#each data.spans as d (d)}<option value={d} selected={d === data.days}>{d}</option>{/each}
      </select></label
    >
    <button class="btn">Show</button>
    <a class="link" href="/book/forecasts">Forecast accuracy</a>
  </form>
  {#if data.count === 0}
    <EmptyRoom room="levels" label="What will stand here: the level over the days, and the levels at which the sets work">
      Nothing was read here in {data.days} days. <a class="link" href="/waters/{data.water.id}">Save a reading</a>, or take a logger’s file
      below.
    </EmptyRoom>
  {:else}
    {#key `${data.surface}${data.days}${data.count}`}
      <CourseChart
        past={data.past}
        ahead={data.ahead}
        kept={data.kept}
        bands={data.bands}
        unit={data.unit}
        label="Course of the level with its forecast, what was forecast on earlier evenings, and the levels at which the sets work. The tables below have the same numbers."
      />
    {/key}
  {/if}
  <p class="quiet mt-1">
    {data.reasons} Gray: what was forecast on the evenings before. Upright bars: the levels at which each set works, by its number. {data
      .moved.length > 0
      ? `The gauge was moved: ${data.moved.join(', ')}.`
      : ''}
  </p>
  <div class="two mt-3">
    {#if data.aheadTable.length > 0}
      <details open>
        <summary class="font-bold cursor-pointer">The forecast as a table</summary>
        <Scroller label="Forecast"
          ><table class="plain-table mt-1">
            <thead><tr><th scope="col">At</th><th scope="col">Level</th><th scope="col">Lowest</th><th scope="col">Highest</th></tr></thead>
            <tbody
              >{#each data.aheadTable as t (t.at)}<tr><td>{t.at}</td><td>{t.level}</td><td>{t.low}</td><td>{t.high}</td></tr>{/each}</tbody
            >
          </table></Scroller
        >
      </details>
    {/if}
    <details>
      <summary class="font-bold cursor-pointer">What was read as a table: {data.count} in {data.days} days</summary>
      <Scroller label="Readings"
        ><table class="plain-table mt-1">
          <thead><tr><th scope="col">At</th><th scope="col">Level</th><th scope="col">From</th></tr></thead>
          <tbody
            >{#each data.table as t, i (i)}<tr><td>{t.at}</td><td>{t.level}</td><td>{t.source}</td></tr>{/each}</tbody
          >
        </table></Scroller
      >
    </details>
  </div>
  {#if data.bands.length > 0}
    <details class="mt-2">
      <summary class="font-bold cursor-pointer">Where the sets work, as a table</summary>
      <Scroller label="Sets"
        ><table class="plain-table mt-1">
          <thead><tr><th scope="col">Set</th><th scope="col">From, {data.unit}</th><th scope="col">To, {data.unit}</th></tr></thead>
          <tbody>
            {#each data.bands as b (b.name)}<tr
                ><td>{b.name}</td><td>{Number.isFinite(b.low) ? b.low : 'any'}</td><td>{Number.isFinite(b.high) ? b.high : 'any'}</td></tr
              >{/each}
          </tbody>
        </table></Scroller
      >
    </details>
  {/if}
  {#if data.gauge}
    <div class="two mt-4 no-print">
      <LoggerForm {kept} form={data.ids.file} surface={data.surface} unit={data.unit} now={data.now} clock={data.clock} />
      <div>
        <form method="POST" action="?/simulated&surface={data.surface}" class="sheet" use:enhance={keeping}>
          <h2>The simulated gauge</h2>
          <p class="quiet mb-2">It stands in for one that sends its level, and says so wherever its readings are shown.</p>
          <input type="hidden" name="sim" value={data.ids.sim} />
          <button class="btn">Update</button>
        </form>
        <details class="sheet mt-3" open={kept?.errors?.after !== undefined || kept?.errors?.before !== undefined}>
          <summary class="font-bold cursor-pointer">The gauge was moved</summary>
          <form method="POST" action="?/moved&surface={data.surface}" class="mt-2" use:enhance={keeping}>
            <Problem text={kept?.values && 'before' in kept.values ? kept.problem : undefined} />
            <input type="hidden" name="form" value={typed(kept, 'form', data.ids.moved)} />
            <TimeField label="Moved at" name="moved" value={typed(kept, 'moved', data.nowField)} error={kept?.errors?.moved} />
            <TextField label="It showed before" name="before" value={typed(kept, 'before')} error={kept?.errors?.before} />
            <TextField
              label="It showed after"
              name="after"
              value={typed(kept, 'after')}
              error={kept?.errors?.after}
              help="the water standing where it stood"
            />
            <button class="btn">The gauge was moved</button>
          </form>
        </details>
        {#if data.files.length > 0}
          <h2 class="mt-3">Loggers read here</h2>
          <ul>
            {#each data.files as f (f.entry)}<li><a class="link" href="/book/{f.entry}">{f.text}</a></li>{/each}
          </ul>
        {/if}
      </div>
    </div>
  {/if}
</div>

<style>
  .pick {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: center;
    margin: 8px 0;
  }
  .pick label {
    display: flex;
    gap: 6px;
    align-items: center;
  }
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
    gap: 16px;
    align-items: start;
  }
</style>
