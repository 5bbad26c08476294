<script lang="ts">
  let { data } = $props();
  const SHOWN = 4;
  type Water = (typeof data.waters)[number];
</script>

{#snippet animals(caught: Water['caught'])}
  <table class="plain-table mt-2">
    <thead><tr><th scope="col">When</th><th scope="col">Animal</th></tr></thead>
    <tbody
      >{#each caught as c (c.id)}<tr><td class="whitespace-nowrap">{c.when}</td><td>{c.text}</td></tr>{/each}</tbody
    >
  </table>
{/snippet}

<svelte:head><title>Colonies · Zaprud</title></svelte:head>

<div class="page">
  <h1>Colonies</h1>
  <p class="quiet">What the record holds of each water: who was caught, and what the others met.</p>
  {#each data.waters as water (water.id)}
    <section class="mt-5">
      <h2><a class="link" href="/waters/{water.id}">{water.name}</a>: {water.counts || 'nothing caught yet'}</h2>
      {#if water.left}
        <p><b>{water.left.text}</b> <a class="link" href="/waters/{water.id}/count">Why</a></p>
        {#if water.left.second}<p>{water.left.second}</p>{/if}
      {/if}
      <p>{water.met.join(' ')}</p>
      {#if water.caught.length > 0}
        {@render animals(water.caught.slice(0, SHOWN))}
        {#if water.caught.length > SHOWN}
          <details>
            <summary class="font-bold cursor-pointer">{water.caught.length - SHOWN} earlier</summary>
            {@render animals(water.caught.slice(SHOWN))}
          </details>
        {/if}
      {/if}
    </section>
  {:else}
    <p class="sheet mt-3">No water is recorded. <a class="link" href="/waters">Begin with a water</a>.</p>
  {/each}
</div>
