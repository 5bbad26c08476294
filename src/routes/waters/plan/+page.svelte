<script lang="ts">
  import { LEFT_WORDS, type Left } from '#core/planning/plan';
  import { many } from '#core/units/many';
  import { page } from '$app/state';
  import PrintButton from '$lib/ui/PrintButton.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import AskForm from './AskForm.svelte';
  import PlanRowView from './PlanRow.svelte';
  import EmptyRoom from '$lib/ui/EmptyRoom.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const plan = $derived(data.plan);
  const take = $derived(data.rows.filter((r) => r.take));
  /** what is left, by what leaves it, the most first */
  const left = $derived(
    (Object.keys(LEFT_WORDS) as Left[])
      .map((id) => ({ id, rows: data.rows.filter((r) => r.left === id) }))
      .filter((g) => g.rows.length > 0)
      .sort((a, b) => b.rows.length - a.rows.length),
  );
  const tried = $derived(typed(kept, 'station'));
  const sheet = $derived(`/waters/plan/sheet${data.search}`);
  const ruleHours = $derived(plan.rule.kind === 'elapsed' ? plan.rule.hours : plan.rule.days * 24);
</script>

<svelte:head><title>The plan · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/waters">Waters</a></p>
  <div class="head">
    <h1>{plan.asked.species[0]?.toUpperCase()}{plan.asked.species.slice(1)} plan</h1>
    <div class="no-print flex gap-2"><a class="btn" href={sheet}>Printed sheet</a><PrintButton /></div>
  </div>
  {#if page.url.searchParams.has('taken')}<p role="status">
      <b>{page.url.searchParams.get('taken')}: saved to the plan and the book.</b>
    </p>{/if}
  <Problem text={kept?.problem} />
  <p class="answer" aria-live="polite">
    {plan.within ?? plan.sentence}
  </p>
  {#if plan.nights * 24 > ruleHours}<p class="problem">
      Your next free day is {many(plan.nights, 'night')} later, and this line’s rule asks a look within {ruleHours} h: somebody has to look between,
      or set nothing live.
    </p>{/if}
  {#if plan.camera}<p class="mb-3"><b>A camera tonight, if you have one:</b> {plan.camera}</p>{/if}
  <AskForm {plan} species={data.species} weekdays={data.weekdays} />

  <h2 class="mt-5 mb-1">Set these, in this order</h2>
  <ol class="rows">
    {#each take as row, i (row.id)}<li>
        <PlanRowView {row} rank={i + 1} opens={plan.setting} species={plan.asked.species} keptFor={tried} />
      </li>
    {:else}{#if data.rows.length > 0}<li class="p-3">No place is worth a trap on these terms: the reasons stand below.</li>{/if}{/each}
  </ol>
  {#if data.rows.length === 0}<EmptyRoom room="plan" label="What will stand here: places in the order to set them">
      Places are ranked here once they are known. {#if data.firstWater}<a class="link" href="/waters/{data.firstWater.id}"
          >Name the first place of {data.firstWater.name}</a
        >.{/if}
    </EmptyRoom>{/if}
  <p class="quiet mt-1">
    Ranked by use times catch per working night of such places so far ({plan.mean.toFixed(2)} a night over all, drawn toward it where nights are
    few), per minute of work (rule of thumb, and your own record).
  </p>

  <h2 class="mt-6 mb-1">Left, and why</h2>
  {#each left as group (group.id)}
    <details class="left" open={group.rows.some((r) => r.id === tried)}>
      <summary><b>{group.rows.length}</b> {LEFT_WORDS[group.id]}</summary>
      <ol class="rows">
        {#each group.rows as row (row.id)}<li>
            <PlanRowView {row} rank={null} opens={plan.setting} species={plan.asked.species} keptFor={tried} />
          </li>{/each}
      </ol>
    </details>
  {/each}

  <h2 class="mt-6 mb-1">In the plan already</h2>
  <ul>
    {#each plan.intended as i (i.id)}<li><a class="link" href={i.href}>{i.text}</a></li>{:else}<li>Nothing yet.</li>{/each}
  </ul>
</div>

<style>
  .head {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    flex-wrap: wrap;
  }
  .answer {
    font-size: 1.25rem;
    font-weight: 650;
    margin: 8px 0;
    line-height: 1.3;
  }
  .rows li {
    background: var(--paper);
    border-top: 1px solid var(--rule);
  }
  .left > summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
  }
</style>
