<script lang="ts">
  import { enhance } from '$app/forms';
  import { SCHOOL_IDS, SCHOOLS, SIDES, type SchoolId, type Side } from '#core/words/schools';
  import { many } from '#core/units/many';
  import Leaving from '$lib/ui/Leaving.svelte';
  import Opened from '$lib/ui/Opened.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  /** the interval is picked in Rules, where the law says how often */
  const ELSEWHERE: readonly SchoolId[] = ['check'];

  /** What a side came to, or that nothing stood so. */
  function cameTo(matter: SchoolId, side: Side): string {
    if (matter === 'pace') return '';
    const own = data.came?.[matter][side];
    if (!own || own.sets === 0) return 'no set of yours';
    const rate = own.nights >= 1 ? `, ${((own.caught / own.nights) * 10).toFixed(1)} in ten nights` : '';
    return `${many(own.sets, 'set')}, ${own.caught} caught${rate}`;
  }
</script>

<svelte:head><title>Schools · Zaprud</title></svelte:head>

<div class="page">
  <h1>Schools</h1>
  <p class="quiet">
    Where practitioners differ. What you pick leads the bench, the plan and the advice; the other side stays one tap away.
  </p>
  {#if data.saved}<p role="status"><b>Saved.</b></p>{/if}
  {#if !data.line}
    <p class="sheet mt-3">No line was begun yet. <a class="link" href="/begin">Begin one</a>.</p>
  {:else}
    <form method="POST" use:enhance={keeping}>
      <Leaving {kept} />
      <Problem text={kept?.problem} />
      <Opened entry={data.opened} {kept} />
      <input type="hidden" name="entry" value={typed(kept, 'entry', data.entry)} />
      {#each SCHOOL_IDS as matter (matter)}
        {@const own = SCHOOLS[matter]}
        {@const picked = typed(kept, matter, data.picked[matter] ?? '')}
        <fieldset>
          <legend>{own.about}</legend>
          {#each SIDES as side (side)}
            <label class="side">
              {#if !ELSEWHERE.includes(matter)}<input
                  type="radio"
                  class="radio"
                  name={matter}
                  value={side}
                  checked={picked === side}
                />{/if}
              <span
                ><b>{own[side].says}</b> <span class="quiet">{own[side].why}</span>
                {#if !ELSEWHERE.includes(matter)}<span class="came">{cameTo(matter, side)}</span>{/if}</span
              >
            </label>
          {/each}
          {#if ELSEWHERE.includes(matter)}
            <p class="open">Yours: {data.interval}. <a class="link" href="/rules">Picked in Rules</a></p>
          {:else}
            <label class="open"><input type="radio" class="radio" name={matter} value="" checked={picked === ''} /> open</label>
          {/if}
          {#if kept?.errors?.[matter]}<p class="error">{kept.errors[matter]}</p>{/if}
        </fieldset>
      {/each}
      <p class="quiet">
        Caught and nights of {data.line.name}, season {data.line.season}: of the animal each set was meant for. Few nights prove nothing.
      </p>
      <button class="btn btn-primary btn-lg mt-2">Save</button>
    </form>
  {/if}
</div>

<style>
  fieldset {
    border-top: 1px solid var(--rule);
    display: grid;
    grid-template-columns: 11rem minmax(0, 1fr) minmax(0, 1fr) 6rem;
    gap: 4px 20px;
    padding: 10px 0;
    align-items: start;
  }
  legend {
    font-weight: 700;
    float: left;
  }
  .side,
  .open {
    display: flex;
    gap: 8px;
    min-height: 44px;
  }
  .side :global(b) {
    display: block;
  }
  .came {
    display: block;
    font-variant-numeric: tabular-nums;
  }
  p.open {
    display: block;
  }
  .error {
    color: var(--bad);
    grid-column: 1 / -1;
  }
  @media (max-width: 800px) {
    fieldset {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
