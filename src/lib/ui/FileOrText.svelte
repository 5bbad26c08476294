<script lang="ts">
  import Field from './Field.svelte';
  import { typed, type Kept } from './kept';

  /** A JSON file, or what stands in it pasted: both are read as the same. What is wrong with either is said at the text. */
  let { file, text = 'Or its text', rows = 3, kept }: { file: string; text?: string; rows?: number; kept: Kept | null } = $props();
</script>

<Field label={file} name="file">
  {#snippet children(attributes)}
    <input type="file" name="file" accept=".json,application/json" class="file-input w-full" {...attributes} />
  {/snippet}
</Field>
<Field label={text} name="text" error={kept?.errors?.text}>
  {#snippet children(attributes)}
    <textarea class="textarea w-full" name="text" {rows} {...attributes}>{typed(kept, 'text')}</textarea>
  {/snippet}
</Field>
