<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { enhance } from '$app/forms';
  import FindingLine from '$lib/ui/FindingLine.svelte';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import BrookMap from './BrookMap.svelte';
  import DamMap from './DamMap.svelte';
  import LodgeMap from './LodgeMap.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const title = $derived(data.crossing ? 'Find the crossover' : data.lodge ? 'Find runs under ice' : 'Creek walk');
</script>

<svelte:head><title>{title}, {data.water.name} · Zaprud</title></svelte:head>

{#snippet toStation(n: number, what: string)}
  <form method="POST" action="?/station" class="no-print inline">
    <input type="hidden" name="entry" value={data.ids.entry} /><input type="hidden" name="nth" value={n} />
    <button class="link">make it a location<span class="only-heard"> {what}</span></button>
  </form>
{/snippet}

<div class="page">
  <p class="no-print"><a class="link" href="/waters/{data.water.id}/read">{data.water.name}: guided readings</a></p>
  <PrintHead title={`${title}: ${data.station?.text ?? data.water.name}`} />
  <p class="quiet">
    {data.water.name}, read {data.when}. {data.note} <a class="link no-print" href="/book/{data.entry}">Correct or withdraw it</a>
  </p>
  <Problem text={kept?.problem} />

  {#if data.crossing}
    <p class="verdict">{data.crossing.sentence}</p>
    <DamMap gaps={data.crossing.drawn} main={data.crossing.main} />
    <Scroller label="Gaps">
      <table class="plain-table mt-3">
        <thead
          ><tr
            ><th scope="col">Gap</th><th scope="col">Where</th><th scope="col">Width</th>{#each data.crossing.columns as c (c)}<th
                scope="col">{c}</th
              >{/each}<th scope="col"><span class="only-heard">Location</span></th></tr
          ></thead
        >
        <tbody>
          {#each data.crossing.gaps as g (g.n)}<tr
              ><td><b>{g.n}</b>{data.crossing.main === g.n - 1 ? ', main' : ''}</td><td>{g.place}</td><td>{g.width}</td
              >{#each g.marks as yes, i (i)}<td
                  >{#if yes}✓<span class="only-heard"> yes</span>{/if}</td
                >{/each}<td>{@render toStation(g.n, `gap ${g.n}`)}</td></tr
            >{/each}
        </tbody>
      </table></Scroller
    >
  {:else if data.lodge}
    <p class="problem mt-2">{data.lodge.caution}</p>
    <div class="two">
      <div><LodgeMap plan={data.lodge.plan} /></div>
      <div>
        <FindingLine finding={data.lodge.life} />
        {#each data.lodge.plan.runs as r, i (r.n)}<p><b>{r.n}</b> {r.bearing}°: {r.why} {@render toStation(i + 1, `run ${r.n}`)}</p>{/each}
        <table class="plain-table mt-3">
          <thead
            ><tr
              ><th scope="col">Hole</th><th scope="col">Felt</th><th scope="col">From the peak</th><th scope="col">Bearing</th><th
                scope="col">Ice</th
              ></tr
            ></thead
          >
          <tbody>
            {#each data.lodge.holes as h (h.n)}<tr
                ><td><b>{h.n}</b></td><td>{h.felt}</td><td>{h.distance}</td><td>{h.bearing}</td><td>{h.ice}</td></tr
              >{/each}
          </tbody>
        </table>
        {#if data.lodge.holes.at(-1)}<p class="verdict" aria-live="polite">{data.lodge.holes.at(-1)?.next}</p>{/if}
        <form method="POST" action="?/hole" class="sheet no-print" use:enhance={keeping}>
          <h2>The next hole</h2>
          <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.hole)} />
          <div class="grid grid-cols-2 gap-x-3">
            <SelectField
              label="Felt"
              name="felt"
              value={typed(kept, 'felt')}
              options={data.lodge.feels.map((f) => ({ value: f, text: f }))}
            />
            <TextField label="From the peak" name="distance" value={typed(kept, 'distance')} error={kept?.errors?.distance} />
            <TextField label="Bearing °" name="bearing" inputmode="decimal" value={typed(kept, 'bearing')} error={kept?.errors?.bearing} />
            <TextField label="Ice" name="ice" value={typed(kept, 'ice')} error={kept?.errors?.ice} />
          </div>
          <button class="btn btn-primary">Add the hole</button>
        </form>
      </div>
    </div>
  {:else if data.brook}
    <BrookMap strip={data.brook.strip} take={data.brook.take} />
    <table class="plain-table mt-3">
      <thead
        ><tr
          ><th scope="col">Rank</th><th scope="col">Mark</th><th scope="col">Along</th><th scope="col">Why</th><th scope="col">Set it</th
          ><th scope="col"><span class="only-heard">Location</span></th></tr
        ></thead
      >
      <tbody>
        {#each data.brook.marks as m, i (m.n)}<tr
            ><td>{i + 1}</td><td><b>{m.n}</b> {m.mark}</td><td>{m.along}</td><td>{m.reason}</td><td
              >{data.brook.take.includes(m.n) ? 'yes' : 'leave it'}</td
            ><td>{@render toStation(m.n, `mark ${m.n}`)}</td></tr
          >{/each}
      </tbody>
    </table>
  {/if}
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(280px, 1fr) minmax(320px, 1.2fr);
    gap: 24px;
    margin-top: 12px;
  }
  .verdict {
    font-size: 1.12rem;
    font-weight: 650;
    margin: 10px 0;
  }
  @media (max-width: 820px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
