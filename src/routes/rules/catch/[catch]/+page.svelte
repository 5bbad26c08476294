<script lang="ts">
  import { enhance } from '$app/forms';
  import { YOUR_BOOK } from '#core/words/rules';
  import PrintButton from '$lib/ui/PrintButton.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const open = $derived(data.duties.filter((d) => d.done === ''));
  const verdict = $derived(
    data.is === 'incidental'
      ? `Incidental: ${data.species} ${data.because === 'closed' ? 'closed' : 'over the limit'} by your rulebook`
      : data.is === 'silent'
        ? `The rulebook names no season of ${data.species}`
        : `In season by your rulebook`,
  );
</script>

<svelte:head><title>Report of a {data.species} · Zaprud</title></svelte:head>

<div class="page report">
  <p class="no-print"><a class="link" href="/check/{data.set.id}">{data.set.text}</a> <PrintButton /></p>
  <h1>Report of a catch: {data.species}</h1>
  {#if data.saved}<p role="status"><b>Saved to the book.</b></p>{/if}
  <p class="verdict">
    <StateMark verdict={data.is === 'incidental' ? 'spent' : data.is === 'ordinary' ? 'fine' : 'unknown'} />
    <b>{verdict}</b> <span class="quiet">{data.rule ?? ''}</span>
  </p>
  {#if data.said}<p>{data.said}</p>{/if}
  {#if data.limit}<p>{data.limit.count} of {data.limit.most} a {data.limit.per} <span class="quiet">{data.limit.rule}</span></p>{/if}
  <dl>
    {#each data.facts as [label, text] (label)}<dt>{label}</dt>
      <dd>{text}</dd>{/each}
  </dl>
  {#if data.spare.length > 0}
    <h2>To spare others</h2>
    <ul>
      {#each data.spare as s (s.id)}<li>{s.text} <span class="quiet">{s.id}</span></li>{/each}
    </ul>
  {/if}
  <h2>Who is told</h2>
  {#if data.duties.length === 0}<p>The book names nobody.</p>{/if}
  <ul>
    {#each data.duties as d (d.rule)}
      <li>
        <StateMark verdict={d.done ? 'fine' : d.overdue ? 'outOfWater' : 'nearEdge'} />
        <b>{d.whom}</b>{d.how ? `, ${d.how}` : ''}: {d.done ? `told ${d.done}` : `by ${d.by}${d.overdue ? ', overdue' : ''}`}
        <span class="quiet">{d.rule}</span>
      </li>
    {/each}
  </ul>
  <p class="quiet mt-3">{data.book}. {YOUR_BOOK}</p>
  {#if open.length > 0}
    <form method="POST" class="sheet mt-3 no-print" use:enhance={keeping}>
      <h2>They were told</h2>
      <Problem text={kept?.problem} />
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
      <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
      <TextField label="When" name="at" type="datetime-local" value={typed(kept, 'at', data.nowField)} error={kept?.errors?.at} />
      <TextField label="Who, and how" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
      {#each open as d (d.rule)}<button class="btn btn-primary mr-2" name="rule" value={d.rule}>{d.whom} was told</button>{/each}
    </form>
  {/if}
</div>

<style>
  .report {
    max-width: 720px;
  }
  .verdict,
  li {
    margin: 6px 0;
  }
  dl {
    display: grid;
    grid-template-columns: 110px 1fr;
    gap: 4px 12px;
    margin: 12px 0;
  }
  dt {
    font-weight: 600;
  }
  :global(.report svg) {
    display: inline;
    vertical-align: -3px;
  }
</style>
