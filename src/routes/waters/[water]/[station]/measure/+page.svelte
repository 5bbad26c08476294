<script lang="ts">
  import Leaving from '$lib/ui/Leaving.svelte';
  import { enhance } from '$app/forms';
  import Field from '$lib/ui/Field.svelte';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import StationDiagram from '$lib/ui/drawing/StationDiagram.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const system = $derived(data.who?.person.system ?? 'us');
</script>

<svelte:head><title>Measure {data.station.number} {data.station.name} · Zaprud</title></svelte:head>

<div class="page">
  <p>
    <a class="link" href="/waters/{data.station.water}">{data.water}</a>,
    <a class="link" href="/waters/{data.station.water}/{data.station.id}">{data.station.number} {data.station.name}</a>
  </p>
  <h1>Measure the {data.station.kind}</h1>
  <p class="quiet mb-3">
    Any form: {system === 'us' ? '14 in, 2 ft 3, knee, axe handle' : '35 cm, 0.7 m, knee'}. Empty fields stay as they are. Each is kept with
    today’s level of the water.
  </p>
  <form method="POST" class="two" use:enhance={keeping}>
    <Leaving {kept} />
    <div class="drawing">
      <StationDiagram
        diagram={data.diagram}
        label="What is measured at a {data.station.kind}; the letters stand beside the fields. Not to scale."
      />
      <p class="quiet">Not to scale. Letters without a line are paced, felt or counted.</p>
    </div>
    <div class="sheet">
      <Problem text={kept?.problem} />
      <Opened entry={data.opened} {kept} />
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
      <div class="fields">
        {#each data.fields as f (f.what)}
          {#if f.yes}
            <SelectField
              label="{f.letter}  {f.label}"
              name="m.{f.what}"
              value={typed(kept, `m.${f.what}`, f.text)}
              help={f.how}
              options={[
                { value: '', text: 'not looked' },
                { value: 'yes', text: 'yes' },
                { value: 'no', text: 'no' },
              ]}
            />
          {:else}
            <TextField
              label="{f.letter}  {f.label}"
              name="m.{f.what}"
              value={typed(kept, `m.${f.what}`, f.text)}
              error={kept?.errors?.[`m.${f.what}`]}
              help={f.how}
            />
          {/if}
        {/each}
      </div>
      <Field
        label="Bed across: distance and depth, one pair a line"
        name="profile"
        error={kept?.errors?.profile}
        help={system === 'us' ? 'like 6 ft, 14 in' : 'like 2 m, 35 cm'}
      >
        {#snippet children(attributes)}
          <textarea class="textarea w-full mono" name="profile" rows="4" {...attributes}>{typed(kept, 'profile', data.profile)}</textarea>
        {/snippet}
      </Field>
      <SelectField
        label="Belongs to"
        name="parent"
        value={typed(kept, 'parent', data.station.parent ?? '')}
        help="the run it forks from, the dam of a crossover, the bridge of a passage"
        options={[{ value: '', text: 'nothing' }, ...data.others]}
      />
      <button class="btn btn-primary">Save what was measured</button>
    </div>
  </form>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
    gap: 24px;
    align-items: start;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
    gap: 2px 16px;
  }
  @media (max-width: 820px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
