<script lang="ts">
  import { onMount } from 'svelte';
  import { plotted, type Colours, type Key, type Plan, type Trace } from './plot';

  interface Props {
    /** px */
    height: number;
    /** what the drawing says, or where its numbers stand */
    label: string;
    /** drawn for this width in px */
    build: (colours: Colours, width: number) => { data: Trace[]; layout: Plan };
    /** what its lines, areas and marks stand for */
    keys: Key[];
  }
  let { height, label, build, keys }: Props = $props();
  let host: HTMLDivElement;

  onMount(() => plotted(host, build));
</script>

<div class="frame">
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div bind:this={host} class="chart" style:height="{height}px" role="img" aria-label={label} tabindex="0"></div>
  <ul class="keys">
    {#each keys as { name, mark, colour } (name)}
      <li>
        <svg viewBox="0 0 24 12" width="24" height="12" aria-hidden="true" style:color="var(--{colour})">
          {#if mark === 'area'}<rect width="24" height="12" fill="currentColor" opacity="0.35" />
          {:else if mark === 'bar'}<rect x="6" width="12" height="12" fill="currentColor" stroke="var(--steel)" />
          {:else if mark === 'line' || mark === 'dashes'}<path
              d="M0 6H24"
              stroke="currentColor"
              stroke-width="2"
              stroke-dasharray={mark === 'dashes' ? '7 4' : undefined}
            />
          {:else if mark === 'circle'}<circle cx="12" cy="6" r="5" fill="currentColor" />
          {:else if mark === 'diamond'}<path d="M12 0l6 6-6 6-6-6z" fill="currentColor" />
          {:else if mark === 'triangle'}<path d="M12 0l6 11H6z" fill="currentColor" />
          {:else}<path d="M7 1l10 10M17 1L7 11" stroke="currentColor" stroke-width="3" />{/if}
        </svg>{name}
      </li>
    {/each}
  </ul>
</div>

<style>
  .frame {
    background: var(--paper);
    border: 1px solid var(--rule);
  }
  .chart {
    width: 100%;
    overflow: hidden;
  }
  .keys {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1rem;
    padding: 0 0.75rem 0.5rem;
    font-size: 0.875rem;
  }
  .keys li {
    display: flex;
    align-items: center;
    gap: 0.4rem;
  }
</style>
