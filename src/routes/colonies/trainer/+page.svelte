<script lang="ts">
  import { LEVELS } from '#core/trainer/lessons';
  import { LEVEL_SAYS, LEVEL_WORDS } from '#core/words/trainer';
  import Pond from './Pond.svelte';

  let { data } = $props();
  const system = $derived(data.who?.person.system ?? 'us');
  const next = $derived((data.seed % 999_999) + 1);
</script>

<svelte:head><title>A stranger’s pond · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/colonies">Colonies</a></p>
  <h1>A stranger’s pond</h1>
  <nav aria-label="How hard" class="levels">
    {#each LEVELS as level (level)}
      <a
        class="btn btn-sm"
        class:btn-primary={level === data.level}
        aria-current={level === data.level}
        href="?level={level}&seed={data.seed}">{LEVEL_WORDS[level]}</a
      >
    {/each}
    <a class="link" href="?level={data.level}&seed={next}">Another pond</a>
    <span class="quiet">This page’s address is pond {data.seed}: send it, and a friend gets the same one.</span>
  </nav>
  <p class="quiet">{LEVEL_SAYS[data.level]} A model; nothing here touches your record.</p>
  {#key `${data.level} ${data.seed}`}
    <Pond seed={data.seed} level={data.level} {system} />
  {/key}
</div>

<style>
  .levels {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 12px;
    align-items: center;
    margin-top: 6px;
  }
</style>
