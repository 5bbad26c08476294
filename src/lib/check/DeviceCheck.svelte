<script lang="ts">
  import { AGE_CLASSES, BITES, FATES, PELTS, SEXES, SPECIES, STRIKES } from '#core/animals/species';
  import { SLIDE_FIRST, WHERE_MISSING } from '#core/check/advice';
  import { sizeText } from '#core/devices/sizes';
  import { CAUSES, causeText, FLAGS, OUTCOME_HELP, OUTCOMES } from '#core/record/checks';
  import type { DeviceView } from '#core/sets/standing';
  import type { System } from '#core/units/factors';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';

  interface Props {
    device: DeviceView;
    kept: Kept | null;
    system: System;
    /** the outcome that was tapped; empty when this device was not meant */
    first: string;
    many: boolean;
    onSlide: boolean;
    species: string;
    /** what the rulebook says of an animal */
    atCatch: Partial<Record<string, string>>;
    /** who else this set can hold, as the bench has it */
    others: readonly string[];
  }
  let { device, kept, system, first, many, onSlide, species, atCatch, others }: Props = $props();

  const name = (field: string): string => `${device.stay}.${field}`;
  const error = (field: string): string | undefined => kept?.errors?.[name(field)];
  const firstOutcome = (): string => typed(kept, name('outcome'), first === 'other' ? 'plugged' : first);
  let outcome = $state(firstOutcome());
  const firstAnimal = (): string => typed(kept, name('species'), species);
  let animal = $state(firstAnimal());
  const outcomes = $derived([
    ...(many ? [{ value: '', text: 'not looked at' }] : []),
    ...OUTCOMES.map((o) => ({ value: o, text: `${o}: ${OUTCOME_HELP[o]}` })),
  ]);
  /** the animal it is meant for, who else it can hold, then those that nobody expects in it */
  const animals = $derived(
    [
      species,
      ...SPECIES.filter((s) => s !== species && others.includes(s)),
      ...SPECIES.filter((s) => s !== species && !others.includes(s)),
    ].map((value) => ({
      value,
      text: value === species || others.includes(value) || value === 'other' ? value : `${value}, not expected here`,
    })),
  );
  const plain = (list: readonly string[]) => list.map((value) => ({ value, text: value }));
</script>

<fieldset class="sheet">
  <h2>{many ? `${device.label}: ` : ''}{sizeText(device.class, device.size)} {device.tag}</h2>
  <SelectField
    label="Outcome{many ? `, ${device.label.toLowerCase()}` : ''}"
    name={name('outcome')}
    value={outcome}
    options={outcomes}
    onchange={(e) => (outcome = e.currentTarget.value)}
    error={error('outcome')}
  />

  {#if outcome === 'sprung empty'}
    <SelectField
      label="Sprung by what?"
      name={name('cause')}
      value={typed(kept, name('cause'), 'do not know')}
      options={CAUSES.filter((c) => c !== 'not asked').map((c) => ({ value: c, text: causeText(c) }))}
      error={error('cause')}
    />
  {/if}
  {#if outcome === 'missing'}
    <p class="caution">Missing is mostly a catch. Look {WHERE_MISSING.join('; ')}.</p>
    {#if onSlide}
      <label class="tick"
        ><input type="checkbox" class="checkbox" name={name('deepDrawn')} value="yes" checked={ticked(kept, name('deepDrawn'), 'yes')} />
        <span>Deep end drawn, nothing hangs there</span></label
      >
      <p class={error('deepDrawn') ? 'caution' : 'quiet'}>{SLIDE_FIRST}</p>
    {/if}
  {/if}
  {#if outcome === 'missing' || outcome === 'not reached'}
    <TextField
      label={outcome === 'missing' ? 'Where was it looked for?' : 'Why was it not reached?'}
      name={name('searched')}
      value={typed(kept, name('searched'))}
      error={error('searched')}
    />
  {/if}
  {#if outcome === 'catch'}
    {#if atCatch[animal]}<p class="caution" role="status">{atCatch[animal]}</p>{/if}
    <div class="grid grid-cols-2 gap-x-3">
      <SelectField
        label="Species"
        name={name('species')}
        value={animal}
        options={animals}
        onchange={(e) => (animal = e.currentTarget.value)}
        error={error('species')}
      />
      <SelectField
        label="Alive on arrival?"
        name={name('alive')}
        value={typed(kept, name('alive'))}
        options={[{ value: '', text: 'choose' }, ...plain(['no', 'yes'])]}
        error={error('alive')}
      />
      {#if atCatch[animal]}<TextField
          label="Tag on it"
          name={name('tag')}
          value={typed(kept, name('tag'))}
          error={error('tag')}
          help="its number"
        />{/if}
      <SelectField label="Sex" name={name('sex')} value={typed(kept, name('sex'), 'unknown')} options={plain(SEXES)} />
      <SelectField label="Age" name={name('age')} value={typed(kept, name('age'), 'unknown')} options={plain(AGE_CLASSES)} />
      <TextField
        label="Weight"
        name={name('weight')}
        value={typed(kept, name('weight'))}
        error={error('weight')}
        help={system === 'us' ? '44 lb, 2 lb 6 oz' : '20 kg, 650 g'}
        inputmode="text"
      />
      <label class="tick self-center"
        ><input type="checkbox" class="checkbox" name={name('estimated')} value="yes" checked={ticked(kept, name('estimated'), 'yes')} />
        <span>estimated</span></label
      >
    </div>
    <fieldset>
      <legend class="font-semibold">Strike places</legend>
      <div class="ticks">
        {#each STRIKES as s (s)}<label class="tick"
            ><input type="checkbox" class="checkbox" name={name('strikes')} value={s} checked={ticked(kept, name('strikes'), s)} />
            <span>{s}</span></label
          >{/each}
      </div>
    </fieldset>
    <div class="grid grid-cols-2 gap-x-3">
      <SelectField label="Bite marks" name={name('bites')} value={typed(kept, name('bites'), 'not looked')} options={plain(BITES)} />
      <SelectField label="Fate" name={name('fate')} value={typed(kept, name('fate'), 'not said')} options={plain(FATES)} />
      <SelectField label="Pelt" name={name('pelt')} value={typed(kept, name('pelt'), 'not looked')} options={plain(PELTS)} />
    </div>
    <p class="quiet">
      Gloves for carcasses. A live animal: approach, take the tether, dispatch only by means lawful where you are, then log. A closed
      species is released or reported as your agency says.
    </p>
  {/if}
  {#if outcome !== ''}
    <fieldset>
      <legend class="font-semibold">And</legend>
      <div class="ticks">
        {#each FLAGS as f (f)}<label class="tick"
            ><input type="checkbox" class="checkbox" name={name('flags')} value={f} checked={ticked(kept, name('flags'), f)} />
            <span>{f}</span></label
          >{/each}
      </div>
    </fieldset>
  {/if}
</fieldset>

<style>
  .tick {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 44px;
  }
  .ticks {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  }
  .caution {
    color: var(--out);
    font-weight: 600;
    margin-bottom: 6px;
  }
</style>
