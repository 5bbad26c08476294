<script lang="ts">
  import type { Kept } from './kept';

  interface Props {
    name: string;
    kept: Kept | null;
  }
  let { name, kept }: Props = $props();
</script>

<!-- a question that was put at this field: the same text sent again is meant -->
<input type="hidden" name="{name}.asked" value={kept?.values?.[name] ?? ''} />
