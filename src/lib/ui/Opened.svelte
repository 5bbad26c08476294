<script lang="ts">
  import { typed, type Kept } from './kept';

  /** On which entry a form was opened; after someone else's change, the one tap that saves it on top of theirs. */
  let { entry, kept }: { entry: string | undefined; kept: Kept | null | undefined } = $props();
</script>

<input type="hidden" name="opened" value={typed(kept, 'opened', entry ?? '')} />
{#if kept?.newer}<p><button class="btn btn-primary" name="onto" value={kept.newer}>Save my changes on top</button></p>{/if}
