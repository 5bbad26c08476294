<script lang="ts">
  import type { Timed } from '#core/run/tour';
  import { clockText, shortText, spanText, type Clock } from '#core/time/clock';

  /** what the last minute of a stop is: its deadline, the water over the waders, the hours of the book */
  const ENDS = { deadline: 'due', water: 'wadable until', hours: 'by your book until' } as const;

  interface Props {
    stop: { id: string; label: string; order: string; due: number | null; ends: keyof typeof ENDS; isBreak: boolean };
    href: string;
    timed: Timed;
    nth: number;
    of: number;
    start: number;
    clock: Clock;
    /** why it stands here; empty where the plan put it here */
    held: string;
    /** null where nothing can be moved: two share the stops */
    move: ((by: -1 | 1) => void) | null;
    last: () => void;
    /** left for the end because it is best visited last: by how many minutes longer; null where it was not */
    leftLast: number | null;
    notLast: () => void;
    letGo: () => void;
  }
  let { stop, href, timed, nth, of, start, clock, held, move, last, leftLast, notLast, letGo }: Props = $props();
  const at = (minute: number): Date => new Date(start + minute * 60_000);
  const how = $derived(
    [
      timed.way >= 0.5 && `${Math.round(timed.way)} min to it`,
      `${Math.max(1, Math.round(timed.leaves - timed.at))} min there`,
      held && `held ${held}`,
      leftLast !== null &&
        `last, as a break is best visited: ${leftLast < 0.5 ? 'no minute' : spanText(leftLast * 60_000)} longer (rule of thumb)`,
      stop.isBreak && nth < of && 'a break is best visited last',
    ]
      .filter(Boolean)
      .join(', '),
  );
</script>

<li class:late={timed.late > 0}>
  <span class="time">{clockText(at(timed.at), clock)}</span>
  <span class="what">
    <a class="link" {href}><b>{stop.label}</b></a>
    <span>{stop.order}</span>
    <span class="quiet small">{how}</span>
  </span>
  <span class="due small">
    {#if stop.due !== null}
      {ENDS[stop.ends]}
      {stop.due < 0 ? `${shortText(at(stop.due), at(0), clock)}, overdue` : shortText(at(stop.due), at(0), clock)}
      {#if timed.late > 0 && stop.due >= 0}<b class="bad">{spanText(timed.late * 60_000)} late</b>{/if}
    {:else}no deadline{/if}
  </span>
  {#if move}
    <span class="moves no-print">
      <span class="grip" title="Drag it to another place" aria-hidden="true"
        ><svg viewBox="0 0 12 20" width="12" height="20"
          ><path d="M2 3h2v2H2zM8 3h2v2H8zM2 9h2v2H2zM8 9h2v2H8zM2 15h2v2H2zM8 15h2v2H8z" fill="var(--mute)" /></svg
        ></span
      >
      <button type="button" class="btn btn-sm" disabled={nth === 1} onclick={() => move(-1)} aria-label="{stop.label} earlier">↑</button>
      <button type="button" class="btn btn-sm" disabled={nth === of} onclick={() => move(1)} aria-label="{stop.label} later">↓</button>
      {#if held}<button type="button" class="btn btn-sm" onclick={letGo} aria-label="Let {stop.label} go">Let go</button>
      {:else if leftLast !== null}<button type="button" class="btn btn-sm" onclick={notLast} aria-label="{stop.label} not last"
          >Not last</button
        >
      {:else if stop.isBreak && nth < of}<button type="button" class="btn btn-sm" onclick={last} aria-label="{stop.label} last">Last</button
        >{/if}
    </span>
  {/if}
</li>

<style>
  li {
    display: grid;
    grid-template-columns: 5.4rem minmax(12rem, 24rem) minmax(8rem, 13rem) auto;
    justify-content: start;
    gap: 4px 12px;
    align-items: start;
    border-top: 1px solid var(--rule);
    padding: 6px 0;
  }
  .time {
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }
  .what {
    display: grid;
  }
  .bad {
    color: var(--out);
    display: block;
  }
  .moves {
    display: flex;
    gap: 4px;
    justify-content: end;
    min-width: 8rem;
  }
  .grip {
    display: grid;
    place-items: center;
    min-width: 32px;
    min-height: 32px;
    cursor: grab;
    touch-action: none;
  }
  li:global(.sortable-ghost) {
    background: var(--water);
  }
  .late .time {
    color: var(--out);
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: 4.8rem 1fr auto;
      justify-content: stretch;
    }
    .due {
      grid-column: 2;
      grid-row: 2;
    }
    .moves {
      grid-column: 3;
      grid-row: 1 / 3;
      min-width: 0;
      flex-wrap: wrap;
      max-width: 6rem;
    }
    .moves :global(.btn) {
      min-height: 44px;
      min-width: 44px;
    }
  }
</style>
