<script lang="ts">
  import OriginKey from '$lib/ui/OriginKey.svelte';
  import Origin from '$lib/ui/Origin.svelte';
  import { originWord } from '#core/water/originWord';
  import { page } from '$app/state';
  import CourseChart from '$lib/ui/CourseChart.svelte';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import type { Kept } from '$lib/ui/kept';
  import HoleDrawing from './HoleDrawing.svelte';
  import IceForm from './IceForm.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
</script>

<svelte:head><title>{data.water.name}: ice · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/waters/{data.water.id}">{data.water.name}</a></p>
  <PrintHead title={`${data.water.name}: ice`} />
  <p class="problem my-2">{data.caution}</p>
  {#if page.url.searchParams.has('saved')}<p role="status"><b>Saved to the book: the course begins again from it.</b></p>{/if}
  {#if data.now}
    <p class="answer">{data.now}.</p>
    <p>Frozen over since {data.frozen}. {data.growth} {data.hasWeather ? '' : 'No weather is known: it stays as it was measured.'}</p>
  {:else}
    <p class="sheet">No ice was seen here this season. Save the day it froze over, or a measurement.</p>
  {/if}

  {#if data.holes.length > 0}
    <h2 class="mt-4">At the holes, before a wire is cut</h2>
    {#each data.holes as h (h.set)}
      <div class="hole">
        <HoleDrawing drawn={h.drawn} />
        <p class="line">
          <StateMark verdict={h.warns ? 'frozen' : 'fine'} />
          <span><a class="link font-bold" href="/bench/{h.set}">{h.name}</a>: {h.sentence}</span>
        </p>
      </div>
    {/each}
  {/if}

  {#if data.ahead}
    {#key data.past.x.length + data.marks.x.length}
      <div class="mt-4">
        <CourseChart
          past={data.past}
          ahead={data.ahead}
          marks={data.marks}
          unit={data.unit}
          label="Course of the ice over the open water with its range, and what was measured. The table below has the same numbers."
        />
      </div>
    {/key}
    <details class="mt-1">
      <summary class="font-bold cursor-pointer">The course as a table</summary>
      <table class="plain-table mt-1">
        <thead><tr><th scope="col">At</th><th scope="col">Thinnest</th><th scope="col">Middle</th><th scope="col">Thickest</th></tr></thead>
        <tbody
          >{#each data.table as t (t.at)}<tr><td>{t.at}</td><td>{t.low}</td><td>{t.middle}</td><td>{t.high}</td></tr>{/each}</tbody
        >
      </table>
    </details>
  {/if}

  <div class="two mt-4">
    {#if data.bearing}
      <section aria-labelledby="bearing">
        <h2 id="bearing">Against the published figures</h2>
        <p class="my-1"><b>{data.bearing.sentence}</b></p>
        {#if data.bearing.thin}<p class="problem">{data.bearing.thin}</p>{/if}
        {#if !data.bearing.hollow}
          <table class="plain-table">
            <thead
              ><tr><th scope="col">For</th><th scope="col">The table asks</th><th scope="col">The thin end of the course</th></tr></thead
            >
            <tbody
              >{#each data.bearing.rows as r (r.load)}<tr><td>{r.load}</td><td>{r.asks}</td><td>{r.says}</td></tr>{/each}</tbody
            >
          </table>
          <p class="quiet mt-1">Common agency table for clear ice, from memory; white ice needs double. {data.foot}</p>
          {#if data.bearing.unknownFall}<p class="quiet">
              The level when it froze was not read: whether it hangs hollow is not known.
            </p>{/if}
        {/if}
      </section>
    {/if}
    {#if data.places.length > 0}
      <section aria-labelledby="places">
        <h2 id="places">Over each place, the thinnest first</h2>
        <table class="plain-table">
          <thead><tr><th scope="col">Place</th><th scope="col">Ice</th><th scope="col">Why</th></tr></thead>
          <tbody>
            {#each data.places as p (p.id)}
              <tr
                ><td
                  ><span class="line"
                    >{#if p.thin}<StateMark verdict="nearEdge" />{/if}<a class="link" href="/waters/{data.water.id}/{p.id}">{p.name}</a
                    ></span
                  ></td
                ><td class="nowrap">{p.thickness}</td><td>{p.why} <Origin text={originWord(p.origin)} /></td></tr
              >
            {/each}
          </tbody>
        </table>
      </section>
    {/if}
  </div>

  {#key data.seen.length}<IceForm
      {kept}
      ids={data.ids}
      kinds={data.kinds}
      stations={data.stations}
      unit={data.unit === 'in' ? 'inches' : 'centimetres'}
      nowField={data.nowField}
    />{/key}

  {#if data.seen.length > 0}
    <h2 class="mt-4">What was seen of ice</h2>
    <table class="plain-table">
      <thead><tr><th scope="col">At</th><th scope="col">Where</th><th scope="col">Seen</th><th scope="col">Note</th></tr></thead>
      <tbody
        >{#each data.seen as s (s.id)}<tr
            ><td>{s.at}</td><td>{s.where}</td><td><a class="link" href="/book/{s.entry}">{s.text}</a></td><td>{s.note}</td></tr
          >{/each}</tbody
      >
    </table>
  {/if}
  <OriginKey />
</div>

<style>
  .hole {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 20px;
    align-items: center;
    margin-bottom: 10px;
  }
  .hole p {
    flex: 1 1 240px;
    max-width: 640px;
  }
  .answer {
    font-size: 1.25rem;
    font-weight: 700;
    margin: 6px 0;
  }
  .line {
    display: flex;
    gap: 8px;
    align-items: start;
    margin: 4px 0;
  }
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(340px, 1fr));
    gap: 22px;
    align-items: start;
  }
  .nowrap {
    white-space: nowrap;
  }
</style>
