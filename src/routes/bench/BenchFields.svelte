<script lang="ts">
  import type { System } from '#core/units/factors';
  import type { BenchData } from '$lib/server/benchData';
  import Asked from '$lib/ui/Asked.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import Field from '$lib/ui/Field.svelte';
  import type { Kept } from '$lib/ui/kept';
  import NumberFields from '$lib/bench/NumberFields.svelte';
  import type { BenchDesign } from '$lib/bench/design.svelte';

  interface Props {
    bench: BenchData;
    it: BenchDesign;
    kept: Kept | null;
    system: System;
    /** numbers come from another set: the hand begins at the first of them */
    copied?: boolean;
  }
  let { bench, it, kept, system, copied = false }: Props = $props();
  const type = $derived(it.type);
  const fields = $derived(it.fields);

  const STATES = [
    { value: 'live', text: 'live: it fishes from now' },
    { value: 'prepared', text: 'prepared: set on a later date' },
    { value: 'planned', text: 'planned: left unset for now' },
    ...['pulled'].map((value) => ({ value, text: 'pulled' })),
  ];
  const states = $derived(STATES.filter((s) => s.value !== 'pulled' || bench.fields.state === 'pulled'));
  const error = (name: string): string | undefined => kept?.errors?.[name];
</script>

<section>
  <h2>What is seen and measured</h2>
  <NumberFields {bench} {it} {kept} {system} {copied} />
  <Asked name="level" {kept} />
  <Field
    label="Level on the gauge now"
    name="level"
    error={error('level')}
    help={bench.levels.known[bench.station.surface] === undefined
      ? 'never read: a live set needs it. Without a gauge drive a stake, call the water on it 0, and type 0'
      : 'left empty, the last reading stands'}
  >
    {#snippet children(attributes)}<input
        class="input w-full"
        name="level"
        autocomplete="off"
        bind:value={fields.level}
        {...attributes}
      />{/snippet}
  </Field>
</section>

<section>
  <h2>The set</h2>
  <div class="grid grid-cols-[5rem_1fr] gap-3">
    <Field label="Number" name="number" error={error('number')}>
      {#snippet children(attributes)}<input
          class="input w-full"
          name="number"
          inputmode="numeric"
          bind:value={fields.number}
          {...attributes}
        />{/snippet}
    </Field>
    <Field label="Name" name="name" error={error('name')}>
      {#snippet children(attributes)}<input class="input w-full" name="name" bind:value={fields.name} {...attributes} />{/snippet}
    </Field>
  </div>
  {#each type.positions as position (position.id)}
    <Field
      label="{position.label}, by tag"
      name="d.{position.id}"
      error={error(`d.${position.id}`) ?? (position.optional ? undefined : error('d'))}
      help={position.optional ? 'may stay empty' : ''}
    >
      {#snippet children(attributes)}
        <select class="select w-full" name="d.{position.id}" bind:value={fields[`d.${position.id}`]} {...attributes}>
          <option value="">none</option>
          {#each bench.shed as device (device.id)}<option value={device.id}>{device.text}</option>{/each}
          {#if bench.unfit.length > 0}<optgroup label="Do not fit: it takes a {bench.takes}">
              {#each bench.unfit as text (text)}<option disabled>{text}</option>{/each}
            </optgroup>{/if}
        </select>
      {/snippet}
    </Field>
  {/each}
  <Field label="Meant for" name="species" error={error('species')}>
    {#snippet children(attributes)}
      <select class="select w-full" name="species" bind:value={fields.species} {...attributes}>
        {#each ['beaver', 'muskrat', 'mink', 'otter', 'raccoon', 'other'] as s (s)}<option value={s}>{s}</option>{/each}
      </select>
    {/snippet}
  </Field>
  <Field
    label="Anchored to what, where"
    name="anchor"
    error={error('anchor')}
    help="which log, which side: it is how the trap is found again"
  >
    {#snippet children(attributes)}<input class="input w-full" name="anchor" bind:value={fields.anchor} {...attributes} />{/snippet}
  </Field>
  {#if type.underIce}
    <Field label="Hole number" name="hole" error={error('hole')} help="as it is flagged">
      {#snippet children(attributes)}<input class="input w-full" name="hole" bind:value={fields.hole} {...attributes} />{/snippet}
    </Field>
  {/if}
  <Field label="State" name="state" error={error('state')}>
    {#snippet children(attributes)}
      <select class="select w-full" name="state" bind:value={fields.state} {...attributes}>
        {#each states as s (s.value)}<option value={s.value}>{s.text}</option>{/each}
      </select>
    {/snippet}
  </Field>
  <div class:only-script={fields.state !== 'prepared'}>
    <Field label="To be set on" name="opens" error={error('opens')} help="for a set that is ready, not armed: no check is due before">
      {#snippet children(attributes)}<input
          class="input w-full"
          type="date"
          name="opens"
          bind:value={fields.opens}
          {...attributes}
        />{/snippet}
    </Field>
  </div>
  <div class:only-script={fields.state !== 'planned'}>
    <Field label="Left unset because" name="leftBecause" error={error('leftBecause')}>
      {#snippet children(attributes)}<input
          class="input w-full"
          name="leftBecause"
          bind:value={fields.leftBecause}
          {...attributes}
        />{/snippet}
    </Field>
  </div>
  <TimeField label="At" name="at" value={fields.at ?? ''} error={error('at')} />
  {#if fields.state === 'live' && !(bench.held && bench.fields.state === 'live')}
    <Field label="Minutes it took" name="took" error={error('took')} help="empty: not counted">
      {#snippet children(attributes)}<input
          class="input w-full"
          inputmode="decimal"
          name="took"
          bind:value={fields.took}
          {...attributes}
        />{/snippet}
    </Field>
  {/if}
  <Field label="Note" name="note" error={error('note')}>
    {#snippet children(attributes)}<input class="input w-full" name="note" bind:value={fields.note} {...attributes} />{/snippet}
  </Field>
</section>

<style>
  section {
    margin-top: 14px;
  }
  h2 {
    margin-bottom: 6px;
  }
  @media (scripting: enabled) {
    .only-script {
      display: none;
    }
  }
</style>
