<script lang="ts">
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import BandGauge from '$lib/ui/drawing/BandGauge.svelte';
  import DeviceSymbol from '$lib/ui/DeviceSymbol.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import Counts from './Counts.svelte';
  import HeldEntry from './HeldEntry.svelte';
  import Remarks from './Remarks.svelte';
  import EmptyRoom from '$lib/ui/EmptyRoom.svelte';
  import { many } from '#core/units/many';

  let { data, form: answered } = $props();
  const form = $derived(answered as { problem?: string; held?: string } | null);
  const undone = $derived(page.url.searchParams.has('undone'));
  /** the group whose sets the list shows alone */
  const shown = $derived(data.season ? data.groups.find((g) => g.id === page.url.searchParams.get('show')) : undefined);
  const waters = $derived(
    data.season
      ? data.waters.map((w) => ({ ...w, rows: w.rows.filter((r) => !shown || shown.sets.includes(r.id)) })).filter((w) => w.rows.length > 0)
      : [],
  );
</script>

<svelte:head><title>Rounds · Zaprud</title></svelte:head>

<div class="page">
  {#if !data.season}
    <h1>No line was begun yet.</h1>
    <p class="mt-2"><a class="link" href="/begin">Begin with your crew, your line and one water</a>.</p>
  {:else}
    {#if data.saved}
      <form method="POST" action="?/undo" class="saved" use:enhance role="status">
        <input type="hidden" name="entry" value={data.saved.id} />
        <span>Saved to the book.</span>
        <button class="btn btn-sm">Undo</button>
      </form>
    {:else if data.typedIn > 0}
      <p class="saved" role="status">{many(data.typedIn, 'check')} saved to the book.</p>
    {:else if undone}
      <p class="saved" role="status">Taken back. The book shows it as withdrawn.</p>
    {/if}
    {#each data.held as one (one.id)}<HeldEntry held={one} problem={form?.held === one.id ? form?.problem : ''} />{/each}
    <h1>{data.sets}</h1>
    <p>{data.moved}</p>
    {#each data.duties as d (d.catch + d.rule)}
      <p class="duty">
        <StateMark verdict={d.overdue ? 'outOfWater' : 'nearEdge'} />
        <a class="link" href="/rules/catch/{d.catch}"><b>{d.text}</b>: tell {d.whom} by {d.by}</a>{d.overdue ? ', overdue' : ''}
      </p>
    {/each}
    {#if data.waters.length === 0}
      <EmptyRoom room="rounds" label="What will stand here: a row a set, by its deadline, with its working range, the water and what to do">
        Checks stand here by deadline, once a set is live.
        {#if data.firstWater}<a class="link" href="/waters/{data.firstWater.id}">Build the first set at {data.firstWater.name}</a>.{:else}<a
            class="link"
            href="/bench">Place one at the bench</a
          >.{/if}
      </EmptyRoom>
    {:else}
      <Counts groups={data.groups} due={data.due} {shown} weather={data.weather} />
      <table class="plain-table rows mt-2">
        <caption class="only-heard">Sets by deadline, with their state at the last reading</caption>
        <thead>
          <tr><th scope="col" class="nowrap">Due</th><th scope="col">Set</th><th scope="col">Water</th><th scope="col">Do this</th></tr>
        </thead>
        {#each waters as water (water.id)}
          <tbody>
            <tr class="water"
              ><th colspan="4" scope="colgroup"><a href="/waters/{water.id}">{water.name}</a> <span class="quiet">{water.now}</span></th
              ></tr
            >
            {#each water.rows as row (row.id)}
              <tr>
                <td class="mono by" class:overdue={row.overdue}
                  >{row.by}{#if row.overdue}<br /><span class="late">overdue</span>{/if}{#if row.missed}<br /><span class="late"
                      >not reached: {row.missed}</span
                    >{/if}</td
                >
                <td>
                  <a class="set" href="/check/{row.id}">
                    <DeviceSymbol kind={row.kind} />
                    <span><b>{row.number} {row.name}</b><br /><span class="quiet small">{row.devices}</span></span>
                  </a>
                </td>
                <td class="water-at">
                  {#if row.state}<span class="gauge"
                      ><StateMark verdict={row.state.verdict} /><BandGauge state={row.state} then={row.then} height={42} /><span
                        class="small"
                        ><b class:only-heard={row.state.verdict === 'fine' && row.spare !== ''}>{row.state.label}</b>
                        <span class="spare">{row.spare}</span></span
                      ></span
                    >{/if}
                </td>
                <td>
                  <details>
                    <summary>{row.order}</summary>
                    <p class="quiet">{row.why} {row.tags ? `Tags: ${row.tags}.` : ''}</p>
                  </details>
                  {#if row.wading}<p class="wading"><StateMark verdict="beyond" size={14} /> {row.wading}</p>{/if}
                </td>
              </tr>
            {/each}
          </tbody>
        {/each}
      </table>
    {/if}
    {#each data.lookBacks as l (l.id)}
      <p class="duty"><StateMark verdict="nearEdge" /> <a class="link" href="/colonies/{l.id}"><b>{l.name}</b></a>: {l.text}</p>
    {/each}
    {#if data.prepared.length > 0}
      <h2 class="mt-5 mb-1">Ready to arm</h2>
      <ul>
        {#each data.prepared as p (p.id)}
          <li class="prepared">
            <StateMark verdict="prepared" /> <a class="link" href={p.href}>{p.text}</a>
            {p.opens}
          </li>
        {/each}
      </ul>
    {/if}
    {#if data.waters.length > 0}<Remarks />{/if}
    <a class="link" href="/morning/nothing">Nothing caught?</a>
    {#if data.waters.length > 0}
      <details>
        <summary>Paper, away</summary>
        <p>
          <a class="link" href="/morning/paper">The round on paper</a> – <a class="link" href="/morning/typed">type it back in</a> –
          <a class="link" href="/morning/away">nobody can come</a> – <a class="link" href="/morning/word">leave word at home</a> –
          <a class="link" href="/field">the run without a signal</a> –
          <a class="link" href="/morning/calendar.ics" data-sveltekit-reload>deadlines for a calendar</a>
        </p>
      </details>
    {/if}
    <details class="quiet mt-4 small">
      <summary>Key</summary>
      <p>
        {data.half} above and below the water now. Box: it works there; filled: aim; dashed: in doubt; side marks: water when set. Checks: {data.rule}
        (your rulebook).
      </p>
    </details>
  {/if}
</div>

<style>
  .spare {
    display: block;
  }
  .rows td {
    vertical-align: middle;
    padding-top: 4px;
    padding-bottom: 4px;
  }
  td summary {
    cursor: pointer;
    font-weight: 700;
    min-height: 28px;
    align-content: center;
  }
  .wading {
    color: var(--edge);
    font-weight: 600;
    font-size: 0.9rem;
  }
  .wading :global(svg) {
    display: inline;
    vertical-align: -2px;
  }
  .water th {
    background: var(--bg);
    border-bottom: 1.5px solid var(--ink);
    padding: 10px 10px 4px;
    color: var(--ink);
    font-size: 1rem;
  }
  .water a {
    font-weight: 700;
    text-decoration: underline;
    text-decoration-color: var(--rule);
    text-underline-offset: 3px;
  }
  .water .quiet {
    font-weight: 400;
  }
  .set {
    display: flex;
    gap: 12px;
    align-items: center;
    min-width: 200px;
  }
  .set:hover b {
    text-decoration: underline;
  }
  .nowrap,
  .by {
    white-space: nowrap;
  }
  .overdue {
    color: var(--out);
    font-weight: 700;
  }
  .late {
    font-family: var(--font-sans);
    font-size: 0.85rem;
  }
  .small {
    font-size: 0.88rem;
  }
  .gauge {
    display: grid;
    grid-template-columns: 22px 96px 130px;
    gap: 8px;
    align-items: center;
  }
  .duty :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
  .saved {
    display: flex;
    gap: 14px;
    align-items: center;
    background: var(--paper);
    border-left: 5px solid var(--fine);
    padding: 8px 14px;
    margin-bottom: 12px;
  }
  .prepared {
    display: flex;
    gap: 8px;
    align-items: center;
    padding: 3px 0;
  }
  @media (max-width: 720px) {
    .set {
      min-width: 0;
      min-height: 56px;
    }
    .rows thead {
      display: none;
    }
    .rows tr {
      display: grid;
      grid-template-columns: 5.2rem 1fr;
      border-bottom: 1px solid var(--rule);
    }
    .rows .water {
      display: block;
    }
    .rows td {
      border: 0;
      padding: 4px 6px;
      align-self: center;
    }
    .rows .water-at,
    .rows td:last-child {
      grid-column: 1 / -1;
    }
    .rows td:last-child {
      padding-bottom: 10px;
    }
    .gauge {
      grid-template-columns: 22px 96px 1fr;
    }
    .set :global(svg) {
      display: none;
    }
  }
</style>
