<script lang="ts">
  import Scroller from '$lib/ui/Scroller.svelte';
  import { SPECIES } from '#core/animals/species';
  import SelectField from '$lib/ui/SelectField.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import EmptyRoom from '$lib/ui/EmptyRoom.svelte';

  let { data } = $props();
  const ANIMALS = SPECIES.filter((s) => s !== 'other');
  const ORDER = ['live', 'prepared', 'planned', 'pulled'];
  const sets = $derived([...data.sets].sort((a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state) || a.number - b.number));
</script>

<svelte:head><title>Bench · Zaprud</title></svelte:head>

<div class="page two">
  <section>
    <h1>Sets</h1>
    {#if data.stations.length === 0}
      <EmptyRoom room="bench" label="What will stand here: sets as they stand in the water">
        A set stands at a location. <a class="link" href={data.firstWater ? `/waters/${data.firstWater}` : '/waters'}
          >Name the first place and its trap</a
        >.
      </EmptyRoom>
    {:else}
      <form method="GET" action="/bench/new" class="mt-3">
        <SelectField label="Location" name="station" options={data.stations.map((s) => ({ value: s.id, text: s.text }))} />
        <SelectField
          label="Animal"
          name="species"
          options={[{ value: '', text: 'whichever the place is for' }, ...ANIMALS.map((a) => ({ value: a, text: a }))]}
        />
        <SelectField
          label="Type of set"
          name="type"
          options={[
            { value: '', text: 'what suits the place' },
            ...data.types.map((t) => ({ value: t.id, text: `${t.name} (${t.species})` })),
          ]}
        />
        <p class="my-2">
          <a class="link" href="/bench/catalogue">All {data.types.length} types with their drawings, by place, species and gear</a>
        </p>
        <button class="btn btn-primary mt-3">To the bench</button>
      </form>
    {/if}
  </section>
  <section>
    <p class="float-right">
      <a class="link" href="/bench/carry?of=plan">What the plan takes</a> – <a class="link" href="/bench/card">A friend’s card</a>
    </p>
    <h2>Sets of this season</h2>
    {#if sets.length === 0}<p class="quiet mt-2">None yet.</p>{:else}
      <Scroller label="Sets of this season"
        ><table class="plain-table mt-2">
          <thead
            ><tr
              ><th scope="col">Set</th><th scope="col">Type</th><th scope="col">Water</th><th scope="col">Tags</th><th scope="col">State</th
              ></tr
            ></thead
          >
          <tbody>
            {#each sets as set (set.id)}
              <tr>
                <td><a class="link font-bold" href="/bench/{set.id}">{set.number} {set.name}</a></td>
                <td>{set.type}</td>
                <td>{set.water}</td>
                <td
                  >{#each set.devices as d (d)}<span class="whitespace-nowrap">{d}</span>
                  {/each}</td
                >
                <td class="whitespace-nowrap"
                  ><span class="inline-flex gap-2 items-center"><StateMark verdict={set.verdict} /> {set.label}</span></td
                >
              </tr>
            {/each}
          </tbody>
        </table></Scroller
      >
    {/if}
  </section>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(280px, 430px) 1fr;
    gap: 32px;
  }
  @media (max-width: 900px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
