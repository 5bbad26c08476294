<script lang="ts">
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import type { Exchange } from '#core/formats/exchange';
  import type { GroundKind } from '#core/record/scouting';
  import { planImport } from '#core/formats/importing';
  import Field from '$lib/ui/Field.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import Preview from './Preview.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);

  let things = $state<Exchange[]>([]);
  let says = $state('');
  let problem = $state('');
  let site = $derived(typed(kept, 'site', data.sites[0]?.value ?? ''));
  let water = $derived(typed(kept, 'water'));
  let points = $derived<'stations' | 'ground'>(typed(kept, 'points', 'stations') as 'stations');
  let lines = $derived(typed(kept, 'lines', 'track') as GroundKind);
  let areas = $derived(typed(kept, 'areas', 'boundary of permission') as GroundKind);
  const rows = $derived(
    planImport(
      things,
      { site, water: water || null, points, lines, areas },
      data.here,
      (nth) => `00000000-0000-4000-8000-${String(nth).padStart(12, '0')}`,
      data.free,
    ),
  );
  const sent = $derived(JSON.stringify(things));
  const tooMuch = $derived(sent.length > 480 * 1024);
  const count = (verdict: string): number => rows.filter((r) => r.verdict === verdict).length;
  const taken = $derived(page.url.searchParams.get('taken'));
  const FORMATS = ['geojson', 'gpx', 'kml', 'csv'];

  async function choose(event: Event): Promise<void> {
    const file = (event.currentTarget as HTMLInputElement).files?.[0];
    things = [];
    problem = '';
    says = '';
    if (!file) return;
    says = 'Reading …';
    const { readFile } = await import('$lib/exchange/read');
    const read = readFile(file.name, await file.text());
    says = '';
    if (read.ok) {
      things = read.things;
      says = `${file.name}: ${read.things.length} ${read.things.length === 1 ? 'thing' : 'things'}. ${read.thinned}`;
    } else problem = read.sentence;
  }
</script>

<svelte:head><title>Import and export · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters">Waters</a></p>
  <h1>Import and export</h1>
  {#if taken}<p role="status" class="mt-2">
      <b>{taken} taken into the record.</b>
      {page.url.searchParams.get('here')} were here already, {page.url.searchParams.get('refused')} refused.
    </p>{/if}
  <div class="two mt-4">
    <section>
      <h2>Out</h2>
      <p class="quiet mb-2">Sites, ground, locations and sets, with every property: a file read back gives the same things.</p>
      <ul class="out">
        <li>
          <b>Everything</b>
          {#each FORMATS as f (f)}<a class="btn" href="/waters/export/zaprud.{f}" download
              >{f === 'geojson' ? 'GeoJSON' : f.toUpperCase()}</a
            >{/each}
        </li>
        {#each data.sites as s (s.value)}
          <li>
            <b>{s.text}</b>
            {#each FORMATS as f (f)}<a class="btn" href="/waters/export/zaprud.{f}?site={s.value}" download
                >{f === 'geojson' ? 'GeoJSON' : f.toUpperCase()}<span class="only-heard"> of {s.text}</span></a
              >{/each}
          </li>
        {/each}
      </ul>
    </section>
    <form
      method="POST"
      class="sheet"
      use:enhance={() =>
        async ({ update, result }) => {
          await update({ reset: false });
          if (result.type === 'redirect') things = [];
        }}
    >
      <h2>In</h2>
      <Problem text={kept?.problem} />
      <input type="hidden" name="form" value={data.form} />
      <input type="hidden" name="things" value={sent} />
      <Field label="File: GPX, GeoJSON, KML or CSV" name="file" error={problem || kept?.errors?.file} help={says}>
        {#snippet children(attributes)}
          <input type="file" class="file-input w-full" accept=".gpx,.geojson,.json,.kml,.csv" onchange={choose} {...attributes} />
        {/snippet}
      </Field>
      <noscript><p class="problem">Reading a file needs script in this browser.</p></noscript>
      <div class="grid grid-cols-2 gap-x-3">
        <SelectField
          label="It belongs to"
          name="site"
          value={site}
          error={kept?.errors?.site}
          options={data.sites}
          onchange={(e) => (site = e.currentTarget.value)}
        />
        <SelectField
          label="On the water"
          name="water"
          value={water}
          options={[{ value: '', text: 'no water' }, ...data.waters]}
          onchange={(e) => (water = e.currentTarget.value)}
        />
      </div>
      <SelectField
        label="Points of other programs become"
        name="points"
        value={points}
        options={[
          { value: 'stations', text: 'locations of that water' },
          { value: 'ground', text: 'places on the map' },
        ]}
        onchange={(e) => (points = e.currentTarget.value as 'stations')}
      />
      <div class="grid grid-cols-2 gap-x-3">
        <SelectField
          label="Their lines become"
          name="lines"
          value={lines}
          options={data.kinds.map((k) => ({ value: k, text: k }))}
          onchange={(e) => (lines = e.currentTarget.value as GroundKind)}
        />
        <SelectField
          label="Their areas become"
          name="areas"
          value={areas}
          options={data.kinds.map((k) => ({ value: k, text: k }))}
          onchange={(e) => (areas = e.currentTarget.value as GroundKind)}
        />
      </div>
      {#if tooMuch}<p class="problem">
          That is more than is taken at once ({Math.round(sent.length / 1024)} kB of 480): take a part of the file.
        </p>{/if}
      {#if rows.length > 0}
        <button class="btn btn-primary" disabled={tooMuch || count('new') === 0}>Take the {count('new')} new</button>
        <span class="quiet">{count('here')} here already, {count('refused')} refused. All that is new is taken, or nothing.</span>
      {/if}
    </form>
  </div>
  {#if rows.length > 0}<Preview {rows} />{/if}
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
    gap: 24px;
    align-items: start;
  }
  .out li {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    padding: 8px 0;
    border-top: 1px solid var(--rule);
  }
  .out b {
    flex: 1;
    min-width: 180px;
  }
</style>
