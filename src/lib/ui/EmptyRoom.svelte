<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A room in which nothing stands yet: a faint drawing of what will, and the one thing to do next. */
  interface Props {
    room: 'rounds' | 'bench' | 'plan' | 'levels' | 'book' | 'shed';
    /** what will stand here, for who does not see the drawing */
    label: string;
    children: Snippet;
  }
  let { room, label, children }: Props = $props();

  const BOX = 'M0 0h44v44h-44zM-8 22h8M44 22h8M16 0l6 18M28 0l-6 18';
</script>

<figure class="empty">
  <svg viewBox="0 0 560 150" role="img" aria-label={label}>
    {#if room === 'rounds'}
      {#each [28, 76, 124] as y, i (y)}
        <circle cx="22" cy={y} r="9" />
        <path d="M46 {y}h{130 - i * 20}M240 {y}h48M330 {y - 14}h30v28h-30zM316 {y + 4 - i * 3}h58M420 {y}h110" />
      {/each}
    {:else if room === 'bench'}
      <path d="M0 44H560" class="water" /><path d="M0 118Q140 138 280 124T560 130" />
      <g transform="translate(120 68)"><path d={BOX} /></g>
      <path d="M330 116h40M336 116q14 -22 28 0M342 108h16M460 40v78" /><circle cx="460" cy="66" r="24" />
    {:else if room === 'plan'}
      <path d="M20 120Q150 40 280 90T540 30" class="water" />
      {#each [[90, 82, 1], [236, 72, 2], [410, 80, 3]] as [x = 0, y = 0, n] (n)}
        <circle cx={x} cy={y} r="15" fill="var(--paper)" /><text {x} y={y + 6} text-anchor="middle">{n}</text>
      {/each}
    {:else if room === 'levels'}
      <path d="M40 8V130H550" /><path d="M44 96Q130 88 190 60T330 52 440 84 550 74" class="water" />
      <path d="M150 34v50M146 34h8M146 84h8M360 24v58M356 24h8M356 82h8" />
    {:else if room === 'book'}
      {#each [24, 70, 116] as y, i (y)}
        <path d="M20 {y - 12}h{300 - i * 70}v24h-{300 - i * 70}zM380 {y}h150M{420 + i * 30} {y - 8}v16" />
      {/each}
    {:else}
      {#each [40, 160, 280, 400] as x (x)}<g transform="translate({x} 38)"><path d={BOX} /><path d="M8 62h28" /></g>{/each}
    {/if}
  </svg>
  <figcaption>{@render children()}</figcaption>
</figure>

<style>
  .empty {
    background: var(--paper);
    padding: 14px 18px;
    margin: 12px 0;
    max-width: 640px;
  }
  svg {
    width: 100%;
    fill: none;
    stroke: var(--mute);
    stroke-width: 2;
    stroke-dasharray: 6 5;
  }
  .water {
    stroke: var(--line);
  }
  text {
    font-size: 15px;
    fill: var(--mute);
    stroke: none;
  }
  figcaption {
    font-size: 1.05rem;
    margin-top: 8px;
  }
</style>
