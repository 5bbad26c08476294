<script lang="ts">
  import Origin from '$lib/ui/Origin.svelte';
  import { page } from '$app/state';
  import type { Group } from '#core/morning/afterNight';
  import type { Told } from '#core/words/finding';
  import { originWord } from '#core/water/originWord';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** What wants the same thing today, counted; a count filters the list below. */
  interface Props {
    groups: Group[];
    due: { count: number; text: string };
    /** the group that the list shows alone */
    shown: Group | undefined;
    weather: Told[];
  }
  let { groups, due, shown, weather }: Props = $props();
  const MARK = { idle: 'outOfWater', fishing: 'beyond', frozen: 'frozen', will: 'nearEdge', cutOff: 'beyond' } as const;
</script>

<div class="counts">
  <nav aria-label="Show only">
    <a href={page.url.pathname} aria-current={shown ? undefined : 'true'} data-sveltekit-noscroll><b>{due.count}</b> due</a>
    {#each groups as g (g.id)}
      <a
        href={shown?.id === g.id ? page.url.pathname : `?show=${g.id}`}
        aria-current={shown?.id === g.id ? 'true' : undefined}
        data-sveltekit-noscroll><StateMark verdict={MARK[g.id]} /><b>{g.sets.length}</b> {g.title}</a
      >
    {/each}
  </nav>
  {#each weather as f (f.id)}
    <details class="quiet">
      <summary><StateMark verdict="nearEdge" /> {f.about} <b>{f.figure}</b></summary>
      <p>{f.sentence} <a class="link" href="/waters/weather">Weather</a> <Origin text={originWord(f.origin)} /></p>
    </details>
  {/each}
</div>
<p class="quiet">
  {#if shown}{shown.sentence}{:else}<a class="link" href="/morning/run">{due.text}</a>{/if}
</p>

<style>
  .counts {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 18px;
    align-items: center;
    margin: 10px 0 8px;
  }
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  a[href]:not(.link),
  summary {
    display: flex;
    gap: 7px;
    align-items: center;
    min-height: 40px;
  }
  nav a {
    border: 1.5px solid var(--mute);
    background: var(--paper);
    padding: 4px 12px;
  }
  nav a b {
    font-size: 1.2rem;
  }
  nav a[aria-current] {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--paper);
    --out: var(--paper);
    --edge: var(--paper);
  }
  summary {
    cursor: pointer;
  }
  details[open] {
    flex-basis: 100%;
  }
</style>
