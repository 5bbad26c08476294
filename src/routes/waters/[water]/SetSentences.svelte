<script lang="ts">
  import { many } from '#core/units/many';
  import type { SetView } from '#core/sets/standing';
  import type { System } from '#core/units/factors';
  import type { DeviceState } from '#core/water/state';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** What the level means for the sets, the trouble first. */
  interface Props {
    rows: { view: SetView; states: DeviceState[]; worst: DeviceState | null }[];
    system: System;
    /** what the forecast says of a set, by its id; empty while a what-if level is shown */
    ahead: Readonly<Record<string, { sentence: string; remedy: string; tells: boolean } | null>>;
    /** whether the place of a station can be stood at, by its id */
    standing?: Readonly<Record<string, { sentence: string; keeps: boolean }>>;
    /** nothing is read out while the night is played */
    quiet?: boolean;
  }
  let { rows, system, ahead, standing = {}, quiet = false }: Props = $props();

  const live = $derived(rows.filter((r) => r.view.state === 'live'));
  const trouble = $derived(live.filter((r) => r.worst && r.worst.verdict !== 'fine').sort((a, b) => rank(a.worst) - rank(b.worst)));
  const fine = $derived(live.filter((r) => r.worst?.verdict === 'fine'));
  const waiting = $derived(rows.filter((r) => r.view.state !== 'live'));
  const rank = (state: DeviceState | null): number => (state?.verdict === 'nearEdge' ? 1 : state?.verdict === 'unknown' ? 2 : 0);
  /** only what keeps a person from the place is said beside the set */
  const cutOff = (view: SetView): string => {
    const said = standing[view.station.id];
    return said && !said.keeps ? said.sentence : '';
  };
  const names = (list: typeof rows): string => list.map((r) => `${r.view.number} ${r.view.name}`).join(', ');
</script>

<div class="sentences" aria-live={quiet ? 'off' : 'polite'} data-system={system}>
  {#each trouble as { view, worst } (view.id)}
    <article>
      <h3>
        <StateMark verdict={worst?.verdict ?? 'unknown'} />
        <span><a href="/bench/{view.id}">{view.number} {view.name}</a>: {worst?.label}</span>
      </h3>
      <p>
        {worst?.sentence}
        <b>{ahead[view.id]?.remedy || (worst?.remedy ?? '')}</b>
        {ahead[view.id]?.sentence ?? ''}
        {cutOff(view)}
      </p>
    </article>
  {/each}
  {#each fine.filter((r) => ahead[r.view.id]?.remedy || ahead[r.view.id]?.tells || cutOff(r.view)) as { view } (view.id)}
    <article>
      <h3>
        <StateMark verdict="fine" />
        <span><a href="/bench/{view.id}">{view.number} {view.name}</a>: working now</span>
      </h3>
      <p>{ahead[view.id]?.sentence} <b>{ahead[view.id]?.remedy}</b> {cutOff(view)}</p>
    </article>
  {/each}
  {#if fine.length > 0}
    <article>
      <h3><StateMark verdict="fine" /> {many(fine.length, 'set')} working</h3>
      <p>{names(fine)}.</p>
    </article>
  {/if}
  {#if waiting.length > 0}
    <article>
      <h3><StateMark verdict="prepared" /> Owing nothing yet</h3>
      <p>
        {waiting.map((r) => `${r.view.number} ${r.view.name}, ${r.view.state}${r.view.opens ? ` for ${r.view.opens}` : ''}`).join('; ')}.
      </p>
    </article>
  {/if}
  {#if rows.length === 0}<p>No set stands here. <a class="link" href="/bench">Place one at the bench</a>.</p>{/if}
</div>

<style>
  .sentences {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
    gap: 10px 28px;
  }
  h3 {
    display: flex;
    gap: 8px;
    align-items: center;
    flex-wrap: wrap;
  }
  h3 a:hover {
    text-decoration: underline;
  }
</style>
