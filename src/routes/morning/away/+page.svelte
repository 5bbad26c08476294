<script lang="ts">
  import { many } from '#core/units/many';
  import { YOUR_BOOK } from '#core/words/rules';
  import FromCalendar from './FromCalendar.svelte';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import Scroller from '$lib/ui/Scroller.svelte';

  let { data } = $props();
  const out = $derived(data.groups.find((g) => g.out)?.sets ?? []);
  const problemOf = (name: string) => (data.field === name ? data.problem : undefined);
  const title = $derived.by(() => {
    if (!data.said) return 'When can nobody come?';
    return out.length === 0 ? 'Every set can stand.' : `${many(out.length, 'set')} cannot stand so long.`;
  });
  const checks = $derived(out.reduce((sum, s) => sum + s.checks, 0));
</script>

<svelte:head><title>Nobody can come · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/morning">Rounds</a></p>
  <PrintHead {title} button={data.said ? 'Print for who takes over' : null} />
  {#if data.line}
    <form class="ask no-print" method="GET">
      <TimeField label="Last looks made by" name="from" value={data.from} error={problemOf('from')} />
      <TimeField label="Back on the line" name="to" value={data.to} error={problemOf('to')} />
      <button class="btn">Work it out</button>
    </form>
    {#if data.clock}<FromCalendar zone={data.clock.zone} clock={data.clock} now={data.nowAt} />{/if}
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
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 16px;
    align-items: start;
    margin: 8px 0;
  }
  .ask .btn {
    margin-top: 1.6rem;
  }
  .due {
    white-space: nowrap;
  }
</style>
