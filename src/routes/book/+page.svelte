<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Totals from './Totals.svelte';

  let { data } = $props();
  const link = (page: number): string => `?${new URLSearchParams({ ...data.filter, page: String(page) })}`;
</script>

<svelte:head><title>Book · Zaprud</title></svelte:head>

<div class="page">
  <h1>Book</h1>
  <nav class="rooms" aria-label="More of the book">
    <a class="btn" href="/book/water">Water at each set</a>
    <a class="btn" href="/book/earns">What earns its minutes</a>
    <a class="btn" href="/book/forecasts">Forecast accuracy</a>
  </nav>
  {#if data.totals}<Totals totals={data.totals} />{/if}

  <h2 class="mt-6">Log</h2>
  <form method="GET" class="narrow">
    <SelectField label="What" name="kind" value={data.filter.kind} options={[{ value: '', text: 'what people did' }, ...data.kinds]} />
    <SelectField label="Set" name="set" value={data.filter.set} options={[{ value: '', text: 'all sets' }, ...data.sets]} />
    <TextField label="From" name="from" type="date" value={data.filter.from} error={data.errors.from} />
    <TextField label="To" name="to" type="date" value={data.filter.to} error={data.errors.to} />
    <button class="btn btn-primary mb-2">Show</button>
  </form>
  <p class="quiet mb-2">
    {data.total}
    {data.total === 1 ? 'entry' : 'entries'}, newest first. Nothing in it is ever rewritten: a correction stands beside what it corrects.
  </p>
  <Scroller label="Log"
    ><table class="plain-table">
      <thead
        ><tr><th scope="col">When</th><th scope="col">What</th><th scope="col">Entry</th><th scope="col">By</th><th scope="col"></th></tr
        ></thead
      >
      <tbody>
        {#each data.entries as entry (entry.id)}
          <tr class:struck={entry.corrected}>
            <td class="whitespace-nowrap">{entry.when}</td>
            <td>{entry.kind}</td>
            <td>
              <span class="text">{entry.text}</span>
              {#if entry.corrects}<span class="tag">{entry.withdrawn ? 'withdrawal' : 'correction'}</span>{/if}
              {#if entry.corrected}<span class="tag">corrected later</span>{/if}
              {#if entry.reason}<span class="quiet">{entry.reason}</span>{/if}
            </td>
            <td class="whitespace-nowrap">{entry.by}</td>
            <td class="whitespace-nowrap"
              ><a class="link" href="/book/{entry.id}"
                >{entry.corrected || entry.withdrawn ? 'see' : 'correct'}<span class="only-heard">
                  the entry of {entry.when}: {entry.text}</span
                ></a
              ></td
            >
          </tr>
        {:else}<tr><td colspan="5">Nothing in the book fits that.</td></tr>{/each}
      </tbody>
    </table></Scroller
  >
  {#if data.pages > 1}
    <nav aria-label="Pages of the log" class="mt-3 flex gap-4">
      {#if data.page > 1}<a class="link" href={link(data.page - 1)}>newer</a>{/if}
      <span>page {data.page} of {data.pages}</span>
      {#if data.page < data.pages}<a class="link" href={link(data.page + 1)}>older</a>{/if}
    </nav>
  {/if}
</div>

<style>
  .rooms {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 8px 0;
  }
  .narrow {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 12px;
    align-items: end;
    margin: 8px 0;
  }
  .struck .text {
    text-decoration: line-through;
    color: var(--mute);
  }
  .tag {
    border: 1px solid var(--mute);
    padding: 0 5px;
    font-size: 0.85rem;
  }
</style>
