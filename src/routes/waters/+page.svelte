<script lang="ts">
  import { enhance } from '$app/forms';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
</script>

<svelte:head><title>Waters · Zaprud</title></svelte:head>

<div class="page">
  <h1>Waters</h1>
  {#if data.sites.length === 0}
    <p class="sheet mt-3">No site yet. <a class="link" href="/begin">Begin with a site and its water</a>.</p>
  {/if}
  {#each data.sites as site (site.id)}
    <section class="mt-4">
      <h2>{site.name}</h2>
      <p class="quiet">{[site.owner, site.access, site.endangered].filter(Boolean).join('. ')}</p>
      {#if site.waters.length === 0}
        <p class="mt-1">No water is recorded on this site: add one below.</p>
      {:else}
        <table class="plain-table mt-2">
          <thead
            ><tr
              ><th scope="col">Water</th><th scope="col">Level</th><th scope="col">Stations</th><th scope="col">Live sets</th><th
                scope="col">Note</th
              ></tr
            ></thead
          >
          <tbody>
            {#each site.waters as water (water.id)}
              <tr>
                <td><a class="link font-bold" href="/waters/{water.id}">{water.name}</a> <span class="quiet">{water.kind}</span></td>
                <td>{water.level}</td>
                <td>{water.stations}</td>
                <td
                  >{water.live}{#if water.out > 0}, <b>{water.out} out of {water.out === 1 ? 'its' : 'their'} band</b>{/if}</td
                >
                <td>{water.note}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    </section>
  {/each}
  {#if data.sites.length > 0}
    <details class="sheet mt-6" open={kept?.problem !== undefined}>
      <summary class="font-bold cursor-pointer">Add a water</summary>
      <form
        method="POST"
        action="?/water"
        use:enhance={() =>
          ({ update }) =>
            update({ reset: false })}
        class="mt-3 max-w-md"
      >
        <Problem text={kept?.problem} />
        {#each Object.entries(data.ids) as [name, value] (name)}<input type="hidden" {name} value={typed(kept, name, value)} />{/each}
        <TextField label="Name of the water" name="name" value={typed(kept, 'name')} error={kept?.errors?.name} required />
        <SelectField
          label="Site"
          name="site"
          value={typed(kept, 'site')}
          error={kept?.errors?.site}
          options={data.sites.map((s) => ({ value: s.id, text: s.name }))}
        />
        <SelectField
          label="Kind"
          name="kind"
          value={typed(kept, 'kind')}
          error={kept?.errors?.kind}
          options={[
            { value: 'pond', text: 'pond' },
            { value: 'stream', text: 'stream' },
            { value: 'ditch', text: 'ditch' },
          ]}
        />
        <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
        <button class="btn btn-primary">Add the water and its gauge</button>
      </form>
    </details>
  {/if}
</div>
