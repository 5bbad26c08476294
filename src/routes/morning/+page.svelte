<script lang="ts">
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import BandGauge from '$lib/ui/drawing/BandGauge.svelte';
  import DeviceSymbol from '$lib/ui/DeviceSymbol.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import AfterNight from './AfterNight.svelte';
  import { sizeText, type DeviceClass } from '#core/devices/sizes';

  let { data } = $props();
  /** tags of one size stand behind it together */
  const devicesText = (devices: { kind: DeviceClass; size: string; tag: string }[]): string =>
    [...new Set(devices.map((d) => sizeText(d.kind, d.size)))]
      .map(
        (size) =>
          `${size} ${devices
            .filter((d) => sizeText(d.kind, d.size) === size)
            .map((d) => d.tag)
            .join(', ')}`,
      )
      .join('; ');
  const undone = $derived(page.url.searchParams.has('undone'));
</script>

<svelte:head><title>Morning · Zaprud</title></svelte:head>

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
    {:else if undone}
      <p class="saved" role="status">Taken back. The book shows it as withdrawn.</p>
    {/if}
    <h1>{data.headline}</h1>
    <p class="quiet mt-1 mb-3">{data.owed}</p>
    <AfterNight groups={data.groups} cutOff={data.cutOff} weather={data.weather} />
    {#if data.waters.length === 0}
      <p class="sheet">No set is live. <a class="link" href="/bench">Place one at the bench</a>, and its checks appear here by deadline.</p>
    {:else}
      <table class="plain-table rows">
        <caption class="only-heard">Sets by deadline, with their state at the last reading</caption>
        <thead>
          <tr
            ><th scope="col" class="nowrap">Due</th><th scope="col">Set</th><th scope="col" class="wide">Water</th><th scope="col"
              >Do this</th
            ></tr
          >
        </thead>
        {#each data.waters as water (water.id)}
          <tbody>
            <tr class="water"
              ><th colspan="4" scope="colgroup"><a href="/waters/{water.id}">{water.name}</a> <span class="quiet">– {water.now}</span></th
              ></tr
            >
            {#each water.rows as row (row.id)}
              <tr>
                <td class="mono by" class:overdue={row.overdue}
                  >{row.by}{#if row.overdue}<br /><span class="late">overdue</span>{/if}</td
                >
                <td>
                  <a class="set" href="/check/{row.id}">
                    <DeviceSymbol kind={row.devices[0]?.kind ?? 'bodyGrip'} />
                    <span><b>{row.number} {row.name}</b><br /><span class="quiet small">{devicesText(row.devices)}</span></span>
                  </a>
                </td>
                <td class="wide">
                  {#if row.state}<span class="gauge"
                      ><StateMark verdict={row.state.verdict} /><BandGauge state={row.state} then={row.then} /><span class="small"
                        ><b>{row.state.label}</b><br />{row.spare}</span
                      ></span
                    >{/if}
                </td>
                <td>
                  <span class="narrow"><StateMark verdict={row.state?.verdict ?? 'unknown'} /> {row.state?.label ?? ''}.</span>
                  <b>{row.outlook?.remedy || row.orders}</b> <span class="quiet">{row.state?.sentence ?? ''}</span>
                  {#if row.outlook?.sentence}<br />{row.outlook.sentence}{/if}
                </td>
              </tr>
            {/each}
          </tbody>
        {/each}
      </table>
    {/if}
    {#if data.prepared.length > 0}
      <h2 class="mt-5 mb-1">Prepared, owing nothing yet</h2>
      <ul>
        {#each data.prepared as p (p.id)}
          <li class="prepared">
            <StateMark verdict="prepared" /> <a class="link" href={p.href}>{p.text}</a> to be set on {p.opens}{p.today
              ? ': today. Load it.'
              : ''}
          </li>
        {/each}
      </ul>
    {/if}
    <p class="quiet mt-4 small">
      Gauges share one scale: 14 in over and under the level now; short marks are the level when it was set. Checks: {data.rule} (your rulebook).
    </p>
  {/if}
</div>

<style>
  .rows td {
    vertical-align: middle;
  }
  .water th {
    background: var(--bg);
    border-bottom: 1.5px solid var(--ink);
    padding-top: 12px;
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
    grid-template-columns: 22px 96px 104px;
    gap: 8px;
    align-items: center;
  }
  .narrow {
    display: none;
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
    .wide {
      display: none;
    }
    .narrow {
      display: inline-flex;
      gap: 4px;
      align-items: center;
      font-weight: 600;
    }
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
    .rows td:last-child {
      grid-column: 1 / -1;
      padding-bottom: 10px;
    }
    .set :global(svg) {
      display: none;
    }
  }
</style>
