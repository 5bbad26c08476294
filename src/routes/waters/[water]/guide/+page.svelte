<script lang="ts">
  import type { Cost } from '#core/guide/designs';
  import { sizeText } from '#core/devices/sizes';
  import { printLength } from '#core/units/length';
  import { many } from '#core/units/many';
  import FittedDrawing from '$lib/ui/drawing/FittedDrawing.svelte';
  import Scroller from '$lib/ui/Scroller.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';

  let { data } = $props();
  const guide = $derived(data.guide);
  const system = $derived(data.who?.person.system ?? 'us');
  const path = $derived(`/waters/${guide.water.id}/guide?species=${guide.species}`);
  const build = (type: string): string => `/bench/new?station=${guide.station?.id ?? ''}&type=${type}&species=${guide.species}&like=`;

  const ROWS: [string, (cost: Cost) => string][] = $derived([
    ['Minutes to set', (c) => String(Math.round(c.minutes))],
    ['Minutes a look', (c) => String(Math.round(c.look))],
    ['Traps', (c) => String(c.traps)],
    ['Pieces to carry or cut', (c) => String(Math.round(c.pieces))],
    ['Cable', (c) => (c.cable === 0 ? 'none' : printLength(c.cable, system))],
    ['Likely', (c) => (c.perNight > 0.005 ? `1 in ${many(Math.max(1, Math.round(1 / c.perNight)), 'night')}` : 'rarely any')],
    ['By', (c) => c.rests],
  ]);
</script>

<svelte:head><title>Where and with what, {guide.water.name} · Zaprud</title></svelte:head>

{#snippet costs(label: string, list: Cost[])}
  <Scroller {label}>
    <table class="plain-table">
      <thead
        ><tr
          ><td></td>{#each list as cost (cost.name)}<th scope="col">{cost.name}</th>{/each}</tr
        ></thead
      >
      <tbody
        >{#each ROWS as [name, told] (name)}<tr
            ><th scope="row">{name}</th>{#each list as cost (cost.name)}<td>{told(cost)}</td>{/each}</tr
          >{/each}</tbody
      >
    </table>
  </Scroller>
{/snippet}

<div class="page">
  <p><a class="link" href="/waters/{guide.water.id}">{guide.water.name}</a></p>
  <h1>Where and with what: {guide.species}</h1>
  <p class="animals">
    {#each data.animals as animal (animal)}<a
        class="btn btn-sm"
        class:btn-primary={animal === guide.species}
        aria-current={animal === guide.species ? 'true' : undefined}
        href="/waters/{guide.water.id}/guide?species={animal}">{animal}</a
      >{/each}
  </p>
  {#if guide.ranked.length === 0}
    <p class="sheet mt-3">No place of this water is known yet. <a class="link" href="/waters/{guide.water.id}">Name the first</a>.</p>
  {/if}
  <div class="two">
    <section>
      <h2>Places, the best first</h2>
      <ol>
        {#each guide.ranked as spot (spot.id)}
          <li class:chosen={spot.id === guide.station?.id}>
            <a class="link" href="{path}&station={spot.id}" aria-current={spot.id === guide.station?.id ? 'true' : undefined}
              >{spot.number} {spot.name}</a
            > <span class="quiet">{spot.kind}</span>
            <ul>
              {#each spot.reasons.slice(0, spot.id === guide.station?.id ? 12 : 2) as reason (reason.text)}
                <li>
                  <span class="sign" aria-label={reason.weight > 0 ? 'for it' : 'against it'}>{reason.weight > 0 ? '+' : '−'}</span>
                  {reason.text}
                </li>
              {/each}
            </ul>
          </li>
        {/each}
      </ol>
      <p class="quiet">Weighed by rules of thumb.</p>
    </section>
    {#if guide.station}
      <section>
        <h2>At {guide.station.name}</h2>
        {#each guide.designs as design, n (design.type)}
          <article class="sheet">
            <h3>{n + 1}. {design.name}</h3>
            <FittedDrawing
              design={design.design}
              view="side"
              known={guide.levels}
              surface={guide.station.surface}
              {system}
              title="{design.name}, from the side"
              bare
            />
            <div>
              <p><b>For it:</b> {design.why}{design.gave ? `; ${design.gave}` : ''}.</p>
              {#if design.after}<p class="quiet">{design.after[0]?.toUpperCase()}{design.after.slice(1)}.</p>{/if}
              {#each design.against as text (text)}<p class="told">
                  <StateMark verdict="nearEdge" label="against it" /> <span>{text}</span>
                </p>{/each}
              {#each design.remarks as text (text)}<p class="told">
                  <StateMark verdict="unknown" label="remark" /> <span>{text}</span>
                </p>{/each}
              <p>
                {design.device ? `In the shed: ${sizeText(design.device.class, design.device.size)}.` : ''}
                <a class="btn btn-sm" href={build(design.type)}>Build it<span class="only-heard">: {design.name}</span></a>
              </p>
            </div>
          </article>
        {:else}<p>No type of set is tried for {guide.species} here.</p>{/each}
        {#if guide.next}<p class="quiet">Not {guide.next.name.toLowerCase()}: {guide.next.after || guide.next.why}.</p>{/if}
        {#if guide.designs.length > 1}
          <h2 class="mt-3">Side by side</h2>
          {@render costs(
            'What each design costs and gives',
            guide.designs.map((d) => d.cost),
          )}
        {/if}
        {#if guide.plans.length > 1}
          <h2 class="mt-3">One or more at once</h2>
          {@render costs('What one set and several cost and give', guide.plans)}
        {/if}
      </section>
    {/if}
  </div>
</div>

<style>
  .animals {
    display: flex;
    gap: 8px;
    flex-wrap: wrap;
    margin: 6px 0 12px;
  }
  .two {
    display: grid;
    grid-template-columns: minmax(0, 380px) minmax(0, 1fr);
    gap: 28px;
    align-items: start;
  }
  ol > li {
    border-top: 1px solid var(--rule);
    padding: 8px 0 8px 10px;
    border-left: 3px solid transparent;
  }
  .chosen {
    border-left-color: var(--ink);
  }
  .sign {
    font-weight: 700;
    display: inline-block;
    width: 1ch;
  }
  article {
    margin-bottom: 12px;
  }
  article {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 4px 16px;
  }
  article h3 {
    grid-column: 1 / -1;
  }
  article p {
    margin: 4px 0;
  }
  .told {
    display: flex;
    gap: 8px;
  }
  .told :global(svg) {
    flex: none;
    margin-top: 3px;
  }
  @media (max-width: 900px) {
    .two,
    article {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
