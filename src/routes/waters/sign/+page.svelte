<script lang="ts">
  import OriginKey from '$lib/ui/OriginKey.svelte';
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
</script>

<svelte:head><title>How fast sign ages · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters">Waters</a></p>
  <h1>How fast sign ages</h1>
  <p class="quiet mb-3">
    Days after which a sign counts for half. The defaults are rules of thumb: set your own. An empty field takes the default. What speaks
    against use lowers it.
  </p>
  {#if page.url.searchParams.has('saved')}<p role="status"><b>Saved to the book: every location is weighed by it.</b></p>{/if}
  <form method="POST" use:enhance={keeping}>
    <Problem text={kept?.problem} />
    <Opened entry={data.opened} {kept} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
    {#each ['use', 'contrary'] as tells (tells)}
      <h2 class="mt-3 mb-2">{tells === 'use' ? 'It is used' : 'It is not used'}</h2>
      <div class="fields">
        {#each data.kinds.filter((k) => k.tells === tells) as k (k.id)}
          <TextField
            label={k.label}
            name="h.{k.id}"
            inputmode="decimal"
            value={typed(kept, `h.${k.id}`, String(k.own ?? k.halfLife))}
            error={kept?.errors?.[`h.${k.id}`] ?? kept?.errors?.halfLives}
            help="days, counts {k.weight} when fresh"
            origin={k.own === null ? 'rule of thumb' : 'you set'}
          />
        {/each}
      </div>
    {/each}
    <button class="btn btn-primary mt-2">Save the half-lives</button>
  </form>
  <OriginKey />
</div>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
    gap: 4px 20px;
  }
</style>
