<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Field } from '$lib/field/client.svelte';
  import { levelEntries } from '#lib/field/entries';
  import { newId } from '#lib/form/newId';
  import { reader } from '#lib/form/reader';
  import type { Season } from '#lib/season/season';
  import Asked from '$lib/ui/Asked.svelte';
  import Chips from '$lib/ui/Chips.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';

  /** A level read in passing: it moves every set of its water at once, also without a signal. */
  let { field, season }: { field: Field; season: Season } = $props();
  let kept = $state.raw<Kept | null>(null);
  const entry = newId();
  const gauges = $derived(
    season.gauges.map(({ id, name, water, surface }) => ({
      value: id,
      text: `${season.waters.find((w) => w.id === water)?.name ?? ''}${surface === 'tail' ? ', below the dam' : ''}${name === 'gauge' ? '' : `, ${name}`}`,
    })),
  );

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { asker } = field;
    if (!asker) return;
    const read = reader(new FormData(event.currentTarget as HTMLFormElement), asker.who);
    const entries = levelEntries(read, season, asker);
    if (!entries) {
      kept = { problem: 'Not saved: look at the marked fields.', errors: read.errors, values: read.values };
      return;
    }
    await field.keep(`Level of ${gauges.find((g) => g.value === read.text('gauge'))?.text ?? ''}`, entries);
    await goto('/field');
  }
</script>

<form class="one" onsubmit={save}>
  <p class="quiet"><a class="link" href="/field">The run</a></p>
  <h1>A level</h1>
  <Problem text={kept?.problem} />
  <input type="hidden" name="entry" value={entry} />
  <Chips
    legend="Which gauge?"
    name="gauge"
    options={gauges}
    chosen={[typed(kept, 'gauge', gauges.length === 1 ? gauges[0]?.value : '')]}
    error={kept?.errors?.gauge}
  />
  <Asked name="level" {kept} />
  <TextField
    label="It shows"
    name="level"
    value={typed(kept, 'level')}
    error={kept?.errors?.level}
    help={field.asker?.who.person.system === 'us' ? 'for example 31 3/4 in' : 'for example 80 cm'}
  />
  <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
  <button class="btn btn-primary btn-lg">Save the level</button>
</form>
