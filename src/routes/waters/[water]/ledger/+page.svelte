<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  const SURVIVORS = [
    { value: 'not known', text: 'not known' },
    { value: 'none', text: 'none' },
    { value: 'some', text: 'some' },
    { value: 'shy', text: 'some, shy of it' },
  ];
  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const keptSafe = $derived(kept?.values?.what !== undefined ? kept : null);
  const keptEarlier = $derived(kept && !keptSafe ? kept : null);
</script>

<svelte:head><title>{data.water.name}: history · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters/{data.water.id}">{data.water.name}</a></p>
  <h1>{data.water.name}: history</h1>
  {#if page.url.searchParams.has('saved')}<p role="status"><b>Saved to the book.</b></p>{/if}
  {#if data.safe}<p class="safe">{data.safe.text}</p>{/if}
  {#if data.site}<p class="quiet">{[data.site.endangered, data.site.users].filter(Boolean).join('. ')}</p>{/if}

  <h2 class="mt-5 mb-1">What its places gave</h2>
  <Scroller label="What its places gave"
    ><table class="plain-table">
      <thead><tr><th scope="col">Location</th><th scope="col">By season, working nights at most, exact limits</th></tr></thead>
      <tbody>
        {#each data.gave as s (s.id)}<tr
            ><td class="whitespace-nowrap"><a class="link" href="/waters/{data.water.id}/{s.id}">{s.name}</a></td><td
              >{#each s.seasons as text, i (i)}{text}<br />{/each}</td
            ></tr
          >{:else}<tr><td colspan="2">Nothing was set here yet.</td></tr>{/each}
      </tbody>
    </table></Scroller
  >

  <h2 class="mt-6 mb-1">What others did here</h2>
  <p class="quiet">It decides what the survivors fear: a trap they may know is offered later.</p>
  <Scroller label="Earlier trapping"
    ><table class="plain-table mt-1">
      <thead
        ><tr
          ><th scope="col">When</th><th scope="col">Who</th><th scope="col">What was used</th><th scope="col">Caught</th><th scope="col"
            >What came of it</th
          ></tr
        ></thead
      >
      <tbody>
        {#each data.earlier as e (e.id)}<tr
            ><td>{e.season}</td><td>{e.who}</td><td>{e.used}{e.at ? `, at ${e.at}` : ''}</td><td
              >{e.caught === null ? 'not known' : `${e.caught} ${e.species}`}{e.nights === null ? '' : ` in ${e.nights} nights`}</td
            ><td>{e.note} <a class="link" href="/book/{e.entry}">correct<span class="only-heard"> {e.who}, {e.season}</span></a></td></tr
          >{:else}<tr><td colspan="5">Nothing is known of earlier trapping.</td></tr>{/each}
      </tbody>
    </table></Scroller
  >

  <div class="two mt-6">
    <form method="POST" action="?/earlier" class="sheet" use:enhance={keeping}>
      <h2>Add earlier trapping</h2>
      <Problem text={keptEarlier?.problem} />
      <input type="hidden" name="entry" value={typed(keptEarlier, 'entry', data.ids.entry)} />
      <input type="hidden" name="id" value={typed(keptEarlier, 'id', data.ids.id)} />
      <div class="grid grid-cols-2 gap-x-3">
        <TextField label="Who" name="who" value={typed(keptEarlier, 'who')} error={keptEarlier?.errors?.who} />
        <TextField
          label="When"
          name="season"
          value={typed(keptEarlier, 'season')}
          error={keptEarlier?.errors?.season}
          help="like last winter"
        />
      </div>
      <fieldset class="mb-2">
        <legend class="font-semibold">Used</legend>
        {#each data.devices as d (d.value)}<label class="mr-3"
            ><input type="checkbox" class="checkbox" name="devices" value={d.value} checked={ticked(keptEarlier, 'devices', d.value)} />
            {d.text}</label
          >{/each}
      </fieldset>
      <TextField label="How it was used" name="used" value={typed(keptEarlier, 'used')} error={keptEarlier?.errors?.used} />
      <SelectField label="Left alive" name="survivors" value={typed(keptEarlier, 'survivors')} options={SURVIVORS} />
      <div class="grid grid-cols-3 gap-x-3">
        <SelectField
          label="Species"
          name="species"
          value={typed(keptEarlier, 'species', 'beaver')}
          options={data.species.map((s) => ({ value: s, text: s }))}
        />
        <TextField
          label="Caught"
          name="caught"
          inputmode="numeric"
          value={typed(keptEarlier, 'caught')}
          error={keptEarlier?.errors?.caught}
        />
        <TextField
          label="Trap-nights"
          name="nights"
          inputmode="numeric"
          value={typed(keptEarlier, 'nights')}
          error={keptEarlier?.errors?.nights}
        />
      </div>
      <SelectField
        label="At"
        name="station"
        value={typed(keptEarlier, 'station')}
        options={[{ value: '', text: 'the whole water' }, ...data.stations]}
      />
      <TextField label="What came of it" name="note" value={typed(keptEarlier, 'note')} error={keptEarlier?.errors?.note} />
      <button class="btn btn-primary">Add it</button>
    </form>
    <form method="POST" action="?/safe" class="sheet" use:enhance={keeping}>
      <h2>What is endangered here</h2>
      <Problem text={keptSafe?.problem} />
      <input type="hidden" name="safeEntry" value={typed(keptSafe, 'safeEntry', data.ids.safe)} />
      <TextField
        label="What"
        name="what"
        value={typed(keptSafe, 'what', data.safe?.what ?? '')}
        error={keptSafe?.errors?.what}
        help="bed drain, road, cellar"
      />
      <TextField
        label="Safe at or under, on the gauge"
        name="level"
        value={typed(keptSafe, 'level', data.safe?.level ?? '')}
        error={keptSafe?.errors?.level}
        help="every later reading says how much is still to go; empty takes it away"
      />
      <button class="btn btn-primary">Save the level to reach</button>
    </form>
  </div>
</div>

<style>
  .safe {
    font-size: 1.15rem;
    font-weight: 650;
    margin: 8px 0;
  }
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 16px;
    align-items: start;
  }
</style>
