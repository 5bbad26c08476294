<script lang="ts">
  import { enhance } from '$app/forms';
  import Problem from '$lib/ui/Problem.svelte';
  import RuleFields from '$lib/ui/RuleFields.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const error = (name: string): string | undefined => kept?.errors?.[name];
</script>

<svelte:head><title>Set up · Zaprud</title></svelte:head>

<div class="page max-w-4xl">
  <h1>Set up</h1>
  <p class="quiet mt-1 mb-4">
    The record is empty. Say who works, where the line lies, and the first water; then add its stations and place the first set.
  </p>
  <form method="POST" use:enhance={keeping}>
    <Problem text={kept?.problem} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
    <div class="cols">
      <fieldset class="sheet">
        <h2>Who</h2>
        <TextField label="Crew" name="crew" value={typed(kept, 'crew')} error={error('crew')} />
        <TextField label="Your name" name="person" value={typed(kept, 'person')} error={error('person')} />
        <SelectField
          label="Units"
          name="system"
          value={typed(kept, 'system')}
          options={[
            { value: 'us', text: 'inches, feet, pounds' },
            { value: 'metric', text: 'centimetres, metres, kilograms' },
          ]}
        />
      </fieldset>
      <fieldset class="sheet">
        <h2>The line</h2>
        <TextField label="Name of the line" name="line" value={typed(kept, 'line')} error={error('line')} />
        <TextField label="Season" name="season" value={typed(kept, 'season', '1')} error={error('season')} />
        <TextField label="Time zone" name="zone" value={typed(kept, 'zone', data.zone)} error={error('zone')} help="America/Chicago" />
        <div class="grid grid-cols-2 gap-x-4">
          <TextField label="Latitude" name="lat" value={typed(kept, 'lat')} error={error('lat')} inputmode="text" />
          <TextField label="Longitude" name="lon" value={typed(kept, 'lon')} error={error('lon')} inputmode="text" />
        </div>
      </fieldset>
      <fieldset class="sheet">
        <h2>How often is a set checked?</h2>
        <p class="quiet mb-2">From your own rulebook. Zaprud never says what is lawful.</p>
        <RuleFields {kept} />
      </fieldset>
      <fieldset class="sheet">
        <h2>The first water</h2>
        <TextField label="Site" name="site" value={typed(kept, 'site')} error={error('site')} help="owner’s ground on which it lies" />
        <TextField label="Name of the water" name="water" value={typed(kept, 'water')} error={error('water')} />
        <SelectField
          label="Kind"
          name="waterKind"
          value={typed(kept, 'waterKind')}
          options={[
            { value: 'pond', text: 'pond' },
            { value: 'stream', text: 'stream' },
            { value: 'ditch', text: 'ditch' },
          ]}
        />
      </fieldset>
    </div>
    <button class="btn btn-primary btn-lg mt-4">Begin</button>
  </form>
</div>

<style>
  .cols {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 16px;
  }
</style>
