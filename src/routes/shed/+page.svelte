<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { enhance } from '$app/forms';
  import DeviceSymbol from '$lib/ui/DeviceSymbol.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import Kits from './Kits.svelte';
  import Salvage from './Salvage.svelte';
  import Stock from './Stock.svelte';
  import { page } from '$app/state';
  import EmptyRoom from '$lib/ui/EmptyRoom.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const NAMES = { bodyGrip: 'Body-grips', foothold: 'Footholds', snare: 'Snares', enclosed: 'Enclosed footholds' };
  const all = $derived(data.groups.flatMap((g) => g.devices));
  const out = $derived(all.filter((d) => d.set).length);
  const low = $derived(data.stock.filter((s) => s.low !== ''));
</script>

<svelte:head><title>Shed · Zaprud</title></svelte:head>

<div class="page">
  <h1>Shed</h1>
  {#if page.url.searchParams.has('saved')}<p role="status"><b>Saved to the book.</b></p>{/if}
  <p class="quiet">
    {all.length} traps by tag: {out} stand in sets, {all.filter((d) => !d.set && d.condition !== 'lost' && d.condition !== 'broken').length} are
    free. <a class="link" href="/bench/carry?of=plan">What the plan takes</a>
  </p>
  {#if low.length > 0}<p class="low"><b>Running low:</b> {low.map((s) => `${s.name}, ${s.have}`).join('; ')}.</p>{/if}
  {#if all.length === 0}<EmptyRoom room="shed" label="What will stand here: traps by their tags">
      Nothing yet. Add the first trap below by its tag; then it can stand in a set.
    </EmptyRoom>{/if}
  <Problem text={kept?.problem} />

  {#if data.salvage.length > 0}<Salvage items={data.salvage} />{/if}

  <div class="halves">
    <Stock stock={data.stock} moves={data.moves} whys={data.whys} kinds={data.kinds} units={data.units} ids={data.ids} {kept} />
    <Kits kits={data.kits} stock={data.stock} entry={data.ids.kitEntry} {kept} />
  </div>

  <h2 class="mt-6">By tag</h2>
  <div class="groups">
    {#each data.groups.filter((g) => g.devices.length > 0) as group (group.kind)}
      <section>
        <h3 class="flex gap-3 items-center mt-4 mb-1"><DeviceSymbol kind={group.kind} /> {NAMES[group.kind]}</h3>
        <Scroller label="Traps"
          ><table class="plain-table">
            <thead><tr><th scope="col">Tag</th><th scope="col">Size</th><th scope="col">Where</th><th scope="col">Condition</th></tr></thead
            >
            <tbody>
              {#each group.devices as d (d.id)}
                <tr>
                  <td class="whitespace-nowrap"><a class="link font-bold" href="/book/{d.entry}">{d.tag}</a></td>
                  <td class="whitespace-nowrap">{d.text.replace(' snare', '')}</td>
                  <td
                    >{#if d.set}<a class="link" href="/bench/{d.set.id}">{d.set.number} {d.set.name}</a>{:else}in the shed{#if d.meant}, for <a
                          class="link"
                          href="/bench/{d.meant.id}">{d.meant.text}</a
                        >{/if}{/if}</td
                  >
                  <td>{d.condition}{d.note ? `, ${d.note}` : ''}</td>
                </tr>
              {/each}
            </tbody>
          </table></Scroller
        >
      </section>
    {/each}
  </div>
  {#key data.groups.flatMap((g) => g.devices).length}
    <form method="POST" action="?/device" class="sheet mt-6 max-w-md" use:enhance={keeping}>
      <h2>Add traps</h2>
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
      <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
      <TextField label="Tag" name="tag" value={typed(kept, 'tag')} error={kept?.errors?.tag} help="K-01, or several: K-01 to K-12" />
      <SelectField label="Size" name="size" value={typed(kept, 'size')} options={data.sizes} error={kept?.errors?.size} />
      <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
      <button class="btn btn-primary">Add to the shed</button>
    </form>
  {/key}
  <p class="quiet mt-3">A tag opens its entry in the book: condition, size and note are corrected there.</p>
</div>

<style>
  .groups {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(340px, 1fr));
    gap: 0 28px;
    align-items: start;
  }
  .halves {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
    gap: 24px;
    align-items: start;
    margin-top: 14px;
  }
  .low {
    color: var(--out);
  }
</style>
