<script lang="ts">
  import { enhance } from '$app/forms';
  import TextField from '$lib/ui/TextField.svelte';
  import { keeping } from '$lib/ui/keeping';
  import { typed, type Kept } from '$lib/ui/kept';
  import type { System } from '#core/units/factors';

  /** Which of the two numbers a drained pond's forecast lacks, taken there and then. */
  interface Props {
    lacks: readonly ('area' | 'rise')[];
    water: string;
    entry: string;
    kept: Kept | null;
    system: System;
  }
  let { lacks, water, entry, kept, system }: Props = $props();
</script>

{#if lacks.length > 0}
  <form method="POST" action="/waters/{water}/fills?/pond" class="sheet mt-3 no-print" use:enhance={keeping}>
    <p>
      <b>The forecast is wide:</b>
      {lacks.length > 1
        ? 'the area of the pond and its rise in a day are'
        : lacks[0] === 'area'
          ? 'the area of the pond is'
          : 'its rise in a day is'} not known, rules of thumb stand in.
    </p>
    <input type="hidden" name="entry" value={typed(kept, 'entry', entry)} />
    <div class="flex flex-wrap gap-4 items-end">
      {#if lacks.includes('area')}<TextField
          label="Area of the pond now"
          name="area"
          value={typed(kept, 'area')}
          error={kept?.errors?.area}
          help={system === 'us' ? 'square feet; an acre is 43,560' : 'square meters'}
        />{/if}
      {#if lacks.includes('rise')}<TextField
          label="Rise in a day when nothing runs out"
          name="rise"
          value={typed(kept, 'rise')}
          error={kept?.errors?.rise}
        />{/if}
      <button class="btn">Save these</button>
    </div>
  </form>
{/if}
