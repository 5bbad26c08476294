<script lang="ts">
  import { onMount } from 'svelte';
  import Leaving from '$lib/ui/Leaving.svelte';
  import { USED_BEFORE } from '#core/check/advice';
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import { foundAt, rearmed } from '#core/check/rearmed';
  import { ANSWERS, CHANGES } from '#core/record/checks';
  import type { System } from '#core/units/factors';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import Asked from '$lib/ui/Asked.svelte';
  import Chips from '$lib/ui/Chips.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import Arming from '$lib/ui/Arming.svelte';
  import type { SubmitFunction } from '@sveltejs/kit';
  import type { checkPage } from '#lib/check/page';
  import PhotoField from './PhotoField.svelte';
  import type { KeptPhoto } from '$lib/field/store';
  import DeviceCheck from './DeviceCheck.svelte';

  interface Props {
    data: ReturnType<typeof checkPage> & { ids: { entry: string; id: string } };
    kept: Kept | null;
    system: System;
    /** who checks, unless somebody else is named */
    person: string;
    /** what becomes of the form */
    send: SubmitFunction;
    keepPhoto: (photo: KeptPhoto) => Promise<void>;
    outcome: string;
    /** counted since somebody tapped that he is here */
    minutes: string;
  }
  let { data, kept, system, person, send, keepPhoto, outcome, minutes }: Props = $props();

  const MOSTLY_REMADE = ['catch', 'sprung empty', 'knocked', 'plugged', 'miss', 'escaped', 'buried', 'bait taken'];

  /** as somebody typed it: the clock does not write over it */
  let took = $state<string | null>(null);
  const many = $derived(data.view.devices.length > 1);
  const firstChange = (): string =>
    typed(
      kept,
      'change',
      page.url.searchParams.get('then') ??
        (page.url.searchParams.has('remade') || MOSTLY_REMADE.includes(outcome) ? 'remade' : 'as it was'),
    );
  let change = $state(firstChange());
  let form = $state<HTMLFormElement>();
  /** the fields as they stand; a form that was not touched yet says what was tapped before it */
  let typedNow = $state.raw<FormData | null>(null);
  onMount(() => void (typedNow = new FormData(form)));
  const remade = $derived(change === 'remade' || change === 'moved');
  /** only what a hand was laid on is armed again */
  const arming = $derived.by(() => {
    const now = typedNow;
    if (!now) return data.arming;
    const found = data.view.devices.map(({ stay }) => {
      const [outcome, flags] = [now.get(`${stay}.outcome`), now.getAll(`${stay}.flags`)];
      return { stay, outcome: String(outcome ?? ''), flags: flags.map(String) };
    });
    const stays = rearmed(
      foundAt(data.view.devices, found),
      change as (typeof CHANGES)[number],
      !['', '0'].includes(String(now.get('lower') ?? '').trim()),
    );
    const positions = data.view.devices.filter((d) => stays.includes(d.stay)).map((d) => d.position);
    return data.arming.filter((group) => positions.includes(group.position));
  });
  const asksTwice = $derived(data.asks && outcome === 'untouched' && change !== 'pulled');
  const answers = ANSWERS.filter((a) => a !== 'not asked').map((a) => ({ value: a, text: a }));
  const BREAK_NOW = [
    { value: '', text: 'not looked' },
    { value: 'open', text: 'open still' },
    { value: 'plugged', text: 'plugged' },
  ];
  const firstBreak = (): string => typed(kept, 'breakNow');
  let breakNow = $state(firstBreak());
  const unit = $derived(system === 'us' ? 'inches' : 'centimetres');
</script>

<form
  method="POST"
  action="?/save"
  class="detail"
  use:enhance={send}
  bind:this={form}
  oninput={(e) => (typedNow = new FormData(e.currentTarget))}
