<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { many } from '#core/units/many';
  import { browser } from '$app/environment';
  import { enhance } from '$app/forms';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { planEvents } from '#core/counting/importEvents';
  import Field from '$lib/ui/Field.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import EventForm from './EventForm.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  let rows = $state<Record<string, string>[]>([]);
  let problem = $state('');
  let station = $derived(typed(kept, 'station', data.stations[0]?.value ?? ''));
  const plan = $derived(planEvents(rows, new Set(data.known[station.split(' ')[0] ?? ''] ?? []), data.clock.zone));
  const sizes = $derived(
    Object.entries(data.count.sizes)
      .map(([size, n]) => `${n} ${size}`)
      .join(', '),
  );

  async function choose(event: Event): Promise<void> {
    const file = (event.currentTarget as HTMLInputElement).files?.[0];
    rows = [];
    problem = '';
    if (!file) return;
    const { csvRows } = await import('$lib/exchange/csv');
    const read = csvRows(await file.text());
    if (read.problem) problem = read.problem;
    else if (read.rows.length > 5000) problem = 'At most 5000 events at once: split the table.';
    else rows = read.rows;
  }
</script>

<svelte:head><title>{data.water.name}: counting · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters/{data.water.id}">{data.water.name}</a></p>
  <div class="head">
    <h1>{data.water.name}: counting</h1>
    <form method="GET">
      <label
        >Species <select class="select" name="species" value={data.species} onchange={(e) => goto(`?species=${e.currentTarget.value}`)}>
          {#each data.speciesList as s (s)}<option>{s}</option>{/each}
        </select></label
      >
      <noscript><button class="btn">Show</button></noscript>
    </form>
  </div>
  {#if page.url.searchParams.has('taken')}<p role="status">
      <b>{many(Number(page.url.searchParams.get('taken')), 'event')} taken.</b>
      {#if page.url.searchParams.has('here')}{page.url.searchParams.get('here')} were here already, {page.url.searchParams.get('refused')} refused.{/if}
    </p>{/if}
  {#each data.families as family (family.id)}
    <p class="first"><a class="link" href="/colonies/{family.id}">{family.name}</a>: {family.said}</p>
  {/each}
  <p class="tonight"><b>A camera tonight, if you have one:</b> {data.tonight[0]?.sentence ?? 'this water has no location yet.'}</p>
  {#if data.tonight.length > 1}<p class="quiet">
      Next: {data.tonight
        .slice(1)
        .map((t) => t.sentence)
        .join(' ')}
    </p>{/if}

  <h2 class="mt-5 mb-1">What the cameras saw</h2>
  {#if data.count.nights.length === 0}
    <p>No camera has watched here yet.</p>
  {:else}
    <p>
      {data.count.most ? `Most at once ${data.count.most.count}, ${data.count.most.when}; ` : ''}most of each size: {sizes || 'none'}. No
      fewer than {data.count.floor}.
      {many(data.count.quiet, 'watched night')} without one.
    </p>
    {#if browser}
      {#await import('$lib/ui/NightChart.svelte') then { default: NightChart }}
        {#key data.points}<NightChart
            points={data.points}
            suns={data.suns}
            clock={data.clock}
            label="Events by night and hour, with sunset and sunrise. The table has the nights."
          />{/key}
      {/await}
    {/if}
    <details class="mt-2">
      <summary class="cursor-pointer font-bold">The nights as a table</summary>
      <Scroller label="Nights"
        ><table class="plain-table mt-1">
          <thead><tr><th scope="col">Night of</th><th scope="col">Events</th><th scope="col">Most at once</th></tr></thead>
          <tbody
            >{#each data.count.nights as n (n.date)}<tr><td>{n.date}</td><td>{n.events}</td><td>{n.most}</td></tr>{/each}</tbody
          >
        </table></Scroller
      >
    </details>
  {/if}
  <ul class="quiet mt-2">
    {#each data.rolls as r (r.id)}<li>
        {r.text} <a class="link" href="/book/{r.entry}">correct<span class="only-heard"> {r.text}</span></a>
      </li>{/each}
  </ul>

  <div class="two mt-5">
    <form
      method="POST"
      action="?/file"
      class="sheet"
      use:enhance={() =>
        async ({ update, result }) => {
          await update({ reset: false });
          if (result.type === 'redirect') rows = [];
        }}
    >
      <h2>Events from a table</h2>
      <Problem text={kept?.problem} />
      <input type="hidden" name="form" value={data.ids.form} />
      <input type="hidden" name="rows" value={JSON.stringify(rows)} />
      <SelectField
        label="The camera hung at"
        name="station"
        value={station}
        options={data.stations}
        error={kept?.errors?.station}
        onchange={(e) => (station = e.currentTarget.value)}
      />
      <Field label="CSV: time, camera, species, count, size class, did" name="file" error={problem || kept?.errors?.file}>
        {#snippet children(attributes)}<input
            type="file"
            class="file-input w-full"
            accept=".csv"
            onchange={choose}
            {...attributes}
          />{/snippet}
      </Field>
      {#if rows.length > 0}
        <p aria-live="polite">{many(plan.fresh.length, 'event')} new, {plan.here} here already, {plan.refused.length} refused.</p>
        <ul>
          {#each plan.refused.slice(0, 8) as r (r.row)}<li>Row {r.row}: {r.reason}</li>{/each}
        </ul>
        <button class="btn btn-primary mt-2" disabled={plan.fresh.length === 0}>Take the {plan.fresh.length} new</button>
      {/if}
    </form>
    <EventForm
      kept={kept?.values?.typedForm === undefined ? null : kept}
      id={data.ids.typed}
      stations={data.stations}
      species={data.species}
    />
    <form method="POST" action="?/simulated" class="sheet" use:enhance={keeping}>
      <h2>The simulated camera</h2>
      <p class="quiet mb-2">It stands in for a real one and says so wherever its events are shown.</p>
      <input type="hidden" name="sim" value={data.ids.sim} />
      <SelectField
        label="It hung last night at"
        name="simStation"
        value={typed(kept, 'simStation', data.tonight[0]?.id)}
        options={data.stations}
        error={kept?.errors?.simStation}
      />
      <button class="btn">Read last night</button>
    </form>
  </div>
</div>

<style>
  .head {
    display: flex;
    justify-content: space-between;
    flex-wrap: wrap;
    gap: 8px;
  }
  .first {
    font-size: 1.25rem;
    font-weight: 750;
    margin-top: 6px;
  }
  .tonight {
    font-size: 1.1rem;
    margin-top: 12px;
  }
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 16px;
    align-items: start;
  }
</style>
