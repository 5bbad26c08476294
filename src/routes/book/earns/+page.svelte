<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import RateLine from '../RateLine.svelte';

  let { data } = $props();
</script>

<svelte:head><title>What earns its minutes · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/book">Book</a></p>
  <h1>What earns its minutes</h1>
  <form method="GET" class="asked-in-a-row">
    <label
      >Animal <select class="select" name="species" value={data.species}>
        {#each data.animals as s (s)}<option>{s}</option>{/each}
      </select></label
    >
    <label
      >By <select class="select" name="by" value={data.by}>
        {#each data.ways as w (w.value)}<option value={w.value}>{w.text}</option>{/each}
      </select></label
    >
    <button class="btn">Show</button>
  </form>
  {#if data.rows.length === 0}
    <p class="sheet mt-3">
      No set {data.by.startsWith('school') ? 'that this touches ' : ''}stood for it this season. What sets gave and took is added up here,
      as soon as they are looked at.
    </p>
  {:else}
    <Scroller label="What earns its minutes">
      <table class="plain-table mt-2">
        <thead>
          <tr>
            <th scope="col">{data.ways.find((w) => w.value === data.by)?.text}</th>
            <th scope="col">Caught</th>
            <th scope="col">Met, not caught</th>
            <th scope="col">Nights in range</th>
            <th scope="col">Per 100 nights</th>
            <th scope="col">Minutes</th>
            <th scope="col">Caught an hour of work</th>
            <th scope="col">Beside all others</th>
          </tr>
        </thead>
        <tbody>
          {#each data.rows as r (r.key)}
            <tr>
              <th scope="row">{r.key}{r.sets > 1 ? ` (${r.sets} sets)` : ''}</th>
              <td>{r.caught}</td>
              <td>{r.contacts}</td>
              <td>{r.nights}</td>
              <td
                >{#if r.rate}<RateLine rate={r.rate} most={data.most} /><br />{/if}{r.said}</td
              >
              <td
                >{r.minutes}{#if r.written}<br /><span class="quiet">{r.written}</span>{/if}</td
              >
              <td>{r.hour}</td>
              <td>{r.against}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </Scroller>
    <p class="quiet mt-2">
      Of the {data.species} alone, in sets meant for it; other animals in them are accidents and count nowhere here. Limits are exact, 95%. Times
      that nobody wrote are your minutes under <a class="link" href="/people">People</a>, driving not counted.
    </p>
  {/if}
</div>

<style>
  td {
    vertical-align: top;
  }
  th::first-letter {
    text-transform: uppercase;
  }
</style>
