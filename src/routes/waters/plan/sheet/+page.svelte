<script lang="ts">
  import { groundPlan } from '#core/scene/groundPlan';
  import { printLevel, printWay } from '#core/units/length';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import GroundPlan from '$lib/ui/drawing/GroundPlan.svelte';
  import Section from '$lib/ui/drawing/Section.svelte';

  let { data } = $props();
  const system = $derived(data.who?.person.system ?? 'us');
  const map = $derived(
    groundPlan(
      data.ground,
      data.stations.flatMap((s) =>
        s.lat === null || s.lon === null ? [] : [{ id: s.id, at: [s.lon, s.lat] as const, text: String(s.number), strong: s.take }],
      ),
      { width: 560, height: 300 },
    ),
  );
</script>

<svelte:head><title>Field sheet, {data.water.name} · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/waters/plan">The plan</a></p>
  <PrintHead title={`${data.water.name}: ${data.plan.asked.species}, ${data.plan.setting}`} />
  <p>
    {data.plan.within ?? data.plan.sentence}
  </p>
  <div class="section">
    <Section
      scene={data.scene}
      water={data.water.id}
      level={data.level}
      isWhatIf={false}
      valueText={data.level === null ? '' : printLevel(data.level, system)}
      onlevel={() => undefined}
    />
  </div>
  <div class="two">
    <div>
      <GroundPlan
        plan={map}
        bar={printWay(map.bar.metres, system)}
        label="Map of {data.water.name} with its locations by number; those to set are filled. The table has the same."
      />
    </div>
    <div>
      <h2>Left here</h2>
      <ul class="small">
        {#each data.plan.left.slice(0, 9) as r (r.id)}<li><b>{r.name}</b>: {r.why}</li>{/each}
      </ul>
    </div>
  </div>
  <table class="plain-table mt-3">
    <thead
      ><tr
        ><th scope="col">No.</th><th scope="col">Place</th><th scope="col">Set</th><th scope="col">Done</th><th scope="col">Tag, anchor</th
        ></tr
      ></thead
    >
    <tbody>
      {#each data.plan.take as r, i (r.id)}<tr
          ><td class="mono">{i + 1}</td><td><b>{r.name}</b><br /><span class="quiet">{r.kind}, {r.water}</span></td><td>{r.why}</td><td
            class="box"
          ></td><td class="write"></td></tr
        >{/each}
    </tbody>
  </table>
  <p class="quiet mt-2">Seasons, traps and places are local law: look into the rulebook. No ice is safe.</p>
</div>

<style>
  .section {
    margin: 8px 0;
    border: 1px solid var(--rule);
    overflow: hidden;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 16px;
  }
  .small {
    font-size: 0.86rem;
    line-height: 1.25;
  }
  .box {
    width: 3rem;
  }
  .write {
    width: 11rem;
  }
  @media (max-width: 720px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
