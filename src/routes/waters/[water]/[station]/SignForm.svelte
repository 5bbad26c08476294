<script lang="ts">
  import { enhance } from '$app/forms';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  interface Props {
    kept: Kept | null;
    place: string;
    ids: { entry: string; id: string };
    kinds: readonly { id: string; label: string; tells: 'use' | 'contrary' }[];
    species: readonly string[];
    /** the species noted here last */
    usual: string;
    freshnesses: readonly ('hours' | 'days' | 'weeks' | 'old')[];
    nowField: string;
    /** a sign was just saved */
    noted: boolean;
  }
  let { kept, place, ids, kinds, species, usual, freshnesses, nowField, noted }: Props = $props();

  const OLD = { hours: 'hours old', days: 'days old', weeks: 'weeks old', old: 'old' };
  let photoSays = $state('');
  let where = $state({ lat: '', lon: '' });

  /** The photo is made small here, and its position read, before it is sent. */
  async function shrink(event: Event): Promise<void> {
    const input = event.currentTarget as HTMLInputElement;
    const original = input.files?.[0];
    where = { lat: '', lon: '' };
    photoSays = '';
    if (!original) return;
    photoSays = 'Making it smaller …';
    try {
      const { smallPhoto } = await import('$lib/ui/smallPhoto');
      const { file, lat, lon } = await smallPhoto(original);
      const list = new DataTransfer();
      list.items.add(file);
      input.files = list.files;
      where = { lat: lat === null ? '' : String(lat), lon: lon === null ? '' : String(lon) };
      photoSays = `${Math.round(file.size / 1024)} kB, ${lat === null ? 'without a position' : 'with its position'}.`;
    } catch {
      input.value = '';
      photoSays = 'That file is not a photo this browser can read: take a JPEG, PNG or WebP.';
    }
  }
</script>

<form method="POST" action="?/sign" class="sheet" enctype="multipart/form-data" use:enhance={keeping}>
  <h2>Note a sign <span class="at">at {place}</span></h2>
  {#if noted}<p role="status"><b>Noted in the book.</b></p>{/if}
  <Problem text={kept?.problem} />
  <input type="hidden" name="entry" value={typed(kept, 'entry', ids.entry)} />
  <input type="hidden" name="id" value={typed(kept, 'id', ids.id)} />
  <input type="hidden" name="lat" value={where.lat} />
  <input type="hidden" name="lon" value={where.lon} />
  {#each ['use', 'contrary'] as tells (tells)}
    <fieldset>
      <legend>{tells === 'use' ? 'It is used' : 'It is not used'}</legend>
      <div class="taps">
        {#each kinds.filter((k) => k.tells === tells) as kind (kind.id)}
          <label><input type="radio" name="kind" value={kind.id} checked={ticked(kept, 'kind', kind.id)} /><span>{kind.label}</span></label>
        {/each}
      </div>
    </fieldset>
  {/each}
  {#if kept?.errors?.kind}<p class="error">{kept.errors.kind}</p>{/if}
  <button class="btn btn-primary btn-lg w-full mt-3 first">Note it</button>
  <fieldset>
    <legend>How old it looked</legend>
    <div class="taps">
      {#each freshnesses as f (f)}<label
          ><input type="radio" name="freshness" value={f} checked={ticked(kept, 'freshness', f, f === 'hours')} /><span>{OLD[f]}</span
          ></label
        >{/each}
    </div>
  </fieldset>
  <div class="grid grid-cols-2 gap-x-3 mt-2">
    <SelectField
      label="Species"
      name="species"
      value={typed(kept, 'species', usual)}
      options={species.map((s) => ({ value: s, text: s }))}
    />
    <TextField label="How many" name="count" inputmode="numeric" value={typed(kept, 'count')} error={kept?.errors?.count} />
  </div>
  <div class="grid grid-cols-2 gap-x-3">
    <TextField label="Direction" name="direction" value={typed(kept, 'direction')} error={kept?.errors?.direction} />
    <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
  </div>
  <label class="photo" for="f-photo">Photo</label>
  <input
    id="f-photo"
    type="file"
    name="photo"
    accept="image/jpeg,image/png,image/webp"
    class="file-input w-full"
    onchange={shrink}
    aria-describedby="f-photo-say"
  />
  <p id="f-photo-say" class:error={kept?.errors?.photo} aria-live="polite">{kept?.errors?.photo ?? photoSays}</p>
  <details open={[2, 3].some((n) => kept?.errors?.[`count${n}`] !== undefined)}>
    <summary class="cursor-pointer">Another animal with it</summary>
    {#each [2, 3] as n (n)}
      <div class="grid grid-cols-2 gap-x-3">
        <SelectField
          label="{n === 2 ? 'Second' : 'Third'} animal"
          name="species{n}"
          value={typed(kept, `species${n}`)}
          options={[{ value: '', text: 'none' }, ...species.map((s) => ({ value: s, text: s }))]}
        />
        <TextField
          label="How many, {n === 2 ? 'second' : 'third'}"
          name="count{n}"
          inputmode="numeric"
          value={typed(kept, `count${n}`)}
          error={kept?.errors?.[`count${n}`]}
        />
      </div>
    {/each}
  </details>
  <details open={kept?.errors?.at !== undefined}>
    <summary class="cursor-pointer">Found at another time</summary>
    <TimeField label="Found at" name="at" value={typed(kept, 'at', nowField)} error={kept?.errors?.at} />
  </details>
  <button class="btn btn-primary btn-lg w-full mt-3 last">Note it</button>
</form>

<style>
  .at {
    font-weight: 400;
  }
  legend,
  .photo {
    font-weight: 600;
    margin: 14px 0 4px;
    display: block;
  }
  .taps {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .taps label {
    position: relative;
  }
  .taps input {
    position: absolute;
    opacity: 0;
    inset: 0;
  }
  .taps span {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    padding: 4px 12px;
    border: 1.5px solid var(--mute);
    background: var(--paper);
    font-weight: 600;
  }
  .taps input:checked + span {
    background: var(--ink);
    color: var(--paper);
    border-color: var(--ink);
  }
  .taps input:focus-visible + span {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  .error {
    color: var(--out);
    font-weight: 700;
  }
  .first {
    display: none;
  }
  @media (max-width: 820px) {
    /* two taps and done: the kind, then this; on a phone it stays over the thumb */
    .taps span {
      min-height: 56px;
    }
    .first {
      display: flex;
      position: sticky;
      bottom: 8px;
      min-height: 60px;
      z-index: 2;
    }
    .last {
      display: none;
    }
  }
</style>
