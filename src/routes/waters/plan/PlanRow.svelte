<script lang="ts">
  import { enhance } from '$app/forms';
  import { keeping } from '$lib/ui/keeping';

  interface Props {
    row: {
      id: string;
      entry: string;
      name: string;
      water: string;
      waterId: string;
      kind: string;
      use: string;
      /** sign was noted there: what it says is told */
      known: boolean;
      why: string;
      types: { type: string; built: string | null; why: string }[];
    };
    rank: number | null;
    opens: string;
    species: string;
    keptFor: string;
  }
  let { row, rank, opens, species, keptFor }: Props = $props();
</script>

<div class="row">
  <span class="rank mono">{rank ?? ''}</span>
  <div>
    <p><a class="link font-bold" href="/waters/{row.waterId}/{row.id}">{row.name}</a> <span class="quiet">{row.kind}, {row.water}</span></p>
    <p>{row.why}</p>
    {#if rank !== null && row.known}<p class="quiet">{row.use}</p>{/if}
  </div>
  <details class="no-print" open={keptFor === row.id}>
    <summary>{rank === null ? 'Take it anyway, or note why it is left' : 'Take it into the plan, or leave it'}</summary>
    <form method="POST" use:enhance={keeping}>
      <input type="hidden" name="entry" value={row.entry} />
      <input type="hidden" name="station" value={row.id} />
      <input type="hidden" name="species" value={species} />
      <label
        >Set type <select name="type" class="select">
          {#each row.types as t (t.type + (t.built ?? ''))}<option value={t.built ?? t.type}>{t.type}{t.built ? '' : ' (in words)'}</option
            >{/each}
        </select></label
      >
      <label
        >To do <select name="doing" class="select">
          <option value="planned">planned</option>
          <option value="prepared">prepared for the date</option>
          <option value="left">left unset</option>
        </select></label
      >
      <label>Opening date <input type="date" class="input" name="opens" value={opens} /></label>
      <label class="wide">Left because <input class="input w-full" name="because" value={rank === null ? row.why : ''} /></label>
      <button class="btn btn-primary">Save {row.name}</button>
    </form>
  </details>
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: 2.2rem minmax(0, 1fr);
    gap: 4px 8px;
    padding: 9px 12px;
  }
  .rank {
    font-size: 1.3rem;
    font-weight: 700;
  }
  details {
    grid-column: 2;
  }
  summary {
    cursor: pointer;
    color: var(--linetext);
    text-decoration: underline;
    font-size: 0.92rem;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: end;
    padding: 8px 0;
  }
  label {
    font-weight: 600;
    font-size: 0.9rem;
    display: grid;
  }
  .wide {
    flex: 1;
    min-width: 220px;
  }
</style>
