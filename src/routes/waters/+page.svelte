<script lang="ts">
  import { browser } from '$app/environment';
  import { page } from '$app/state';
  import { FORMS, lineOf, measuredSentence, parsePoints, pointsOf, printPoints, type Form } from '#core/ground/points';
  import { besideLine, type Position } from '#core/ground/geodesic';
  import { printWay } from '#core/units/length';
  import { typed, type Kept } from '$lib/ui/kept';
  import type { Shown } from '$lib/ui/map/styles';
  import GroundForm from './GroundForm.svelte';
  import GroundTable from './GroundTable.svelte';
  import WaterForm from './WaterForm.svelte';
  import LineRemarks from '$lib/ui/LineRemarks.svelte';
  import WaterList from './WaterList.svelte';
  import WindArrow from './WindArrow.svelte';

  let { data, form: answer } = $props();
  const kept = $derived(answer as Kept | null);
  const system = $derived(data.who?.person.system ?? 'us');
  const keptGround = $derived(kept?.values?.points !== undefined ? kept : null);
  const keptWater = $derived(kept && !keptGround ? kept : null);

  let subject = $derived(typed(keptGround, 'subject'));
  let form = $derived<Form>(typed(keptGround, 'form', 'line') as Form);
  let text = $derived(typed(keptGround, 'points'));
  let drawing = $state(false);
  let picked = $state<Shown | null>(null);
  let spot = $state<Position | null>(null);
  /** how close a water's line must be to a tap to be offered before the others, m */
  const CLOSE = 60;
  /** the waters on which a place can be added there, those that run by first, and how far along */
  const offered = $derived.by(() => {
    const at = spot;
    if (!at) return [];
    return data.sites
      .flatMap((s) => s.waters)
      .map((water) => {
        const line = lineOf(data.ground, water.id);
        const beside = line && besideLine(line, at);
        return { id: water.id, name: water.name, along: beside?.along ?? null, off: beside?.off ?? Infinity };
      })
      .sort((a, b) => a.off - b.off)
      .filter((w, i, all) => i === 0 || w.off < CLOSE || (all[0]?.off ?? 0) > CLOSE)
      .slice(0, 4);
  });
  const points = $derived.by(() => {
    const parsed = parsePoints(text);
    return parsed.ok ? parsed.points : [];
  });
  const placed = $derived(data.stations.filter((s) => s.lat !== null && s.lon !== null));
  const things = $derived([
    ...data.sites.flatMap(({ id, name, lat, lon }) =>
      lat === null || lon === null
        ? []
        : [
            {
              shown: { what: 'site', id, text: name } satisfies Shown,
              shape: { type: 'Point' as const, coordinates: [lon, lat] as [number, number] },
            },
          ],
    ),
    ...data.ground.map((g) => ({ shown: { what: 'ground', id: g.id, text: g.name, kind: g.kind } satisfies Shown, shape: g.shape })),
    ...placed.map((s) => ({
      shown: {
        what: 'station',
        id: s.id,
        text: `${s.number} ${s.name}`,
        number: String(s.number),
        mark: s.mark,
        outside: s.outside !== null,
        thin: s.thin !== null,
      } satisfies Shown,
      shape: { type: 'Point' as const, coordinates: [s.lon ?? 0, s.lat ?? 0] as [number, number] },
    })),
  ]);
  const marked = $derived(
    spot
      ? [
          ...things,
          {
            shown: { what: 'draft', id: 'spot', text: '' } satisfies Shown,
            shape: { type: 'Point' as const, coordinates: [...spot] as [number, number] },
          },
        ]
      : things,
  );
  const shownSite = $derived(data.sites.find((s) => s.id === data.shown));
  const fit = $derived.by((): Position[] => {
    const near = shownSite?.waters.filter((w) => !data.shownWater || w.id === data.shownWater);
    const waters = new Set(near?.map((w) => w.id));
    const of = placed.filter((s) => waters.has(s.water)).map((s): Position => [s.lon ?? 0, s.lat ?? 0]);
    return of.length > 0 || !shownSite || shownSite.lat === null || shownSite.lon === null ? of : [[shownSite.lon, shownSite.lat]];
  });
  const station = $derived(data.stations.find((s) => s.id === picked?.id));
  const piece = $derived(data.ground.find((g) => g.id === picked?.id));

  function take(id: string): void {
    subject = id;
    const ground = data.ground.find((g) => g.id === id);
    const place = placed.find((s) => s.id === id);
    if (ground) {
      const drawn = pointsOf(ground.shape);
      form = drawn.form;
      text = printPoints(drawn.points);
    } else if (place) {
      form = 'point';
      text = printPoints([[place.lon ?? 0, place.lat ?? 0]]);
    } else text = '';
  }
</script>

<svelte:head><title>Waters · Zaprud</title></svelte:head>

