<script lang="ts">
  import { originWord } from '#core/water/originWord';
  import type { Group } from '#core/morning/afterNight';
  import type { Told } from '#core/words/finding';
  import StateMark from '$lib/ui/StateMark.svelte';

  /** What the night left and what the next one brings, before the list. */
  interface Props {
    groups: Group[];
    cutOff: { id: string; name: string; sentence: string }[];
    weather: Told[];
  }
  let { groups, cutOff, weather }: Props = $props();
  const MARK = { idle: 'outOfWater', fishing: 'beyond', frozen: 'frozen', will: 'nearEdge' } as const;
</script>

{#if groups.length + cutOff.length + weather.length > 0}
  <div class="night">
    {#each groups as g (g.id)}
      <p>
        <StateMark verdict={MARK[g.id]} />
        <span><b>{g.title}</b>: {g.sets.map((s) => s.name).join(', ')}. {g.sentence}</span>
      </p>
    {/each}
    {#if cutOff.length > 0}
      <p>
        <StateMark verdict="beyond" />
        <span
          ><b>Pull before dark, or lose the way to them</b>: {#each cutOff as s, i (s.id)}{i > 0 ? ' ' : ''}{s.name}
            ({s.sentence}){/each}</span
        >
      </p>
    {/if}
    {#each weather as f (f.id)}
      <p>
        <StateMark verdict="nearEdge" />
        <span><a class="link" href="/waters/weather">{f.about}</a>: {f.sentence} <span class="origin">{originWord(f.origin)}</span></span>
      </p>
    {/each}
  </div>
{/if}

<style>
  .night {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
    gap: 6px 28px;
    margin: 0 0 14px;
  }
  p {
    display: grid;
    grid-template-columns: 22px 1fr;
    gap: 8px;
    align-items: start;
  }
  .origin {
    border: 1px solid var(--rule);
    padding: 0 5px;
    font-size: 0.85rem;
  }
</style>
