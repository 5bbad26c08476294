<script lang="ts">
  import { enhance } from '$app/forms';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { keeping } from '$lib/ui/keeping';
  import { typed, type Kept } from '$lib/ui/kept';

  interface Props {
    kept: Kept | null;
    ids: { entry: string; id: string };
    kinds: readonly string[];
    stations: { value: string; text: string }[];
    unit: string;
    nowField: string;
  }
  let { kept, ids, kinds, stations, unit, nowField }: Props = $props();
</script>

<form method="POST" class="sheet mt-4 no-print" aria-label="Ice measured" use:enhance={keeping}>
  <h2>Measured, or seen to form or go</h2>
  <Problem text={kept?.problem} />
  <input type="hidden" name="entry" value={typed(kept, 'entry', ids.entry)} />
  <input type="hidden" name="id" value={typed(kept, 'id', ids.id)} />
  <div class="fields">
    <SelectField label="Seen" name="seen" value={typed(kept, 'seen', 'measured')} options={kinds.map((k) => ({ value: k, text: k }))} />
    <TextField
      label="Thickness"
      name="thickness"
      value={typed(kept, 'thickness')}
      error={kept?.errors?.thickness}
      help="in {unit}, through a hole, to its underside"
    />
    <SelectField
      label="Where"
      name="station"
      value={typed(kept, 'station')}
      options={[{ value: '', text: 'the open sheet' }, ...stations]}
      error={kept?.errors?.station}
    />
    <SelectField
      label="Kind of ice"
      name="white"
      value={typed(kept, 'white', 'no')}
      options={[
        { value: 'no', text: 'clear' },
        { value: 'yes', text: 'white' },
      ]}
    />
    <TextField label="Snow on it" name="snow" value={typed(kept, 'snow')} error={kept?.errors?.snow} help="in {unit}; empty is none" />
    <TimeField label="Measured at" name="at" value={typed(kept, 'at', nowField)} error={kept?.errors?.at} />
    <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
  </div>
  <button class="btn btn-primary">Save to the book</button>
</form>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
    gap: 0 14px;
  }
</style>
