<script lang="ts">
  import { inWords } from '#core/units/inWords';
  import { SPECIES } from '#core/animals/species';
  import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
  import { MONTH_NAMES, monthsText, usualText } from '#core/sets/search';
  import { STATION_KINDS } from '#core/stations/kinds';
  import SelectField from '$lib/ui/SelectField.svelte';
  import SampleDrawing from './SampleDrawing.svelte';

  let { data } = $props();
  const any = { value: '', text: 'any' };
  const system = $derived(data.who?.person.system ?? 'us');
  const found = $derived(data.found.map(setTypeOf));
  const link = (id: string): string => `/bench/catalogue/${id}${data.station ? `?station=${data.station.id}` : ''}`;
</script>

<svelte:head><title>Set types · Bench · Zaprud</title></svelte:head>

<div class="page">
  <h1>Set types{data.station ? ` for ${data.station.text}` : ''}</h1>
  <form method="GET" class="ask">
    {#if data.station}<input type="hidden" name="station" value={data.station.id} />{/if}
    <SelectField
      label="Place"
      name="place"
      value={data.asked.place}
      options={[any, ...STATION_KINDS.map((k) => ({ value: k, text: k }))]}
    />
    <SelectField
      label="Species"
      name="species"
      value={data.asked.species}
      options={[any, ...SPECIES.filter((s) => s !== 'other').map((s) => ({ value: s, text: s }))]}
    />
    <SelectField
      label="Month"
      name="month"
      value={data.asked.month}
      options={[any, ...MONTH_NAMES.map((text, i) => ({ value: String(i + 1), text }))]}
    />
    <label class="owned"
      ><input type="checkbox" class="checkbox" name="owned" value="yes" checked={data.asked.owned} />
      <span>Only what I have free in the shed</span></label
    >
    <button class="btn btn-primary">Find</button>
  </form>
  <p class="quiet" role="status">
    {found.length} of {CATALOGUE.length} types. Each is drawn to its own scale, at its defaults; months are a rule of thumb.
  </p>
  <ul class="types">
    {#each found as type (type.id)}
      <li>
        <a href={link(type.id)} tabindex="-1" aria-hidden="true"><SampleDrawing {type} view="side" {system} /></a>
        <h2><a class="link" href={link(type.id)}>{type.name}</a></h2>
        <p class="quiet">{type.species.join(', ')}; {usualText(type)}; {monthsText(type.months)}</p>
        <p>{inWords(type.idea, system)}</p>
        {#if type.variants}<p class="quiet">Also: {type.variants.map((v) => v.name).join(', ')}</p>{/if}
      </li>
    {:else}
      <li>Nothing fits all of that: leave one of the questions open.</li>
    {/each}
  </ul>
</div>

<style>
  .ask {
    display: flex;
    gap: 14px;
    flex-wrap: wrap;
    align-items: end;
    margin: 10px 0;
  }
  .owned {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 44px;
    margin-bottom: 10px;
  }
  .ask .btn {
    margin-bottom: 10px;
  }
  .types {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(285px, 1fr));
    gap: 22px 20px;
    margin-top: 12px;
  }
  h2 {
    margin-top: 6px;
    font-size: 1.1rem;
  }
</style>
