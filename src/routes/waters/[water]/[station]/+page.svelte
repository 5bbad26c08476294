<script lang="ts">
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import { printLength, printWay } from '#core/units/length';
  import Problem from '$lib/ui/Problem.svelte';
  import SelectField from '$lib/ui/SelectField.svelte';
  import StateMark from '$lib/ui/StateMark.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { ticked, typed, type Kept } from '$lib/ui/kept';

  let { data, form } = $props();
  const kept = $derived(form as Kept | null);
  const system = $derived(data.who?.person.system ?? 'us');
  const MARK = { holds: 'fine', warns: 'nearEdge', fails: 'outOfWater', unknown: 'unknown' } as const;
  const depth = $derived.by(() => {
    const level = data.levels.known[data.station.surface];
    const { bed } = data.station;
    if (!bed || level === undefined) return 'its depth was not measured';
    const now = level - (bed.level - bed.depth);
    return now > 0 ? `${printLength(now, system)} of water now` : `dry by ${printLength(-now, system)}`;
  });
  const OLD = { hours: 'hours old', days: 'days old', weeks: 'weeks old', old: 'old' };
</script>

<svelte:head><title>{data.station.number} {data.station.name} · Zaprud</title></svelte:head>

<div class="page two">
  <section>
    <p><a class="link" href="/waters/{data.station.water}">{data.water}</a></p>
    <h1>{data.station.number} {data.station.name}</h1>
    <p class="quiet">{data.station.kind}, {printWay(data.station.along, system)} along, {depth}. {data.station.note}</p>
    <article class="use">
      <StateMark verdict={MARK[data.use.verdict]} />
      <div>
        <p>{data.use.sentence}</p>
        <p class="quiet">{data.use.figure}; sign loses half of its weight with every half-life <span class="origin">practice</span></p>
      </div>
    </article>
    <p>
      {#each data.sets as set (set.id)}<a class="link" href="/bench/{set.id}">{set.text}</a><br />{:else}No set stands here. <a
          class="link"
          href="/bench/new?station={data.station.id}">Place one</a
        >.{/each}
    </p>

    <h2 class="mt-5 mb-1">Sign</h2>
    {#if page.url.searchParams.has('noted')}<p role="status"><b>Noted in the book.</b></p>{/if}
    <table class="plain-table">
      <thead
        ><tr
          ><th scope="col">Found</th><th scope="col">Sign</th><th scope="col">It tells</th><th scope="col">Half-life</th><th scope="col"
          ></th></tr
        ></thead
      >
      <tbody>
        {#each data.signs as s (s.id)}
          <tr>
            <td class="whitespace-nowrap">{s.when}</td>
            <td
              ><b>{s.count ? `${s.count} × ` : ''}{s.label}</b>, {s.species}, {OLD[s.freshness]}{s.direction
                ? `, ${s.direction}`
                : ''}{s.note ? `: ${s.note}` : ''}</td
            >
            <td>{s.tells === 'use' ? 'in use' : 'not in use'}</td>
            <td class="whitespace-nowrap">{s.halfLife} {s.halfLife === 1 ? 'day' : 'days'}</td>
            <td><a class="link" href="/book/{s.entry}">correct<span class="only-heard"> {s.label} of {s.when}</span></a></td>
          </tr>
        {:else}<tr><td colspan="5">None noted yet.</td></tr>{/each}
      </tbody>
    </table>
  </section>

  <form
    method="POST"
    class="sheet"
    use:enhance={() =>
      ({ update }) =>
        update({ reset: false })}
  >
    <h2>Note a sign</h2>
    <Problem text={kept?.problem} />
    <input type="hidden" name="entry" value={typed(kept, 'entry', data.ids.entry)} />
    <input type="hidden" name="id" value={typed(kept, 'id', data.ids.id)} />
    {#each ['use', 'contrary'] as tells (tells)}
      <fieldset>
        <legend>{tells === 'use' ? 'It is used' : 'It is not used'}</legend>
        <div class="taps">
          {#each data.kinds.filter((k) => k.tells === tells) as kind (kind.id)}
            <label
              ><input type="radio" name="kind" value={kind.id} checked={ticked(kept, 'kind', kind.id)} /><span>{kind.label}</span></label
            >
          {/each}
        </div>
      </fieldset>
    {/each}
    {#if kept?.errors?.kind}<p class="error">{kept.errors.kind}</p>{/if}
    <fieldset>
      <legend>How old it looked</legend>
      <div class="taps">
        {#each data.freshnesses as f (f)}<label
            ><input type="radio" name="freshness" value={f} checked={ticked(kept, 'freshness', f, f === 'hours')} /><span>{OLD[f]}</span
            ></label
          >{/each}
      </div>
    </fieldset>
    <div class="grid grid-cols-2 gap-x-3 mt-2">
      <SelectField
        label="Species"
        name="species"
        value={typed(kept, 'species', 'beaver')}
        options={data.species.map((s) => ({ value: s, text: s }))}
      />
      <TextField label="How many" name="count" inputmode="numeric" value={typed(kept, 'count')} error={kept?.errors?.count} />
    </div>
    <TextField label="Note" name="note" value={typed(kept, 'note')} error={kept?.errors?.note} />
    <details open={kept?.errors?.at !== undefined}>
      <summary class="cursor-pointer">Direction, other time</summary>
      <TextField label="Direction" name="direction" value={typed(kept, 'direction')} error={kept?.errors?.direction} />
      <TimeField label="Found at" name="at" value={typed(kept, 'at', data.nowField)} error={kept?.errors?.at} />
    </details>
    <button class="btn btn-primary btn-lg w-full mt-3">Note it</button>
  </form>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: 1fr minmax(300px, 420px);
    gap: 28px;
    align-items: start;
  }
  .use {
    display: grid;
    grid-template-columns: 24px 1fr;
    gap: 10px;
    margin: 12px 0;
    font-size: 1.1rem;
  }
  .use .quiet {
    font-size: 0.9rem;
  }
  .origin {
    border: 1px solid var(--rule);
    padding: 0 5px;
  }
  legend {
    font-weight: 600;
    margin: 8px 0 4px;
  }
  .taps {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .taps label {
    position: relative;
  }
  .taps input {
    position: absolute;
    opacity: 0;
    inset: 0;
  }
  .taps span {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    padding: 4px 12px;
    border: 1.5px solid var(--mute);
    background: var(--paper);
    font-weight: 600;
  }
  .taps input:checked + span {
    background: var(--ink);
    color: var(--paper);
    border-color: var(--ink);
  }
  .taps input:focus-visible + span {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  .error {
    color: var(--out);
    font-weight: 700;
  }
  @media (max-width: 820px) {
    .two {
      grid-template-columns: 1fr;
    }
    .two form {
      order: -1;
    }
  }
</style>
