<script lang="ts">
  import { many } from '#core/units/many';
  import { YOUR_BOOK } from '#core/words/rules';
  import PrintButton from '$lib/ui/PrintButton.svelte';
  import Scroller from '$lib/ui/Scroller.svelte';

  let { data } = $props();
  const out = $derived(data.groups.find((g) => g.out)?.sets ?? []);
  const checks = $derived(out.reduce((sum, s) => sum + s.checks, 0));
</script>

<svelte:head><title>Nobody can come · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/morning">Rounds</a></p>
  <div class="head">
    <h1>
      {#if !data.said}When can nobody come?{:else if out.length === 0}Every set can stand.{:else}{many(out.length, 'set')} cannot stand so long.{/if}
    </h1>
    {#if data.said}<PrintButton label="Print for who takes over" />{/if}
  </div>
  {#if data.line}
    <form class="ask no-print" method="GET">
      <label
        >Last looks made by
        <input
          class="input"
          type="datetime-local"
          name="from"
          id="from"
          value={data.from}
          aria-invalid={data.field === 'from' ? 'true' : undefined}
          aria-describedby={data.field === 'from' ? 'away-error' : undefined}
        /></label
      >
      <label
        >Back on the line
        <input
          class="input"
          type="datetime-local"
          name="to"
          id="to"
          value={data.to}
          aria-invalid={data.field === 'to' ? 'true' : undefined}
          aria-describedby={data.field === 'to' ? 'away-error' : undefined}
        /></label
      >
      <button class="btn">Work it out</button>
    </form>
    {#if data.problem}<p class="error" id="away-error" role="alert">{data.problem}</p>{/if}
    {#if data.said}
      <p>
        {data.said}. {#if out.length > 0}Taken over, they owe {many(checks, 'check')} in that time.{/if}
        {YOUR_BOOK}
      </p>
      {#if data.before}<p>{data.before}</p>{/if}
      {#each data.groups as group (group.name)}
        <h2 class="mt-4">{group.name}</h2>
        <Scroller label={group.name}
          ><table class="plain-table">
            <thead>
              <tr>
                <th scope="col">Falls due</th><th scope="col">Set, trap</th><th scope="col">Tie, hole</th>
                {#if group.out}<th scope="col">Checks</th>{/if}<th scope="col">Now</th>
              </tr>
            </thead>
            <tbody>
              {#each group.sets as set (set.id)}
                <tr>
                  <td class="due">{set.due}</td>
                  <td
                    ><a class="link" href="/bench/{set.id}/sheet"><b>{set.label}</b></a>, {set.water}<br /><span class="quiet"
                      >{set.traps}</span
                    ></td
                  >
                  <td>{set.tie || 'not noted'}{set.hole ? `, hole ${set.hole}` : ''}</td>
                  {#if group.out}<td class="mono">{set.checks}</td>{/if}
                  <td>{set.order}</td>
                </tr>
              {/each}
            </tbody>
          </table></Scroller
        >
      {/each}
      {#if out.length > 0}
        <p class="mt-3">
          Who takes over: an armed trap is never moved by hand; a live catch is approached, held by its tether and dispatched only by means
          lawful there. Whether somebody else may check these sets your local code says.
        </p>
      {/if}
    {/if}
  {:else}
    <p><a class="link" href="/begin">Begin with your crew, your line and one water</a>.</p>
  {/if}
</div>

<style>
  .head {
    display: flex;
    gap: 12px;
    justify-content: space-between;
    align-items: start;
    flex-wrap: wrap;
  }
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 16px;
    align-items: end;
    margin: 8px 0;
  }
  .error {
    color: var(--out);
    font-weight: 700;
  }
  .due {
    white-space: nowrap;
  }
</style>
