<script lang="ts">
  import { many } from '#core/units/many';
  import Scroller from '$lib/ui/Scroller.svelte';
  import { measuredSentence, pointsOf } from '#core/ground/points';
  import type { Shape } from '#core/record/scouting';

  interface Props {
    stations: {
      id: string;
      water: string;
      number: number;
      name: string;
      kind: string;
      lat: number | null;
      lon: number | null;
      label: string;
    }[];
    ground: { id: string; kind: string; name: string; shape: Shape; entry: string }[];
    system: 'us' | 'metric';
  }
  let { stations, ground, system }: Props = $props();

  const said = (shape: Shape): string => {
    const { form, points } = pointsOf(shape);
    return measuredSentence(form, points, system);
  };
</script>

<details class="my-3">
  <summary class="font-bold cursor-pointer"
    >The same as a table: {many(stations.length, 'location')}, {many(ground.length, 'piece of ground', 'pieces of ground')}</summary
  >
  <div class="overflow-x-auto">
    <Scroller label="Ground"
      ><table class="plain-table mt-2">
        <thead
          ><tr><th scope="col">Location</th><th scope="col">Latitude</th><th scope="col">Longitude</th><th scope="col">Set</th></tr></thead
        >
        <tbody>
          {#each stations as s (s.id)}
            <tr
              ><td><a class="link" href="/waters/{s.water}/{s.id}">{s.number} {s.name}</a> <span class="quiet">{s.kind}</span></td><td
                class="mono">{s.lat?.toFixed(5) ?? 'not placed'}</td
              ><td class="mono">{s.lon?.toFixed(5) ?? ''}</td><td>{s.label}</td></tr
            >
          {/each}
        </tbody>
      </table></Scroller
    >
    <table class="plain-table mt-4">
      <thead><tr><th scope="col">Ground</th><th scope="col">Kind</th><th scope="col">Measured</th></tr></thead>
      <tbody>
        {#each ground as g (g.id)}<tr
            ><td><a class="link" href="/book/{g.entry}">{g.name}</a></td><td>{g.kind}</td><td>{said(g.shape)}</td></tr
          >{/each}
      </tbody>
    </table>
  </div>
</details>
