<script lang="ts">
  import { enhance } from '$app/forms';
  import { WATER_KINDS } from '#core/record/places';
  import PlaceFields from '$lib/ui/PlaceFields.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  /** A water with its first gauge, on a site of the record or on another one. */
  interface Props {
    kept: Kept | null;
    ids: Record<string, string>;
    sites: { value: string; text: string }[];
  }
  let { kept, ids, sites }: Props = $props();
  const options = $derived([...sites, { value: 'another', text: 'another site …' }]);
  // what was opened by hand stays open while the form changes under it
  let isOpen = $derived(kept?.problem !== undefined);
  let site = $derived(typed(kept, 'site', sites[0]?.value ?? 'another'));
</script>

<details class="sheet mt-4" bind:open={isOpen}>
  <summary class="font-bold cursor-pointer">Add a water or a site</summary>
  <form method="POST" action="?/water" use:enhance={keeping} class="mt-3 max-w-md">
    <Problem text={kept?.problem} />
    {#each Object.entries(ids) as [name, value] (name)}<input type="hidden" {name} value={typed(kept, name, value)} />{/each}
    <TextField label="Name of the water" name="name" value={typed(kept, 'name')} error={kept?.errors?.name} required />
    <SelectField
      label="Kind of water"
      name="kind"
      value={typed(kept, 'kind')}
      error={kept?.errors?.kind}
      options={WATER_KINDS.map((k) => ({ value: k, text: k }))}
    />
    <SelectField
      label="Site"
      name="site"
      value={site}
      error={kept?.errors?.site}
      {options}
      onchange={(e) => (site = (e.currentTarget as HTMLSelectElement).value)}
    />
    <div class:no-script-only={site !== 'another'}>
      <TextField label="Name of the site" name="siteName" value={typed(kept, 'siteName')} error={kept?.errors?.siteName} />
      <TextField
        label="Owner and permission"
        name="owner"
        value={typed(kept, 'owner')}
        error={kept?.errors?.owner}
        help="who, how, until when"
      />
      <TextField label="Access" name="access" value={typed(kept, 'access')} error={kept?.errors?.access} />
      <TextField label="What is endangered" name="endangered" value={typed(kept, 'endangered')} error={kept?.errors?.endangered} />
      <TextField
        label="Who else uses the ground"
        name="users"
        value={typed(kept, 'users')}
        error={kept?.errors?.users}
        help="dogs, children"
      />
      <TextField
        label="Area"
        name="area"
        value={typed(kept, 'area')}
        error={kept?.errors?.area}
        help="as your rulebook names it, where its seasons differ by area"
      />
      <PlaceFields {kept} lat="" lon="" />
    </div>
    <TextField label="Note on it" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
    <button class="btn btn-primary">Add the water and its gauge</button>
  </form>
</details>

<style>
  .no-script-only {
    display: none;
  }
</style>
