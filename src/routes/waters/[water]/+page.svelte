<script lang="ts">
  import { shortText } from '#core/time/clock';
  import { enhance } from '$app/forms';
  import { replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import { stillToGo } from '#core/ledger/stillToGo';
  import { readableZoom, sectionScene } from '#core/scene/section';
  import { endOf, trackAt, type Track } from '#core/water/track';
  import { forecaster } from '$lib/forecast/forecaster';
  import { quarterDays } from '$lib/ui/quarterDays';
  import { isDammed } from '#core/stations/dammed';
  import { statesOf } from '#core/sets/standing';
  import { levelText } from '#core/units/frame';
  import { printLength, printWay } from '#core/units/length';
  import { worst, type Water } from '#core/water/state';
  import PrintButton from '$lib/ui/PrintButton.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import Section from '$lib/ui/drawing/Section.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import Asked from '$lib/ui/Asked.svelte';
  import FirstSet from './FirstSet.svelte';
  import GaugeForms from './GaugeForms.svelte';
  import Lacking from './Lacking.svelte';
  import SetCard from './SetCard.svelte';
  import SetList from './SetList.svelte';
  import { setRows } from './setRows';
  import StationForm from './StationForm.svelte';
  import StationTable from './StationTable.svelte';
  import TimeSlider from './TimeSlider.svelte';
  import WaterNotes from './WaterNotes.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const system = $derived(data.who?.person.system ?? 'us');
  let whatIf = $derived(data.whatIf);
  let minutes = $state(0);
  let playing = $state(false);
  let thought = $state<Track | null>(null);
  const at = $derived(data.now + minutes * 60_000);
  const pondTrack = $derived(whatIf === null ? data.tracks.pond : thought);
  const most = $derived(Math.floor(((pondTrack ? endOf(pondTrack) : data.now) - data.now) / 900_000) * 15);
  const here = $derived(
    whatIf === null
      ? data.levels
      : {
          known: { ...data.levels.known, pond: whatIf },
          age: { ...data.levels.age, pond: 0 },
          atMost: { ...data.levels.atMost, pond: false },
        },
  );
  /** the levels at the time looked at: read or thought of now, forecast after */
  const levels: Water = $derived.by(() => {
    if (minutes === 0) return here;
    const known = { ...here.known };
    if (pondTrack) known.pond = trackAt(pondTrack, at).middle;
    if (data.tracks.tail) known.tail = trackAt(data.tracks.tail, at).middle;
    if (data.tracks.sheet) known.sheet = trackAt(data.tracks.sheet, at).middle;
    return { known, age: { pond: 0, tail: 0 }, atMost: {} };
  });
  const told = (at: number): string => shortText(new Date(Math.round(at / 60_000) * 60_000), new Date(data.now), data.clock);
  const band = $derived.by(() => {
    if (!pondTrack) return null;
    const then = minutes === 0 ? data.now + 86_400_000 : at;
    if (minutes === 0 && whatIf !== null) return null;
    return {
      ...trackAt(pondTrack, then),
      called: minutes === 0 ? 'this time tomorrow' : told(at),
    };
  });
  const timeText = $derived.by(() => {
    if (minutes === 0 || !pondTrack) return 'now';
    const { low, middle, high } = trackAt(pondTrack, at);
    const ice = levels.known.sheet ? `, ${printLength(levels.known.sheet, system)} of ice` : '';
    return `${told(at)}: ${print(middle)}, between ${print(low)} and ${print(high)}${ice}`;
  });
  const marks = $derived(quarterDays(data.now, most, data.clock));
  const print = (level: number | undefined): string => (level === undefined ? '' : levelText(level, data.frame));
  let field = $derived(typed(kept, 'level', data.asked || print(levels.known.pond)));
  const toGo = $derived(data.water.safe ? stillToGo(data.water.safe, levels.known.pond ?? null, data.frame) : null);
  let wide = $state(1280);
  const narrow = $derived(wide < 700);
  const places = $derived(new Set(data.stations.map((s) => s.along)).size);
  let zoom = $derived(readableZoom(places));
  /** a place that was tapped on the section or the map, to be added */
  let spot = $state<number | null>(null);
  let addAt = $derived(data.tapped);
  const spotText = $derived(spot === null ? '' : printWay(spot, system));
  const damAlong = $derived(data.stations.find((s) => s.kind === 'dam')?.along ?? Infinity);
  const dammed = $derived(isDammed(data.water, data.stations));
  const hasTail = $derived(data.gauges.some((g) => g.surface === 'tail'));
  let isBelowOpen = $state(false);
  let levelField: HTMLInputElement;
  const scene = $derived(
    sectionScene({
      water: data.water,
      stations: data.stations,
      views: data.views,
      levels,
      earlier: data.earlier,
      ahead: band,
      snow: data.snow,
      zoom,
      size: { width: 1280, height: narrow ? 430 : 500, columns: narrow },
      frame: data.frame,
    }),
  );
  const rows = $derived(
    data.views.map((view) => {
      const states = statesOf(view, levels, data.frame);
      return { view, states, worst: worst(states) };
    }),
  );

  const live = $derived(setRows(rows, whatIf === null && minutes === 0 ? data.ahead : {}, minutes === 0 ? data.standing : {}));
  /** the set that was tapped on the drawing */
  let tapped = $state<string | null>(null);
  const card = $derived(live.find((r) => r.view.id === tapped) ?? null);

  const ask = forecaster((track) => (thought = track));
  $effect(() => {
    if (whatIf === null || !data.whatIfModel) thought = null;
    else ask({ ...data.whatIfModel, level: whatIf, from: data.now });
  });

  function setLevel(level: number): void {
    minutes = 0;
    whatIf = level;
    field = print(level);
    replaceState(`?level=${encodeURIComponent(print(level))}`, page.state);
  }
  function backToNow(): void {
    minutes = 0;
    whatIf = null;
    field = print(data.levels.known.pond);
  }
  const steps = [-1, 1];
</script>

<svelte:head><title>{data.water.name} · Zaprud</title></svelte:head>
<svelte:window bind:innerWidth={wide} />

<div class="bar">
  <h1>{data.water.name}</h1>
  <p class="quiet small">
    Side view along the bank, inlet at left; widths not to scale. Gauge {data.read.pond ?? 'never read'}.
  </p>
  <form method="POST" action="?/whatIf" class="level" use:enhance={keeping}>
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
    <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
    <Asked name="level" {kept} />
    <label for="level">Level</label>
    <input
      id="level"
      bind:this={levelField}
      name="level"
      class="input w-32 text-lg"
      bind:value={field}
      aria-describedby={kept?.errors?.level || data.askedProblem ? 'level-error' : undefined}
      aria-invalid={kept?.errors?.level ? 'true' : undefined}
      autocomplete="off"
    />
    {#if narrow}
      {#each steps as step (step)}<button type="button" class="btn" onclick={() => setLevel((levels.known.pond ?? 0) + step * 0.0254)}
          >{step < 0 ? '−1 in' : '+1 in'}</button
        >{/each}
    {/if}
    <button class="btn">Try level</button>
    {#if whatIf !== null}<a class="btn btn-ghost" href="/waters/{data.water.id}" onclick={backToNow}>Back to now</a>{/if}
    <button class="btn btn-primary" formaction="?/reading">Save reading</button>
  </form>
</div>
<div class="px-5">
  <Problem text={kept?.problem} />
  {#if kept?.errors?.level || data.askedProblem}<p class="font-bold text-error" id="level-error">
      {kept?.errors?.level ?? data.askedProblem}
    </p>{/if}
</div>

{#if data.stations.length === 0}
  <FirstSet {kept} entry={data.firstEntry} isPond={data.water.kind === 'pond'} free={data.free} ongauge={() => levelField.select()} />
{:else}
  <Section
    {scene}
    water={data.water.id}
    level={levels.known.pond ?? null}
    isWhatIf={whatIf !== null}
    isAhead={minutes > 0}
    {zoom}
    onzoom={(z) => (zoom = z)}
    valueText={print(levels.known.pond)}
    onlevel={setLevel}
    columns={narrow}
    spot={spot === null ? null : { along: spot, text: spotText }}
    onspot={(along) => (spot = along)}
    onwaterline={() => levelField.select()}
    onset={(id) => (tapped = id)}
  />
{/if}
{#if card}<SetCard row={card} onclose={() => (tapped = null)} />{/if}
{#if spot !== null}
  <p class="spot" role="status">
    <b>{spotText} along the shore</b>
    <button
      type="button"
      class="btn btn-primary"
      onclick={() => {
        addAt = { along: spotText, lat: '', lon: '', from: 'as tapped on the section' };
        spot = null;
      }}>Add a place here</button
    >
    {#if dammed && !hasTail && spot > damAlong}<button
        type="button"
        class="btn"
        onclick={() => {
          isBelowOpen = true;
          spot = null;
        }}>Add a gauge below the dam</button
      >{/if}
    <button type="button" class="btn btn-ghost" onclick={() => (spot = null)}>Nothing here</button>
  </p>
{/if}
{#if most > 0}
  <TimeSlider {minutes} {most} text={timeText} {marks} onminutes={(m) => (minutes = m)} onplaying={(p) => (playing = p)} />
{/if}

<div class="page">
  <div class="print"><PrintButton /></div>
  <WaterNotes water={data.water.id} {dammed} {toGo} clarity={data.clarity} crest={data.crest} told={data.told} />
  <Lacking lacks={data.lacks} water={data.water.id} entry={data.lackingEntry} {kept} {system} />
  <SetList
    {live}
    waiting={data.views.filter((v) => v.state !== 'live')}
    quiet={playing}
    today={data.nowField.slice(0, 10)}
    anyPlace={data.stations.length > 0}
  />
  {#if data.reasons && minutes === 0}
    <details class="quiet mt-3">
      <summary>How sure is the forecast?</summary>
      <p>{data.reasons}</p>
    </details>
  {/if}
  <StationTable
    stations={data.stations}
    follows={data.follows}
    {rows}
    {levels}
    {system}
    frame={data.frame}
    standing={minutes === 0 && whatIf === null ? data.standing : {}}
  />
  <StationForm {kept} ids={data.stationIds} kinds={data.kinds} next={data.nextNumber} {system} {hasTail} at={addAt}>
    {#snippet gauges()}
      <GaugeForms {kept} ids={data.ids} {system} {dammed} {hasTail} nowField={data.nowField} bind:isBelowOpen />
    {/snippet}
  </StationForm>
</div>

<style>
  .bar {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 16px;
    align-items: center;
    padding: 10px 20px;
  }
  .bar p {
    flex: 1;
    min-width: 220px;
  }
  .spot {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: center;
    padding: 8px 20px;
    border-bottom: 1px solid var(--rule);
  }
  .print {
    float: right;
  }
  .small {
    font-size: 0.92rem;
  }
  .level {
    display: flex;
    gap: 8px;
    align-items: center;
    font-weight: 600;
    flex-wrap: wrap;
  }
</style>
