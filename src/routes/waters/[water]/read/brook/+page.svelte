<script lang="ts">
  import { enhance } from '$app/forms';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const far = $derived(data.who?.person.system === 'metric' ? 'metres' : 'feet');
  const small = $derived(data.who?.person.system === 'metric' ? 'centimetres' : 'inches');
  const keptRows = $derived(Object.keys(kept?.values ?? {}).filter((key) => /^\d+\.mark$/.test(key)).length);
  /** without script four empty rows stand ready; a tap fills the next */
  let rows = $derived<string[]>(keptRows > 0 ? Array.from({ length: keptRows }, () => '') : ['', '', '', '']);

  async function tap(mark: string): Promise<void> {
    const free = rows.indexOf('');
    rows = free === -1 ? [...rows, mark] : rows.map((r, i) => (i === free ? mark : r));
    const row = free === -1 ? rows.length - 1 : free;
    setTimeout(() => document.getElementById(`f-${row}-along`)?.focus(), 0);
  }
</script>

<svelte:head><title>Creek walk · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters/{data.water.id}/read">{data.water.name}: guided readings</a></p>
  <h1>Creek walk</h1>
  <p class="quiet">One tap a mark while walking; what was measured follows when there is a hand free.</p>
  <form method="POST" use:enhance={keeping}>
    <div class="taps" role="group" aria-label="Marks">
      {#each data.marks as mark (mark)}<button type="button" class="btn btn-lg" onclick={() => tap(mark)}>{mark}</button>{/each}
    </div>
    <Problem text={kept?.errors?.marks ?? kept?.problem} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
    <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
    {#each rows as row, n (n)}
      <fieldset class="row">
        <legend>Mark {n + 1}</legend>
        <SelectField
          label="What, mark {n + 1}"
          name="{n}.mark"
          value={row || typed(kept, `${n}.mark`)}
          options={[{ value: '', text: 'none' }, ...data.marks.map((m) => ({ value: m, text: m }))]}
        />
        <TextField
          label="Along, mark {n + 1}"
          name="{n}.along"
          value={typed(kept, `${n}.along`)}
          error={kept?.errors?.[`${n}.along`]}
          help="in {far}"
        />
        <TextField
          label="Depth at the trap, mark {n + 1}"
          name="{n}.depth"
          value={typed(kept, `${n}.depth`)}
          error={kept?.errors?.[`${n}.depth`]}
          help="in {small}"
        />
        <TextField
          label="Roof over the bed, mark {n + 1}"
          name="{n}.roof"
          value={typed(kept, `${n}.roof`)}
          error={kept?.errors?.[`${n}.roof`]}
          help="in {small}"
        />
        <div>
          <label class="tick"
            ><input type="checkbox" class="checkbox" name="{n}.outside" checked={ticked(kept, `${n}.outside`, 'on')} /> outside of a bend</label
          >
          <label class="tick"
            ><input type="checkbox" class="checkbox" name="{n}.pool" checked={ticked(kept, `${n}.pool`, 'on')} /> a pool beside it</label
          >
        </div>
      </fieldset>
    {/each}
    <TextField label="Note" name="note" value={typed(kept, 'note')} />
    <button class="btn btn-primary btn-lg">Save and rank the marks</button>
  </form>
</div>

<style>
  .taps {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 12px 0;
    position: sticky;
    top: 0;
    background: var(--bg);
    padding: 8px 0;
    z-index: 2;
  }
  .taps .btn {
    min-height: 56px;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
    gap: 0 14px;
    border-top: 1px solid var(--rule);
    padding: 8px 0;
  }
  legend {
    font-weight: 700;
  }
  .tick {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
  }
</style>
