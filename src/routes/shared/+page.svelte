<script lang="ts">
  let { data } = $props();
</script>

<svelte:head><title>Shared with you · Zaprud</title></svelte:head>

<div class="page">
  <h1>{data.role === 'reader' ? 'Shared with you' : 'As a client sees it'}</h1>
  {#if data.waters.length === 0}<p>No water is shared just now. Whose line it is shares one under People, <i>Who may come in</i>.</p>{/if}
  <ul>
    {#each data.waters as water (water.id)}
      <li><a href="/shared/{water.id}">{water.name}</a></li>
    {/each}
  </ul>
  {#if data.role === 'reader'}<form method="POST" action="/signout" class="mt-4"><button class="btn">Sign out here</button></form>{/if}
</div>

<style>
  li {
    min-height: 48px;
    align-content: center;
    border-bottom: 1px solid var(--mute);
    font-weight: 600;
  }
</style>
