<script lang="ts">
  import { tick } from 'svelte';

  /** The sentence of a refused form, with a way to every field that is marked; it is announced and takes the focus unless a field does. */
  let { text, quiet = false }: { text: string | undefined; quiet?: boolean } = $props();
  let place = $state<HTMLElement>();
  let marked = $state<{ id: string; label: string }[]>([]);

  $effect(() => {
    if (!text || !place) return;
    const own = place;
    if (!quiet) own.focus();
    void tick().then(() => {
      const form = own.closest('form') ?? own.parentElement?.querySelector('form');
      const wrong = [...(form?.querySelectorAll<HTMLElement>('[aria-invalid="true"][id]') ?? [])];
      marked = wrong.map(({ id }) => ({ id, label: form?.querySelector(`label[for="${id}"]`)?.textContent?.trim() ?? id }));
    });
  });

  function go(event: MouseEvent, id: string): void {
    event.preventDefault();
    const field = document.getElementById(id);
    field?.closest('details')?.setAttribute('open', '');
    field?.focus();
  }
</script>

{#if text}
  <p class="problem" role={quiet ? undefined : 'alert'} tabindex="-1" bind:this={place}>
    {text}
    {#each marked as m (m.id)}
      <a class="link ml-2" href="#{m.id}" onclick={(event) => go(event, m.id)}>{m.label}</a>
    {/each}
  </p>
{/if}
