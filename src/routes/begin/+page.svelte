<script lang="ts">
  import { enhance } from '$app/forms';
  import { onMount } from 'svelte';
  import { WATER_KINDS } from '#core/record/places';
  import Field from '$lib/ui/Field.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import RuleFields from '$lib/ui/RuleFields.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import PlaceFields from '$lib/ui/PlaceFields.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const error = (name: string): string | undefined => kept?.errors?.[name];
  let zone = $derived(typed(kept, 'zone', data.zone));
  let system = $derived(typed(kept, 'system', 'us'));
  const MORE = ['crew', 'line', 'season', 'zone', 'lat', 'lon', 'site', 'every', 'after'];

  onMount(() => {
    if (kept) return;
    zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    // feet and inches are written in these three countries only
    system = /-(US|LR|MM)$/i.test(navigator.language) ? 'us' : 'metric';
  });
</script>

<svelte:head><title>Set up · Zaprud</title></svelte:head>

<div class="page max-w-xl">
  <h1>Set up</h1>
  <p class="quiet mt-1 mb-4">Your name and your first water. Then build the first set there.</p>
  <form method="POST" use:enhance={keeping}>
    <Problem text={kept?.problem} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
    <TextField label="Your name" name="person" value={typed(kept, 'person')} error={error('person')} />
    <TextField label="Name of the water" name="water" value={typed(kept, 'water')} error={error('water')} />
    <SelectField
      label="Kind"
      name="waterKind"
      value={typed(kept, 'waterKind')}
      options={WATER_KINDS.map((value) => ({ value, text: value }))}
    />
    <details class="sheet" open={MORE.some((name) => error(name) !== undefined)}>
      <summary>Units, place, check rule, names</summary>
      <p class="quiet mt-2">From this device and date, or left for later; all of it can be changed.</p>
      <Field label="Units" name="system">
        {#snippet children(attributes)}
          <select class="select w-full" name="system" bind:value={system} {...attributes}>
            <option value="us">inches, feet, pounds</option>
            <option value="metric">centimeters, meters, kilograms</option>
          </select>
        {/snippet}
      </Field>
      <Field label="Time zone" name="zone" error={error('zone')} help="like America/Chicago">
        {#snippet children(attributes)}<input
            class="input w-full"
            name="zone"
            autocomplete="off"
            bind:value={zone}
            {...attributes}
          />{/snippet}
      </Field>
      <PlaceFields {kept} lat="" lon="" />
      <h2 class="mt-3">How often is a set checked?</h2>
      <p class="quiet mb-2">Every 24 hours is assumed until you copy your own rule. Zaprud never says what is lawful.</p>
      <RuleFields {kept} />
      <h2 class="mt-3">Names</h2>
      <TextField label="Crew" name="crew" value={typed(kept, 'crew')} error={error('crew')} help="empty: your name" />
      <TextField label="Name of the line" name="line" value={typed(kept, 'line')} error={error('line')} help="empty: the water’s name" />
      <TextField label="Season" name="season" value={typed(kept, 'season', data.seasonNow)} error={error('season')} />
      <TextField
        label="Site"
        name="site"
        value={typed(kept, 'site')}
        error={error('site')}
        help="owner’s ground; empty: the water’s name"
      />
    </details>
    <button class="btn btn-primary btn-lg mt-4">Begin</button>
  </form>
</div>

<style>
  summary {
    cursor: pointer;
    font-weight: 700;
    min-height: 32px;
    align-content: center;
  }
</style>
