<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { Position } from '#core/ground/geodesic';
  import { printWay } from '#core/units/length';
  import { isStep, walkText, type Heard } from '#core/ground/walk';

  interface Props {
    /** the places there are already */
    points: readonly Position[];
    system: 'us' | 'metric';
    /** what this program ships in the place of a receiver */
    simulated: Heard | null;
    onplace: (at: Position) => void;
  }
  let { points, system, simulated, onplace }: Props = $props();

  const NONE = 'This device gives no position here: a browser gives one over https, or on the machine itself, once it is allowed.';
  let watch = $state<number | null>(null);
  let heard = $state<Heard | null>(null);
  let said = $state('');

  const heardAt = ({ coords }: GeolocationPosition): Heard => ({ at: [coords.longitude, coords.latitude], within: coords.accuracy });
  function here(): void {
    said = 'Waiting for the receiver.';
    const options = { enableHighAccuracy: true, timeout: 20_000 };
    const taken = (position: GeolocationPosition): void => {
      const fix = heardAt(position);
      onplace(fix.at);
      said = `Taken from this device, sure to ${printWay(fix.within, system)}.`;
    };
    navigator.geolocation.getCurrentPosition(taken, () => (said = NONE), options);
  }
  function start(): void {
    heard = null;
    watch = navigator.geolocation.watchPosition(
      (position) => {
        heard = heardAt(position);
        if (isStep(points.at(-1), heard)) onplace(heard.at);
      },
      ({ code, PERMISSION_DENIED }) => {
        // a receiver that is silent for a while ends no walk
        if (code !== PERMISSION_DENIED) return;
        stop();
        said = NONE;
      },
      { enableHighAccuracy: true },
    );
  }
  function stop(): void {
    if (watch !== null) navigator.geolocation.clearWatch(watch);
    watch = null;
  }
  onDestroy(stop);
</script>

<button type="button" class="btn" onclick={here}>Use my position</button>
<button type="button" class="btn" aria-pressed={watch !== null} onclick={watch === null ? start : stop}
  >{watch === null ? 'Walk it' : 'Stop walking'}</button
>
{#if simulated}<button
    type="button"
    class="btn"
    onclick={() => {
      onplace(simulated.at);
      said = `Taken from the simulated receiver, sure to ${printWay(simulated.within, system)}.`;
    }}>Use the simulated receiver</button
  >{/if}
<p class="quiet" role="status">{watch === null ? said : walkText(points.length, heard, system)}</p>
