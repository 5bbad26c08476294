<script lang="ts">
  import { onMount, type Snippet } from 'svelte';
  import type { SubmitFunction } from '@sveltejs/kit';
  import { enhance } from '$app/forms';
  import { sizeText } from '#core/devices/sizes';
  import { OUTCOME_HELP, OUTCOMES } from '#core/record/checks';
  import { designScene } from '#core/scene/designScene';
  import { moveArrow } from '#core/scene/moveArrow';
  import type { System } from '#core/units/factors';
  import type { KeptPhoto } from '$lib/field/store';
  import type { checkPage } from '#lib/check/page';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import DesignDrawing from '$lib/ui/drawing/DesignDrawing.svelte';
  import FindTrap from '$lib/ui/drawing/FindTrap.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { inOwnRun } from '$lib/ui/ownRun';
  import Photo from './Photo.svelte';
  import Here from './Here.svelte';
  import DetailForm from './DetailForm.svelte';
  import PastChecks from './PastChecks.svelte';

  /** One set a screen: where it stands, what to do, and the likeliest answer largest and lowest. The same on the desk and out of reach. */
  interface Props {
    data: ReturnType<typeof checkPage> & { ids: { entry: string; id: string } };
    kept: Kept | null;
    system: System;
    /** who checks, unless somebody else is named */
    person: string;
    /** where the list of the round is */
    home: { href: string; name: string };
    /** the address of the check of a set, with the outcome that was tapped */
    link: (set: string, query?: Record<string, string>) => string;
    /** what becomes of a form */
    send: SubmitFunction;
    /** keeps a photo that was taken here */
    keepPhoto: (photo: KeptPhoto) => Promise<void>;
    /** what stands here instead of the answers */
    instead?: Snippet<[next: string | null]> | null;
    /** rooms that cannot be gone to from here are left out */
    isDesk?: boolean;
  }
  let { data, kept, system, person, home, link, send, keepPhoto, instead = null, isDesk = true }: Props = $props();

  const view = $derived(data.view);
  // where something is to be moved, that alone is written on the drawing
  const scene = $derived(
    designScene(data.design, {
      ...{ view: 'side', known: data.water.known, surface: view.station.surface, frame: { width: 390, height: 190 } },
      ...{ system, bare: data.doing.by !== 0 },
    }),
  );
  const move = $derived(moveArrow(scene, data.design.parts, data.doing.by, system));
  const isRefused = $derived(kept?.problem !== undefined && kept.values?.change !== undefined);
  const detail = $derived(data.outcome !== null || isRefused);
  const answer = (outcome: string, more: Record<string, string> = {}): string => link(view.id, { outcome, ...more });
  /** as somebody tapped "something else": all that a look can find, each with its own short way */
  const others = $derived(OUTCOMES.filter((o) => o !== 'catch' && o !== data.likely));
  const remade = $derived(data.lower !== '' && data.likely !== 'untouched');
  let minutes = $state('');
  /** the page runs on the device */
  let isHere = $state(false);
  onMount(() => (isHere = true));
  /** by the order that this device goes, where one was chosen today */
  const own = $derived(isHere ? inOwnRun({ day: data.today, shared: data.shared }, view.id, data.order.owed) : null);
  const next = $derived(own ? own.next : data.order.next);
  const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
</script>

