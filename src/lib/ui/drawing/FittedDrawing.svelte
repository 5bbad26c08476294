<script lang="ts">
  import { designScene, type View } from '#core/scene/designScene';
  import type { Design } from '#core/sets/design';
  import type { System } from '#core/units/factors';
  import type { Known } from '#core/water/levels';
  import DesignDrawing from './DesignDrawing.svelte';

  /** A design drawn as wide as there is room, so that its words keep their size. */
  interface Props {
    design: Design;
    view: View;
    known: Known;
    surface: 'pond' | 'tail';
    system: System;
    title: string;
    heading?: string;
    /** height in parts of the width */
    ratio?: number;
    bare?: boolean;
    made?: number | null;
    onpull?: (key: string, by: number, begins: boolean) => void;
  }
  let { design, view, known, surface, system, title, heading, ratio = 0.48, bare = false, made = null, onpull }: Props = $props();

  let room = $state(600);
  const width = $derived(Math.max(240, room));
  const scene = $derived(
    designScene(design, { view, known, surface, frame: { width, height: Math.max(bare ? 130 : 230, width * ratio) }, system, bare, made }),
  );
</script>

<div bind:clientWidth={room}>
  <DesignDrawing {scene} {title} {...heading ? { heading } : {}} {...onpull ? { onpull } : {}} />
</div>
