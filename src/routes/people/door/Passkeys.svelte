<script lang="ts">
  import { enhance } from '$app/forms';
  import { invalidateAll } from '$app/navigation';
  import { startRegistration } from '@simplewebauthn/browser';

  /** The passkeys of the one who works here: made on this device or on a key, used instead of a passphrase. */
  interface Props {
    passkeys: { id: string; name: string; made: string }[];
    /** the address allows them: https, or this machine by its name */
    isAllowed: boolean;
  }
  let { passkeys, isAllowed }: Props = $props();
  let name = $state('This device');
  let said = $state('');

  async function make(): Promise<void> {
    said = 'Your browser asks for it …';
    try {
      const optionsJSON = await (await fetch('/people/door/passkey')).json();
      const answer = await startRegistration({ optionsJSON });
      const done = await fetch(`/people/door/passkey?name=${encodeURIComponent(name)}`, {
        method: 'POST',
        body: JSON.stringify(answer),
        headers: { 'content-type': 'application/json' },
      });
      if (!done.ok) throw new Error((await done.json()).message);
      said = 'Kept: it signs you in from now on.';
      await invalidateAll();
    } catch (fault) {
      said = fault instanceof Error && fault.message ? fault.message : 'That did not work. Try again.';
    }
  }
</script>

<section class="sheet mt-4" aria-labelledby="passkeys">
  <h2 id="passkeys">Passkeys</h2>
  {#each passkeys as key (key.id)}
    <form method="POST" action="?/removePasskey" use:enhance class="flex items-center justify-between gap-3 mt-2">
      <span><b>{key.name}</b> <span class="quiet">made {key.made}</span></span>
      <button class="btn" name="passkey" value={key.id} aria-label="Remove the passkey {key.name}">Remove</button>
    </form>
  {/each}
  {#if isAllowed}
    <label class="block mt-3">What it is called <input class="input w-full" bind:value={name} maxlength="60" /></label>
    <button class="btn mt-2" onclick={make}>Make a passkey here</button>
    <p role="status">{said}</p>
  {:else}
    <p class="quiet">A browser makes them only over https, or at this machine under <code>localhost</code>.</p>
  {/if}
</section>
