<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { enhance } from '$app/forms';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  interface Props {
    stock: { id: string; name: string; kind: string; entry: string; have: string; low: string; used: string; cost: string; unit: string }[];
    moves: { id: string; entry: string; when: string; text: string }[];
    whys: readonly string[];
    kinds: readonly string[];
    units: { value: string; text: string }[];
    ids: { stockEntry: string; stock: string; move: string };
    kept: Kept | null;
  }
  let { stock, moves, whys, kinds, units, ids, kept }: Props = $props();
  const plain = (all: readonly string[]) => all.map((value) => ({ value, text: value }));
  const error = (name: string): string | undefined => kept?.errors?.[name];
</script>

<section>
  <h2>By the roll, jar and piece</h2>
  {#if stock.length === 0}<p class="quiet">Nothing is counted yet: add cable, locks, stakes or lure below.</p>{:else}
    <Scroller label="Stock"
      ><table class="plain-table">
        <thead
          ><tr><th scope="col">What</th><th scope="col">In stock</th><th scope="col">Used this season</th><th scope="col">It cost</th></tr
          ></thead
        >
        <tbody>
          {#each stock as s (s.id)}
            <tr>
              <th scope="row"
                ><a class="link" href="/book/{s.entry}">{s.name}</a>
                <span class="quiet">{s.name.includes(s.kind) ? '' : s.kind}</span></th
              >
              <td class="whitespace-nowrap"
                >{s.have}{#if s.low}<span class="low">, low (under {s.low})</span>{/if}</td
              >
              <td>{s.used}</td>
              <td>{s.cost}</td>
            </tr>
          {/each}
        </tbody>
      </table></Scroller
    >
    <form method="POST" action="?/move" class="sheet mt-3" use:enhance={keeping}>
      <h3>Something came or went</h3>
      <input type="hidden" name="entry" value={typed(kept, 'entry', ids.move)} />
      <div class="row">
        <SelectField
          label="What"
          name="stock"
          value={typed(kept, 'stock')}
          options={stock.map((s) => ({ value: s.id, text: `${s.name}, in ${s.unit}` }))}
          error={error('stock')}
        />
        <SelectField label="Why" name="why" value={typed(kept, 'why', 'used')} options={plain(whys)} error={error('why')} />
        <TextField
          label="How much"
          name="moved"
          value={typed(kept, 'moved')}
          error={error('moved') ?? error('amount')}
          help="counted: what is there now"
        />
      </div>
      <button class="btn">Save the move</button>
    </form>
  {/if}
  <details class="mt-3" open={stock.length === 0 || error('name') !== undefined || error('amount') !== undefined}>
    <summary class="font-bold cursor-pointer">Keep something new by count</summary>
    <form method="POST" action="?/stock" class="sheet mt-2" use:enhance={keeping}>
      <input type="hidden" name="entry" value={typed(kept, 'entry', ids.stockEntry)} /><input
        type="hidden"
        name="id"
        value={typed(kept, 'id', ids.stock)}
      />
      <TextField label="Name" name="name" value={typed(kept, 'name')} error={error('name')} help="as the cut list calls it" />
      <div class="row">
        <SelectField label="Kind" name="kind" value={typed(kept, 'kind')} options={plain(kinds)} error={error('kind')} />
        <SelectField label="Counted in" name="unit" value={typed(kept, 'unit')} options={units} error={error('unit')} />
        <TextField label="In stock" name="amount" value={typed(kept, 'amount')} error={error('amount')} />
        <TextField label="Low under" name="low" value={typed(kept, 'low')} error={error('low')} help="may stay empty" />
        <TextField label="One costs" name="cost" value={typed(kept, 'cost')} error={error('cost')} help="may stay empty" />
      </div>
      <button class="btn btn-primary">Save the stock</button>
    </form>
  </details>
  {#if moves.length > 0}
    <h3 class="mt-3">Last moves</h3>
    <ul class="quiet">
      {#each moves as move (move.id)}<li>
          {move.when}: {move.text} <a class="link" href="/book/{move.entry}">correct<span class="only-heard"> {move.text}</span></a>
        </li>{/each}
    </ul>
  {/if}
</section>

<style>
  .row {
    display: flex;
    gap: 0 14px;
    flex-wrap: wrap;
  }
  .low {
    color: var(--out);
    font-weight: 600;
  }
</style>
