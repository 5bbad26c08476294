<script lang="ts">
  import type { Severity } from '#core/critique/rule';
  import Origin from '$lib/ui/Origin.svelte';
  import { originWord } from '#core/water/originWord';
  import type { Told } from '#core/words/finding';
  import type { System } from '#core/units/factors';
  import type { DeviceState } from '#core/water/state';
  import { printLength } from '#core/units/length';
  import { many } from '#core/units/many';
  import { remedySays } from '#core/water/remedy';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** Every verdict with its sentence, its figure, and what it rests on. */
  let {
    states,
    findings,
    measured,
    system,
    higher = 0,
    names = {},
    aims = () => [],
    disputed = [],
  }: {
    states: DeviceState[];
    findings: (Told & { severity?: Severity | null })[];
    measured: boolean;
    system: System;
    higher?: number;
    names?: Record<string, string>;
    aims?: (device: string) => string[];
    /** where practitioners differ: both views */
    disputed?: string[];
  } = $props();

  const MARK = { holds: 'fine', warns: 'nearEdge', fails: 'outOfWater', unknown: 'unknown' } as const;
  const isDoubtful = $derived(states.some((s) => s.verdict === 'perhaps'));
  const good = $derived(findings.filter((f) => f.verdict === 'holds'));
  const aimed = $derived(
    states.flatMap((s) => aims(s.device).map((aim) => (states.length > 1 ? `${names[s.device] ?? s.device}: ${aim}` : aim))),
  );
  const LABEL = { holds: 'holds', warns: 'look at this', fails: 'does not work', unknown: 'cannot be told' } as const;
</script>

{#snippet finding(f: (typeof findings)[number])}
  <article>
    <StateMark verdict={MARK[f.verdict]} label={f.severity ?? LABEL[f.verdict]} />
    <div>
      <h3><span>{f.about}</span> <span class="figure">{f.figure}</span></h3>
      <p>{f.sentence} <Origin text={originWord(f.origin)} /></p>
    </div>
  </article>
{/snippet}

{#snippet views()}
  {#each disputed as both (both)}<p><b>Disputed:</b> {both}</p>{/each}
{/snippet}

<section class="sheet" aria-live="polite">
  <h2>{higher === 0 ? 'At the level now' : `If it stood ${printLength(Math.abs(higher), system)} ${higher > 0 ? 'higher' : 'lower'}`}</h2>
  {#if !measured}<p class="quiet">No level was read here: the drawing takes the water as it is seen.</p>{/if}
  {#each states as state (state.device)}
    <article>
      <StateMark verdict={state.verdict} label={state.label} />
      <div>
        <h3>{states.length > 1 ? `${names[state.device] ?? state.device}: ` : ''}{state.label}</h3>
        <p>{state.sentence} <b>{remedySays(state.remedy)}</b></p>
        {#if state.beyond}<p>{state.beyond}</p>{/if}
      </div>
    </article>
  {:else}<p>Choose a trap, and its state is told here.</p>{/each}
  {#each findings.filter((f) => f.verdict !== 'holds') as f (f.id)}{@render finding(f)}{/each}
  {#if isDoubtful}{@render views()}{/if}
  {#if good.length + aimed.length > 0}
    <details>
      <summary><StateMark verdict="fine" /> {many(good.length, 'check')} OK{aimed.length > 0 ? ', and what it is aimed at' : ''}</summary>
      {#each aimed as aim (aim)}<p>{aim}</p>{/each}
      {#if !isDoubtful}{@render views()}{/if}
      {#each good as f (f.id)}{@render finding(f)}{/each}
    </details>
  {/if}
</section>

<style>
  article {
    display: grid;
    grid-template-columns: 22px 1fr;
    gap: 8px;
    border-top: 1px solid var(--rule);
    padding: 8px 0;
  }
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
    border-top: 1px solid var(--rule);
  }
  summary :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
  h2 {
    margin-bottom: 6px;
  }
  h3 {
    display: flex;
    justify-content: space-between;
    gap: 8px;
  }
  .figure {
    white-space: nowrap;
  }
</style>