>
  <Problem text={kept?.problem} />
  <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
  <Leaving {kept} />
  <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
  <Opened entry={data.opened} {kept} />
  {#if kept?.errors?.devices}<p class="bad">{kept.errors.devices}</p>{/if}
  {#each data.view.devices as device, i (device.stay)}
    <DeviceCheck
      {device}
      {kept}
      {system}
      first={i === 0 || !many || outcome === 'untouched' ? outcome : ''}
      {many}
      onSlide={data.onSlide}
      species={data.view.species}
      atCatch={data.atCatch}
      others={data.others}
    />
  {/each}

  {#if asksTwice}
    <fieldset class="sheet">
      <h2>Untouched twice in a row</h2>
      <SelectField label="Seen on camera?" name="seenOnCamera" value={typed(kept, 'seenOnCamera', 'do not know')} options={answers} />
      <SelectField label="Place in use?" name="inUse" value={typed(kept, 'inUse', 'do not know')} options={answers} />
      <SelectField
        label="What was used here before?"
        name="usedBefore"
        value={typed(kept, 'usedBefore', 'not known')}
        options={USED_BEFORE.map((u) => ({ value: u, text: u }))}
      />
    </fieldset>
  {/if}

  <fieldset class="sheet">
    <h2>Then</h2>
    <Chips
      legend="The set was left"
      name="change"
      options={CHANGES.map((c) => ({ value: c, text: c }))}
      chosen={[change]}
      onpick={(value) => (change = value)}
      error={kept?.errors?.change}
    />
    <TextField
      label="Set lower by"
      name="lower"
      value={typed(kept, 'lower', page.url.searchParams.has('remade') ? data.lower : '')}
      error={kept?.errors?.lower}
      help="only for a remake, in {unit}; negative when higher"
    />
    <TextField
      label="Changed how"
      name="changeNote"
      value={typed(kept, 'changeNote')}
      error={kept?.errors?.changeNote}
      help="cover, fence, scent or bait; or left blind"
    />
    {#if data.supplies.length > 0}
      <details open={kept?.errors?.usedStock !== undefined || kept?.errors?.usedAmount !== undefined}>
        <summary>Used from the shed</summary>
        <div class="grid grid-cols-2 gap-x-3">
          <SelectField
            label="What was used"
            name="usedStock"
            value={typed(kept, 'usedStock')}
            options={[{ value: '', text: 'nothing' }, ...data.supplies.map((s) => ({ value: s.id, text: s.text }))]}
            error={kept?.errors?.usedStock}
          />
          <TextField
            label="How much"
            name="usedAmount"
            value={typed(kept, 'usedAmount')}
            error={kept?.errors?.usedAmount}
            help="empty: 1"
          />
        </div>
      </details>
    {/if}
    {#if remade}
      <p class="quiet mt-2">
        A remake: old sticks out, anchor still firm, trigger looked at. {data.remake} Then arm it again.
        {#if data.lying.length > 0}<b>Lies here: {data.lying.join('; ')}.</b>{/if}
      </p>
      <Arming groups={arming} {kept} state="live" />
    {:else}
      <noscript
        ><p>If you remade it, answer the arming check:</p>
        <Arming groups={data.arming} {kept} state="live" /></noscript
      >
      {#if kept?.errors?.arm}<p class="bad">{kept.errors.arm}</p>{/if}
    {/if}
  </fieldset>

  <fieldset class="sheet">
    <h2>The water</h2>
    <TextField
      label="Seen at the set"
      name="seen"
      value={typed(kept, 'seen')}
      error={kept?.errors?.seen}
      help="“pan 4 in dry”, “3 in under”, or only “dry”: it counts as a reading"
    />
    {#if data.openBreak}
      <Chips legend="The break" name="breakNow" options={BREAK_NOW} chosen={[breakNow]} onpick={(value) => (breakNow = value)} />
      {#if breakNow === 'plugged'}
        <TimeField
          label="Plugged at about"
          name="mended"
          value={typed(kept, 'mended')}
          error={kept?.errors?.mended}
          help="empty: by now, when is not known"
        />
      {/if}
    {/if}
    {#if data.isFrozen}
      <TextField
        label="Ice{data.hole ? ` at hole ${data.hole}` : ''}"
        name="ice"
        value={typed(kept, 'ice')}
        error={kept?.errors?.ice}
        help="as the tape shows it, in {unit}; it moves the ice of every set here"
      />
    {/if}
    <Asked name="level" {kept} />
    <TextField
      label="Level on the gauge"
      name="level"
      value={typed(kept, 'level')}
      error={kept?.errors?.level}
      help="if you read it, in {unit}"
    />
  </fieldset>

  <fieldset class="sheet">
    <TimeField label="Checked at" name="at" value={typed(kept, 'at', data.nowField)} error={kept?.errors?.at} />
    <SelectField
      label="Checked by"
      name="by"
      value={typed(kept, 'by', person)}
      options={data.people.map((p) => ({ value: p.id, text: p.name }))}
      error={kept?.errors?.by}
    />
    <TextField
      label="Minutes here"
      name="took"
      value={took ?? typed(kept, 'took', minutes)}
      oninput={(e) => (took = e.currentTarget.value)}
      error={kept?.errors?.took}
      help="empty: not counted; after three, your own times stand in the plan of the day"
    />
    <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
    <PhotoField {kept} crew={data.crew} keep={keepPhoto} />
  </fieldset>
  <div class="save"><button class="btn btn-primary btn-lg w-full">Save the check</button></div>
</form>

<style>
  .detail {
    display: grid;
    gap: 12px;
    padding: 0 12px 12px;
  }
  .bad {
    color: var(--out);
    font-weight: 700;
  }
  .save {
    position: sticky;
    bottom: 0;
    padding: 8px 0;
    background: var(--paper);
  }
  .save button {
    min-height: 60px;
  }
</style>
