<script lang="ts">
  import { movingOf } from '#core/ahead/moving';
  import { isCloseTo } from '#core/run/stops';
  import { partsOf } from '#core/run/whose';
  import { localDate } from '#core/time/localTime';
  import type { Waiting } from '$lib/field/store';
  import { roundRow } from '#lib/season/rounds';
  import type { Season } from '#lib/season/season';
  import type { Asker } from '#lib/season/who';
  import { inOwnRun } from '$lib/ui/ownRun';
  import StateMark from '$lib/ui/StateMark.svelte';
  import { drafted } from './draft';

  /** The sets of the run: those whose check is close first, in the order that this device goes, else by their deadline. */
  interface Props {
    season: Season;
    now: Date;
    asker: Asker | null;
    waiting: readonly Waiting[];
    people: readonly { id: string; name: string }[];
  }
  let { season, now, asker, waiting, people }: Props = $props();

  const today = $derived(localDate(now, season.line.zone));
  const parts = $derived(
    partsOf(
      season.shares,
      today,
      season.views.flatMap((v) => (v.state === 'live' && isCloseTo(v, now, season.line.zone) ? [v.id] : [])),
    ),
  );
  const own = $derived(parts.find((p) => p.person === asker?.who.person.id));

  const rows = $derived.by(() => {
    if (!asker) return [];
    const moving = movingOf(season, now);
    const live = season.views.filter((v) => v.state === 'live');
    const owed = live.map(({ id }) => id);
    return live
      .map((view) => ({
        ...roundRow(season, view, moving, asker),
        isClose: isCloseTo(view, now, season.line.zone),
        place: inOwnRun({ day: today, shared: own?.stops ?? [] }, view.id, owed)?.place ?? Infinity,
      }))
      .sort((a, b) => a.place - b.place || a.deadline.localeCompare(b.deadline));
  });
  const toPlace = $derived(season.views.filter((v) => v.state === 'prepared' || v.state === 'planned'));
  const waters = $derived(new Map(season.waters.map(({ id, name }) => [id, name])));
  const sent = $derived(
    new Set(waiting.flatMap((w) => w.entries.flatMap(({ kind, body }) => (kind === 'check' ? [(body as { set: string }).set] : [])))),
  );
  const others = $derived(parts.filter((p) => p !== own));
  const groups = $derived(
    [
      { title: own ? 'Yours to check' : 'To check', rows: rows.filter((r) => r.isClose && !others.some((p) => p.left.includes(r.id))) },
      ...others.map(({ person, left }) => ({
        title: `With ${people.find(({ id }) => id === person)?.name ?? 'somebody else'}`,
        rows: rows.filter((r) => left.includes(r.id)),
      })),
      { title: 'Not due today', rows: rows.filter((r) => !r.isClose) },
    ].filter((g) => g.rows.length > 0),
  );
</script>

<div class="round">
  <p class="more">
    <a class="btn" href="/field?level=1">A level</a><a class="btn" href="/field?mark=1">Mark a place</a><a class="btn" href="/field?run=1"
      >Order of the day</a
    ><a class="btn" href="/field?map=1">Map</a>
  </p>
  {#each groups as { title, rows } (title)}
    <h2>{title} <span class="quiet">{rows.length}</span></h2>
    <ul>
      {#each rows as row (row.id)}
        <li>
          <a href="/field?set={row.id}">
            <StateMark verdict={row.state?.verdict ?? 'unknown'} />
            <span class="name"
              ><b>{row.number} {row.name}</b>
              <span class="quiet">{waters.get(row.water)}</span>
              {#if drafted(row.id)}<b class="half">half filled</b>{/if}
              {#if sent.has(row.id)}<span class="quiet">waits to be sent</span>{/if}</span
            >
            <span class="by" class:late={row.overdue}>{row.overdue ? 'overdue' : row.by}</span>
            <span class="order">{row.order}{row.wading ? `, ${row.wading}` : ''}</span>
          </a>
        </li>
      {/each}
    </ul>
  {:else}
    <p class="page">No set is live.</p>
  {/each}
  {#if toPlace.length > 0}
    <h2>To place <span class="quiet">{toPlace.length}</span></h2>
    <ul>
      {#each toPlace as { id, number, name, station, opens } (id)}
        <li>
          <a href="/field?place={id}"
            ><StateMark verdict="prepared" /><span class="name"
              ><b>{number} {name}</b> <span class="quiet">{waters.get(station.water)}</span></span
            ><span class="by">{opens && opens > today ? `opens ${opens}` : ''}</span></a
          >
        </li>
      {/each}
    </ul>
  {/if}
</div>

<style>
  .round {
    max-width: 560px;
    margin: 0 auto;
    background: var(--paper);
    min-height: 60vh;
  }
  h2 {
    padding: 12px 14px 4px;
  }
  li {
    border-bottom: 1px solid var(--rule, var(--mute));
  }
  a {
    display: grid;
    grid-template-columns: 28px 1fr auto;
    gap: 0 8px;
    align-items: center;
    min-height: 64px;
    padding: 8px 14px;
  }
  .name {
    min-width: 0;
  }
  .order {
    grid-column: 2 / -1;
    font-weight: 650;
  }
  .more {
    display: grid;
    grid-template-columns: repeat(2, 1fr);
    gap: 8px;
    padding: 10px 14px 0;
  }
  .more a {
    display: flex;
    min-height: 56px;
  }
  .late,
  .half {
    color: var(--out);
    font-weight: 700;
  }
</style>
