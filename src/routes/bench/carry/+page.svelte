<script lang="ts">
  import { many } from '#core/units/many';
  import { amountText } from '#core/gear/amount';
  import PrintButton from '$lib/ui/PrintButton.svelte';
  import { printWeight } from '#core/units/weight';
  import TextField from '$lib/ui/TextField.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';

  let { data } = $props();
  const system = $derived(data.who?.person.system ?? 'us');
  const missing = $derived(data.needed.filter((n) => n.short > 0));
  const GROUPS = [
    { name: 'From the shed', kinds: ['device', 'stand', 'stake', 'made', 'cable', 'wire', 'rope', 'fill', 'bait', 'lure'] },
    { name: 'Cut there', kinds: ['stick'] },
    { name: 'In the basket', kinds: ['tool'] },
  ];
  const groups = $derived(
    GROUPS.map((g) => ({ ...g, items: data.needed.filter((n) => g.kinds.includes(n.kind)) })).filter((g) => g.items.length > 0),
  );
</script>

<svelte:head><title>Gear list · Bench · Zaprud</title></svelte:head>

<div class="page two">
  <section class="no-print">
    <h1>Gear list</h1>
    <p><a class="link" href="?">Today</a> or <a class="link" href="?of=plan">all that is planned</a></p>
    {#if data.ahead.length === 0}
      <p>
        Nothing is planned or prepared. <a class="link" href="/bench">Place a set</a>, or
        <a class="link" href="/waters/plan">make a plan</a>.
      </p>
    {:else}
      <form method="GET">
        {#each data.ahead as group (group.name)}
          <fieldset class="mb-3">
            <legend class="font-semibold">{group.name} <span class="quiet font-normal">{group.takes}</span></legend>
            {#each group.sets as set (set.id)}
              <label class="pick"
                ><input type="checkbox" class="checkbox" name="set" value={set.id} checked={set.chosen} />
                <span
                  >{set.text}
                  {#if set.opens || set.closed}<span class="quiet"
                      >{set.closed ? 'closed' : ''} {set.opens ? `opens ${set.opens}` : ''} {set.closed}</span
                    >{/if}</span
                ></label
              >
            {/each}
          </fieldset>
        {/each}
        <SelectField label="Out there by" name="way" value={data.way} options={data.ways.map((w) => ({ value: w, text: w }))} />
        <TextField
          label="It carries at most"
          name="most"
          value={data.most.text}
          error={data.most.error || undefined}
          help={data.most.kg === null ? 'empty: not weighed' : 'empty: by practice'}
        />
        <button class="btn btn-primary">Add it up</button>
      </form>
    {/if}
  </section>
  <section>
    <p class="float-right"><PrintButton /></p>
    <h2>For {data.count} {data.count === 1 ? 'set' : 'sets'}{data.way === 'on foot' ? ', on foot' : `, by ${data.way}`}</h2>
    {#if missing.length > 0}
      <p class="missing">
        <b>Missing from the shed:</b>
        {missing
          .map(
            (n) =>
              `${n.what} (${amountText({ kind: n.kind, count: n.short, ...(n.amount === undefined ? {} : { amount: n.short }) }, system)})`,
          )
          .join(', ')}.
      </p>
    {:else if data.count > 0}<p>The shed has what is kept there by count.</p>{/if}
    {#if data.count > 0}
      <p class:missing={data.most.kg !== null && data.weight.total > data.most.kg}>
        <b>{printWeight(data.weight.total, system)}</b>
        {#if data.most.kg !== null}of the {printWeight(data.most.kg, system)} that {data.way === 'on foot' ? 'a back' : `the ${data.way}`} carries{data
            .most.isTyped
            ? ''
            : ' (practice)'}{data.weight.total > data.most.kg
            ? `: ${printWeight(data.weight.total - data.most.kg, system)} too much, ${Math.ceil(data.weight.total / data.most.kg)} ways`
            : ''}.{/if}
        <span class="quiet"
          >Weights are practice{data.weight.unknown.length > 0 ? `; not known and not in it: ${data.weight.unknown.join(', ')}` : ''}.</span
        >
      </p>
    {/if}
    {#each groups as group (group.name)}
      <h3 class="mt-3">{group.name}</h3>
      <table class="plain-table">
        <thead><tr><th scope="col">What</th><th scope="col">Needed</th><th scope="col">In the shed</th></tr></thead>
        <tbody>
          {#each group.items as item (item.what)}
            <tr>
              <th scope="row">{item.what}</th>
              <td>{amountText(item, system)}</td>
              <td class:missing={item.short > 0}
                >{item.have === null
                  ? item.kind === 'stick'
                    ? 'cut there'
                    : 'not kept by count'
                  : amountText(
                      { kind: item.kind, count: item.have, ...(item.amount === undefined ? {} : { amount: item.have }) },
                      system,
                    )}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    {/each}
    {#if data.count > 0}
      <h3 class="mt-3">Spares</h3>
      {#each data.spares as spare (spare.what)}
        <p>
          {spare.count} × {spare.what}{#if spare.have < spare.count}<b class="missing">, {Math.max(0, spare.have)} left in the shed</b>{/if}
        </p>
      {/each}
      <p class="quiet">
        {data.spares.length > 0 ? 'Enough' : 'No spare is needed'} on nine runs of ten: of {many(data.worn.looks, 'look')} of yours {data
          .worn.lost} found one to replace.
      </p>
    {/if}
    {#if data.more.length > 0 && data.count > 0}
      <h3 class="mt-3">What is left makes</h3>
      <ul>
        {#each data.more as more (more.name)}
          <li>
            {more.count === 0 ? 'no' : more.count} more <b>{more.name.toLowerCase()}</b>
            <span class="quiet">{more.ends === 'weight' ? 'then it is full' : `then ${more.ends} is gone`}</span>
          </li>
        {/each}
      </ul>
    {/if}
    {#if data.back.length > 0}
      <h3 class="mt-3">Comes back</h3>
      <ul>
        {#each data.back as b (b.tag)}<li><b>{b.tag}</b> of {b.set}: {b.why}</li>{/each}
      </ul>
      <p class="quiet">With the tools, and what was caught.</p>
    {/if}
    {#if data.way === 'on foot'}<p class="quiet mt-3">
        Stands need the sled, the boat or the truck: on foot sticks are cut through the springs instead.
      </p>{/if}
  </section>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(260px, 360px) 1fr;
    gap: 32px;
    align-items: start;
  }
  .pick {
    display: flex;
    gap: 12px;
    align-items: center;
    min-height: 44px;
  }
  .missing {
    color: var(--out);
    font-weight: 650;
  }
  @media (max-width: 900px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  @media print {
    .no-print {
      display: none;
    }
  }
</style>
