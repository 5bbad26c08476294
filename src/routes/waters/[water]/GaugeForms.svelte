<script lang="ts">
  import { enhance } from '$app/forms';
  import { CLARITIES } from '#core/record/places';
  import type { System } from '#core/units/factors';
  import Asked from '$lib/ui/Asked.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import { SURFACES } from './surfaces';

  interface Props {
    kept: Kept | null;
    ids: { entry: string; id: string; told: string; below: string };
    system: System;
    /** it stands behind a dam, so that another water lies below */
    dammed: boolean;
    hasTail: boolean;
    nowField: string;
    isBelowOpen: boolean;
  }
  let { kept, ids, system, dammed, hasTail, nowField, isBelowOpen = $bindable() }: Props = $props();

  const BOUNDS = [
    { value: 'exact', text: 'read on the gauge' },
    { value: 'crest', text: 'a high-water mark, from debris' },
    { value: 'over', text: 'a high-water mark, so much above the water now' },
  ];
  const CLARITY = CLARITIES.map((c) => ({ value: c, text: c }));
  /** which of the forms was refused: each has a field of its own */
  const was = (own: string): Kept | null => (kept?.values?.[own] === undefined ? null : kept);
  const keptReading = $derived(was('bound'));
  const keptTold = $derived(was('rise'));
  const keptBelow = $derived(was('shows'));
  let below = $state<HTMLDetailsElement>();
  $effect(() => {
    if (isBelowOpen) below?.querySelector('input:not([type=hidden])')?.scrollIntoView({ block: 'center' });
  });
  $effect(() => {
    if (keptBelow) isBelowOpen = true;
  });
</script>

<details class="sheet" open={keptReading !== null}>
  <summary class="font-bold cursor-pointer">Enter a reading of another time or surface</summary>
  <form method="POST" action="?/reading" class="mt-3" use:enhance={keeping}>
    <input type="hidden" name="entry" value={ids.entry} />
    <input type="hidden" name="id" value={ids.id} />
    <Asked name="level" kept={keptReading} />
    <TextField
      label="Level on the gauge"
      name="level"
      value={typed(keptReading, 'level')}
      error={keptReading?.errors?.level}
      help="for example {system === 'us' ? '31 3/4 in' : '80 cm'}"
    />
    <TimeField label="Read at" name="at" value={typed(keptReading, 'at', nowField)} error={keptReading?.errors?.at} />
    <div class="grid grid-cols-2 gap-x-3">
      <SelectField label="It is" name="bound" value={typed(keptReading, 'bound')} options={BOUNDS} />
      <SelectField label="Water clarity" name="clarity" value={typed(keptReading, 'clarity')} options={CLARITY} />
    </div>
    <TextField
      label="Mark sure to within (a high-water mark only)"
      name="markDoubt"
      value={typed(keptReading, 'markDoubt')}
      error={keptReading?.errors?.markDoubt}
    />
    <TimeField
      label="Not before (a high-water mark only)"
      name="since"
      value={typed(keptReading, 'since')}
      error={keptReading?.errors?.since}
    />
    {#if hasTail}<SelectField label="Surface" name="surface" value={typed(keptReading, 'surface')} options={SURFACES} />{/if}
    <button class="btn btn-primary">Save this reading</button>
  </form>
</details>
<details class="sheet" open={keptTold !== null}>
  <summary class="font-bold cursor-pointer">Heard of a rise</summary>
  <form method="POST" action="?/told" class="mt-3" use:enhance={keeping}>
    <input type="hidden" name="told" value={typed(keptTold, 'told', ids.told)} />
    <div class="grid grid-cols-2 gap-x-3">
      <TextField
        label="It will rise by"
        name="rise"
        value={typed(keptTold, 'rise')}
        error={keptTold?.errors?.rise}
        help="here, from now on; a fall with a minus"
      />
      <TextField label="Give or take" name="doubt" value={typed(keptTold, 'doubt')} error={keptTold?.errors?.doubt} />
    </div>
    <TimeField label="All there by" name="until" value={typed(keptTold, 'until')} error={keptTold?.errors?.until} />
    <TextField label="Told by" name="who" value={typed(keptTold, 'who')} error={keptTold?.errors?.who} help="radio, neighbor upstream" />
    {#if hasTail}<SelectField label="Surface" name="surface" value={typed(keptTold, 'surface')} options={SURFACES} />{/if}
    <button class="btn btn-primary">Move the forecast by it</button>
  </form>
</details>
{#if dammed && !hasTail}
  <details class="sheet" bind:this={below} bind:open={isBelowOpen}>
    <summary class="font-bold cursor-pointer">Add a gauge below the dam</summary>
    <form method="POST" action="?/below" class="mt-3" use:enhance={keeping}>
      <input type="hidden" name="below" value={typed(keptBelow, 'below', ids.below)} />
      <TextField label="It shows now" name="shows" value={typed(keptBelow, 'shows')} error={keptBelow?.errors?.shows} />
      <TextField
        label="Drop from the pond to the water below"
        name="drop"
        value={typed(keptBelow, 'drop')}
        error={keptBelow?.errors?.drop}
        help="now, across the dam: a string with a level on it"
      />
      <button class="btn btn-primary">Add the gauge</button>
    </form>
  </details>
{/if}
