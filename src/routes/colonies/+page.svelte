<script lang="ts">
  import { dateText } from '#core/time/clock';
  import Nights from '$lib/colony/Nights.svelte';

  let { data } = $props();
  const today = $derived(data.colonies[0]?.nights.nights.at(-1) ?? '');
  const dayOf = (night: string): string => dateText(night, today, data.clock.hours);
</script>

<svelte:head><title>Colonies · Zaprud</title></svelte:head>

<div class="page">
  <p class="float-right">
    <a class="link" href="/colonies/plans">Try a plan</a> – <a class="link" href="/colonies/trainer">A stranger’s pond</a>
  </p>
  <h1>Colonies</h1>
  {#each data.colonies as colony, n (colony.id)}
    <section class="mt-4">
      <h2><a class="link" href="/colonies/{colony.id}">{colony.name}</a></h2>
      <p class="said">{colony.said}</p>
      <p>
        {colony.fear}
        <span class="quiet"
          >{[colony.where, colony.caught ? `caught ${colony.caught}` : 'nothing caught yet'].filter(Boolean).join('; ')}</span
        >
      </p>
      <p>{colony.met.join(' ')}</p>
      {#if colony.clear}<p><b>As sure as you asked: call it done on its page.</b></p>{/if}
      {#if colony.nights.rows.length > 0}
        <div class="mt-1">
          <Nights story={colony.nights} label="Nights of {colony.name}" {dayOf} hasKey={n === data.colonies.length - 1} />
        </div>
      {/if}
    </section>
  {:else}
    <p class="sheet mt-3">
      No lodge, dam or beaver is in the record yet. <a class="link" href="/waters">Begin with a water</a>: a lodge or dam noted there, or a
      beaver caught, makes its colony.
    </p>
  {/each}
  {#if data.others.length > 0}
    <section class="mt-6">
      <h2>Waters without beaver</h2>
      {#each data.others as water (water.id)}
        <p class="mt-1">
          <a class="link" href="/waters/{water.id}">{water.name}</a>: {water.caught || 'nothing caught yet'}. {water.met.join(' ')}
        </p>
      {/each}
    </section>
  {/if}
</div>

<style>
  .said {
    font-size: 1.2rem;
    font-weight: 700;
  }
</style>
