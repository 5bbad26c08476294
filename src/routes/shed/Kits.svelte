<script lang="ts">
  import { enhance } from '$app/forms';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  interface Props {
    kits: { id: string; name: string; entry: string; items: { name: string; text: string }[]; makes: number; least: string }[];
    stock: { id: string; name: string; unit: string }[];
    entry: string;
    kept: Kept | null;
  }
  /** What goes together on one load, and how many of it the stock makes. */
  let { kits, stock, entry, kept }: Props = $props();
</script>

<section>
  <h2>Kits</h2>
  {#each kits as kit (kit.id)}
    <article>
      <h3><a class="link" href="/book/{kit.entry}">{kit.name}</a></h3>
      <p>{kit.items.map((i) => `${i.text} ${i.name}`).join(', ')}</p>
      <p class="quiet">The stock makes <b>{kit.makes}</b>; {kit.least} ends first.</p>
    </article>
  {:else}<p class="quiet">A kit is what goes together on one load: a stand, its cable and a stake.</p>{/each}
  {#if stock.length > 0}
    <details class="mt-3" open={kept?.errors?.kitName !== undefined}>
      <summary class="font-bold cursor-pointer">Put a kit together</summary>
      <form method="POST" action="?/kit" class="sheet mt-2" use:enhance={keeping}>
        <input type="hidden" name="entry" value={typed(kept, 'entry', entry)} />
        <TextField
          label="Name of the kit"
          name="kitName"
          value={typed(kept, 'kitName')}
          error={kept?.errors?.kitName ?? kept?.errors?.name}
        />
        {#each stock as s (s.id)}
          <TextField
            label="{s.name}, {s.unit}"
            name="kit.{s.id}"
            value={typed(kept, `kit.${s.id}`)}
            error={kept?.errors?.[`kit.${s.id}`]}
          />
        {/each}
        <button class="btn btn-primary">Save the kit</button>
      </form>
    </details>
  {/if}
</section>

<style>
  article {
    border-top: 1px solid var(--rule);
    padding: 8px 0;
  }
</style>
