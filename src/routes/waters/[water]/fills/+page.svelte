<script lang="ts">
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { keeping } from '$lib/ui/keeping';
  import { typed, type Kept } from '$lib/ui/kept';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const small = $derived(data.system === 'us' ? 'inches' : 'centimetres');
  const value = (name: string): string => typed(kept, name, data.fields[name] ?? '');
  const fault = (name: string): string | undefined => kept?.errors?.[name];
</script>

<svelte:head><title>{data.water.name}: inflow and outflow · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters/{data.water.id}">{data.water.name}</a></p>
  <h1>{data.water.name}: inflow and outflow</h1>
  <p class="quiet">
    What is left empty is not calculated with. A pond that nothing drains is forecast from its own history of readings instead.
  </p>
  {#if page.url.searchParams.has('saved')}<p role="status"><b>Saved. Forecasts use it now.</b></p>{/if}
  <form method="POST" action="?/save" class="sheet mt-3" use:enhance={keeping}>
    <Problem text={kept?.problem} />
    <Opened entry={data.opened} {kept} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
    <div class="fields">
      <TextField
        label="Rises in a day"
        name="rise"
        value={value('rise')}
        error={fault('rise')}
        help="in {small}, when nothing runs out: its inflow"
      />
      <TextField label="Seeps in a day" name="seep" value={value('seep')} error={fault('seep')} help="in {small}, through bed and dam" />
      <TextField
        label="Catchment"
        name="catchment"
        value={value('catchment')}
        error={fault('catchment')}
        help={data.system === 'us' ? 'acres that drain into it' : 'hectares that drain into it'}
      />
      <TextField
        label="Of its rain comes down"
        name="runoff"
        value={value('runoff')}
        error={fault('runoff')}
        help="per cent; woods 5 to 20, bare ground more (rule of thumb)"
      />
      <TextField
        label="Crest that it runs over"
        name="spill"
        value={value('spill')}
        error={fault('spill')}
        help={data.crest ? `its length; its height is that of ${data.crest}` : 'its length; measure the dam’s crest first'}
      />
      <SelectField
        label="Ice grows as on a"
        name="ice"
        value={value('ice')}
        options={[{ value: '', text: 'not said: an average lake with snow' }, ...data.ices]}
      />
    </div>
    <h2 class="mt-3">Drain pipes</h2>
    {#each Array.from({ length: data.pipes }, (_, n) => n) as n (n)}
      <div class="fields">
        <TextField
          label="Pipe {n + 1}: its bottom"
          name="pipe{n}.sill"
          value={value(`pipe${n}.sill`)}
          error={fault(`pipe${n}.sill`)}
          help="lowest point, on the gauge"
        />
        <TextField
          label="Pipe {n + 1}: diameter"
          name="pipe{n}.diameter"
          value={value(`pipe${n}.diameter`)}
          error={fault(`pipe${n}.diameter`)}
          help="in {small}"
        />
        <TextField
          label="Pipe {n + 1}: plugged"
          name="pipe{n}.plugged"
          value={value(`pipe${n}.plugged`)}
          error={fault(`pipe${n}.plugged`)}
          help="per cent of its section"
        />
      </div>
    {/each}
    <h2 class="mt-3">Area by level</h2>
    <p class="quiet">
      {data.drawn
        ? `The shore drawn on the map has ${data.drawn}; typed rows go before it.`
        : 'No shore is drawn on the map: type it here, or draw it there.'}
    </p>
    {#each Array.from({ length: data.areas }, (_, n) => n) as n (n)}
      <div class="fields">
        <TextField
          label="Row {n + 1}: at the level"
          name="area{n}.level"
          value={value(`area${n}.level`)}
          error={fault(`area${n}.level`)}
          help="on the gauge"
        />
        <TextField
          label="Row {n + 1}: area"
          name="area{n}.area"
          value={value(`area${n}.area`)}
          error={fault(`area${n}.area`)}
          help={data.system === 'us' ? 'square feet' : 'square meters'}
        />
      </div>
    {/each}
    <button class="btn btn-primary mt-2">Save to the book</button>
  </form>
</div>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
    gap: 0 14px;
  }
</style>
