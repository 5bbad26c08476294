<script lang="ts">
  import { navigating } from '$app/state';
  import { waiting } from './waiting.svelte';

  const says = $derived(waiting.forms > 0 ? 'Sending …' : navigating.to ? 'Opening …' : '');
</script>

<p class="waiting" class:on={says !== ''} role="status">{says}</p>

<style>
  .waiting {
    position: fixed;
    top: 0;
    left: 50%;
    translate: -50% 0;
    z-index: 8;
    padding: 6px 16px;
    background: var(--ink);
    color: var(--paper);
    font-weight: 650;
    visibility: hidden;
    pointer-events: none;
  }
  /* what is answered at once is not announced */
  .on {
    animation: shown 0s 0.35s forwards;
  }
  @keyframes shown {
    to {
      visibility: visible;
    }
  }
</style>
