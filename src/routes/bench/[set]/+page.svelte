<script lang="ts">
  import { enhance } from '$app/forms';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import BenchForm from '../BenchForm.svelte';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
</script>

<svelte:head><title>{data.set.number} {data.set.name} · Bench · Zaprud</title></svelte:head>

{#if data.saved}<p class="page pb-0" role="status">
    <b>Saved to the book.</b>
    {data.state === 'live' ? 'It is live and owes its checks.' : ''}
  </p>{/if}
{#if data.ahead}
  <section class="page pb-0" aria-label="What the forecast says of it">
    {#if data.ahead.wading}<p class="wading">{data.ahead.wading}</p>{/if}
    <details>
      <summary>{data.ahead.order || 'Forecast'}</summary>
      <p>{data.ahead.why || 'Nothing is forecast here.'}</p>
    </details>
  </section>
{/if}
{#key data.bench.ids.entry}
  <BenchForm
    bench={data.bench}
    {kept}
    system={data.who?.person.system ?? 'us'}
    title="{data.set.number} {data.set.name}"
    ordered={data.ahead?.remedy ?? null}
  />
{/key}
<div class="page pt-0 flex gap-4 flex-wrap items-start">
  <p>
    <a class="link" href="/check/{data.set.id}">Check this set</a> –
    <a class="link" href="/bench/{data.set.id}/sheet">Steps, cut list and photos</a> –
    <a class="link" href="/bench/{data.set.id}/sheet?as=remake">Remake sheet</a> –
    <a class="link" href="/bench/{data.set.id}/find">Find this trap</a> –
    <a class="link" href="/bench/series?like={data.set.id}">A series of these</a> –
    <a class="link" href="/book?set={data.set.id}">In the book</a> –
    <a class="link" href="/morning/nothing?set={data.set.id}">Nothing caught?</a> –
    <a class="link" href="/bench/{data.set.id}/card">Ask a friend</a>
  </p>
  {#if data.state === 'live'}
    <details class="sheet" open={kept?.errors?.pulledAt !== undefined}>
      <summary class="font-bold cursor-pointer">Pull this set</summary>
      <form method="POST" action="?/pull" class="mt-2" use:enhance={keeping}>
        <input type="hidden" name="pullEntry" value={typed(kept, 'pullEntry', data.formId)} />
        <TimeField label="Pulled at" name="pulledAt" value={typed(kept, 'pulledAt', data.bench.fields.at)} error={kept?.errors?.pulledAt} />
        <button class="btn">Pull it: its traps are free again</button>
      </form>
    </details>
  {/if}
</div>

<style>
  summary {
    cursor: pointer;
    font-size: 1.1rem;
    font-weight: 700;
    min-height: 28px;
  }
  .wading {
    color: var(--edge);
    font-weight: 600;
  }
</style>
