<script lang="ts">
  import { enhance } from '$app/forms';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import LikelyFields from './LikelyFields.svelte';
  import type { PageData } from './$types';

  /** What a colony is called, which waters and places it uses, and how many lived there at first. */
  let { own, named, kept: all }: { own: PageData['form']; named: boolean; kept: Kept | null } = $props();
  const kept = $derived(all?.values?.low === undefined ? null : all);
  const isTicked = (field: string, id: string, before: boolean): boolean =>
    kept ? [kept.values?.[field] ?? []].flat().includes(id) : before;
</script>

<details class="mt-5" open={kept !== null}>
  <summary class="font-bold cursor-pointer">{named ? 'What it is called and uses' : 'Name this colony'}</summary>
  <form method="POST" action="?/save" class="sheet mt-2" use:enhance={keeping}>
    <Problem text={kept?.problem} />
    {#if named}<Opened entry={own.opened} {kept} />{/if}
    <input type="hidden" name="colony" value={typed(kept, 'colony', own.id)} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', own.entry)} />
    <div class="fields">
      <TextField label="Name" name="name" value={typed(kept, 'name', own.name)} error={kept?.errors?.name} />
      <TextField
        label="Lived there at first: at least"
        name="low"
        inputmode="numeric"
        value={typed(kept, 'low', own.low)}
        error={kept?.errors?.low}
        help="empty: by lodge, dam and pile"
      />
      <TextField label="At most" name="high" inputmode="numeric" value={typed(kept, 'high', own.high)} error={kept?.errors?.high} />
      <TextField label="How that is known" name="why" value={typed(kept, 'why', own.why)} error={kept?.errors?.why} />
      <TextField
        label="Called done from, % sure"
        name="clear"
        inputmode="numeric"
        value={typed(kept, 'clear', own.clear)}
        error={kept?.errors?.clear}
      />
      <TextField label="Note" name="note" value={typed(kept, 'note', own.note)} error={kept?.errors?.note} />
    </div>
    <fieldset class="ticks">
      <legend>Waters it uses</legend>
      {#if kept?.errors?.water}<p class="problem">{kept.errors.water}</p>{/if}
      {#each own.waters as w (w.id)}
        <label
          ><input type="checkbox" class="checkbox" name="water" value={w.id} checked={isTicked('water', w.id, w.isOwn)} /> {w.name}</label
        >
      {/each}
    </fieldset>
    <details class="mt-2">
      <summary class="cursor-pointer font-bold">Only some places, where another colony shares the water</summary>
      <fieldset class="ticks">
        <legend class="only-heard">Places it uses</legend>
        {#each own.places as p (p.id)}
          <label
            ><input type="checkbox" class="checkbox" name="place" value={p.id} checked={isTicked('place', p.id, p.isOwn)} /> {p.name}</label
          >
        {/each}
      </fieldset>
    </details>
    <details class="mt-2" open={own.beliefs.some((b) => b.typed !== '' || kept?.errors?.[`belief.${b.fear}`])}>
      <summary class="cursor-pointer font-bold">What you hold of it before anything was met</summary>
      <p class="quiet">Empty: by practice. In shares of a hundred; what they met counts on top.</p>
      <div class="fields">
        {#each own.beliefs as b (b.fear)}
          <TextField
            label="Shy from {b.word}, %"
            name="belief.{b.fear}"
            inputmode="decimal"
            value={typed(kept, `belief.${b.fear}`, b.typed)}
            error={kept?.errors?.[`belief.${b.fear}`]}
            help="practice: {Math.round(Number(b.practice) * 10) / 10}"
          />
        {/each}
      </div>
    </details>
    <LikelyFields rows={own.likely} {kept} />
    <button class="btn btn-primary mt-3">Save the colony</button>
  </form>
</details>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(220px, 100%), 1fr));
    gap: 0 16px;
  }
  .ticks {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 20px;
  }
  legend {
    font-weight: 650;
  }
  label {
    display: inline-flex;
    align-items: center;
    gap: 8px;
    min-height: 44px;
  }
</style>
