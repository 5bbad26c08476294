<script lang="ts">
  import { page } from '$app/state';
  import { doingAt } from '#core/ahead/doing';
  import type { SetOutlook } from '#core/ahead/setOutlook';
  import { setTypeOf } from '#core/sets/catalogue';
  import type { SetView } from '#core/sets/standing';
  import type { DeviceState } from '#core/water/state';
  import { dateText } from '#core/time/clock';
  import { many } from '#core/units/many';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** What the level means for the sets: an order a set that wants one, the reason behind it. */
  interface Props {
    rows: { view: SetView; worst: DeviceState | null }[];
    /** what the forecast says of a set, by its id; empty while a what-if level is shown */
    ahead: Readonly<Record<string, SetOutlook | null>>;
    /** whether the place of a station can be waded, by its id */
    standing?: Readonly<Record<string, { sentence: string; short: string }>>;
    /** nothing is read out while the forecast is played */
    quiet?: boolean;
    /** the local date, ISO */
    today: string;
    /** a place is known at which a set could stand */
    anyPlace: boolean;
  }
  let { rows, ahead, standing = {}, quiet = false, today, anyPlace }: Props = $props();

  const RANK: Partial<Record<DeviceState['verdict'], number>> = { perhaps: 1, nearEdge: 2, unknown: 3, fine: 4 };
  const live = $derived(
    rows
      .filter((r) => r.view.state === 'live')
      .map(({ view, worst }) => {
        const place = standing[view.station.id];
        const outlook = ahead[view.id] ?? null;
        const doing = doingAt(worst, outlook, setTypeOf(view.type).looks);
        const verdict = worst?.verdict ?? 'unknown';
        return {
          view,
          verdict,
          label: worst?.label ?? '',
          short: place?.short ?? '',
          order: doing.order,
          why: [doing.why, place?.sentence].filter(Boolean).join(' '),
          told: verdict !== 'fine' || (outlook !== null && (outlook.remedy.order !== '' || outlook.tells)) || (place?.short ?? '') !== '',
        };
      })
      .sort((a, b) => (RANK[a.verdict] ?? 0) - (RANK[b.verdict] ?? 0)),
  );
  const told = $derived(live.filter((r) => r.told));
  const rest = $derived(live.filter((r) => !r.told));
  const waiting = $derived(rows.filter((r) => r.view.state !== 'live'));
  const name = ({ view }: { view: SetView }): string => `${view.number} ${view.name}`;
  const ended = (order: string): string => (/[.?!]$/.test(order) ? order : `${order}.`);
</script>

<div class="list" aria-live={quiet ? 'off' : 'polite'}>
  {#each told as r (r.view.id)}
    <article>
      <StateMark verdict={r.verdict} />
      <div>
        <h2><a href="/bench/{r.view.id}">{name(r)}</a>: {r.label}</h2>
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
      {#each rest as r (r.view.id)}<li><a class="link" href="/bench/{r.view.id}">{name(r)}</a>: {ended(r.order)} {r.why}</li>{/each}
    </ul>
  </details>
{/if}
{#each waiting as r (r.view.id)}
  <p class="mt-1">
    <StateMark verdict={r.view.state === 'prepared' ? 'prepared' : 'planned'} />
    <a class="link" href="/bench/{r.view.id}">{name(r)}</a>, {r.view.state}{r.view.opens
      ? ` for ${dateText(r.view.opens, today, page.data.clock.hours)}`
      : ''}{r.view.leftBecause ? `, left: ${r.view.leftBecause}` : ''}
  </p>
{/each}
{#if rows.length === 0 && anyPlace}<p>No set stands here. <a class="link" href="/bench">Place one at the bench</a>.</p>{/if}

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
