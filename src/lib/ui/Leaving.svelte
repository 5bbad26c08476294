<script lang="ts">
  import { onMount } from 'svelte';
  import { beforeNavigate } from '$app/navigation';
  import type { Kept } from './kept';

  /** Inside a form: asks before a link or the way back loses what was typed and not saved. */
  let { kept }: { kept: Kept | null } = $props();
  let mark: HTMLElement;
  let isTyped = $derived(kept?.problem !== undefined);

  onMount(() => {
    const form = mark.closest('form');
    const typed = ({ target }: Event): void => {
      const field = target as HTMLInputElement;
      if (field.name && field.type !== 'range') isTyped = true;
    };
    const sent = (): void => void (isTyped = false);
    form?.addEventListener('input', typed);
    form?.addEventListener('submit', sent);
    return () => {
      form?.removeEventListener('input', typed);
      form?.removeEventListener('submit', sent);
    };
  });

  beforeNavigate(({ type, cancel }) => {
    if (isTyped && (type === 'link' || type === 'popstate') && !confirm('What you typed here is not saved yet. Leave it?')) cancel();
  });
</script>

<span hidden bind:this={mark}></span>
