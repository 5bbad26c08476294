<script lang="ts">
  import { many } from '#core/units/many';
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import Lacking from '../Lacking.svelte';
  import OpenBreak from './OpenBreak.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { keeping } from '$lib/ui/keeping';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import CourseChart from './CourseChart.svelte';
  import WorkBar from './WorkBar.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const small = $derived(data.system === 'us' ? 'inches' : 'centimeters');
</script>

<svelte:head><title>{data.water.name}: dam break · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/waters/{data.water.id}">{data.water.name}</a></p>
  <PrintHead title={`${data.water.name}: dam break`} />
  <p class="problem my-2">{data.caution}</p>
  {#if page.url.searchParams.has('saved')}<p role="status">
      <b
        >{data.lacks.length === 0
          ? 'Saved. Forecasts use it now.'
          : 'Saved. The forecast is a rule of thumb until the pond is measured.'}</b
      >
    </p>{/if}
  {#if page.url.searchParams.has('closed')}<p role="status"><b>Saved to the book: nothing runs out there any more.</b></p>{/if}
  {#each data.running as o (o.id)}
    <form method="POST" action="?/mend" class="open no-print" use:enhance={keeping}>
      <b>Open:</b>
      {o.text}. <a class="link" href="/book/{o.entry}">Correct it</a>
      <input type="hidden" name="opening" value={o.id} /><input type="hidden" name="mendEntry" value={data.ids.mend} />
      <button class="btn">It was found plugged</button>
    </form>
    <details class="no-print" open={kept?.values?.opening === o.id && kept?.values?.changeEntry !== undefined}>
      <summary class="cursor-pointer"
        >It was found wider, deeper or shallower{o.seen > 0 ? ` (seen changed ${many(o.seen, 'time')})` : ''}</summary
      >
      <form method="POST" action="?/changed" class="flex flex-wrap gap-4 items-end" use:enhance={keeping}>
        <input type="hidden" name="opening" value={o.id} /><input
          type="hidden"
          name="changeEntry"
          value={typed(kept, 'changeEntry', data.ids.changed)}
        />
        <TextField label="Width now" name="nowWidth" value={typed(kept, 'nowWidth', o.width)} error={kept?.errors?.nowWidth} />
        <TextField label="Bottom now, on the gauge" name="nowSill" value={typed(kept, 'nowSill', o.bottom)} error={kept?.errors?.nowSill} />
        <TimeField label="Seen at" name="seenAt" value={typed(kept, 'seenAt', data.nowField)} error={kept?.errors?.seenAt} />
        <button class="btn">Save the change</button>
      </form>
    </details>
  {/each}
  {#each data.past as o (o.id)}
    <p class="no-print quiet">Plugged: {o.text}. <a class="link" href="?again={o.id}">Open the same place again</a></p>
  {/each}
  <Lacking lacks={data.lacks} water={data.water.id} entry={data.lackingEntry} {kept} system={data.system} />
  {#if data.answer}
    <p class="answer" aria-live="polite">{data.answer.sentence}</p>
    {#if data.answer.safe}<p><b>{data.answer.safe}</b></p>{/if}
    {#if data.answer.reach}<p class="answer">{data.answer.reach}</p>{/if}
    {#if data.answer.reasons}<p class="quiet mb-2">{data.answer.reasons}</p>{/if}
    <CourseChart chart={data.answer.chart} />
  {:else}<p class="answer" role="alert">{data.why}</p>{/if}

  <form method="GET" class="sheet mt-4 no-print" aria-label="The break">
    <p class="mb-2">
      As a set makes it:
      {#each data.breaking as b, i (b.id)}{i > 0 ? ', ' : ''}<a class="link" href="?of={b.id}">{b.name}</a> ({b.words}){/each}.
    </p>
    {#if data.typed.again}<input type="hidden" name="again" value={data.typed.again} />{/if}
    <div class="fields">
      <TextField label="How many alike" name="count" value={data.typed.count} error={data.errors.count} />
      <SelectField
        label="Shape"
        name="shape"
        value={data.typed.shape}
        options={[
          { value: 'rectangle', text: 'upright sides' },
          { value: 'V', text: 'V' },
          { value: 'trapezoid', text: 'sloping sides' },
        ]}
      />
      <TextField label="Width at the water" name="width" value={data.typed.width} error={data.errors.width} help="in {small}" />
      <TextField
        label="Bottom on the gauge"
        name="sill"
        value={data.typed.sill}
        error={data.errors.sill}
        help="lowest point of the break"
      />
      <TextField
        label="Area of the pond"
        name="area"
        value={data.typed.area}
        error={data.errors.area}
        help={data.system === 'us' ? 'square feet' : 'square meters'}
        origin={data.areaFrom}
      />
      <TextField label="Rises in a day" name="rise" value={data.typed.rise} error={data.errors.rise} help="when nothing runs out" />
      <SelectField
        label="Plugged"
        name="mended"
        value={data.typed.mended}
        options={[
          { value: 'dusk', text: 'two hours after sunset' },
          { value: 'never', text: 'never' },
          { value: 'at', text: 'at a time' },
        ]}
      />
      <TextField
        label="Plugged at"
        name="mendedAt"
        type="datetime-local"
        value={data.typed.mendedAt}
        error={data.errors.mendedAt}
        help="only when “at a time”"
      />
      <TextField
        label="To be opened at"
        name="openAt"
        type="datetime-local"
        value={data.typed.openAt}
        error={data.errors.openAt}
        help="empty is now; others may open it later"
      />
      <SelectField
        label="The fill"
        name="widens"
        value={data.typed.widens}
        options={[
          { value: 'no', text: 'holds in rain' },
          { value: 'yes', text: 'is soft: rain cuts it wider' },
        ]}
      />
      <SelectField
        label="Wanted"
        name="want"
        value={data.typed.want}
        error={data.errors.want}
        options={[
          { value: 'none', text: 'nothing' },
          { value: 'level', text: 'a level' },
          { value: 'sets', text: 'my sets still working' },
          { value: 'safe', text: 'down to the safe level' },
        ]}
      />
      <TextField label="Level wanted" name="goal" value={data.typed.goal} error={data.errors.goal} help="to be kept, or to be reached" />
      <TextField label="At" name="by" type="datetime-local" value={data.typed.by} error={data.errors.by} />
    </div>
    <button class="btn btn-primary">Calculate</button>
    <p class="quiet mt-2">
      Water balance with critical flow over a broad crest; rain by the weather of the record, pipes and crest as <a
        class="link"
        href="/waters/{data.water.id}/fills">kept for this water</a
      >. The shaded range: the break runs a fifth better or worse, inflow and rain half as large again or half, the area a tenth off (rule
      of thumb).
    </p>
  </form>

  <OpenBreak {kept} ids={data.ids} kinds={data.kinds} typedNow={data.typed} nowField={data.nowField} knows={data.knows} pond={data.pond} />

  {#if data.answer}
    <table class="plain-table mt-3">
      <thead><tr><th scope="col">Set</th><th scope="col">Works</th><th scope="col">With this break</th></tr></thead>
      <tbody>
        {#each data.answer.sets as s (s.id)}<tr
            ><td><a class="link font-bold" href="/bench/{s.set}">{s.name}</a></td><td>{s.band}</td><td
              ><span class="bar"><WorkBar {...s.works} /> {s.leaves}</span></td
            ></tr
          >{:else}<tr><td colspan="3">No live set hangs on this pond.</td></tr>{/each}
      </tbody>
    </table>
    <p class="mt-2">{data.answer.current}</p>
    <p class="quiet mt-1">For the report: {data.answer.report}</p>
    <details class="mt-4">
      <summary class="font-bold cursor-pointer">The course as a table</summary>
      <table class="plain-table mt-1">
        <thead><tr><th scope="col">At</th><th scope="col">Level</th><th scope="col">Lowest</th><th scope="col">Highest</th></tr></thead>
        <tbody
          >{#each data.answer.table as t (t.at)}<tr><td>{t.at}</td><td>{t.level}</td><td>{t.low}</td><td>{t.high}</td></tr>{/each}</tbody
        >
      </table>
    </details>
  {/if}
</div>

<style>
  .bar {
    display: inline-flex;
    flex-wrap: wrap;
    gap: 4px 14px;
    align-items: center;
  }
  .answer {
    font-size: 1.18rem;
    font-weight: 650;
    margin: 8px 0;
  }
  .open {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    margin: 6px 0;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
    gap: 0 14px;
  }
</style>
