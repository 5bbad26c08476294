<script lang="ts">
  import { onMount } from 'svelte';
  import { photoId, photoType } from '#lib/photo';
  import type { KeptPhoto } from '$lib/field/store';
  import { shrunk } from '$lib/ui/shrunk';
  import { typed, type Kept } from '$lib/ui/kept';
  import Photo from './Photo.svelte';

  /** A photo with a form: kept as soon as it was taken, so that a form that is refused or half filled does not lose it. */
  interface Props {
    kept: Kept | null;
    crew: string;
    keep: (photo: KeptPhoto) => Promise<void>;
    /** what it is a photo of */
    of?: string;
  }
  let { kept, crew, keep, of = 'this check' }: Props = $props();
  let own = $state<string | null>(null);
  const id = $derived(own ?? typed(kept, 'photo'));
  let says = $state('');
  let isHere = $state(false);
  onMount(() => (isHere = true));

  async function take(input: HTMLInputElement): Promise<void> {
    const original = input.files?.[0];
    if (!original) return;
    says = 'Keeping it …';
    try {
      const bytes = await (await shrunk(original)).arrayBuffer();
      const photo = { id: photoId(crew, new Uint8Array(bytes)), type: photoType(new Uint8Array(bytes)) ?? 'image/jpeg', bytes };
      await keep(photo);
      own = photo.id;
      says = `Kept, ${Math.round(bytes.byteLength / 1024)} kB.`;
    } catch {
      says = 'That photo could not be read or kept: take a JPEG, PNG or WebP, or try again.';
    }
    input.value = '';
    // a half-filled form is kept with it
    requestAnimationFrame(() => input.dispatchEvent(new Event('change', { bubbles: true })));
  }
</script>

<input type="hidden" name="photo" value={id} />
{#if isHere}
  <div class="photo">
    {#if id}<Photo {id} {of} />{/if}
    <label class="btn btn-lg">
      {id ? 'Another photo instead' : 'Photo'}
      <input type="file" accept="image/*" capture="environment" onchange={(e) => void take(e.currentTarget)} />
    </label>
    {#if id}<button type="button" class="btn btn-lg" onclick={() => ((own = ''), (says = ''))}>Without a photo</button>{/if}
    <p class={kept?.errors?.photo ? 'bad' : 'quiet'} aria-live="polite">{kept?.errors?.photo ?? says}</p>
  </div>
{/if}

<style>
  .photo {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
  }
  label {
    position: relative;
    min-height: 56px;
  }
  .btn {
    min-height: 56px;
  }
  input[type='file'] {
    position: absolute;
    inset: 0;
    opacity: 0;
    cursor: pointer;
  }
  label:focus-within {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  .bad {
    color: var(--out);
    font-weight: 700;
  }
</style>
