<script lang="ts">
  import { enhance } from '$app/forms';
  import { GAP_MARKS, mainCrossing, type Gap } from '#core/scouting/crossing';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const ROWS = [
    { place: 'middle', title: '1  The middle of the dam', first: true },
    { place: 'left end', title: '2  The left end, from below', first: true },
    { place: 'right end', title: '3  The right end, from below', first: true },
    { place: 'middle', title: '4  Another gap', first: false },
  ] as const;
  let says = $state('');

  /** What the marks say so far, while they are ticked. */
  function look(event: Event): void {
    const typedNow = new FormData(event.currentTarget as HTMLFormElement);
    const gaps = ROWS.flatMap((row, n): Gap[] =>
      typedNow.has(`${n}.there`)
        ? [
            {
              place: (String(typedNow.get(`${n}.place`) ?? row.place) || row.place) as Gap['place'],
              worn: typedNow.has(`${n}.worn`),
              wet: typedNow.has(`${n}.wet`),
              dark: typedNow.has(`${n}.dark`),
              bare: typedNow.has(`${n}.bare`),
              channel: typedNow.has(`${n}.channel`),
              poles: typedNow.has(`${n}.poles`),
              unused: typedNow.has(`${n}.unused`),
              width: null,
            },
          ]
        : [],
    );
    says = gaps.length === 0 ? '' : mainCrossing(gaps).sentence;
  }
</script>

<svelte:head><title>Find the crossover · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters/{data.water.id}/read">{data.water.name}: guided readings</a></p>
  <h1>Find the crossover</h1>
  <p class="quiet">
    Look at the middle first, then at both ends, each from below. Tick what is there; every gap is kept, the main one is marked.
  </p>
  <form method="POST" class="mt-3" onchange={look} use:enhance={keeping}>
    <Problem text={kept?.errors?.marks ?? kept?.problem} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
    <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
    {#if data.dams.length > 0}<SelectField
        label="Dam"
        name="station"
        value={typed(kept, 'station', data.dams[0]?.value)}
        options={data.dams}
      />{/if}
    <p class="says" aria-live="polite">{says}</p>
    <div class="rows">
      {#each ROWS as row, n (n)}
        <fieldset class="sheet">
          <legend>{row.title}</legend>
          <label class="tick"
            ><input type="checkbox" class="checkbox" name="{n}.there" checked={ticked(kept, `${n}.there`, 'on')} /> there is a gap</label
          >
          {#if row.first}<input type="hidden" name="{n}.place" value={row.place} />{:else}
            <SelectField
              label="Where the other gap lies"
              name="{n}.place"
              value={typed(kept, `${n}.place`, 'middle')}
              options={data.places.map((p) => ({ value: p, text: p }))}
            />{/if}
          {#each GAP_MARKS as [trait, label] (trait)}
            <label class="tick"
              ><input type="checkbox" class="checkbox" name="{n}.{trait}" checked={ticked(kept, `${n}.${trait}`, 'on')} /> {label}</label
            >
          {/each}
          <TextField label="Width of gap {n + 1}" name="{n}.width" value={typed(kept, `${n}.width`)} error={kept?.errors?.[`${n}.width`]} />
          <label class="tick"
            ><input type="radio" class="radio" name="main" value={n} checked={typed(kept, 'main') === String(n)} /> I take this for the main one</label
          >
        </fieldset>
      {/each}
    </div>
    <TextField label="Note" name="note" value={typed(kept, 'note')} />
    <button class="btn btn-primary btn-lg">Save the reading</button>
  </form>
</div>

<style>
  .rows {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
    gap: 14px;
  }
  legend {
    font-weight: 700;
    padding: 0 6px;
  }
  .tick {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 44px;
    font-weight: 600;
  }
  .says {
    font-size: 1.1rem;
    min-height: 1.4em;
    margin: 4px 0 8px;
    font-weight: 600;
  }
</style>
