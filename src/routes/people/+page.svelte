<script lang="ts">
  import OriginKey from '$lib/ui/OriginKey.svelte';
  import { enhance } from '$app/forms';
  import PlaceFields from '$lib/ui/PlaceFields.svelte';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Field from '$lib/ui/Field.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const LIGHTS = [
    { value: 'auto', text: 'light in the rooms, dark at a check before dawn' },
    { value: 'firstlight', text: 'firstlight: always light' },
    { value: 'headlamp', text: 'headlamp: always dark' },
  ];
</script>

<svelte:head><title>People · Zaprud</title></svelte:head>

<div class="page">
  <h1>People and settings</h1>
  <p class="quiet">
    {#if data.isNear}Nobody signs in on this machine: whoever opens it works as your crew and sees every place.{/if}
    <a class="link" href="/people/door">Who may come in, from which device</a>, <a class="link" href="/people/copies">Copies</a>
  </p>
  <Problem text={kept?.problem} />
  <div class="cols">
    <section>
      {#if data.isNear}<form method="POST" action="?/pick" class="flex flex-wrap gap-3 mt-3">
          {#each data.crew as person (person.id)}
            <button
              class="btn btn-lg"
              class:btn-primary={person.id === data.me.id}
              name="person"
              value={person.id}
              aria-pressed={person.id === data.me.id}>{person.name}</button
            >
          {/each}
        </form>{/if}
      <form method="POST" action="?/add" class="sheet mt-4" use:enhance>
        <input type="hidden" name="entry" value={data.ids.entry} /><input type="hidden" name="id" value={data.ids.id} />
        <TextField label="Another person of the crew" name="newName" value={typed(kept, 'newName')} error={kept?.errors?.newName} />
        <button class="btn">Add and work as this person</button>
      </form>
      <form method="POST" action="?/light" class="sheet mt-4">
        <SelectField label="Light" name="theme" value={data.theme ?? 'auto'} options={LIGHTS} />
        <button class="btn">Use this light</button>
      </form>
      {#if data.line}
        <form method="POST" action="?/line" class="sheet mt-4" use:enhance={keeping}>
          <h2>The line</h2>
          {#if data.line.lat === ''}<p class="quiet">Nobody said yet where it lies: hours of light are not known.</p>{/if}
          <input type="hidden" name="lineEntry" value={typed(kept, 'lineEntry', data.ids.line)} />
          <Opened entry={data.line.entry} {kept} />
          <TextField
            label="Name of the line"
            name="lineName"
            value={typed(kept, 'lineName', data.line.name)}
            error={kept?.errors?.lineName}
          />
          <TextField label="Time zone" name="zone" value={typed(kept, 'zone', data.line.zone)} error={kept?.errors?.zone} />
          <PlaceFields {kept} lat={data.line.lat} lon={data.line.lon} />
          <button class="btn mt-2">Save the line</button>
        </form>
      {/if}
    </section>
    <form method="POST" action="?/save" class="sheet" use:enhance={keeping}>
      <h2>{data.me.name}</h2>
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
      <Opened entry={data.opened} {kept} />
      <TextField label="Name" name="name" value={typed(kept, 'name', data.me.name)} error={kept?.errors?.name} />
      <SelectField
        label="Units"
        name="system"
        value={typed(kept, 'system', data.me.system)}
        options={[
          { value: 'us', text: 'inches, feet, pounds' },
          { value: 'metric', text: 'centimeters, meters, kilograms' },
        ]}
      />
      <SelectField
        label="Times and dates"
        name="times"
        value={typed(kept, 'times', data.clock.hours === 12 ? '12h' : '24h')}
        options={[
          { value: '12h', text: '3:12 pm, Dec 8' },
          { value: '24h', text: '15:12, 8 Dec' },
        ]}
      />
      <h3 class="mt-3">Body gauge: the word you can type for a depth</h3>
      <div class="grid grid-cols-2 gap-x-4">
        {#each data.me.body as { word, text, own } (word)}
          <TextField
            label={word.charAt(0).toUpperCase() + word.slice(1)}
            name="body.{word}"
            value={typed(kept, `body.${word}`, text)}
            error={kept?.errors?.[`body.${word}`]}
            origin={own ? 'you measured' : 'rule of thumb'}
          />
        {/each}
      </div>
      <Field
        label="Tools, one a line"
        name="tools"
        error={kept?.errors?.tools}
        help="axe handle = 28 in; waders = 46 in, the top of yours; arm = 31 in, how deep you reach"
      >
        {#snippet children(attributes)}<textarea class="textarea w-full" rows="3" name="tools" {...attributes}
            >{typed(kept, 'tools', data.me.tools)}</textarea
          >{/snippet}
      </Field>
      <h3 class="mt-3">Minutes of your work: the plan calculates with them</h3>
      <div class="grid grid-cols-2 gap-x-4">
        {#each data.me.work as { task, label, typed: own, says, origin } (task)}
          <TextField
            {label}
            name="min.{task}"
            inputmode="decimal"
            value={typed(kept, `min.${task}`, own)}
            error={kept?.errors?.[`min.${task}`]}
            {origin}
            help={says}
          />
        {/each}
      </div>
      {#each data.me.placing as { name, says } (name)}<p class="quiet">Placing, {name.toLowerCase()}: {says}.</p>{/each}
      <button class="btn btn-primary">Save</button>
    </form>
  </div>
  <OriginKey />
</div>

<style>
  .cols {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
    gap: 28px;
    align-items: start;
  }
</style>
