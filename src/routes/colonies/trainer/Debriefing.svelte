<script lang="ts">
  import { ageOf } from '#core/sim/colony/family';
  import { debrief } from '#core/trainer/debrief';
  import type { Lesson } from '#core/trainer/lived';
  import type { Stranger } from '#core/trainer/stranger';
  import type { System } from '#core/units/factors';
  import { setTypeOf } from '#core/sets/catalogue';
  import { isLesson, nightStory, outcomeText, placeText, shyText } from '#core/words/trainer';
  import { remarksOn } from '$lib/trainer/remarks';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** What really happened, place by place, once the nights are over. */
  let { pond, lesson, system }: { pond: Stranger; lesson: Lesson; system: System } = $props();
  const told = $derived(debrief(pond, lesson));
  const nameOf = (station: string): string => pond.stations.find((s) => s.id === station)?.name ?? '';
  const ageOfAnimal = (id: number): string => {
    const found = lesson.hidden.world.family.find((a) => a.id === id);
    return found ? ageOf(found) : 'beaver';
  };
  /** what was wrong with a set as it was built */
  const faults = $derived(
    lesson.sets.flatMap((set) =>
      remarksOn(pond, lesson, set, system).map((r, n) => ({
        ...r,
        id: `${set.build.id} ${n}`,
        set: `${setTypeOf(set.build.type).name}, ${nameOf(set.build.station)}`,
      })),
    ),
  );
</script>

<h2 class="over">{outcomeText(told)}</h2>
<p>{shyText(told)}</p>
<table class="plain-table mt-2">
  <thead><tr><th scope="col">Place</th><th scope="col">What the animals did</th></tr></thead>
  <tbody>
    {#each told.places as place (place.station)}
      <tr>
        <th scope="row"
          ><StateMark verdict={isLesson(place) ? 'nearEdge' : 'fine'} label={isLesson(place) ? 'look at this' : 'well read'} />
          {nameOf(place.station)}</th
        >
        <td>{placeText(place)}</td>
      </tr>
    {/each}
  </tbody>
</table>
<details class="mt-3">
  <summary><b>Night by night</b></summary>
  <ol>
    {#each lesson.hidden.nights as events, n (n)}
      <li>
        <b>Night {n + 1}.</b>
        {nightStory(events, ageOfAnimal, nameOf).join(' ')}
      </li>
    {/each}
  </ol>
</details>
{#if faults.length > 0}
  <h3 class="mt-3">What an old hand would have said</h3>
  <ul>
    {#each faults as f (f.id)}<li><b>{f.set}</b>: {f.sentence}</li>{/each}
  </ul>
{/if}

<style>
  .over {
    font-size: 1.2rem;
  }
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
  }
  th :global(svg) {
    display: inline;
    vertical-align: -3px;
  }
</style>
