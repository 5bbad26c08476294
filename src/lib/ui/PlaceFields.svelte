<script lang="ts">
  import Field from './Field.svelte';
  import { typed, type Kept } from './kept';

  /** Where a line lies: typed, or from this device. Empty, no hour of light is known. */
  let { kept, lat, lon }: { kept: Kept | null; lat: string; lon: string } = $props();
  let north = $derived(typed(kept, 'lat', lat));
  let east = $derived(typed(kept, 'lon', lon));
  let trouble = $state('');

  function here(): void {
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        [north, east] = [coords.latitude.toFixed(5), coords.longitude.toFixed(5)];
        trouble = '';
      },
      () => (trouble = 'This device gives no position. Type it, or set it later.'),
    );
  }
</script>

<div class="grid grid-cols-2 gap-x-4">
  <Field label="Latitude" name="lat" error={kept?.errors?.lat} help="44.9 or 44.9 N">
    {#snippet children(attributes)}<input class="input w-full" name="lat" autocomplete="off" bind:value={north} {...attributes} />{/snippet}
  </Field>
  <Field label="Longitude" name="lon" error={kept?.errors?.lon} help="-90.5 or 90.5 W">
    {#snippet children(attributes)}<input class="input w-full" name="lon" autocomplete="off" bind:value={east} {...attributes} />{/snippet}
  </Field>
</div>
<button type="button" class="btn btn-sm only-script" onclick={here}>Use my position</button>
{#if trouble}<p role="status">{trouble}</p>{/if}
