<script lang="ts">
  import OriginKey from '$lib/ui/OriginKey.svelte';
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import { printWay } from '#core/units/length';
  import FindingLine from '$lib/ui/FindingLine.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import BedProfile from '$lib/ui/drawing/BedProfile.svelte';
  import { keeping } from '$lib/ui/keeping';
  import Photo from '$lib/check/Photo.svelte';
  import SignForm from './SignForm.svelte';
  import SignTable from './SignTable.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const system = $derived(data.who?.person.system ?? 'us');
  const keptDepth = $derived(kept?.values?.depth !== undefined ? kept : null);
  const keptSign = $derived(kept && !keptDepth ? kept : null);
  const base = $derived(`/waters/${data.station.water}/${data.station.id}`);
</script>

<svelte:head><title>{data.station.number} {data.station.name} · Zaprud</title></svelte:head>

<div class="page two">
  <section>
    <p>
      <a class="link" href="/waters/{data.station.water}">{data.water}</a>{#if data.parent}, belongs to <a
          class="link"
          href="/waters/{data.station.water}/{data.parent.id}">{data.parent.number} {data.parent.name}</a
        >{/if}
    </p>
    <h1>{data.station.number} {data.station.name}</h1>
    <p class="quiet">{data.station.kind}, {printWay(data.station.along, system)} along. {data.station.note}</p>
    <FindingLine finding={data.use} note="sign loses half of its weight with every half-life" />
    <FindingLine finding={data.standing} />
    {#if data.standingAhead}<p>By the forecast, in a day: {data.standingAhead}</p>{/if}
    <p>{data.depth} {data.ways}</p>
    {#if data.lies.length > 0}<p><b>Lies here:</b> {data.lies.join('; ')}</p>{/if}
    {#if data.station.photo}<Photo id={data.station.photo} of="{data.station.number} {data.station.name}" />{/if}
    <p><a class="link" href="{base}/years">What it gave and taught, year by year</a></p>
    {#if data.children.length > 0}
      <p class="mt-2">
        <b>Belongs to it:</b>
        {#each data.children as child (child.id)}<a class="link" href="/waters/{data.station.water}/{child.id}">{child.text}</a>{child.set
            ? ''
            : ' (no set)'}<br />{/each}
      </p>
    {/if}
    <p class="mt-2">
      {#each data.sets as set (set.id)}<a class="link" href="/bench/{set.id}">{set.text}</a><br />{:else}No set stands here. <a
          class="link"
          href="/bench/new?station={data.station.id}">Place one</a
        >.{/each}
      <a class="link" href="/bench/catalogue?station={data.station.id}">Set types for a {data.station.kind}</a>
    </p>

    <SignTable signs={data.signs} camera={data.cameraNights} />

    <h2 class="mt-5 mb-1">Measured</h2>
    {#if page.url.searchParams.has('measured')}<p role="status"><b>Saved to the book.</b></p>{/if}
    {#if data.measures.length > 0}
      <table class="plain-table">
        <thead
          ><tr><th scope="col">Measure</th><th scope="col">Value</th><th scope="col">Taken</th><th scope="col">Level then</th></tr></thead
        >
        <tbody>
          {#each data.measures as m (m.label)}<tr><td>{m.label}</td><td>{m.text}</td><td>{m.at}</td><td>{m.level}</td></tr>{/each}
        </tbody>
      </table>
    {/if}
    {#if data.drawn}
      <div class="mt-3"><BedProfile profile={data.drawn} label="Bed across: {data.profile.join(', ')}, with the level of now" /></div>
      <p class="mt-1"><b>Bed across:</b> {data.profile.join(', ')}</p>
    {/if}
    <p class="mt-2"><a class="btn" href="{base}/measure">Measure this place</a></p>
  </section>

  <div class="forms">
    <SignForm
      kept={keptSign}
      place="{data.station.number} {data.station.name}"
      ids={data.ids}
      kinds={data.kinds}
      species={data.species}
      usual={data.usualSpecies}
      freshnesses={data.freshnesses}
      nowField={data.nowField}
      noted={page.url.searchParams.has('noted')}
    />
    <form method="POST" action="?/depth" class="sheet mt-4" use:enhance={keeping}>
      <h2>Depth read here</h2>
      {#if page.url.searchParams.has('read')}<p role="status"><b>Saved to the book.</b></p>{/if}
      <p class="quiet">
        {data.isStream
          ? 'On a stream every place follows the gauge in its own way: two readings at different levels tell how.'
          : 'A check of the bed: silt moves.'}
      </p>
      <Problem text={keptDepth?.problem} />
      <input type="hidden" name="entry" value={typed(keptDepth, 'entry', data.depthIds.entry)} />
      <input type="hidden" name="id" value={typed(keptDepth, 'id', data.depthIds.id)} />
      <div class="grid grid-cols-2 gap-x-3">
        <TextField
          label="Depth at the place"
          name="depth"
          value={typed(keptDepth, 'depth')}
          error={keptDepth?.errors?.depth}
          help="any form: 14 in, knee"
        />
        <TextField
          label="Gauge then"
          name="level"
          value={typed(keptDepth, 'level')}
          error={keptDepth?.errors?.level}
          help="empty: as it was read"
        />
      </div>
      <details open={keptDepth?.errors?.depthAt !== undefined}>
        <summary class="cursor-pointer">Other time</summary>
        <TimeField
          label="Depth read at"
          name="depthAt"
          value={typed(keptDepth, 'depthAt', data.nowField)}
          error={keptDepth?.errors?.depthAt}
        />
      </details>
      <button class="btn btn-primary">Save this depth</button>
      {#if data.owns.length > 0}
        <ul class="mt-3">
          {#each data.owns as o (o.id)}<li>
              {o.when}: {o.depth} with the gauge at {o.level}
              <a class="link" href="/book/{o.entry}">correct<span class="only-heard"> the depth of {o.when}</span></a>
            </li>{/each}
        </ul>
      {/if}
    </form>
  </div>
  <OriginKey />
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(300px, 420px);
    gap: 28px;
    align-items: start;
  }
  @media (max-width: 820px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
    .forms {
      order: -1;
    }
  }
</style>
