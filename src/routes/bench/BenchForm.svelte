<script lang="ts">
  import { ordersOf } from '#core/sets/secondTie';
  import Leaving from '$lib/ui/Leaving.svelte';
  import OriginKey from '$lib/ui/OriginKey.svelte';
  import { enhance } from '$app/forms';
  import { tick, untrack } from 'svelte';
  import type { System } from '#core/units/factors';
  import { capital } from '#core/words/say';
  import { inWords } from '#core/units/inWords';
  import type { BenchData } from '$lib/server/benchData';
  import Steps from '$lib/ui/Steps.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import Arming from '$lib/ui/Arming.svelte';
  import BenchFields from './BenchFields.svelte';
  import Beside from './Beside.svelte';
  import BreakFields from './BreakFields.svelte';
  import CarryList from './CarryList.svelte';
  import Drawings from '$lib/bench/Drawings.svelte';
  import Findings from '$lib/bench/Findings.svelte';
  import LureFields from './LureFields.svelte';
  import Others from './Others.svelte';
  import Remarks from '$lib/bench/Remarks.svelte';
  import Ruled from './Ruled.svelte';
  import Schools from './Schools.svelte';
  import { remedySays, type Remedy } from '#core/water/remedy';
  import { worst } from '#core/water/state';
  import StateMark from '$lib/ui/StateMark.svelte';
  import { benchDesign } from '$lib/bench/design.svelte';

  interface Props {
    bench: BenchData;
    kept: Kept | null;
    system: System;
    title: string;
    isNew?: boolean;
    /** what the forecast asks of it as it was saved */
    ordered?: Remedy | null;
  }
  let { bench, kept, system, title, isNew = false, ordered = null }: Props = $props();

  // the form is made anew for another set: its page keys it
  const it = untrack(() => benchDesign(bench, () => kept, system, ordered));
  /** what was built or left at the place and is still there */
  const lies = $derived(bench.station.lies.filter((l) => !l.gone));
  let form: HTMLFormElement;
  /** what speaks for the set, in view while lengths are typed on a small screen; the findings are its accessible twin */
  const state = $derived(worst(it.states));

  /** after a refusal the hand goes on where something is wrong: the first such field, or the first open question */
  $effect(() => {
    if (!kept?.errors) return;
    void tick().then(() => {
      const wrong =
        form.querySelector<HTMLElement>('[aria-invalid="true"]') ?? form.querySelector<HTMLElement>('input[name="arm"]:not(:checked)');
      wrong?.focus();
    });
  });
</script>

<form method="POST" action={isNew ? undefined : '?/save'} class="page bench" use:enhance={keeping} bind:this={form}>
  <Leaving {kept} />
  <input type="hidden" name="entry" value={typed(kept, 'entry', bench.ids.entry)} />
  <input type="hidden" name="id" value={typed(kept, 'id', bench.ids.id)} />
  <p class="now" aria-hidden="true">
    {#if state}<StateMark verdict={state.verdict} /><span><b>{state.label}</b> {remedySays(state.remedy)}</span>{:else}Choose a trap{/if}
  </p>
  <div class="head">
    <h1>{title}</h1>
    <p class="quiet">
      {bench.waterName}, {bench.station.kind},
      <a class="link" href="/bench/catalogue/{it.type.id}">{it.type.name.toLowerCase()}</a>
    </p>
    {#if lies.length > 0}
      <details>
        <summary>Lies here</summary>
        {#each lies as l (l.id)}<p>{capital(l.what)}{l.where ? `: ${l.where}` : ''}.</p>{/each}
      </details>
    {/if}
    {#if bench.copied}<p>Copied from <b>{bench.copied}</b>: change what differs here.</p>{/if}
    <Problem text={kept?.problem} />
    <Opened entry={bench.opened} {kept} />
  </div>
  <div class="left">
    <BenchFields {bench} {it} {kept} {system} copied={isNew && bench.copied !== ''} />
    <LureFields {bench} {it} {kept} />
    <OriginKey />
  </div>
  <div class="middle">
    <Drawings {it} {title} {system} surface={bench.station.surface} />
    {#if bench.ice}<p class="mt-2"><b>{bench.ice.text}</b></p>{/if}
    <Beside {it} {title} />
    <h2 class="mt-4">Gear list</h2>
    <CarryList items={it.carry} {system} />
    <details class="mt-4" open={isNew}>
      <summary><h2>In this order</h2></summary>
      <Steps device={it.atWork.device} orders={ordersOf(it.type, it.atWork)} {system} />
    </details>
  </div>
  <div class="right">
    <Findings
      states={it.states}
      findings={it.findings}
      measured={it.measured}
      {system}
      higher={it.higher}
      aims={it.aims}
      disputed={(it.type.disputed ?? []).map((text) => inWords(text, system))}
      names={Object.fromEntries(it.type.positions.map((p) => [p.id, p.label]))}
    />
    <Remarks {it} overruled={bench.overruled} {kept} {system} />
    <Others others={it.others} rules={bench.rules} />
    <Schools {it} />
    <Ruled {bench} {it} {kept} {system} />
    <Arming groups={it.arming} {kept} state={it.fields.state ?? 'live'} repeat={!isNew && bench.fields.state === 'live' && it.isAsHeld} />
    {#if bench.opens && it.fields.state === 'live'}<BreakFields opens={bench.opens} {kept} />{/if}
    {#if it.fields.state === 'live' && (it.doubtful.length > 0 || kept?.errors?.despite)}
      <TextField
        label="It goes live all the same, because"
        name="despite"
        value={typed(kept, 'despite')}
        error={kept?.errors?.despite}
        help="it fails by: {it.doubtful.join(', ')}"
      />
    {/if}
    <Problem text={kept?.problem} quiet />
    <button class="btn btn-primary btn-lg w-full mt-3">{isNew ? 'Save the set' : 'Save the changes'}</button>
    <p class="quiet small mt-2">Zaprud never says what is legal.</p>
  </div>
</form>

<style>
  .bench {
    display: grid;
    grid-template: 'head middle right' auto 'left middle right' 1fr / 270px minmax(360px, 1fr) 340px;
    gap: 0 20px;
    align-items: start;
  }
  .head {
    grid-area: head;
  }
  .left {
    grid-area: left;
  }
  .middle {
    grid-area: middle;
  }
  .right {
    grid-area: right;
    position: sticky;
    top: 8px;
    max-height: calc(100dvh - 16px);
    overflow-y: auto;
  }
  .now {
    display: none;
  }
  summary {
    cursor: pointer;
  }
  summary h2 {
    display: inline;
  }
  .small {
    font-size: 0.9rem;
  }
  @media (max-width: 1050px) {
    .bench {
      grid-template: 'now' auto 'head' auto 'left' auto 'middle' auto 'right' auto / minmax(0, 1fr);
      gap: 12px;
    }
    .right {
      position: static;
      max-height: none;
    }
    .now {
      grid-area: now;
      display: flex;
      gap: 8px;
      align-items: center;
      position: sticky;
      top: 0;
      z-index: 2;
      background: var(--paper);
      border-bottom: 2px solid var(--ink);
      margin: 0 -20px;
      padding: 8px 20px;
      min-height: 44px;
    }
  }
</style>
