<script lang="ts">
  import { ordersOf } from '#core/sets/secondTie';
  import { originWord } from '#core/water/originWord';
  import { cutAndCarry } from '#core/gear/carry';
  import { setTypeOf } from '#core/sets/catalogue';
  import { bearersText, needTexts } from '#core/sets/describe';
  import { boundsText } from '#core/sets/ranges';
  import { atWorkUsually } from '#core/sets/order';
  import { remakeOrders } from '#core/sets/remake';
  import { sampleDesign } from '#core/sets/sample';
  import { monthsText, usualText } from '#core/sets/search';
  import { printLength } from '#core/units/length';
  import { inWords } from '#core/units/inWords';
  import Steps from '$lib/ui/Steps.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import CarryList from '../../CarryList.svelte';
  import SampleDrawing from '../SampleDrawing.svelte';

  let { data } = $props();
  const type = $derived(setTypeOf(data.type));
  const system = $derived(data.who?.person.system ?? 'us');
  const design = $derived(sampleDesign(type, undefined, system));
  const numbers = $derived(Object.entries(type.numbers));
  const work = $derived(atWorkUsually(type));
</script>

<svelte:head><title>{type.name} · Bench · Zaprud</title></svelte:head>

<div class="page two">
  <section>
    <p class="quiet"><a class="link" href="/bench/catalogue">Set types</a></p>
    <h1>{type.name}</h1>
    <p class="idea">{inWords(type.idea, system)}</p>
    <SampleDrawing {type} view="eye" {system} bare={false} heading="Front view" />
    <div class="mt-2"><SampleDrawing {type} view="side" {system} bare={false} heading="Side view" /></div>
    <p class="quiet">At its defaults, each to one scale both ways; slopes of ground are symbolic.</p>
    {#if type.variants}
      <h2 class="mt-4">Other ways to build it</h2>
      <div class="variants">
        {#each type.variants as variant (variant.id)}
          <div>
            <SampleDrawing {type} {variant} view="eye" {system} />
            <SampleDrawing {type} {variant} view="side" {system} />
            <p>{variant.name}</p>
          </div>
        {/each}
      </div>
    {/if}
  </section>
  <section>
    <form method="GET" action="/bench/new" class="sheet">
      <h2>Build it at a location</h2>
      <input type="hidden" name="type" value={type.id} />
      {#if data.stations.length > 0}
        <SelectField label="Location" name="station" value={data.chosen} options={data.stations} />
        <button class="btn btn-primary">To the bench</button>
      {:else}<p>No location of its kinds yet: {type.stations.join(', ')}.</p>{/if}
    </form>
    <dl class="facts">
      <dt>For</dt>
      <dd>{type.species.join(', ')}, {monthsText(type.months)} <span class="quiet">rule of thumb</span></dd>
      <dt>Where</dt>
      <dd>{type.stations.join(', ')}</dd>
      <dt>With</dt>
      <dd>{usualText(type)} as a rule</dd>
      <dt>What has to be where</dt>
      <dd>{needTexts(design, system).join(' ')}</dd>
      <dt>Carried by</dt>
      <dd>{bearersText(design)}</dd>
      <dt>What fits</dt>
      <dd>{inWords(type.fit, system)}</dd>
      {#if type.disputed}<dt>Disputed</dt>
        <dd>{inWords(type.disputed.join(' '), system)}</dd>{/if}
      <dt>Goes wrong</dt>
      <dd>{inWords(type.faults.join(' '), system)}</dd>
      <dt>Gear list</dt>
      <dd><CarryList items={cutAndCarry(design, type.tools)} {system} /></dd>
    </dl>
    <h2 class="mt-4">In this order</h2>
    <Steps device={work.device} orders={ordersOf(type, work)} {system} />
    <h2 class="mt-4">At a remake</h2>
    <Steps device={work.device} orders={remakeOrders(type, work)} {system} />
    <h2 class="mt-4">Its numbers</h2>
    <table class="plain-table">
      <thead><tr><th scope="col">Number</th><th scope="col">Default</th><th scope="col">Rests on</th><th scope="col">Range</th></tr></thead>
      <tbody>
        {#each numbers as [key, spec] (key)}
          <tr>
            <th scope="row">{spec.label}</th>
            <td
              >{spec.default === undefined
                ? ''
                : spec.unit === 'share'
                  ? `${Math.round(spec.default * 100)}%`
                  : printLength(spec.default, system)}</td
            >
            <td>{spec.default === undefined ? 'measured there' : originWord(spec.origin)}</td>
            <td>{boundsText(spec, system)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(340px, 620px) 1fr;
    gap: 30px;
    align-items: start;
  }
  .idea {
    font-size: 1.1rem;
    margin: 4px 0 12px;
  }
  .variants {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
    gap: 12px;
  }
  .facts {
    margin-top: 16px;
    display: grid;
    grid-template-columns: minmax(90px, auto) 1fr;
    gap: 6px 14px;
  }
  dt {
    font-weight: 650;
  }
  @media (max-width: 900px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
