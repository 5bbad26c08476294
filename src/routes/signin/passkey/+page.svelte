<script lang="ts">
  import { startAuthentication } from '@simplewebauthn/browser';

  let said = $state('');

  async function signIn(): Promise<void> {
    said = 'Your browser asks for it …';
    try {
      const asked = await fetch('/signin/passkey/answer');
      const optionsJSON = await asked.json();
      if (!asked.ok) throw new Error(optionsJSON.message);
      const answer = await startAuthentication({ optionsJSON });
      const done = await fetch('/signin/passkey/answer', {
        method: 'POST',
        body: JSON.stringify(answer),
        headers: { 'content-type': 'application/json' },
      });
      const { message, to } = await done.json();
      if (!done.ok) throw new Error(message);
      location.assign(to);
    } catch (fault) {
      said = fault instanceof Error && fault.message ? fault.message : 'That did not work. Try again, or sign in with the passphrase.';
    }
  }
</script>

<svelte:head><title>Sign in with a passkey · Zaprud</title></svelte:head>

<div class="page">
  <h1>Sign in with a passkey</h1>
  <p><button class="btn btn-primary btn-lg" onclick={signIn}>Use a passkey</button></p>
  <p role="status">{said}</p>
  <p><a href="/signin">Name and passphrase</a></p>
</div>