<div class="page">
  <div class="head">
    <h1>Waters</h1>
    <nav aria-label="Scouting">
      <a class="btn" href="/waters/plan">The plan</a>
      <a class="btn" href="/waters/weather">Weather</a>
      <a class="btn" href="/waters/exchange">Import and export</a>
      <a class="btn" href="/waters/sign">How fast sign ages</a>
    </nav>
  </div>
  {#if data.remarks.length > 0}<LineRemarks remarks={data.remarks} />{/if}
  {#if data.sites.length === 0}
    <p class="sheet mt-3">No site yet. <a class="link" href="/begin">Begin with a site and its water</a>.</p>
  {:else}
    {#if page.url.searchParams.has('drawn')}<p role="status"><b>Saved to the map and the book.</b></p>{/if}
    <div class="ground">
      <div>
        <div class="frame">
          {#if browser}
            {#await import('$lib/ui/map/GroundMap.svelte') then { default: GroundMap }}
              <GroundMap
                things={marked}
                {fit}
                draft={{ form: data.stations.some((s) => s.id === subject) ? 'point' : form, points }}
                {drawing}
                {system}
                ondraft={(drawn) => (text = printPoints(drawn))}
                onpick={(shown) => ((picked = shown), (spot = null))}
                onspot={(at, over) => ((spot = at), (picked = over))}
              />
            {/await}
          {:else}<p class="p-4">The map needs script. The table below has every place as text.</p>{/if}
          <WindArrow wind={data.wind} />
          {#if fit.length === 0 && things.length === 0}<p class="nowhere">
              Where is it? <a class="link" href="/people">Say where the line lies</a>, or bring a file in.
            </p>{/if}
        </div>
        <div class="tools no-print" role="group" aria-label="Draw on the map">
          {#each FORMS as f (f)}<button
              type="button"
              class="btn"
              aria-pressed={drawing && form === f}
              onclick={() => {
                const again = drawing && form === f;
                drawing = !again;
                if (!again && form !== f) text = '';
                form = f;
              }}>{f === 'area' ? 'Draw an area' : `Draw a ${f}`}</button
            >{/each}
          <b aria-live="polite"
            >{points.length > 0 || drawing
              ? `${measuredSentence(form, points, system)}${points.length > 0 ? ' Name and save it below.' : ''}`
              : ''}</b
          >
        </div>
        <p class="picked" aria-live="polite">
          {#if station}<a class="link" href="/waters/{station.water}/{station.id}"><b>{station.number} {station.name}</b></a>, {station.kind}:
            {station.label}.
            {station.outside ?? ''}
            {#if station.thin}<b>{station.thin}</b>{/if}
            <button class="link" type="button" onclick={() => take(station.id)}>Move it</button>
          {:else if piece}<b>{piece.name}</b>, {piece.kind}. {piece.note}
            <button class="link" type="button" onclick={() => take(piece.id)}>Change its shape</button>
            <a class="link" href="/book/{piece.entry}">Correct or withdraw it</a>
          {:else if !spot}<span class="quiet"
              >Tap where a place is to be added, or a mark to see it. Marks are the states of the sets; a small ring is a location without
              one. {data.wind.text}</span
            >{/if}
          {#if spot}
            {@const here = printPoints([spot])}
            Add a place here:
            {#each offered as w (w.id)}<a class="btn btn-sm mr-2" href="/waters/{w.id}?at={encodeURIComponent(here)}"
                >{w.name}{w.along === null ? '' : `, ${printWay(w.along, system)} along`}</a
              >{:else}add its water first, below.{/each}
          {/if}
        </p>
      </div>
      <WaterList sites={data.sites} shown={data.shown} />
    </div>
    {#each data.stations.filter((s) => s.outside) as s (s.id)}<p class="problem mt-2">{s.outside}</p>{/each}
    <GroundTable stations={data.stations} ground={data.ground} {system} />
    <GroundForm
      kept={keptGround}
      ids={data.ids}
      kinds={data.kinds}
      site={data.shown ?? ''}
      waters={(shownSite?.waters ?? []).map((w) => ({ value: w.id, text: w.name }))}
      stations={data.stations.map((s) => ({ value: s.id, text: `${s.number} ${s.name}` }))}
      grounds={data.ground.map((g) => ({ value: g.id, text: `${g.name}, ${g.kind}`, kind: g.kind, name: g.name, note: g.note }))}
      bind:subject
      bind:form
      bind:text
      bind:drawing
      fix={data.fix}
      {system}
      onsubject={take}
    />
    <WaterForm kept={keptWater} ids={data.ids} sites={data.sites.map((x) => ({ value: x.id, text: x.name }))} />
  {/if}
</div>

<style>
  .nowhere {
    position: absolute;
    inset: auto 0 50%;
    text-align: center;
    font-weight: 600;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 20px;
    align-items: center;
    justify-content: space-between;
    margin-bottom: 10px;
  }
  .head nav {
    display: flex;
    gap: 8px;
    flex-wrap: wrap;
  }
  .ground {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 390px;
    gap: 20px;
    align-items: start;
  }
  .frame {
    position: relative;
    height: 470px;
    border: 1px solid var(--rule);
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    margin-top: 8px;
  }
  .tools .btn[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  .picked {
    margin: 6px 0 0;
    min-height: 3.2em;
  }
  @media (max-width: 900px) {
    .ground {
      grid-template-columns: minmax(0, 1fr);
    }
    .frame {
      height: 380px;
    }
  }
</style>
