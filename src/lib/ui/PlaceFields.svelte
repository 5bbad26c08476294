<script lang="ts">
  import TextField from './TextField.svelte';
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
  <TextField label="Latitude" name="lat" value={north} error={kept?.errors?.lat} help="north is over 0" />
  <TextField label="Longitude" name="lon" value={east} error={kept?.errors?.lon} help="west is under 0" />
</div>
<button type="button" class="btn btn-sm only-script" onclick={here}>Use my position</button>
{#if trouble}<p role="status">{trouble}</p>{/if}
