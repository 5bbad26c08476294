<script lang="ts">
  import { enhance } from '$app/forms';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';

  /** Lets one device of somebody in: who, what he may do, by a code or by a link. */
  interface Props {
    people: { id: string; name: string }[];
    me: string;
    roles: { value: string; text: string }[];
    waters: { id: string; name: string }[];
    entry: string;
    kept: Kept | null;
    shown: { for: string; how: 'code' | 'link'; code: string; links: { address: string; link: string; qr: string }[] } | null;
  }
  let { people, me, roles, waters, entry, kept, shown }: Props = $props();

  let role = $derived(typed(kept, 'role', 'trapper'));
  const WAYS = [
    { value: 'code', text: 'typed there within ten minutes' },
    { value: 'link', text: 'sent, and opened within a week' },
  ];
</script>

<section class="sheet mt-4" aria-labelledby="invite">
  <h2 id="invite">Let a device in</h2>
  {#if shown}
    <div role="status">
      <p>For {shown.for}, once, {shown.how === 'code' ? 'within ten minutes' : 'within a week'}:</p>
      <p class:big={shown.how === 'code'} class="mono code">{shown.code}</p>
      {#each shown.links as { address, link, qr } (address)}
        <!-- drawn here by a library from our own address and code -->
        <!-- eslint-disable-next-line svelte/no-at-html-tags -->
        <div class="qr" role="img" aria-label="QR code of {address}/pair with the code above">{@html qr}</div>
        {#if shown.how === 'link'}<p class="code mono">{link}</p>{:else}<p>Or type <b class="mono">{address}/pair</b></p>{/if}
      {/each}
    </div>
  {/if}
  <form method="POST" action="?/invite" use:enhance>
    <input type="hidden" name="entry" value={typed(kept, 'entry', entry)} />
    <SelectField
      label="Who"
      name="person"
      value={typed(kept, 'person', me)}
      error={kept?.errors?.person}
      options={[...people.map((p) => ({ value: p.id, text: p.name })), { value: '', text: 'somebody new, named below' }]}
    />
    <TextField label="New name" name="newName" value={typed(kept, 'newName')} error={kept?.errors?.newName} />
    <SelectField
      label="May do"
      name="role"
      value={role}
      options={roles}
      error={kept?.errors?.role}
      onchange={(event: Event & { currentTarget: HTMLSelectElement }) => (role = event.currentTarget.value)}
    />
    {#if role === 'reader'}
      <fieldset aria-describedby={kept?.errors?.waters ? 'waters-error' : undefined}>
        <legend>Reads these waters</legend>
        {#each waters as water (water.id)}
          <label class="tick"
            ><input type="checkbox" class="checkbox" name="waters" value={water.id} checked={ticked(kept, 'waters', water.id)} />
            {water.name}</label
          >
        {/each}
        <label class="tick"
          ><input type="checkbox" class="checkbox" name="coordinates" value="yes" checked={ticked(kept, 'coordinates', 'yes')} /> and where they
          lie, as coordinates</label
        >
        {#if kept?.errors?.waters}<p class="error" id="waters-error">{kept.errors.waters}</p>{/if}
      </fieldset>
    {/if}
    <SelectField label="The code is" name="how" value={typed(kept, 'how', 'code')} options={WAYS} error={kept?.errors?.how} />
    <button class="btn btn-primary">Show a code</button>
  </form>
</section>

<style>
  .big {
    font-size: 2.2rem;
    font-weight: 700;
    letter-spacing: 0.06em;
  }
  .code {
    overflow-wrap: anywhere;
  }
  .qr :global(svg) {
    width: 220px;
    height: 220px;
    background: #fff;
  }
  .tick {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 44px;
  }
  .error {
    color: var(--out);
    font-weight: 600;
  }
</style>
