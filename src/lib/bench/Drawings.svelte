<script lang="ts">
  import { INCH, type System } from '#core/units/factors';
  import { printLength } from '#core/units/length';
  import DesignDrawing from '$lib/ui/drawing/DesignDrawing.svelte';
  import type { BenchDesign } from './design.svelte';

  /** Both drawings of the set, live; their lengths can be drawn. */
  let { it, title, system, surface }: { it: BenchDesign; title: string; system: System; surface: 'pond' | 'tail' } = $props();
  const words = $derived(`${it.higher > 0 ? 'higher' : 'lower'} by ${printLength(Math.abs(it.higher), system)}`);
  let room = $state(600);
  $effect(() => {
    it.room = room;
  });
  const step = $derived(system === 'us' ? INCH : 0.02);
</script>

<div bind:clientWidth={room}>
  <DesignDrawing scene={it.eye} title="{title}, as the animal meets it, to scale" heading="Front view" onpull={it.pull} />
  <div class="mt-2">
    <DesignDrawing scene={it.side} title="{title}, from the side, to scale" heading="Side view" onpull={it.pull} />
  </div>
</div>
<div class="what-if only-script">
  <label for="what-if">What if the {surface === 'tail' ? 'tailwater' : 'water'} stood {it.higher === 0 ? 'higher or lower' : words}?</label>
  <input
    id="what-if"
    type="range"
    class="slider"
    min="-24"
    max="24"
    step="1"
    value={Math.round(it.higher / step)}
    oninput={(event) => (it.higher = Number(event.currentTarget.value) * step)}
    aria-valuetext={it.higher === 0 ? 'as it is' : words}
  />
  {#if it.higher !== 0}<button type="button" class="btn btn-sm" onclick={() => (it.higher = 0)}>As it is</button>{/if}
</div>
<details class="quiet">
  <summary>Measurements</summary>
  <table class="plain-table">
    <thead><tr><th scope="col">Length</th><th scope="col">Front view</th><th scope="col">Side view</th></tr></thead>
    <tbody>
      {#each [...new Set([...it.eye.dimensions, ...it.side.dimensions].map((d) => d.label))] as label (label)}
        <tr>
          <th scope="row">{label}</th>
          <td>{it.eye.dimensions.find((d) => d.label === label)?.text ?? ''}</td>
          <td>{it.side.dimensions.find((d) => d.label === label)?.text ?? ''}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  <p>
    {it.side.twin.slice(it.side.dimensions.length).join(' ')} To one scale both ways; where nothing was measured, slopes of ground are symbolic.
  </p>
</details>

<style>
  .what-if {
    display: flex;
    gap: 12px;
    align-items: center;
    margin: 8px 0;
    flex-wrap: wrap;
  }
  .slider {
    flex: 1 1 160px;
    accent-color: var(--line);
    min-height: 28px;
  }
  summary {
    cursor: pointer;
    min-height: 28px;
  }
</style>
