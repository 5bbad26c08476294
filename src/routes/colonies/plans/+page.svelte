<script lang="ts">
  import { AFTER_A_MISS, BREAKS, FROSTS, KNOWN_GEAR, PACES, SEEDS, type PickedPlan } from '#core/colony/plans';
  import { MEASURED, type Many } from '#core/sim/colony/seasons';
  import { GEAR } from '#core/sim/colony/rules';
  import { BREAK_WORDS, FROST_WORDS, GEAR_WORDS, KNOWN_WORDS, LEAVES_OUT, MISS_WORDS, PACE_WORDS, planText } from '#core/words/plans';
  import { capital } from '#core/words/say';
  import { grouped } from '#core/units/many';
  import type { Asked, Lived } from '$lib/colony/plansWorker';
  import PlansWorker from '$lib/colony/plansWorker?worker&inline';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import OneSeason from './OneSeason.svelte';
  import Versus from './Versus.svelte';

  let { data } = $props();
  const SEASONS = 1000;
  const { picked, errors } = $derived(data);
  const names = $derived(picked.plans.map(planText) as [string, string]);
  let done = $state(0);
  let found = $state.raw<[Many, Many] | null>(null);

  // the link is the experiment: opened, it is lived
  $effect(() => {
    const worker = new PlansWorker();
    [done, found] = [0, null];
    worker.onmessage = ({ data: lived }: MessageEvent<Lived>): void => {
      done = lived.done;
      if (lived.found) found = lived.found;
    };
    const asked: Asked = { picked, month: data.month, seasons: SEASONS };
    worker.postMessage(asked);
    return () => worker.terminate();
  });

  const options = <T extends string>(values: readonly T[], words: Readonly<Record<T, string>>) =>
    values.map((value) => ({ value, text: words[value] }));
  const inHundred = (seasons: number): string => `${Math.round((seasons / SEASONS) * 100)} in 100 seasons`;
  const PLAN_NAMES = ['first plan', 'second plan'] as const;
</script>

<svelte:head><title>Try a plan · Zaprud</title></svelte:head>

{#snippet plan(own: PickedPlan, at: 'a.' | 'b.', title: string)}
  <fieldset>
    <legend>{capital(title)}</legend>
    <SelectField label="First with" name="{at}gear" value={own.gear} options={options(GEAR, GEAR_WORDS)} error={errors[`${at}gear`]} />
    <TextField label="Traps" name="{at}traps" value={String(own.traps)} error={errors[`${at}traps`]} inputmode="numeric" />
    <SelectField label="Placed" name="{at}pace" value={own.pace} options={options(PACES, PACE_WORDS)} error={errors[`${at}pace`]} />
    <SelectField
      label="The dam"
      name="{at}breaks"
      value={own.breaks}
      options={options(BREAKS, BREAK_WORDS)}
      error={errors[`${at}breaks`]}
    />
    <TextField label="Nights between checks" name="{at}every" value={String(own.every)} error={errors[`${at}every`]} inputmode="numeric" />
    {#if data.law && own.every > data.law.nights}
      <p class="problem">Your line is checked {data.law.said}: this plan looks more rarely.</p>
    {/if}
    <SelectField
      label="After a miss"
      name="{at}miss"
      value={own.miss}
      options={options(AFTER_A_MISS, MISS_WORDS)}
      error={errors[`${at}miss`]}
    />
  </fieldset>
{/snippet}

<div class="page">
  <p>
    <a class="link" href="/colonies">Colonies</a>
    {#if data.like}<a class="link ml-3" href="/colonies/{data.like.id}">{data.like.name}</a>{/if}
  </p>
  <h1>Try a plan</h1>
  {#if data.like}<p>
      How many live there and what they know is from <b>{data.like.name}</b>: {data.like.said} The pond is the model’s, not yours.
    </p>{/if}
  <div class="room">
    <form method="GET" class="picks">
      {#if data.like}<input type="hidden" name="like" value={data.like.id} />{/if}
      {@render plan(picked.plans[0], 'a.', PLAN_NAMES[0])}
      {@render plan(picked.plans[1], 'b.', PLAN_NAMES[1])}
      <details>
        <summary>The pond: {picked.pond.lived} beaver, {picked.pond.nights} nights, {picked.pond.minutes} minutes a day</summary>
        <div class="pond">
          <TextField label="Beaver, on average" name="lived" value={String(picked.pond.lived)} error={errors.lived} inputmode="numeric" />
          <TextField label="Nights" name="nights" value={String(picked.pond.nights)} error={errors.nights} inputmode="numeric" />
          <TextField label="Minutes a day" name="minutes" value={String(picked.pond.minutes)} error={errors.minutes} inputmode="numeric" />
          <SelectField
            label="They know"
            name="knows"
            value={picked.pond.knows}
            options={options(KNOWN_GEAR, KNOWN_WORDS)}
            error={errors.knows}
          />
          <SelectField label="Frost" name="frost" value={picked.pond.frost} options={options(FROSTS, FROST_WORDS)} error={errors.frost} />
          <TextField
            label="Seed"
            name="seed"
            value={String(picked.seed)}
            error={errors.seed}
            inputmode="numeric"
            help="the same seed gives the same colonies and weather, up to {grouped(SEEDS)}"
          />
        </div>
      </details>
      <button class="btn btn-primary">Live {grouped(SEASONS)} seasons</button>
    </form>
    <section aria-live="polite">
      {#if found}
        <p class="key"><span class="first">{names[0]}</span> <span class="second">{names[1]}</span></p>
        {#each MEASURED as what (what)}
          <Versus {what} pair={[found[0].values[what], found[1].values[what]]} names={PLAN_NAMES}>
            {#if what === 'left'}
              <p>
                None left: <b>{inHundred(found[0].cleared)}</b> under the first plan, <b>{inHundred(found[1].cleared)}</b> under the second.
              </p>
            {/if}
          </Versus>
        {/each}
      {:else}
        <p>Living {grouped(SEASONS)} seasons under each plan.</p>
        <progress max={2 * SEASONS} value={done} aria-label="Seasons lived"></progress>
      {/if}
    </section>
  </div>
  <OneSeason {picked} month={data.month} seasons={SEASONS} names={PLAN_NAMES} system={data.who?.person.system ?? 'us'} />
  <p class="quiet mt-4">{LEAVES_OUT}</p>
</div>

<style>
  .room {
    display: grid;
    grid-template-columns: minmax(300px, 460px) minmax(0, 1fr);
    gap: 16px 32px;
    align-items: start;
    margin-top: 8px;
  }
  .picks {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 20px;
  }
  .picks details,
  .picks button {
    grid-column: 1 / -1;
  }
  .pond {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 20px;
  }
  legend {
    font-weight: 750;
  }
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
  }
  progress {
    width: min(24rem, 100%);
    height: 14px;
  }
  .key {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 20px;
    font-weight: 650;
  }
  .key span::before {
    content: '';
    display: inline-block;
    width: 14px;
    height: 14px;
    margin-right: 6px;
    vertical-align: -2px;
    border: 2px solid var(--ink);
    background: var(--ink);
  }
  .key .second::before {
    background: none;
  }
  @media (max-width: 1000px) {
    .room {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
