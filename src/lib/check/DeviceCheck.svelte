<script lang="ts">
  import { AGE_CLASSES, BITES, EATERS, FATES, LAYS, PELTS, SEXES, SPECIES, STRIKES } from '#core/animals/species';
  import { SLIDE_FIRST, WHERE_MISSING } from '#core/check/advice';
  import { sizeText } from '#core/devices/sizes';
  import { BAIT_BY, CAUSES, causeText, FELT, FELT_AFTER, FLAGS, isBaitGone, OUTCOME_HELP, OUTCOMES } from '#core/record/checks';
  import type { DeviceView } from '#core/sets/standing';
  import type { System } from '#core/units/factors';
  import { page } from '$app/state';
  import Chips from '$lib/ui/Chips.svelte';
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
  const firstAlive = (): string => typed(kept, name('alive'), page.url.searchParams.get('alive') ?? '');
  let alive = $state(firstAlive());
  const firstFelt = (): string => typed(kept, name('felt'), 'not said');
  let felt = $state(firstFelt());
  const firstPelt = (): string => typed(kept, name('pelt'), page.url.searchParams.get('pelt') ?? 'not looked');
  let pelt = $state(firstPelt());
  const firstFlags = (): string[] => FLAGS.filter((f) => ticked(kept, name('flags'), f));
  let flags = $state<string[]>(firstFlags());
  const firstBait = (): string => typed(kept, name('baitBy'), 'not said');
  let baitBy = $state(firstBait());
  const firstLay = (): string => typed(kept, name('lay'), 'not said');
  let lay = $state(firstLay());
  /** of several traps each has its own, in one tap */
  const usual = $derived<readonly string[]>([
    'untouched',
    'catch',
    'sprung empty',
    device.class === 'foothold' ? 'missing' : 'knocked',
    'not reached',
  ]);
  const firstOther = (): boolean => outcome !== '' && !usual.includes(outcome);
  let isOther = $state(firstOther());
  function pick(value: string): void {
    isOther = value === 'other';
    outcome = isOther ? 'plugged' : value;
  }
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
  {#if many && !isOther}
    <Chips
      legend="Outcome, {device.label.toLowerCase()}"
      name={name('outcome')}
      options={[
        { value: '', text: 'not looked at' },
        ...usual.map((o) => ({ value: o, text: o })),
        { value: 'other', text: 'something else' },
      ]}
      chosen={[outcome]}
      onpick={pick}
      error={error('outcome')}
    />
  {:else}
    <SelectField
      label="Outcome{many ? `, ${device.label.toLowerCase()}` : ''}"
      name={name('outcome')}
      value={outcome}
      options={outcomes}
      onchange={(e) => (outcome = e.currentTarget.value)}
      error={error('outcome')}
    />
  {/if}

  {#if outcome === 'sprung empty'}
    <SelectField
      label="Sprung by what?"
      name={name('cause')}
      value={typed(kept, name('cause'), 'do not know')}
      options={CAUSES.filter((c) => c !== 'not asked').map((c) => ({ value: c, text: causeText(c) }))}
      error={error('cause')}
    />
  {/if}
  {#if FELT_AFTER.some((o) => o === outcome)}
    <Chips
      legend="What did it feel?"
      name={name('felt')}
      options={FELT.map((value) => ({ value, text: value === 'not said' ? 'not known' : value }))}
      chosen={[felt]}
      onpick={(value) => (felt = value)}
      error={error('felt')}
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
  {#if outcome === 'missing' || outcome === 'stolen' || outcome === 'not reached'}
    <TextField
      label={outcome === 'not reached' ? 'Why was it not reached?' : 'Where was it looked for?'}
      name={name('searched')}
      value={typed(kept, name('searched'))}
      error={error('searched')}
    />
  {/if}
  {#if outcome === 'catch'}
    <Chips
      legend="Alive on arrival?"
      name={name('alive')}
      options={[
        { value: 'no', text: 'dead' },
        { value: 'yes', text: 'alive' },
      ]}
      chosen={[alive]}
      onpick={(value) => (alive = value)}
      error={error('alive')}
    />
    {#if alive === 'yes'}
      <p class="caution" role="status">
        Alive: from its side, not over it. Take the tether first. Dispatch or let it go only by means lawful where you are and by who may;
        then log it. A closed species is let go or reported as your agency says.
      </p>
    {/if}
    <Chips
      legend="Species"
      name={name('species')}
      options={animals}
      chosen={[animal]}
      onpick={(value) => (animal = value)}
      error={error('species')}
    />
    {#if atCatch[animal]}
      <p class="caution" role="status">{atCatch[animal]}</p>
      <TextField label="Tag on it" name={name('tag')} value={typed(kept, name('tag'))} error={error('tag')} help="its number" />
    {/if}
    <Chips
      legend="Struck where?"
      name={name('strikes')}
      options={plain(STRIKES)}
      chosen={STRIKES.filter((s) => ticked(kept, name('strikes'), s))}
      many
    />
    {#if onSlide}
      <Chips
        legend="Where did it lie?"
        name={name('lay')}
        options={LAYS.map((value) => ({ value, text: value === 'not said' ? 'not said' : value }))}
        chosen={[lay]}
        onpick={(value) => (lay = value)}
        error={error('lay')}
      />
    {/if}
    <div class="grid grid-cols-2 gap-x-3">
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
      <SelectField label="Bite marks" name={name('bites')} value={typed(kept, name('bites'), 'not looked')} options={plain(BITES)} />
      <SelectField label="Fate" name={name('fate')} value={typed(kept, name('fate'), 'not said')} options={plain(FATES)} />
      <SelectField label="Pelt" name={name('pelt')} value={pelt} onchange={(e) => (pelt = e.currentTarget.value)} options={plain(PELTS)} />
      {#if pelt === 'eaten' || pelt === 'chewed'}
        <SelectField label="Eaten by" name={name('eatenBy')} value={typed(kept, name('eatenBy'), 'not said')} options={plain(EATERS)} />
      {/if}
    </div>
    <p class="quiet">Gloves for carcasses.</p>
  {/if}
  {#if outcome !== ''}
    <fieldset>
      <legend class="font-semibold">And</legend>
      <div class="ticks">
        {#each FLAGS as f (f)}<label class="tick"
            ><input type="checkbox" class="checkbox" name={name('flags')} value={f} bind:group={flags} />
            <span>{f}</span></label
          >{/each}
      </div>
    </fieldset>
    {#if isBaitGone(outcome as (typeof OUTCOMES)[number], flags)}
      <Chips
        legend="Bait taken by whom?"
        name={name('baitBy')}
        options={BAIT_BY.map((value) => ({ value, text: value === 'not said' ? 'not known' : value }))}
        chosen={[baitBy]}
        onpick={(value) => (baitBy = value)}
        error={error('baitBy')}
      />
    {/if}
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
