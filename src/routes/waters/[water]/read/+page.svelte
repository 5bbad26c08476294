<script lang="ts">
  let { data } = $props();
  const GUIDES = [
    ['crossing', 'Find the crossover', 'The middle first, then both ends, each from below: which gap is the one they use.'],
    ['lodge', 'Find runs under ice', 'Is it live, where do its runs leave, and probe holes until the edge of the sticks is found.'],
    ['brook', 'Creek walk', 'One tap a mark: bends, undercuts, roots, pools. At the end the best places, with reasons.'],
  ] as const;
</script>

<svelte:head><title>{data.water.name}: scouting guides · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters/{data.water.id}">{data.water.name}</a></p>
  <h1>Scouting guides</h1>
  <ul class="guides">
    {#each GUIDES as [id, name, about] (id)}
      <li><a class="link font-bold" href="/waters/{data.water.id}/read/{id}">{name}</a><br /><span class="quiet">{about}</span></li>
    {/each}
  </ul>
  <h2 class="mt-6">Done here</h2>
  <ul class="guides">
    {#each data.done as s (s.id)}<li>
        <a class="link" href="/waters/{data.water.id}/read/{s.id}">{s.text}</a> <span class="quiet">{s.when}</span>
      </li>
    {:else}<li class="quiet">None yet.</li>{/each}
  </ul>
</div>

<style>
  .guides {
    max-width: 720px;
  }
  .guides li {
    padding: 10px 0;
    border-top: 1px solid var(--rule);
  }
</style>
