<script lang="ts">
  import { designScene, type View } from '#core/scene/designScene';
  import { sampleDesign, sampleLevels, sampleSurface } from '#core/sets/sample';
  import type { SetType, Variant } from '#core/sets/setType';
  import type { System } from '#core/units/factors';
  import DesignDrawing from '$lib/ui/drawing/DesignDrawing.svelte';

  /** A type at its defaults. */
  interface Props {
    type: SetType;
    view: View;
    system: System;
    variant?: Variant;
    size?: { width: number; height: number };
    bare?: boolean;
    heading?: string;
  }
  let { type, view, system, variant, size = { width: 320, height: 180 }, bare = true, heading }: Props = $props();
  const scene = $derived(
    designScene(sampleDesign(type, variant, system), view, sampleLevels(type), sampleSurface(type), size, system, bare),
  );
</script>

<DesignDrawing
  {scene}
  title="{type.name}{variant ? `, ${variant.name}` : ''}, {view === 'side' ? 'from the side' : 'as it is met'}"
  {...heading ? { heading } : {}}
/>
