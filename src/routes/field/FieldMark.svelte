<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { STATION_KINDS } from '#core/stations/kinds';
  import { printWay } from '#core/units/length';
  import type { Field } from '$lib/field/client.svelte';
  import { alongOf, markEntries, nearestWater } from '#lib/field/entries';
  import { newId } from '#lib/form/newId';
  import { reader } from '#lib/form/reader';
  import type { Season } from '#lib/season/season';
  import PhotoField from '$lib/check/PhotoField.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { Receiver } from '$lib/ui/receiver.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';

  /** A place marked while walking: one tap on its kind, where the receiver says that one stands. */
  let { field, season }: { field: Field; season: Season } = $props();
  let kept = $state.raw<Kept | null>(null);
  const receiver = new Receiver();
  onMount(receiver.listen);
  const here = $derived(receiver.here);
  const entry = newId();

  const at = $derived(here ? ([here.coords.longitude, here.coords.latitude] as const) : null);
  const water = $derived((at && nearestWater(season, at)) ?? '');
  let chosen = $state('');
  const along = $derived.by(() => {
    const found = at && alongOf(season, chosen || water, at);
    return found === null ? '' : printWay(found, field.asker?.who.person.system ?? 'us');
  });

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { asker } = field;
    if (!asker) return;
    const data = new FormData(event.currentTarget as HTMLFormElement, event.submitter);
    const read = reader(data, asker.who);
    const entries = markEntries(read, season, asker);
    if (!entries) {
      kept = { problem: 'Not marked: look at the marked fields.', errors: read.errors, values: read.values };
      return;
    }
    await field.keep(`Place: ${read.text('kind')}`, entries);
    await goto('/field');
  }
</script>

<form class="one" onsubmit={save}>
  <p class="quiet"><a class="link" href="/field">The run</a></p>
  <h1>Mark a place</h1>
  <p role="status">
    {#if here}The receiver says where, within {printWay(
        here.coords.accuracy,
        field.asker?.who.person.system ?? 'us',
      )}.{:else}{receiver.silent || 'Waiting for the receiver …'}{/if}
  </p>
  <Problem text={kept?.problem} />
  <input type="hidden" name="entry" value={entry} />
  <input type="hidden" name="lat" value={here?.coords.latitude ?? ''} />
  <input type="hidden" name="lon" value={here?.coords.longitude ?? ''} />
  <SelectField
    label="Water"
    name="water"
    value={chosen || water}
    options={[{ value: '', text: 'choose' }, ...season.waters.map((w) => ({ value: w.id, text: w.name }))]}
    onchange={(e) => (chosen = e.currentTarget.value)}
    error={kept?.errors?.water}
  />
  <TextField
    label="Along the shore from the inlet"
    name="along"
    value={typed(kept, 'along', along)}
    error={kept?.errors?.along}
    help={along
      ? 'computed from the receiver and the line that was drawn of this water'
      : 'in feet or meters; no line and no position to compute it from'}
  />
  <TextField
    label="Name"
    name="name"
    value={typed(kept, 'name')}
    error={kept?.errors?.name}
    help="may stay empty; measured and named later"
  />
  <PhotoField {kept} crew={field.asker?.who.crew ?? ''} keep={(photo) => field.keepPhoto(photo)} of="this place" />
  <fieldset>
    <legend class="font-semibold">It is a …</legend>
    <div class="kinds">
      {#each STATION_KINDS as kind (kind)}<button class="btn" name="kind" value={kind}>{kind}</button>{/each}
    </div>
  </fieldset>
</form>

<style>
  .kinds {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
  }
  .kinds .btn {
    min-height: 56px;
  }
</style>
