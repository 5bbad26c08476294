<script lang="ts">
  import { enhance } from '$app/forms';
  import type { Snippet } from 'svelte';
  import type { System } from '#core/units/factors';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import { SURFACES } from './surfaces';

  interface Props {
    kept: Kept | null;
    ids: { entry: string; id: string };
    kinds: readonly string[];
    next: number;
    system: System;
    hasTail: boolean;
    /** where it was tapped: on the section or on the map */
    at: { along: string; lat: string; lon: string; from: string } | null;
    /** the forms of the gauges, that stand beside */
    gauges: Snippet;
  }
  let { kept, ids, kinds, next, system, hasTail, at, gauges }: Props = $props();

  const small = $derived(system === 'us' ? 'inches' : 'centimetres');
  const wasStation = $derived(kept?.values?.along !== undefined);
  let isOpen = $derived(wasStation || at !== null);
  let nameField = $state<HTMLElement>();
  $effect(() => {
    if (at) nameField?.querySelector('input')?.focus();
  });
</script>

<div class="two">
  {@render gauges()}
  <details class="sheet" bind:open={isOpen}>
    <summary class="font-bold cursor-pointer">Add a location</summary>
    <!-- anew once a place was added: nothing of it goes into the next -->
    {#key next}
      <form method="POST" action="?/station" class="mt-3" use:enhance={keeping}>
        <input type="hidden" name="entry" value={wasStation ? typed(kept, 'entry', ids.entry) : ids.entry} />
        <input type="hidden" name="id" value={wasStation ? typed(kept, 'id', ids.id) : ids.id} />
        <div class="grid grid-cols-[5rem_1fr] gap-3">
          <TextField
            label="Number"
            name="number"
            inputmode="numeric"
            value={typed(kept, 'number', String(next))}
            error={kept?.errors?.number}
          />
          <div bind:this={nameField}><TextField label="Name" name="name" value={typed(kept, 'name')} error={kept?.errors?.name} /></div>
        </div>
        <input type="hidden" name="lat" value={typed(kept, 'lat', at?.lat)} />
        <input type="hidden" name="lon" value={typed(kept, 'lon', at?.lon)} />
        <SelectField
          label="Kind"
          name="kind"
          value={typed(kept, 'kind', 'run')}
          options={kinds.map((k) => ({ value: k, text: k }))}
          error={kept?.errors?.kind}
        />
        {#if hasTail}<SelectField label="It hangs on" name="surface" value={typed(kept, 'surface')} options={SURFACES} />{/if}
        <TextField
          label="Along the shore from the inlet"
          name="along"
          value={typed(kept, 'along', at?.along)}
          error={kept?.errors?.along}
          help={at?.along ? at.from : `in ${system === 'us' ? 'feet' : 'metres'}`}
        />
        <TextField
          label="Depth there now"
          name="depth"
          value={typed(kept, 'depth')}
          error={kept?.errors?.depth}
          help="in {small}, or a body word: knee. May stay empty"
        />
        <TextField
          label="Crest or top over the gauge’s zero"
          name="crest"
          value={typed(kept, 'crest')}
          error={kept?.errors?.crest}
          help="dam or lodge only, in {small}"
        />
        <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
        <button class="btn btn-primary">Add the location</button>
      </form>
    {/key}
  </details>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 16px;
    margin-top: 20px;
    align-items: start;
  }
</style>
