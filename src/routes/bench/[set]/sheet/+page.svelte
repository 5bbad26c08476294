<script lang="ts">
  import { enhance } from '$app/forms';
  import { poleSheet } from '#core/scene/poleSheet';
  import { setTypeOf } from '#core/sets/catalogue';
  import { printLength } from '#core/units/length';
  import FittedDrawing from '$lib/ui/drawing/FittedDrawing.svelte';
  import PrintButton from '$lib/ui/PrintButton.svelte';
  import Steps from '$lib/ui/Steps.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { keeping } from '$lib/ui/keeping';
  import type { Kept } from '$lib/ui/kept';
  import { YOUR_BOOK } from '#core/words/rules';
  import { ANSWER_MARK } from '$lib/ui/answerMark';
  import StateMark from '$lib/ui/StateMark.svelte';
  import CarryList from '../../CarryList.svelte';
  import PoleDrawing from './PoleDrawing.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const system = $derived(data.who?.person.system ?? 'us');
  const type = $derived(setTypeOf(data.type));
  const name = $derived(`${data.set.number} ${data.set.name}`);
</script>

<svelte:head><title>{data.again ? 'Remake' : 'Sheet'} {name} · Bench · Zaprud</title></svelte:head>

<div class="page sheet-page">
  <p class="quiet no-print">
    <a class="link" href="/bench/{data.set.id}">Back to the bench</a> –
    {#if data.again}<a class="link" href="?">Placing sheet</a>{:else}<a class="link" href="?as=remake">Remake sheet</a>{/if} –
    <a class="link" href="/bench/{data.set.id}/find">Find this trap</a>
    <PrintButton />
  </p>
  {#if data.saved}<p role="status"><b>Saved to the book.</b></p>{/if}
  <h1>{data.again ? 'Remake' : 'How to build'} {name}</h1>
  <p>{type.name}, {data.place}</p>
  <p>
    <b>Anchor:</b>
    {data.set.anchor || 'not written down yet'}{#if data.set.hole}, <b>hole {data.set.hole}</b>{/if}
  </p>
  <div class="pair">
    <FittedDrawing
      design={data.design}
      view="eye"
      known={data.known}
      made={data.made}
      surface={data.surface}
      {system}
      title="{name}, as it is met"
      heading="Front view"
    />
    <FittedDrawing
      design={data.design}
      view="side"
      known={data.known}
      made={data.made}
      surface={data.surface}
      {system}
      title="{name}, from the side"
      heading="Side view"
    />
  </div>
  {#if data.numbers.length > 0}<p>{data.numbers.map((n) => `${n.label} ${n.text}`).join('; ')}.</p>{/if}

  <Steps device={data.work.device} orders={data.orders} {system} large />
  <h2>Arming check, at the end</h2>
  {#each data.arming as group (group.position)}
    <p class="caution">{group.caution}</p>
    <ul class="asks">
      {#each group.asks as ask (ask.id)}<li><span class="tick" aria-hidden="true"></span> {group.label}: {ask.text}</li>{/each}
    </ul>
  {/each}

  {#if !data.again}
    <h2 class="mt-4">Gear list</h2>
    <CarryList items={data.carry} {system} />
    {#each data.poles as pole (pole.id)}
      <h3 class="mt-3">{pole.what}, one to ten, foot at the left</h3>
      <PoleDrawing sheet={poleSheet(pole.length, pole.marks, system)} title={pole.what} />
      <table class="plain-table">
        <thead><tr><th scope="col">From the foot</th><th scope="col">Mark</th></tr></thead>
        <tbody
          >{#each [...pole.marks].sort((a, b) => a.at - b.at) as mark (mark.what)}<tr
              ><td>{printLength(mark.at, system)}</td><td>{mark.what}</td></tr
            >{/each}</tbody
        >
      </table>
    {/each}
  {/if}

  <h2 class="mt-4">The place, as left and as found again</h2>
  <div class="pair">
    {#each [{ which: 'left', label: 'As it was left', photo: data.set.photoLeft }, { which: 'found', label: 'As it was found', photo: data.set.photoFound }] as shot (shot.which)}
      <div>
        <h3>{shot.label}</h3>
        {#if shot.photo}<img src="/photo/{shot.photo}" alt="{name}: {shot.label.toLowerCase()}" />{:else}<p class="quiet">
            No photo yet.
          </p>{/if}
        <form method="POST" action="?/photo" enctype="multipart/form-data" class="no-print" use:enhance={keeping}>
          <input type="hidden" name="entry" value={data.entry} /><input type="hidden" name="which" value={shot.which} />
          <label
            >Photo, {shot.label.toLowerCase()}
            <input
              type="file"
              name="photo"
              accept="image/*"
              class="file-input"
              onchange={async (event) => (await import('$lib/ui/smallPhoto')).shrinkPhoto(event)}
            /></label
          >
          {#if kept?.errors?.photo && kept.values?.which === shot.which}<Problem text={kept.errors.photo} />{/if}
          <button class="btn btn-sm mt-1">Keep it</button>
        </form>
      </div>
    {/each}
  </div>
  {#if data.ruled}
    <section aria-labelledby="by-the-book">
      <h2 class="mt-4" id="by-the-book">By your rulebook</h2>
      <p class="quiet">{data.ruled.book}. {YOUR_BOOK}</p>
      <ul class="answers">
        {#each data.ruled.answers as a, n (n)}
          <li>
            <StateMark verdict={ANSWER_MARK[a.verdict]} label={a.verdict} />
            <span>{a.text} <span class="quiet">{a.rule}</span></span>
          </li>
        {/each}
      </ul>
      {#if data.ruled.exemption}<p><b>Exemption:</b> {data.ruled.exemption}</p>{/if}
    </section>
  {/if}
  <p class="quiet mt-3">What is allowed where and when is for your rulebook and your agency to say; Zaprud does not.</p>
</div>

<style>
  .sheet-page {
    max-width: 1100px;
  }
  .pair {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 10px;
    margin: 10px 0;
  }
  .caution {
    color: var(--out);
    font-weight: 650;
  }
  .answers li {
    display: flex;
    gap: 8px;
    padding: 2px 0;
  }
  .answers :global(svg) {
    flex: none;
    margin-top: 3px;
  }
  .asks li {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 40px;
  }
  .tick {
    width: 20px;
    height: 20px;
    border: 2px solid var(--ink);
    flex: none;
  }
  img {
    max-width: 100%;
    max-height: 320px;
  }
  @media print {
    .no-print {
      display: none;
    }
  }
</style>
