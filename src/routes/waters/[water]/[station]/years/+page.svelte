<script lang="ts">
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import { many } from '#core/units/many';
  import { keeping } from '$lib/ui/keeping';
  import { typed, type Kept } from '$lib/ui/kept';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const there = $derived(data.lies.filter((l) => !l.gone));
  const gone = $derived(data.lies.filter((l) => l.gone));
  const NUMBERS = 3;
</script>

<svelte:head><title>{data.place}, its years · Zaprud</title></svelte:head>

<div class="page two">
  <section>
    <p>
      <a class="link" href="/waters/{data.water.id}">{data.water.name}</a>
      <a class="link ml-3" href="/waters/{data.water.id}/{data.station}">{data.place}</a>
    </p>
    <h1>What {data.place} gave and taught</h1>
    {#if data.ways}<p>{data.ways}</p>{/if}
    {#each data.sets as set (set.id)}
      <article class="mt-3">
        <h2><a class="link" href="/bench/{set.id}">{set.name}</a> <span class="quiet">season {set.season}, {set.when}</span></h2>
        {#if set.gave}<p><b>{set.gave}</b></p>{/if}
        {#if set.why}<p>Looked at and left: {set.why}</p>{/if}
        {#if set.built.length > 0}
          <p>
            Built with {set.built.slice(0, NUMBERS).join(', ')}{#if set.built.length > NUMBERS}<details class="more">
                <summary>{many(set.built.length - NUMBERS, 'more number')}</summary>{set.built.slice(NUMBERS).join(', ')}
              </details>{:else}.{/if}
          </p>
        {/if}
        {#if set.catches.length > 0}
          <ul>
            {#each set.catches as c (c.id)}<li>{c.text}: {c.stood}{c.hour ? `; ${c.hour}` : ''}</li>{/each}
          </ul>
        {/if}
        {#each set.notReached as missed (missed)}<p>Not reached {missed}</p>{/each}
      </article>
    {:else}
      <p class="sheet mt-3">
        No set stood or was planned here yet. What stands here, what it gives and what ends it is kept for the next years.
      </p>
    {/each}
    {#if data.meant.length > 0}
      <h2 class="mt-4">Looked at</h2>
      <ul>
        {#each data.meant as m (m.id)}<li>{m.text}</li>{/each}
      </ul>
    {/if}
    {#if data.breaks.length > 0}
      <h2 class="mt-4">Breaks and repairs</h2>
      <ul>
        {#each data.breaks as b (b.id)}<li>{b.text}</li>{/each}
      </ul>
    {/if}
    {#if data.earlier.length > 0}
      <h2 class="mt-4">Trapped before</h2>
      <ul>
        {#each data.earlier as e (e.id)}<li>{e.text}</li>{/each}
      </ul>
    {/if}
  </section>
  <section class="sheet">
    <h2>What lies here</h2>
    {#if page.url.searchParams.has('saved')}<p role="status"><b>Saved.</b></p>{/if}
    <Problem text={kept?.problem} />
    {#each there as l (l.id)}
      <form method="POST" action="?/gone" class="lies" use:enhance={keeping}>
        <input type="hidden" name="entry" value={data.ids.entry} />
        <input type="hidden" name="lies" value={l.id} />
        <input type="hidden" name="opened" value={data.opened} />
        <span><b>{l.text}</b> <span class="quiet">since {l.since}</span></span>
        <button class="btn btn-sm">It is gone<span class="only-heard">: {l.text}</span></button>
      </form>
    {:else}
      <p>Nothing noted: a stone under a trap, an old bed, a stake, a spot where the pole failed.</p>
    {/each}
    {#each gone as l (l.id)}<p class="quiet">{l.text}: {l.since} to {l.gone}</p>{/each}
    <form method="POST" action="?/lay" class="mt-3" use:enhance={keeping}>
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
      <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
      <Opened entry={data.opened} {kept} />
      <SelectField
        label="What"
        name="what"
        value={typed(kept, 'what')}
        options={data.kinds.map((k) => ({ value: k, text: k }))}
        error={kept?.errors?.what}
      />
      <TextField
        label="Where, and how"
        name="where"
        value={typed(kept, 'where')}
        error={kept?.errors?.where}
        help="so that a hand finds it again"
      />
      <button class="btn btn-primary">It lies here</button>
    </form>
  </section>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(280px, 380px);
    gap: 28px;
    align-items: start;
  }
  .lies {
    display: flex;
    justify-content: space-between;
    gap: 10px;
    align-items: center;
    border-top: 1px solid var(--rule);
    padding: 6px 0;
  }
  .more {
    display: inline-block;
    margin-left: 6px;
  }
  summary {
    cursor: pointer;
  }
  @media (max-width: 820px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
