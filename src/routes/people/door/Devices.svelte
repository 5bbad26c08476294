<script lang="ts">
  import { enhance } from '$app/forms';

  /** The devices that were let in, and how one is ended. */
  interface Props {
    devices: { id: string; name: string; person: string; paired: string; seen: string; isThis: boolean }[];
    /** the machine listens on its network */
    isReached: boolean;
    isNear: boolean;
  }
  let { devices, isReached, isNear }: Props = $props();
</script>

<section class="sheet mt-4" aria-labelledby="devices">
  <h2 id="devices">Phones and other devices</h2>
  {#if isNear && !isReached}
    <p>
      Zaprud listens on this machine alone. <code>./start --lan</code> opens it to your own network; then only devices that were let in get an
      answer.
    </p>
  {/if}
  {#if devices.length > 0}
    <ul class="mt-3">
      {#each devices as device (device.id)}
        <li>
          <span
            ><b>{device.name}</b>, {device.person}{device.isThis ? ', this one' : ''}<br /><span class="quiet"
              >let in {device.paired}, last here {device.seen}</span
            ></span
          >
          <form method="POST" action="?/endDevice" use:enhance>
            <button class="btn" name="device" value={device.id} aria-label="End it: {device.name} of {device.person}">End it</button>
          </form>
        </li>
      {/each}
    </ul>
  {:else}<p class="quiet">None was let in yet.</p>{/if}
  <details>
    <summary>What works without https</summary>
    <p>
      Over plain http a device can work and keep what it wrote, as long as its page stays open: a browser keeps the page itself, and gives
      its position, only over https. Anybody on that network can read along. For https put a web server of your choice with a certificate
      before Zaprud, and name its address in <code>ZAPRUD_HOSTS</code>: then everybody signs in. <code>docs/operate.md</code> says how.
    </p>
  </details>
</section>

<style>
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 10px;
    padding: 6px 0;
    border-bottom: 1px solid var(--mute);
  }
  summary {
    min-height: 44px;
    align-content: center;
    cursor: pointer;
  }
</style>
