<script lang="ts">
  import { enhance } from '$app/forms';
  import { SPECIES } from '#core/animals/species';
  import { DID } from '#core/counting/atSet';
  import { SIZE_CLASSES } from '#core/record/scouting';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  /** One event, typed off the camera's own screen. */
  interface Props {
    kept: Kept | null;
    id: string;
    stations: { value: string; text: string }[];
    species: string;
  }
  let { kept, id, stations, species }: Props = $props();
  const words = (all: readonly string[]) => all.map((value) => ({ value, text: value }));
</script>

<form method="POST" action="?/typed" class="sheet" use:enhance={keeping}>
  <h2>One event by hand</h2>
  <input type="hidden" name="typedForm" value={typed(kept, 'typedForm', id)} />
  <SelectField
    label="The camera hung here"
    name="eventStation"
    value={typed(kept, 'eventStation', stations[0]?.value)}
    options={stations}
    error={kept?.errors?.eventStation}
  />
  <TimeField label="It came at" name="eventAt" value={typed(kept, 'eventAt')} error={kept?.errors?.eventAt} />
  <div class="grid grid-cols-2 gap-x-3">
    <SelectField label="What came" name="eventSpecies" value={typed(kept, 'eventSpecies', species)} options={words(SPECIES)} />
    <TextField
      label="How many at once"
      name="eventCount"
      inputmode="numeric"
      value={typed(kept, 'eventCount')}
      error={kept?.errors?.eventCount}
    />
    <SelectField label="How large" name="eventSize" value={typed(kept, 'eventSize', 'unknown')} options={words(SIZE_CLASSES)} />
    <SelectField label="What it did" name="eventDid" value={typed(kept, 'eventDid', 'not seen')} options={words(DID)} />
  </div>
  <TextField label="Which camera" name="eventCamera" value={typed(kept, 'eventCamera')} help="its own name, if there are several" />
  <button class="btn btn-primary">Save the event</button>
</form>
