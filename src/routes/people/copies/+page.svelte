<script lang="ts">
  import { invalidateAll } from '$app/navigation';

  let { data } = $props();
  const isUnderWay = $derived(data.copies.some((c) => c.state === 'waiting'));
  const MEGABYTE = 1024 * 1024;
  const sizeText = (bytes: number): string => (bytes < MEGABYTE ? `${Math.ceil(bytes / 1024)} kB` : `${(bytes / MEGABYTE).toFixed(1)} MB`);

  $effect(() => {
    if (!isUnderWay) return;
    const every = setInterval(() => void invalidateAll(), 1000);
    return () => clearInterval(every);
  });
</script>

<svelte:head><title>Copies · Zaprud</title></svelte:head>

<div class="page">
  <h1>Copies</h1>
  <p class="quiet"><a class="link" href="/people">People and settings</a></p>
  <div class="max-w-2xl">
    {#if data.isOwner}
      <form method="POST" action="?/ask" class="mt-4">
        <input type="hidden" name="id" value={data.id} />
        <p class="mb-3">
          One file with every entry of this crew, its photos, and what waits for a decision. <code>./restore FILE</code> takes it in on another
          machine.
        </p>
        <button class="btn btn-primary">Make a copy of everything</button>
      </form>
      {#if data.copies.length > 0}
        <ul class="mt-4" aria-label="Copies">
          {#each data.copies as copy (copy.id)}
            <li>
              <span class="when"><b>{copy.asked}</b> <span class="quiet">{copy.name}</span></span>
              {#if copy.state === 'done'}
                <a class="btn" href="/people/copies/{copy.id}" download>Save {sizeText(copy.bytes)}</a>
              {:else if copy.state === 'failed'}
                <span class="problem">It could not be made. Ask for another; <code>./backup</code> at the machine makes one too.</span>
              {:else}
                <label class="going">
                  <span role="status">{copy.share === 0 ? 'waits for its turn' : `${Math.round(copy.share * 100)} %`}</span>
                  <progress class="progress" max="1" value={copy.share} aria-label="Copy of {copy.asked}"></progress>
                </label>
              {/if}
            </li>
          {/each}
        </ul>
        <p class="quiet mt-3">A copy lies here for seven days, the three newest of them.</p>
      {/if}
      {#if isUnderWay}<noscript><p class="mt-3"><a class="link" href="/people/copies">Look again</a></p></noscript>{/if}
    {:else}
      <p class="mt-4">A copy of everything, the owner of the crew takes.</p>
    {/if}
    <h2 class="mt-6">About you</h2>
    <p class="mb-3">What the record holds about you: your name and measures, your devices, what you wrote.</p>
    <a class="btn" href="/people/me" download>Save all about me</a>
  </div>
</div>

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: center;
    padding: 10px 0;
    border-top: 1px solid var(--rule);
  }
  .when {
    flex: 1;
    min-width: 200px;
  }
  .going {
    display: grid;
    gap: 4px;
    width: 200px;
  }
</style>
