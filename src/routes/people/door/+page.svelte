<script lang="ts">
  import type { ComponentProps } from 'svelte';
  import { enhance } from '$app/forms';
  import Problem from '$lib/ui/Problem.svelte';
  import type { Kept } from '$lib/ui/kept';
  import Devices from './Devices.svelte';
  import Invite from './Invite.svelte';
  import OwnSignIn from './OwnSignIn.svelte';
  import Passkeys from './Passkeys.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const shown = $derived((form as { shown?: ComponentProps<typeof Invite>['shown'] } | null)?.shown ?? null);
  const recovery = $derived((form as { recovery?: string } | null)?.recovery ?? null);
</script>

<svelte:head><title>Who may come in · Zaprud</title></svelte:head>

<div class="page">
  <h1>Who may come in</h1>
  <p class="quiet"><a class="link" href="/people">People and settings</a>, <a class="link" href="/shared">what a client sees</a></p>
  <Problem text={kept?.problem} />
  <div class="cols">
    <div>
      {#if data.isOwner}
        <section class="sheet mt-4" aria-labelledby="crew">
          <h2 id="crew">The crew</h2>
          <table>
            <thead
              ><tr><th>Name</th><th>May do from elsewhere</th><th>Signs in as</th><th><span class="only-heard">Take the key</span></th></tr
              ></thead
            >
            <tbody>
              {#each data.people as person (person.id)}
                <tr>
                  <td><b>{person.name}</b></td>
                  <td>{person.role}</td>
                  <td>{person.login ?? '–'}</td>
                  <td>
                    {#if person.mayCome && person.id !== data.me.id}
                      <form method="POST" action="?/remove" use:enhance>
                        <button class="btn" name="person" value={person.id} aria-label="Take the key from {person.name}"
                          >Take the key</button
                        >
                      </form>
                    {/if}
                  </td>
                </tr>
              {/each}
            </tbody>
          </table>
        </section>
        <Invite people={data.people} me={data.me.id} roles={data.roles} waters={data.waters} entry={data.ids.entry} {kept} {shown} />
      {/if}
    </div>
    <div>
      <OwnSignIn name={data.me.name} login={data.me.login} isNear={data.isNear} {kept} {recovery} />
      <Passkeys passkeys={data.passkeys} isAllowed={data.allowsPasskeys} />
      <Devices devices={data.devices} isReached={data.isReached} isNear={data.isNear} />
      {#if !data.isNear}
        <form method="POST" action="/signout" class="mt-4"><button class="btn">Sign out here</button></form>
      {/if}
    </div>
  </div>
</div>

<style>
  .cols {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
    gap: 28px;
    align-items: start;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th,
  td {
    text-align: left;
    padding: 6px 8px 6px 0;
    border-bottom: 1px solid var(--mute);
  }
</style>
