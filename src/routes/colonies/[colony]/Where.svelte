<script lang="ts">
  import { metAtPlaces, type Story } from '#core/colony/story';
  import { apart } from '#core/scene/labels';
  import { sectionScene, xAt } from '#core/scene/section';
  import { levelText } from '#core/units/frame';
  import MarkSign from '$lib/colony/MarkSign.svelte';
  import Section from '$lib/ui/drawing/Section.svelte';
  import type { PageData } from './$types';

  /** One water of the colony as its section, and at each place who was met there in the nights that are drawn under it. */
  let { water, story }: { water: PageData['sections'][number]; story: Story } = $props();
  let width = $state(900);
  const isNarrow = $derived(width < 600);
  const scene = $derived(
    sectionScene({
      ...water,
      earlier: null,
      size: { width: Math.max(320, width), height: 300, columns: isNarrow },
    }),
  );
  const met = $derived(metAtPlaces(story));
  const marked = $derived(water.stations.flatMap((s) => (met[s.id] ? [{ id: s.id, x: xAt(scene, s.along), marks: met[s.id] ?? [] }] : [])));
  const pond = $derived(water.levels.known.pond ?? null);
  const HIGH = 20;
  const WIDE = 42;
  const most = $derived(Math.max(0, ...marked.map((m) => m.marks.length)));
  /** under their places, as near as their widths let them */
  const at = $derived(
    apart(
      marked.map((m) => m.x),
      WIDE,
      scene.width - WIDE / 2,
    ),
  );
</script>

<div bind:clientWidth={width}>
  <Section
    {scene}
    water={water.id}
    level={pond}
    isWhatIf={false}
    valueText={pond === null ? '' : levelText(pond, water.frame)}
    columns={isNarrow}
  />
  {#if !isNarrow}
    <div class="met" style:height="{most * HIGH + 8}px" aria-hidden="true">
      {#each marked as { id, marks }, n (id)}
        <ul style:left="{((at[n] ?? 0) / scene.width) * 100}%">
          {#each marks as { mark, count } (mark)}<li><MarkSign {mark} />{count}</li>{/each}
        </ul>
      {/each}
    </div>
  {/if}
</div>

<style>
  .met {
    position: relative;
    border-bottom: 1px solid var(--rule);
  }
  ul {
    position: absolute;
    top: 4px;
    width: 40px;
    margin-left: -20px;
  }
  li {
    display: flex;
    gap: 5px;
    align-items: center;
    justify-content: center;
    height: 20px;
    font-weight: 700;
    font-size: 0.85rem;
    font-variant-numeric: tabular-nums;
  }
</style>
