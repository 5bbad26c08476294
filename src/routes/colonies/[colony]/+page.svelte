<script lang="ts">
  import { page } from '$app/state';
  import { dateText } from '#core/time/clock';
  import Nights from '$lib/colony/Nights.svelte';
  import type { Kept } from '$lib/ui/kept';
  import Chances from './Chances.svelte';
  import ColonyForm from './ColonyForm.svelte';
  import DoneForm from './DoneForm.svelte';
  import Where from './Where.svelte';
  import Fears from './Fears.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const dayOf = (night: string): string => dateText(night, data.story.nights.at(-1) ?? night, data.clock.hours);
  const SHOWN = 6;
</script>

<svelte:head><title>{data.name} · Zaprud</title></svelte:head>

<div class="page">
  <p>
    <a class="link" href="/colonies">Colonies</a>
    {#each data.waters as w (w.id)}<a class="link ml-3" href="/waters/{w.id}">{w.name}</a>{/each}
  </p>
  <h1>{data.name}</h1>
  {#if page.url.searchParams.has('saved')}<p role="status"><b>Saved.</b></p>{/if}
  <p class="first">{data.said}</p>
  <p class="second">{data.fears.said}</p>
  {#if data.note}<p class="quiet">{data.note}</p>{/if}
  <DoneForm {data} {kept} />

  <section class="mt-4">
    <h2>Night by night</h2>
    {#if data.story.rows.length === 0}
      <p>
        Nothing was met and no set stood in the last {data.story.nights.length} nights. What is noted at its places, caught in its sets and seen
        by cameras is drawn here.
      </p>
    {:else}
      {#each data.sections as water (water.id)}
        {#if water.stations.length > 0}
          {#if data.sections.length > 1}<h3 class="mt-2">{water.name}</h3>{/if}
          <Where {water} story={data.story} />
        {/if}
      {/each}
      <Nights story={data.story} levels={data.levels} label="Nights of {data.name} by place" {dayOf} />
    {/if}
  </section>

  <div class="two mt-5">
    <section>
      <h2>Who is left</h2>
      {#if data.chances.length > 0}
        <Chances chances={data.chances} />
        {#if data.who}<p>{data.who}</p>{/if}
        {#if data.moved >= 0.05}<p>{Math.round(data.moved * 100)}% of it: the rest left the water.</p>{/if}
      {/if}
      {#if data.settles}<p class="mt-1"><b>{data.settles}</b></p>{/if}
      <ul class="why">
        {#each data.reasons as reason (reason)}<li>{reason}</li>{/each}
      </ul>
      {#if data.second}<p class="problem mt-2">{data.second}</p>{/if}
      <p class="quiet mt-1">
        Worked out from its signs, the hours traps stood in range, catches, silent cameras and breaks. How easily one is taken, seen and
        mends is practice: <a class="link" href="/colonies/odds">how sure the odds are</a>.
      </p>
    </section>
    <Fears fears={data.fears.all} />
  </div>

  <div class="two mt-5">
    <section>
      <h2>Wait, or change</h2>
      {#each data.waits as w (w.order + w.why)}
        <p class="wait" class:urgent={w.call !== 'wait' && w.call !== 'cannotTell'}>
          <b>{w.order}:</b>
          {#each w.sets as set, n (set.id)}{n > 0 ? ', ' : ''}<a class="link" href="/bench/{set.id}">{set.name}</a>{/each}. {w.why}
        </p>
      {:else}
        <p>No set for it is live.</p>
      {/each}
    </section>
    <section>
      <h2>Try next</h2>
      <p><a class="link" href="/colonies/plans?like={data.id}">Try plans on a colony like it</a></p>
      <ul class="why">
        {#each data.trials.best as t (t.id)}<li><a class="link" href={t.href}><b>{t.what}</b></a>: {t.catches}</li>{:else}<li>
            No place of it is known, or no trap that suits one is free.
          </li>{/each}
      </ul>
      {#each data.trials.telling as t (t.id)}
        <p class="mt-2">To learn what they shy from: <a class="link" href={t.href}><b>{t.what}</b></a></p>
        <ul class="why">
          {#each t.points as point (point)}<li>{point}</li>{/each}
        </ul>
      {/each}
      {#if data.repairs.all.length > 0}
        <h3 class="mt-3">What they mended</h3>
        {#if data.repairs.open}<p><b>{data.repairs.open}</b></p>{/if}
        <ul class="why">
          {#each data.repairs.all as r (r.id)}<li>{r.text}</li>{/each}
        </ul>
      {/if}
      {#if data.earlier.length > 0}
        <h3 class="mt-3">Trapped before</h3>
        <ul class="why">
          {#each data.earlier as e (e.id)}<li>{e.text}</li>{/each}
        </ul>
      {/if}
    </section>
  </div>

  <section class="mt-5">
    <h2>Caught</h2>
    <p>{data.met.join(' ')}</p>
    <ul>
      {#each data.caught.slice(0, SHOWN) as c (c.id)}<li>{c.when}: {c.text}</li>{:else}<li>Nothing yet.</li>{/each}
    </ul>
    {#if data.caught.length > SHOWN}
      <details>
        <summary class="font-bold cursor-pointer">{data.caught.length - SHOWN} earlier</summary>
        <ul>
          {#each data.caught.slice(SHOWN) as c (c.id)}<li>{c.when}: {c.text}</li>{/each}
        </ul>
      </details>
    {/if}
  </section>

  <ColonyForm own={data.form} named={data.named} {kept} />
</div>

<style>
  .first {
    font-size: 1.5rem;
    font-weight: 750;
    margin-top: 4px;
    line-height: 1.2;
  }
  .second {
    font-size: 1.1rem;
    font-weight: 600;
  }
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(320px, 100%), 1fr));
    gap: 16px 32px;
    align-items: start;
  }
  .why {
    list-style: disc;
    padding-left: 1.2em;
  }
  .wait {
    padding: 5px 0 5px 10px;
    border-left: 3px solid var(--rule);
    margin-top: 4px;
  }
  .urgent {
    border-left-color: var(--out);
  }
</style>
