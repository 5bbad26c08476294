<script lang="ts">
  import type { View } from '#core/scene/designScene';
  import { sampleDesign, sampleLevels, sampleSurface } from '#core/sets/sample';
  import type { SetType, Variant } from '#core/sets/setType';
  import type { System } from '#core/units/factors';
  import FittedDrawing from '$lib/ui/drawing/FittedDrawing.svelte';

  /** A type at its defaults. */
  interface Props {
    type: SetType;
    view: View;
    system: System;
    variant?: Variant;
    bare?: boolean;
    heading?: string;
  }
  let { type, view, system, variant, bare = true, heading }: Props = $props();
  const design = $derived(sampleDesign(type, variant, system));
</script>

<FittedDrawing
  {design}
  {view}
  known={sampleLevels(type)}
  surface={sampleSurface(type)}
  {system}
  {bare}
  ratio={bare ? 0.56 : 0.47}
  title="{type.name}{variant ? `, ${variant.name}` : ''}, {view === 'side' ? 'from the side' : 'as it is met'}"
  {...heading ? { heading } : {}}
/>
