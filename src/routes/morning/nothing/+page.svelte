<script lang="ts">
  import { enhance } from '$app/forms';
  import { many } from '#core/units/many';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const bar = (share: number): string => `${Math.round(share * 100)}%`;
</script>

<svelte:head><title>I catch nothing · Zaprud</title></svelte:head>

{#snippet carried(but: string)}
  {#each data.given.filter((g) => g.name !== but) as g, n (n)}<input type="hidden" name={g.name} value={g.value} />{/each}
{/snippet}

<div class="page ask">
  <p>
    <a class="link" href="/morning">Rounds</a>
    {#if data.set}– <a class="link" href="/bench/{data.set.id}">{data.set.text}</a>, {data.set.type}{/if}
  </p>
  {#if data.saved}
    <h1>Kept</h1>
    <p role="status">The answers stay in the book. Look again on the day, and ask anew.</p>
  {:else if !data.begun}
    <h1>I catch nothing</h1>
    <p>A few short questions, one at a time. What the record knows is not asked.</p>
    {#if data.sets.length > 0}
      <form method="GET" class="sheet mt-3">
        <SelectField label="Where?" name="set" value="" options={data.sets.map((s) => ({ value: s.id, text: s.text }))} />
        <button class="btn btn-primary btn-lg w-full">Begin with this set</button>
      </form>
    {/if}
    <form method="GET" class="mt-3">
      {#if data.water}<input type="hidden" name="water" value={data.water} />{/if}
      <button class="btn btn-lg w-full" name="begun" value="1">A set that is not in the record</button>
    </form>
  {:else if data.question}
    <p class="quiet" aria-live="polite">{data.step.at} of {data.step.of}</p>
    <h1>{data.question.text}</h1>
    <form method="GET" class="choices">
      {@render carried(data.question.id)}
      {#each data.question.options as o (o.value)}
        <button class="btn btn-lg" name={data.question.id} value={o.value}>{o.text}</button>
      {/each}
    </form>
  {:else if data.result}
    <p class="quiet">First look at this</p>
    <h1>{data.result.is}</h1>
    <p class="share"><i style:width={bar(data.result.share)}></i><b>{data.result.sure}</b></p>
    <dl>
      <dt>Change one thing</dt>
      <dd><b>{data.result.change}</b></dd>
      <dt>Look again</dt>
      <dd>{data.result.again}</dd>
      <dt>It is decided by this</dt>
      <dd>{data.result.decides}</dd>
    </dl>
    <form method="POST" class="sheet" use:enhance={keeping}>
      <Problem text={kept?.problem} />
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
      <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
      <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
      <button class="btn btn-primary btn-lg w-full">Keep it{data.set ? ' with the set' : ''}</button>
    </form>
    <details class="mt-3">
      <summary>Less likely</summary>
      {#each data.result.others as o (o.is)}<p class="share small"><i style:width={bar(o.share)}></i>{o.is} {o.sure}</p>{/each}
      <p class="quiet">Rules of thumb: weights of practice, no measured odds.</p>
    </details>
  {/if}
  {#if data.begun && data.answered.length > 0 && !data.saved}
    <details class="mt-3">
      <summary>{many(data.answered.length, 'answer', 'answers')} so far</summary>
      {#each data.answered as a (a.id)}
        <p>
          {a.ask} <b>{a.text}</b>. <span class="quiet">{a.from}</span>
          <a class="link" href={a.again}>change<span class="only-heard">: {a.ask}</span></a>
        </p>
      {/each}
    </details>
  {/if}
  {#if data.earlier.length > 0}
    <h2 class="mt-4">Answered before</h2>
    {#each data.earlier as e (e.id)}
      <p class="before">
        <StateMark verdict={e.came.caught > 0 ? 'fine' : e.came.looks > 0 ? 'nearEdge' : 'unknown'} />
        <a class="link" href="/book/{e.entry}">{e.when}</a>: {e.is}
        {e.sure}. {e.change} Since then {e.came.looks === 0
          ? `nobody looked; look on ${e.again}`
          : `${many(e.came.looks, 'look', 'looks')}, ${e.came.caught > 0 ? many(e.came.caught, 'catch', 'catches') : 'nothing caught'}`}.
      </p>
    {/each}
    {#if data.saved && data.set}<a class="btn mt-2" href="?set={data.set.id}">Ask anew</a>{/if}
  {/if}
</div>

<style>
  .ask {
    max-width: 640px;
  }
  .choices {
    display: grid;
    gap: 10px;
    margin-top: 14px;
  }
  .choices .btn {
    min-height: 60px;
    justify-content: flex-start;
    text-align: left;
  }
  .share {
    position: relative;
    padding: 6px 10px;
    background: var(--paper);
    border: 1px solid var(--rule);
    margin: 8px 0;
  }
  .share i {
    position: absolute;
    inset: auto auto 0 0;
    height: 4px;
    background: var(--edge);
  }
  dl {
    display: grid;
    gap: 2px;
    margin: 14px 0;
  }
  dt {
    color: var(--mute);
    margin-top: 8px;
  }
  summary {
    cursor: pointer;
    min-height: 40px;
    align-content: center;
  }
  .before :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
</style>
