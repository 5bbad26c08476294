<script lang="ts">
  import { enhance } from '$app/forms';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';

  /** With what the one who works here signs in elsewhere. */
  interface Props {
    name: string;
    login: string | null;
    /** at the machine itself nobody is asked for the passphrase he has */
    isNear: boolean;
    kept: Kept | null;
    recovery: string | null;
  }
  let { name, login, isNear, kept, recovery }: Props = $props();
</script>

<section class="sheet mt-4" aria-labelledby="own">
  <h2 id="own">{name} signs in with</h2>
  {#if recovery}
    <div role="status">
      <p>
        Kept. Other devices of {name} are signed out. If the passphrase is lost, this code lets {name} in. It is shown this once: print it.
      </p>
      <p class="mono recovery">{recovery}</p>
    </div>
  {:else if login}<p class="quiet">As {login}. A new passphrase signs every other device out.</p>
  {:else}<p class="quiet">Nothing yet: only devices that were let in by a code.</p>{/if}
  <form method="POST" action="?/signIn" use:enhance>
    <TextField
      label="Name to sign in with"
      name="login"
      autocomplete="username"
      autocapitalize="none"
      value={typed(kept, 'login', login ?? '')}
      error={kept?.errors?.login}
    />
    {#if login && !isNear}
      <TextField label="Passphrase now" name="now" type="password" autocomplete="current-password" error={kept?.errors?.now} />
    {/if}
    <TextField
      label="New passphrase"
      name="passphrase"
      type="password"
      autocomplete="new-password"
      maxlength={256}
      error={kept?.errors?.passphrase}
      help="12 characters or more: four words that have nothing to do with each other"
    />
    <button class="btn">Keep it</button>
  </form>
</section>

<style>
  .recovery {
    font-size: 1.3rem;
    font-weight: 700;
  }
</style>
