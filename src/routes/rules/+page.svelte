<script lang="ts">
  import { enhance } from '$app/forms';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import RuleFields from '$lib/ui/RuleFields.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
</script>

<svelte:head><title>Rules · Zaprud</title></svelte:head>

<div class="page">
  <h1>Rules</h1>
  <p class="quiet max-w-3xl">
    The rules are yours: copy them from your agency’s own book, and ask there when in doubt. Zaprud calculates deadlines from what stands
    here and never says that anything is legal. What is not written here, it does not know.
  </p>
  {#if !data.season}
    <p class="sheet mt-3">No line was begun yet. <a class="link" href="/begin">Begin one</a>, with its check interval.</p>
  {:else}
    <p class="mt-4 text-lg">
      <b>{data.season.name}, season {data.season.season}</b>: every set is checked {data.words}; times in {data.season.zone}.
    </p>
    <p>{data.season.rulebook || 'The rulebook says nothing else.'}</p>
    <form method="POST" class="sheet mt-4 max-w-xl" use:enhance={keeping}>
      <h2>Change the check interval</h2>
      <Problem text={kept?.problem} />
      <Opened entry={data.opened} {kept} />
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
      <RuleFields {kept} rule={data.rule} />
      <TextField
        label="Rulebook, in your words"
        name="rulebook"
        value={typed(kept, 'rulebook', data.season.rulebook)}
        error={kept?.errors?.rulebook}
      />
      <button class="btn btn-primary">Save the rule</button>
    </form>
  {/if}
</div>
