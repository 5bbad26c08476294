<script lang="ts">
  let { data } = $props();
  const { report } = $derived(data);
</script>

<svelte:head><title>{report.name} · Zaprud</title></svelte:head>

<div class="page">
  <h1>{report.name}</h1>
  <p><a href="/shared">All waters that are shared</a></p>
  <dl class="counts">
    {#each report.sorts as { species, count } (species)}
      <div>
        <dt>{species} taken this season</dt>
        <dd>{count}</dd>
      </div>
    {/each}
    <div>
      <dt>sets standing</dt>
      <dd>{report.standing.length}</dd>
    </div>
    <div>
      <dt>days looked at</dt>
      <dd>{report.visits.length}</dd>
    </div>
  </dl>
  <div class="cols">
    <section aria-labelledby="taken">
      <h2 id="taken">Taken</h2>
      {#each report.taken.toReversed() as animal, nth (nth)}
        <p>{animal.day}: {animal.species}{animal.age === 'unknown' ? '' : `, ${animal.age}`}</p>
      {:else}<p class="quiet">None so far this season.</p>{/each}
    </section>
    <section aria-labelledby="standing">
      <h2 id="standing">Standing now</h2>
      {#if report.standing.length > 0}<p class="caution">
          A set trap can hold a dog or a child's hand: keep off, and ask whose line it is before anybody goes near.
        </p>{/if}
      {#each report.standing as set (set.number)}
        <p>
          Set {set.number}, {set.traps}, since {set.since}{#if set.at}<br /><span class="mono quiet"
              >{set.at.lat.toFixed(5)}, {set.at.lon.toFixed(5)}</span
            >{/if}
        </p>
      {:else}<p class="quiet">None.</p>{/each}
    </section>
    <section aria-labelledby="looked">
      <h2 id="looked">Looked at</h2>
      {#each report.visits as { day, sets } (day)}
        <p>{day}: {sets.length === 1 ? 'set' : 'sets'} {sets.join(', ')}</p>
      {:else}<p class="quiet">Not yet.</p>{/each}
    </section>
  </div>
</div>

<style>
  .counts {
    display: flex;
    flex-wrap: wrap;
    gap: 32px;
    margin: 12px 0 20px;
  }
  .counts div {
    display: flex;
    flex-direction: column-reverse;
  }
  .counts dd {
    font-size: 2.4rem;
    font-weight: 700;
    line-height: 1;
  }
  .cols {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
    gap: 28px;
    align-items: start;
  }
  section p {
    padding: 6px 0;
    border-bottom: 1px solid var(--mute);
  }
</style>
