<script lang="ts">
  import { page } from '$app/state';
  import type { SetView } from '#core/sets/standing';
  import { dateText } from '#core/time/clock';
  import { many } from '#core/units/many';
  import StateMark from '$lib/ui/StateMark.svelte';
  import type { SetRow } from './setRows';

  /** What the level means for the sets: an order a set that wants one, the reason behind it. */
  interface Props {
    live: SetRow[];
    /** planned and prepared ones */
    waiting: SetView[];
    /** nothing is read out while the forecast is played */
    quiet?: boolean;
    /** the local date, ISO */
    today: string;
    /** a place is known at which a set could stand */
    anyPlace: boolean;
  }
  let { live, waiting, quiet = false, today, anyPlace }: Props = $props();

  const told = $derived(live.filter((r) => r.told));
  const rest = $derived(live.filter((r) => !r.told));
  const name = ({ number, name: called }: SetView): string => `${number} ${called}`;
  const ended = (order: string): string => (/[.?!]$/.test(order) ? order : `${order}.`);
</script>

<div class="list" aria-live={quiet ? 'off' : 'polite'}>
  {#each told as r (r.view.id)}
    <article>
      <StateMark verdict={r.verdict} />
      <div>
        <h2><a href="/bench/{r.view.id}">{name(r.view)}</a>: {r.label}</h2>
        <details>
          <summary>{r.order}</summary>
          <p>{r.why}</p>
        </details>
        {#if r.short}<p class="wading">{r.short}</p>{/if}
      </div>
    </article>
  {/each}
</div>
{#if rest.length > 0}
  <details class="mt-2">
    <summary><StateMark verdict="fine" /> {many(rest.length, told.length > 0 ? 'other set' : 'set')} working</summary>
    <ul>
      {#each rest as r (r.view.id)}<li><a class="link" href="/bench/{r.view.id}">{name(r.view)}</a>: {ended(r.order)} {r.why}</li>{/each}
    </ul>
  </details>
{/if}
{#each waiting as view (view.id)}
  <p class="mt-1">
    <StateMark verdict={view.state === 'prepared' ? 'prepared' : 'planned'} />
    <a class="link" href="/bench/{view.id}">{name(view)}</a>, {view.state}{view.opens
      ? ` for ${dateText(view.opens, today, page.data.clock.hours)}`
      : ''}{view.leftBecause ? `, left: ${view.leftBecause}` : ''}
  </p>
{/each}
{#if live.length + waiting.length === 0 && anyPlace}<p>
    No set stands here. <a class="link" href="/bench">Place one at the bench</a>.
  </p>{/if}

<style>
  .list {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
    gap: 8px 28px;
  }
  article {
    display: grid;
    grid-template-columns: 22px 1fr;
    gap: 8px;
  }
  h2 {
    font-size: 1rem;
  }
  h2 a:hover {
    text-decoration: underline;
  }
  summary {
    cursor: pointer;
    min-height: 28px;
    align-content: center;
  }
  article summary {
    font-weight: 700;
  }
  summary :global(svg),
  p :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
  .wading {
    color: var(--edge);
    font-weight: 600;
    font-size: 0.9rem;
  }
</style>
