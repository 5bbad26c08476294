<script lang="ts">
  import { enhance } from '$app/forms';
  import Photo from '$lib/check/Photo.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  /** sentences that belong to no field shown here */
  const loose = $derived(
    Object.entries(kept?.errors ?? {})
      .filter(([name]) => !data.fields.some((f) => f.name === name))
      .map(([, sentence]) => sentence),
  );
</script>

<svelte:head><title>{data.entry.kind} · Book · Zaprud</title></svelte:head>

<div class="page two">
  <section>
    <p class="quiet">
      <a class="link" href="/book">Book</a> – {data.entry.kind}, recorded {data.entry.recorded} by {data.entry.by || 'the record itself'}
    </p>
    <h1>{data.sentence}</h1>
    {#if data.photo}<Photo id={data.photo} of={data.sentence} />{/if}
    {#if data.entry.correctedBy}<p class="mt-2">
        Corrected later: <a class="link" href="/book/{data.entry.correctedBy}">see the newer entry</a>.
      </p>{/if}
    {#if data.entry.corrects}<p class="mt-2">
        {data.entry.withdrawn ? 'It withdraws' : 'It corrects'} <a class="link" href="/book/{data.entry.corrects}">an older entry</a>{data
          .entry.reason
          ? `: ${data.entry.reason}`
          : ''}.
      </p>{/if}

    {#if data.open}
      <form method="POST" action="?/correct" class="mt-4" use:enhance={keeping}>
        <h2 class="mb-2">Correct it</h2>
        <Problem text={kept?.problem} />
        {#each loose as sentence (sentence)}<p class="font-bold text-error">{sentence}</p>{/each}
        <input type="hidden" name="entry" value={typed(kept, 'entry', data.newEntry)} />
        <div class="fields">
          {#each data.fields as field (field.name)}
            {#if field.links.length > 0}
              <SelectField
                label={field.label}
                name={field.name}
                value={typed(kept, field.name, field.text)}
                options={field.optional ? [{ value: '', text: 'none' }, ...field.links] : field.links}
                error={kept?.errors?.[field.name]}
              />
            {:else if field.options.length > 0}
              <SelectField
                label={field.label}
                name={field.name}
                value={typed(kept, field.name, field.text)}
                options={field.options.map((o) => ({ value: o, text: o }))}
                error={kept?.errors?.[field.name]}
              />
            {:else if field.kind === 'yes'}
              <SelectField
                label={field.label}
                name={field.name}
                value={typed(kept, field.name, field.text)}
                options={[
                  { value: 'yes', text: 'yes' },
                  { value: 'no', text: 'no' },
                ]}
                error={kept?.errors?.[field.name]}
              />
            {:else}
              <TextField
                label={field.label}
                name={field.name}
                value={typed(kept, field.name, field.text)}
                error={kept?.errors?.[field.name]}
              />
            {/if}
          {/each}
        </div>
        <TextField label="Why it is corrected" name="reason" value={typed(kept, 'reason')} />
        <div class="flex flex-wrap gap-3 mt-2">
          <button class="btn btn-primary">Save the correction</button>
          {#if data.canWithdraw}<button class="btn" formaction="?/withdraw">Withdraw it whole</button>{/if}
        </div>
      </form>
    {/if}
  </section>
  <section>
    <h2>All that was ever entered about it</h2>
    <ol class="history">
      {#each data.around as e (e.id)}
        <li class:here={e.id === data.entry.id}>
          <a class="link" href="/book/{e.id}">{e.at}</a>
          {e.by}<br />{e.text}{#if e.reason}<br /><span class="quiet">{e.reason}</span>{/if}
        </li>
      {/each}
    </ol>
  </section>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: 1fr minmax(260px, 360px);
    gap: 32px;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(220px, 100%), 1fr));
    gap: 0 16px;
  }
  .history li {
    padding: 8px 0 8px 10px;
    border-left: 3px solid var(--rule);
  }
  .history .here {
    border-color: var(--ink);
  }
  @media (max-width: 800px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
