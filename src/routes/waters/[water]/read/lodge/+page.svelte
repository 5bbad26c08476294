<script lang="ts">
  import { enhance } from '$app/forms';
  import { ICE_CAUTION, lodgeLife, type LodgeSign } from '#core/scouting/lodge';
  import { tell } from '#core/words/finding';
  import FindingLine from '$lib/ui/FindingLine.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const far = $derived(data.who?.person.system === 'metric' ? 'metres' : 'feet');
  let seen = $derived<LodgeSign[]>(data.signs.filter((s) => ticked(kept, 'seen', s.id)).map((s) => s.id));
  const life = $derived(seen.length > 0 ? tell(lodgeLife(seen, new Date(0)), data.who?.person.system ?? 'us') : null);
</script>

<svelte:head><title>Find runs under ice · Zaprud</title></svelte:head>

<div class="page">
  <p><a class="link" href="/waters/{data.water.id}/read">{data.water.name}: guided readings</a></p>
  <h1>Find runs under ice</h1>
  <p class="problem my-3">{ICE_CAUTION}</p>
  <form method="POST" class="two" use:enhance={keeping}>
    <div class="sheet">
      <Problem text={kept?.problem} />
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
      <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
      <SelectField label="Lodge" name="station" value={typed(kept, 'station')} options={data.lodges} error={kept?.errors?.station} />
      <fieldset>
        <legend>Seen on it</legend>
        {#each data.signs as s (s.id)}
          <label class="tick"><input type="checkbox" class="checkbox" name="seen" value={s.id} bind:group={seen} /> {s.label}</label>
        {/each}
      </fieldset>
      <div aria-live="polite">
        {#if life}<FindingLine finding={life} />{/if}
      </div>
      <p class="quiet">
        Seen from the top a lower hump, the living ledge, points to the side on which usually two runs leave, left and right of the pile.
      </p>
      <div class="grid grid-cols-3 gap-x-3">
        <TextField
          label="Living ledge °"
          name="ledge"
          inputmode="decimal"
          value={typed(kept, 'ledge')}
          error={kept?.errors?.ledge}
          help="from the peak"
        />
        <TextField
          label="Feed pile °"
          name="pile"
          inputmode="decimal"
          value={typed(kept, 'pile')}
          error={kept?.errors?.pile}
          help="from the peak"
        />
        <TextField label="Radius" name="radius" value={typed(kept, 'radius')} error={kept?.errors?.radius} help="in {far}" />
      </div>
    </div>
    <div class="sheet">
      <h2>Probe holes</h2>
      <p class="quiet">Tap a chisel hole and feel. More are added on the next page, each with what to try next.</p>
      {#each [0, 1, 2] as n (n)}
        <fieldset class="hole">
          <legend>Hole {n + 1}</legend>
          <SelectField
            label="Felt in hole {n + 1}"
            name="{n}.felt"
            value={typed(kept, `${n}.felt`)}
            error={kept?.errors?.[`${n}.felt`]}
            options={[{ value: '', text: 'not cut' }, ...data.feels.map((f) => ({ value: f, text: f }))]}
          />
          <TextField
            label="From the peak, hole {n + 1}"
            name="{n}.distance"
            value={typed(kept, `${n}.distance`)}
            error={kept?.errors?.[`${n}.distance`]}
            help="in {far}"
          />
          <TextField
            label="Bearing °, hole {n + 1}"
            name="{n}.bearing"
            inputmode="decimal"
            value={typed(kept, `${n}.bearing`)}
            error={kept?.errors?.[`${n}.bearing`]}
          />
          <TextField label="Ice, hole {n + 1}" name="{n}.ice" value={typed(kept, `${n}.ice`)} error={kept?.errors?.[`${n}.ice`]} />
        </fieldset>
      {/each}
      <TextField label="Note" name="note" value={typed(kept, 'note')} />
      <button class="btn btn-primary btn-lg">Save and draw the map</button>
    </div>
  </form>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
    gap: 20px;
    align-items: start;
  }
  legend {
    font-weight: 700;
  }
  .tick {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 44px;
    font-weight: 600;
  }
  .hole {
    display: grid;
    grid-template-columns: repeat(2, 1fr);
    gap: 0 12px;
    border-top: 1px solid var(--rule);
    padding-top: 8px;
  }
</style>
