<script lang="ts">
  import { enhance } from '$app/forms';
  import type { CheckRule } from '#core/time/deadline';
  import FileOrText from '$lib/ui/FileOrText.svelte';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import RuleFields from '$lib/ui/RuleFields.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  /** Which book is in force, what stands where it is silent, and books that come from outside. */
  interface Props {
    books: { id: string; text: string }[];
    book: string;
    rulebook: string;
    rule: CheckRule | undefined;
    opened: string | undefined;
    ids: { entry: string; book: string };
    kept: Kept | null;
  }
  let { books, book, rulebook, rule, opened, ids, kept }: Props = $props();
</script>

{#if books.length === 0}
  <section class="sheet">
    <h2>Begin a rulebook</h2>
    <p>Import one below, or begin with one of two invented books and change every rule to what your own agency’s book says.</p>
    {#each [['tarn', 'a district that closes otter'], ['slate', 'a province with areas and bag limits']] as [which, text] (which)}
      <form method="POST" action="?/example" use:enhance={keeping}>
        <input type="hidden" name="entry" value={ids.book} />
        <button class="btn mt-2" name="which" value={which}>Begin with {text}</button>
      </form>
    {/each}
  </section>
{/if}
<form method="POST" action="?/line" class="sheet" class:mt-3={books.length === 0} use:enhance={keeping}>
  <h2>Where the book is silent</h2>
  <Problem text={kept?.problem} />
  <Opened entry={opened} {kept} />
  <input type="hidden" name="entry" value={typed(kept, 'entry', ids.entry)} />
  {#if books.length > 0}
    <SelectField
      label="Rulebook in force"
      name="book"
      value={typed(kept, 'book', book)}
      error={kept?.errors?.book}
      options={[{ value: '', text: 'none' }, ...books.map((b) => ({ value: b.id, text: b.text }))]}
    />
  {/if}
  <RuleFields {kept} {rule} />
  <TextField
    label="Notes of the rules, in your words"
    name="rulebook"
    value={typed(kept, 'rulebook', rulebook)}
    error={kept?.errors?.rulebook}
  />
  <button class="btn btn-primary">Save</button>
</form>
<form method="POST" action="?/import" class="sheet mt-3" enctype="multipart/form-data" use:enhance={keeping}>
  <h2>Import a rulebook</h2>
  <input type="hidden" name="entry" value={ids.book} />
  <FileOrText file="File" text="Or paste it" {kept} />
  <button class="btn mt-2">Import</button>
</form>
