<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import type { Station } from '#core/stations/placed';
  import type { SetView } from '#core/sets/standing';
  import type { System } from '#core/units/factors';
  import { FREEBOARD } from '#core/stations/standing';
  import { bedOf } from '#core/stations/placed';
  import { levelText, type Frame } from '#core/units/frame';
  import { printLength, printWay } from '#core/units/length';
  import { surfaceAt, type Follows } from '#core/water/ownLevel';
  import { bandText, type DeviceState, type Water } from '#core/water/state';

  /** The section's text twin: the same numbers as a table. */
  interface Props {
    stations: Station[];
    /** own relations of stations to the gauge, by station */
    follows: Readonly<Record<string, Follows>>;
    rows: { view: SetView; states: DeviceState[] }[];
    levels: Water;
    system: System;
    frame: Frame;
    /** whether each place can be waded now, at the check, and again; empty while another time is shown */
    standing?: Readonly<Record<string, { sentence: string }>>;
  }
  let { stations, follows, rows, levels, system, frame, standing = {} }: Props = $props();

  function depth(station: Station): string {
    const level = levels.known[station.surface];
    const bed = bedOf(station);
    if (bed === null || level === undefined)
      return station.sounded ? `${printLength(station.sounded.depth, system)} when measured` : 'not measured';
    const own = follows[station.id];
    const now = (own ? surfaceAt(own, level) : level) - bed;
    return now > 0 ? printLength(now, system) : `${printLength(-now, system)} dry`;
  }
</script>

<details class="mt-5" open={stations.length > 0 && stations.length <= 6}>
  <summary class="font-bold cursor-pointer"
    >The same as a table: {stations.length} {stations.length === 1 ? 'location' : 'locations'}</summary
  >
  <Scroller label="Locations"
    ><table class="plain-table mt-2">
      <thead
        ><tr
          ><th scope="col">Location</th><th scope="col">Distance</th><th scope="col">Depth</th><th scope="col">Set</th><th scope="col"
            >Working range</th
          ><th scope="col">State</th><th scope="col">Wading, with {printLength(FREEBOARD, system)} of waders left (rule of thumb)</th></tr
        ></thead
      >
      <tbody>
        {#each stations as station (station.id)}
          {@const own = rows.filter((r) => r.view.station.id === station.id)}
          <tr>
            <td
              ><a class="link font-bold" href="/waters/{station.water}/{station.id}">{station.number} {station.name}</a>
              <span class="quiet">{station.kind}{station.surface === 'tail' ? ', below the dam' : ''}</span></td
            >
            <td>{printWay(station.along, system)}</td>
            <td
              >{depth(station)}{#if station.crest !== null}<br /><span class="quiet">top at {levelText(station.crest, frame)}</span
                >{/if}</td
            >
            <td
              >{#each own as r (r.view.id)}<a class="link" href="/bench/{r.view.id}">{r.view.number} {r.view.typeName}</a><br />{:else}<a
                  class="link"
                  href="/bench/new?station={station.id}">place a set</a
                >{/each}</td
            >
            <td
              >{#each own as r (r.view.id)}{#each r.states as s (s.device)}{s.band ? bandText(s.band, frame, s.axis) : 'at any level'}<br
                  />{/each}{/each}</td
            >
            <td
              >{#each own as r (r.view.id)}{r.view.state === 'live' ? '' : `${r.view.state}; would be `}{r.states
                  .map((s) => s.label)
                  .join(', ')}<br />{/each}</td
            >
            <td>{standing[station.id]?.sentence || '–'}</td>
          </tr>
        {/each}
      </tbody>
    </table></Scroller
  >
</details>
