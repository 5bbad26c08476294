<script lang="ts">
  import type { SubmitFunction } from '@sveltejs/kit';
  import type { RunDay } from '#lib/run/page';
  import { enhance } from '$app/forms';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';

  /** Who goes which of the two ways, said once for both: each device then leads along its own list. */
  interface Props {
    day: RunDay;
    /** ids of the sets of either way, in their order */
    orders: readonly (readonly string[])[];
    entry: string;
    kept: Kept | null;
    send: SubmitFunction;
  }
  let { day, orders, entry, kept, send }: Props = $props();
  const people = $derived(day.people.map(({ id, name }) => ({ value: id, text: name })));
  /** the reader first, another of the crew beside him */
  const first = $derived(day.me);
  const second = $derived(day.people.find((p) => p.id !== day.me)?.id ?? '');
</script>

<form method="POST" action="?/share" class="asked-in-a-row no-print" use:enhance={send}>
  <Problem text={kept?.problem} />
  <input type="hidden" name="entry" value={typed(kept, 'entry', entry)} />
  <input type="hidden" name="day" value={day.date} />
  <Opened entry={day.opened} {kept} />
  {#each orders as order, n (n)}
    <input type="hidden" name="stops{n}" value={order.join(',')} />
    <SelectField
      label={n === 0 ? 'First' : 'Second'}
      name="person{n}"
      value={typed(kept, `person${n}`, n === 0 ? first : second)}
      options={[{ value: '', text: 'nobody yet' }, ...people]}
      error={kept?.errors?.[`person${n}`]}
    />
  {/each}
  <TextField label="Note for both" name="note" value={typed(kept, 'note', day.note)} error={kept?.errors?.note} />
  <button class="btn btn-primary">Share it so</button>
</form>