<div class="check" class:detail>
  <div class="top">
    {#if view.devices.length > 0}<Here stop="{view.id} {view.lastLook ?? ''}" now={data.nowAt} bind:minutes />{/if}
    <p class="quiet small">
      <a href={home.href}>{home.name}</a>
      {#if own}<span>– {own.place} of {own.of} on your run</span>
      {:else if data.order.place > 0}<span>– {data.order.place} of {data.order.of} due</span>{/if}
      {#if next}<span>– <a href={link(next)}>next set</a></span>{/if}
    </p>
    <h1>{view.number} {view.name}</h1>
    <p class="quiet">
      {view.devices.map((d) => `${sizeText(d.class, d.size)} ${d.tag}`).join(', ') || `Not armed (${view.state})`}{#if data.owedBy}<span
          >, due by <b>{data.owedBy}</b></span
        >{/if}
    </p>
    {#if view.anchor || data.hole}<p class="quiet">
        {[data.hole && `hole ${data.hole}`, view.anchor && `anchor: ${view.anchor}`].filter(Boolean).join(', ')}
      </p>{/if}
  </div>

  {#if instead}
    {@render instead(next)}
  {:else if view.devices.length === 0}
    <p class="page">
      Not live: no check needed. {#if isDesk}<a class="link" href="/bench/{view.id}">To the bench</a>{/if}
    </p>
  {:else if data.outcome === 'other' && !isRefused && view.devices.length === 1}
    <nav class="taps" aria-label="What was found">
      <h2>What was found?</h2>
      {#each others as outcome (outcome)}
        <a class="tap small" href={answer(outcome)}>{capital(outcome)} <span>{OUTCOME_HELP[outcome]}</span></a>
      {/each}
      <a class="tap small" href={answer('catch', { alive: 'no', pelt: 'eaten' })}>Catch, eaten <span>say by whom</span></a>
      <a class="tap small" href={answer('untouched', { then: 'pulled' })}>I pulled it <span>untouched until now</span></a>
      <a class="tap small" href={answer('untouched', { then: 'moved' })}>I moved it <span>untouched until now</span></a>
    </nav>
  {:else if detail}
    {#if data.lies}<div class="page pb-0">
        <FindTrap holds={data.lies} name="{view.number} {view.name}" {system} />
        {#if data.photoLeft}<Photo id={data.photoLeft} of="{view.number} {view.name} as it was left" />{/if}
      </div>{/if}
    <DetailForm {data} {kept} {system} {person} {send} {keepPhoto} outcome={data.outcome ?? 'other'} {minutes} />
  {:else}
    <div class="drawn"><DesignDrawing {scene} {move} title="{view.typeName} at {view.station.name}, from the side" /></div>
    <div class="say">
      <p>
        <StateMark verdict={data.state?.verdict ?? 'unknown'} />
        <b class:bad={data.state && !['fine', 'nearEdge', 'unknown'].includes(data.state.verdict)}
          >{capital(data.state?.label ?? 'unknown')}.</b
        >
        {data.wading}
      </p>
      <details>
        <summary>{data.doing.order}</summary>
        <p class="quiet">{data.doing.why}</p>
      </details>
      {#if data.seen}<p>{data.seen}</p>{/if}
      <Problem text={kept?.problem} />
      {#each Object.values(kept?.errors ?? {}) as sentence (sentence)}<p class="bad">{sentence}</p>{/each}
      {#if data.past.length > 0}<PastChecks past={data.past.slice(0, 3)} />{/if}
      {#if data.asks && isDesk}<a class="link" href="/morning/nothing?set={view.id}">Nothing caught?</a>{/if}
    </div>
    <form method="POST" action="?/quick" class="taps" use:enhance={send}>
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
      <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
      <input type="hidden" name="took" value={minutes} />
      <Opened entry={data.opened} {kept} />
      <a class="tap" href={answer('catch', { alive: 'no' })}>Catch, dead</a>
      <a class="tap" href={answer('catch', { alive: 'yes' })}>Catch, alive</a>
      <a class="tap" href={answer('sprung empty')}>Sprung, empty</a>
      <a class="tap" href={answer(data.hasBed ? 'missing' : 'knocked')}>{data.hasBed ? 'Empty bed' : 'Knocked, down'}</a>
      <a class="tap" href={answer('not reached')}>Not reached</a>
      <a class="tap" href={answer('other')}>Something else</a>
      {#if remade}
        <button class="tap" name="outcome" value={data.likely}>{capital(data.likely)}: left as is</button>
        <button class="tap" name="outcome" value="untouched">Untouched</button>
        <a class="tap first" href={answer(data.likely, { remade: '1' })}
          >{capital(data.likely)}: I {data.lower.startsWith('−') ? 'raised' : 'lowered'} it {data.lower.replace('−', '')}</a
        >
      {:else if data.likely !== 'untouched'}
        <button class="tap wide" name="outcome" value="untouched">Untouched</button>
        <button class="tap first" name="outcome" value={data.likely}>{capital(data.likely)}</button>
      {:else if data.asks && !isDesk}
        <a class="tap first" href={answer('untouched')}>Untouched again</a>
      {:else}
        <button class="tap first" name="outcome" value="untouched"
          >{view.devices.length > 1 ? `All ${view.devices.length} untouched` : 'Untouched'}</button
        >
      {/if}
    </form>
  {/if}
</div>

<style>
  .check {
    max-width: 560px;
    margin: 0 auto;
    min-height: calc(100dvh - 40px);
    display: flex;
    flex-direction: column;
    background: var(--paper);
  }
  .check.detail {
    max-width: 760px;
  }
  @media (min-width: 900px) {
    .check {
      min-height: 0;
    }
  }
  .top,
  .say {
    padding: 8px 14px;
  }
  .say {
    padding-top: 10px;
    display: grid;
    gap: 4px;
  }
  .say p :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
  summary {
    cursor: pointer;
    font-weight: 700;
    font-size: 1.15rem;
    min-height: 40px;
    align-content: center;
  }
  .small {
    font-size: 0.9rem;
  }
  .small a {
    text-decoration: underline;
  }
  .bad {
    color: var(--out);
    font-weight: 700;
  }
  .tap.first {
    grid-column: 1 / -1;
    min-height: 84px;
    background: var(--ink);
    color: var(--paper);
    border-color: var(--ink);
    font-size: 1.2rem;
  }
  .tap.small {
    flex-direction: column;
    min-height: 64px;
  }
  .tap.small span {
    font-weight: 400;
    font-size: 0.9rem;
    color: var(--mute);
  }
  /* a short screen keeps the answers in reach: the drawing stands below them */
  @media (max-height: 700px) and (max-width: 600px) {
    .drawn {
      order: 2;
    }
    .taps {
      margin-top: 0;
    }
    .tap.first {
      min-height: 64px;
    }
  }
  .tap.wide {
    grid-column: 1 / -1;
  }
</style>
