<script lang="ts">
  import Origin from './Origin.svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    label: string;
    name: string;
    error?: string | undefined;
    /** what does not work about it; it may be saved all the same */
    warning?: string | undefined;
    help?: string;
    /** where the number comes from: measured, practice, yours */
    origin?: string;
    children: Snippet<[{ id: string; 'aria-describedby': string | undefined; 'aria-invalid': 'true' | undefined }]>;
  }
  let { label, name, error, warning, help, origin, children }: Props = $props();

  const id = $derived(`f-${name.replaceAll('.', '-')}`);
  const described = $derived(
    [error ? `${id}-error` : '', warning ? `${id}-warning` : '', help || origin ? `${id}-help` : ''].filter(Boolean).join(' ') || undefined,
  );
</script>

<div class="field">
  <label for={id}>{label}</label>
  {@render children({ id, 'aria-describedby': described, 'aria-invalid': error ? 'true' : undefined })}
  {#if error}<p class="error" id="{id}-error">{error}</p>{/if}
  {#if warning}<p class="warning" id="{id}-warning">{warning}</p>{/if}
  {#if help || origin}<p class="help" id="{id}-help">
      {#if origin}<Origin text={origin} />{/if}{help ?? ''}
    </p>{/if}
</div>

<style>
  .field {
    margin-bottom: 10px;
  }
  label {
    display: block;
    font-weight: 600;
    font-size: 0.93rem;
    margin-bottom: 2px;
  }
  .error {
    color: var(--out);
    font-weight: 600;
    margin-top: 3px;
  }
  .warning {
    color: var(--out);
    font-size: 0.9rem;
    margin-top: 2px;
  }
  .help {
    color: var(--mute);
    font-size: 0.85rem;
    margin-top: 2px;
  }
</style>
