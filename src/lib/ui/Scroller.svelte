<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A table that is wider than a small screen scrolls by itself, and the page stays. */
  let { label, children }: { label: string; children: Snippet } = $props();
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="scroller" role="region" aria-label={label} tabindex="0">{@render children()}</div>

<style>
  .scroller {
    overflow-x: auto;
    max-width: 100%;
    /* what is only heard lies in here and widens no page */
    position: relative;
  }
</style>
