<script lang="ts">
  import { enhance } from '$app/forms';
  import { measuredSentence, parsePoints, printPoints, walkedOn, type Form } from '#core/ground/points';
  import type { Position } from '#core/ground/geodesic';
  import type { Fix } from '#core/sim/outside';
  import { parseLength } from '#core/units/length';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import Walk from './Walk.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  interface Props {
    kept: Kept | null;
    ids: { ground: string; groundEntry: string };
    kinds: readonly string[];
    site: string;
    waters: { value: string; text: string }[];
    stations: { value: string; text: string }[];
    grounds: { value: string; text: string; kind: string; name: string; note: string }[];
    subject: string;
    form: Form;
    text: string;
    drawing: boolean;
    fix: Fix | null;
    system: 'us' | 'metric';
    onsubject: (id: string) => void;
  }
  let {
    kept,
    ids,
    kinds,
    site,
    waters,
    stations,
    grounds,
    subject = $bindable(),
    form = $bindable(),
    text = $bindable(),
    drawing = $bindable(),
    fix,
    system,
    onsubject,
  }: Props = $props();

  const old = $derived(grounds.find((g) => g.value === subject));
  const isStation = $derived(stations.some((s) => s.value === subject));
  const parsed = $derived(parsePoints(text));
  const points = $derived(parsed.ok ? parsed.points : []);
  let bearing = $state('');
  let distance = $state('');
  let walkProblem = $state('');

  function add(at: Position): void {
    text = [isStation ? '' : text.trim(), printPoints([at])].filter(Boolean).join('\n');
  }
  function walk(): void {
    const length = parseLength(distance, system === 'us' ? 'ft' : 'm');
    const angle = Number(bearing);
    walkProblem = '';
    if (bearing.trim() === '' || !Number.isFinite(angle) || angle < 0 || angle > 360)
      walkProblem = 'A bearing is between 0 and 360 degrees.';
    else if (!length.ok) walkProblem = length.sentence;
    else {
      const next = walkedOn(points, angle, length.value);
      if (next) add(next);
      else walkProblem = 'Begin with one place: type it, draw it or mark where you stand.';
    }
  }
</script>

<form method="POST" action="?/ground" class="sheet draw" use:enhance={keeping}>
  <h2>Draw and measure</h2>
  <Problem text={kept?.problem} />
  <input type="hidden" name="ground" value={typed(kept, 'ground', ids.ground)} />
  <input type="hidden" name="groundEntry" value={typed(kept, 'groundEntry', ids.groundEntry)} />
  <input type="hidden" name="site" value={site} />
  <div class="columns">
    <div>
      <label for="f-subject">What</label>
      <select id="f-subject" name="subject" class="select w-full mb-2" bind:value={subject} onchange={() => onsubject(subject)}>
        <option value="">a new piece of ground</option>
        <optgroup label="Ground: a new shape">
          {#each grounds as g (g.value)}<option value={g.value}>{g.text}</option>{/each}
        </optgroup>
        <optgroup label="Location: its place">
          {#each stations as s (s.value)}<option value={s.value}>{s.text}</option>{/each}
        </optgroup>
      </select>
      {#if !isStation}
        <fieldset class="forms">
          <legend>Shape</legend>
          {#each ['point', 'line', 'area'] as const as f (f)}
            <label><input type="radio" name="form" class="radio" value={f} bind:group={form} /> {f}</label>
          {/each}
        </fieldset>
        <SelectField
          label="Kind"
          name="groundKind"
          value={typed(kept, 'groundKind', old?.kind ?? 'stream line')}
          options={kinds.map((k) => ({ value: k, text: k }))}
          error={kept?.errors?.groundKind}
        />
        <TextField label="Name" name="groundName" value={typed(kept, 'groundName', old?.name ?? '')} error={kept?.errors?.groundName} />
        {#if !old}<SelectField
            label="Belongs to"
            name="water"
            value={typed(kept, 'water')}
            options={[{ value: '', text: 'no water' }, ...waters, { value: 'another', text: 'a new water, named like it' }]}
          />{/if}
        <TextField label="Note" name="groundNote" value={typed(kept, 'groundNote', old?.note ?? '')} />
      {/if}
    </div>
    <div>
      <label for="f-points">Places: latitude, longitude, one a line</label>
      <textarea
        id="f-points"
        name="points"
        class="textarea w-full mono"
        rows="6"
        bind:value={text}
        aria-invalid={kept?.errors?.points ? 'true' : undefined}
        aria-describedby="f-points-say"
      ></textarea>
      <p id="f-points-say" class:error={kept?.errors?.points || !parsed.ok} aria-live="polite">
        {kept?.errors?.points ?? (parsed.ok ? measuredSentence(isStation ? 'point' : form, points, system) : parsed.sentence)}
      </p>
      <div class="row">
        <button type="button" class="btn" aria-pressed={drawing} onclick={() => (drawing = !drawing)}
          >{drawing ? 'Stop drawing' : points.length > 0 ? 'Change on the map' : 'Draw on the map'}</button
        >
        <button type="button" class="btn" onclick={() => (text = '')}>Clear</button>
        <Walk {points} {system} simulated={fix} onplace={add} />
      </div>
      <fieldset class="row walk">
        <legend>On by compass and pace</legend>
        <label>Bearing ° <input class="input" bind:value={bearing} inputmode="decimal" /></label>
        <label>Distance <input class="input" bind:value={distance} placeholder={system === 'us' ? '40 ft' : '12 m'} /></label>
        <button type="button" class="btn" onclick={walk}>Add the place</button>
      </fieldset>
      {#if walkProblem}<p class="error" role="alert">{walkProblem}</p>{/if}
    </div>
  </div>
  <button class="btn btn-primary">{isStation ? 'Save the location’s place' : old ? 'Save the new shape' : 'Save to the map'}</button>
</form>

<style>
  .columns {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 8px 24px;
    margin: 8px 0;
  }
  label,
  legend {
    font-weight: 600;
    font-size: 0.93rem;
  }
  .forms {
    display: flex;
    gap: 16px;
    margin-bottom: 8px;
  }
  .forms label {
    display: inline-flex;
    gap: 6px;
    align-items: center;
    min-height: 32px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: end;
    margin: 6px 0;
  }
  .walk .input {
    width: 7rem;
    display: block;
  }
  .error {
    color: var(--out);
    font-weight: 600;
  }
</style>
