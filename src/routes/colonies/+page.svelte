<script lang="ts">
  let { data } = $props();
</script>

<svelte:head><title>Colonies · Zaprud</title></svelte:head>

<div class="page">
  <h1>Colonies</h1>
  <p class="quiet">
    What the record holds of each water: who was caught, and what the others met. It is a list, no estimate of who is left.
  </p>
  {#each data.waters as water (water.id)}
    <section class="mt-5">
      <h2><a class="link" href="/waters/{water.id}">{water.name}</a>: {water.counts || 'nothing caught yet'}</h2>
      <p>
        Met and not caught: {water.learned.miss}
        {water.learned.miss === 1 ? 'miss' : 'misses'}, {water.learned.sprung} sprung empty, {water.learned.knocked} knocked.
        {water.quiet} set {water.quiet === 1 ? 'check' : 'checks'} since the last catch.
      </p>
      {#if water.caught.length > 0}
        <table class="plain-table mt-2">
          <thead><tr><th scope="col">When</th><th scope="col">Animal</th></tr></thead>
          <tbody
            >{#each water.caught as c (c.id)}<tr><td class="whitespace-nowrap">{c.when}</td><td>{c.text}</td></tr>{/each}</tbody
          >
        </table>
      {/if}
    </section>
  {:else}
    <p class="sheet mt-3">No water is recorded. <a class="link" href="/waters">Begin with a water</a>.</p>
  {/each}
</div>
