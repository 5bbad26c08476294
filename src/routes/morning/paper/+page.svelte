<script lang="ts">
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import Scroller from '$lib/ui/Scroller.svelte';

  let { data } = $props();
</script>

<svelte:head><title>Round on paper · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/morning">Rounds</a> – <a class="link" href="/morning/typed">Type it back in</a></p>
  <PrintHead title={`${data.line ?? 'No line was begun yet.'}${data.day ? `, ${data.day}` : ''}`} />
  {#if data.waters.length > 0}
    <p>{data.light} Printed {data.made}; what was checked since is not on it.</p>
    {#each data.waters as water (water.id)}
      <Scroller label={water.name}
        ><table class="plain-table mt-3">
          <caption><h2>{water.name}</h2></caption>
          <thead>
            <tr>
              <th scope="col">Set, trap</th><th scope="col">Tie, hole</th><th scope="col">By</th><th scope="col">Do</th>
              <th scope="col">Found</th><th scope="col">At</th><th scope="col">Note</th>
            </tr>
          </thead>
          <tbody>
            {#each water.rows as row (row.id)}
              <tr>
                <td><b>{row.label}</b><br />{row.traps.map((t) => t.label).join(', ')}</td>
                <td>{row.tie || 'not noted'}{row.hole ? `, hole ${row.hole}` : ''}</td>
                <td class="by">{row.by}</td>
                <td>{row.order}</td>
                <td class="boxes"
                  >{#each row.traps as trap (trap.stay)}<span class="box"></span>{/each}</td
                >
                <td class="time"></td>
                <td class="note"></td>
              </tr>
            {/each}
          </tbody>
        </table></Scroller
      >
    {/each}
    <p class="mt-3"><b>Found:</b> {data.letters}. A box a trap, in the order they are named.</p>
  {:else if data.line}
    <p>No set is live: there is nothing to check.</p>
  {/if}
</div>

<style>
  caption {
    text-align: left;
  }
  tr {
    break-inside: avoid;
  }
  .boxes {
    white-space: nowrap;
  }
  .box {
    display: inline-block;
    width: 26px;
    height: 26px;
    border: 1.5px solid var(--ink);
    margin-right: 4px;
  }
  .by {
    white-space: nowrap;
  }
  .time {
    min-width: 56px;
  }
  .note {
    min-width: 150px;
    width: 24%;
  }
</style>
