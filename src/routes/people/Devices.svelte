<script lang="ts">
  import { enhance } from '$app/forms';
  import SelectField from '$lib/ui/SelectField.svelte';

  /** The devices beyond this machine: paired here with a code, and ended here. */
  interface Props {
    crew: { id: string; name: string }[];
    me: string;
    devices: { id: string; name: string; person: string; paired: string; seen: string }[];
    /** the machine listens on its network */
    isReached: boolean;
    paired: { for: string; code: string; links: { address: string; qr: string }[] } | null;
  }
  let { crew, me, devices, isReached, paired }: Props = $props();
</script>

<section class="sheet mt-4" aria-labelledby="devices">
  <h2 id="devices">Phones and other devices</h2>
  {#if !isReached}
    <p>
      Zaprud listens on this machine alone. <code>./start --lan</code> opens it to your own network; then only paired devices get an answer.
    </p>
  {/if}
  {#if paired}
    <div class="code" role="status">
      <p>For {paired.for}, once, within ten minutes:</p>
      <p class="big mono">{paired.code}</p>
      {#each paired.links as { address, qr } (address)}
        <!-- drawn here by a library from our own address and code -->
        <!-- eslint-disable-next-line svelte/no-at-html-tags -->
        <div class="qr" role="img" aria-label="QR code of {address}/pair with the code above">{@html qr}</div>
        <p>Or type <b class="mono">{address}/pair</b></p>
      {/each}
    </div>
  {/if}
  <form method="POST" action="?/pair" use:enhance>
    <SelectField label="Who works on it" name="for" value={me} options={crew.map((p) => ({ value: p.id, text: p.name }))} />
    <button class="btn">Show a code for a device</button>
  </form>
  {#if devices.length > 0}
    <ul class="mt-3">
      {#each devices as device (device.id)}
        <li>
          <span><b>{device.name}</b>, {device.person}<br /><span class="quiet">paired {device.paired}, last here {device.seen}</span></span>
          <form method="POST" action="?/endDevice" use:enhance>
            <button class="btn" name="device" value={device.id} aria-label="End {device.name} of {device.person}">End it</button>
          </form>
        </li>
      {/each}
    </ul>
  {/if}
  <details>
    <summary>What works without https</summary>
    <p>
      Over plain http a device can work and keep what it wrote, as long as its page stays open: a browser keeps the page itself, and gives
      its position, only over https. Anybody on that network can read along. For https put a web server of your choice with a certificate
      before Zaprud on this machine, name its address in <code>ZAPRUD_HOSTS</code>, and have it hand on <code>x-forwarded-for</code>: what
      it hands on is asked for its pairing like any other device.
    </p>
  </details>
</section>

<style>
  .big {
    font-size: 2.2rem;
    font-weight: 700;
    letter-spacing: 0.06em;
  }
  .qr :global(svg) {
    width: 220px;
    height: 220px;
    background: #fff;
  }
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
