<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import type { Mark, Story } from '#core/colony/story';
  import { many } from '#core/units/many';
  import Scroller from '$lib/ui/Scroller.svelte';
  import MarkSign from './MarkSign.svelte';

  /** Who was met where and when: places down, nights across; the table is the drawing and its own text. */
  interface Props {
    story: Story;
    /** readings, x in nights from the first one's noon */
    levels?: readonly { x: number; level: number; text: string }[];
    label: string;
    /** an evening's date as its reader writes it */
    dayOf: (night: string) => string;
    /** what its marks mean stands under it */
    hasKey?: boolean;
  }
  let { story, levels = [], label, dayOf, hasKey = true }: Props = $props();

  const NAMES: Readonly<Record<Mark, string>> = {
    caught: 'caught',
    other: 'another animal caught',
    met: 'met a trap, not caught',
    turned: 'went round',
    passed: 'seen passing',
    mended: 'mended',
    sign: 'sign',
  };
  const used = $derived(
    (Object.keys(NAMES) as Mark[]).filter((m) => story.rows.some((r) => r.cells.some((c) => c.marks.some((k) => k.mark === m)))),
  );
  const full = $derived(Math.max(1, ...story.effort));
  const y = $derived(
    scaleLinear()
      .domain([Math.min(...levels.map((l) => l.level)), Math.max(...levels.map((l) => l.level))])
      .range([30, 6]),
  );
  const HIGH = 36;
  /** every so many nights the date is written */
  const DATED = 7;
  /** the newest nights are what is looked for first */
  const toEnd = (node: HTMLElement): void => {
    const box = node.closest('.scroller');
    if (box) box.scrollLeft = box.scrollWidth;
  };
</script>

<Scroller {label}>
  <table {@attach toEnd}>
    <thead>
      <tr>
        <th scope="col" class="place">Night of</th>
        {#each story.nights as night, n (night)}<th scope="col" class="night"
            ><span class:only-heard={n < 3 || (story.nights.length - 1 - n) % DATED !== 0}>{dayOf(night)}</span></th
          >{/each}
      </tr>
    </thead>
    <tbody>
      {#each story.rows as row (row.place)}
        <tr>
          <th scope="row" class="place">{row.name}</th>
          {#each row.cells as cell (cell.night)}
            <td class:stood={cell.stood} class:worked={cell.effort > 0.05} title={cell.marks.map((m) => m.said).join('; ') || undefined}>
              {#each cell.marks.filter((m) => m.mark !== 'sign' || cell.marks.length === 1).slice(0, 2) as { mark, count, said } (mark)}
                <span class="mark"
                  ><MarkSign {mark} />{#if count > 1}<small aria-hidden="true">{count}</small>{/if}<span class="only-heard"
                    >{count > 1 ? `${count} × ` : ''}{NAMES[mark]}: {said}</span
                  ></span
                >
              {/each}
            </td>
          {/each}
        </tr>
      {/each}
      <tr class="sum">
        <th scope="row" class="place">Traps in range</th>
        {#each story.effort as effort, n (story.nights[n])}
          <td
            ><span class="bar" style:height="{(effort / full) * 26}px"></span><span class="only-heard">{Math.round(effort * 10) / 10}</span
            ></td
          >
        {/each}
      </tr>
      {#if levels.length > 1}
        <tr>
          <th scope="row" class="place">Level read</th>
          <td colspan={story.nights.length} class="level">
            <svg viewBox="0 0 {story.nights.length} {HIGH}" preserveAspectRatio="none" height={HIGH} aria-hidden="true">
              <polyline points={levels.map((l) => `${l.x},${y(l.level)}`).join(' ')} vector-effect="non-scaling-stroke" />
            </svg>
            <span class="only-heard">{many(levels.length, 'reading')}, {levels[0]?.text} at first, {levels.at(-1)?.text} last</span>
          </td>
        </tr>
      {/if}
    </tbody>
  </table>
</Scroller>
{#if hasKey}<p class="key">
    {#each used as mark (mark)}<span><MarkSign {mark} /> {NAMES[mark]}</span>{/each}
    <span><i class="worked"></i> trap in range</span><span><i class="stood"></i> trap out of range, or unknown</span>
    {#if levels.length > 1}<span>Level: {levels[0]?.text} at first, {levels.at(-1)?.text} last</span>{/if}
  </p>{/if}

<style>
  table {
    border-collapse: collapse;
    width: 100%;
    min-width: 860px;
    table-layout: fixed;
  }
  .place {
    width: 150px;
    text-align: left;
    font-weight: 600;
    padding: 2px 8px 2px 0;
    position: sticky;
    left: 0;
    background: var(--bg);
    z-index: 1;
    line-height: 1.15;
  }
  .night {
    font-size: 0.8rem;
    font-weight: 600;
    text-align: right;
    white-space: nowrap;
    direction: rtl;
    height: 22px;
    position: relative;
  }
  td {
    height: 27px;
    padding: 0;
    text-align: center;
    border-left: 1px solid var(--rule);
    border-bottom: 1px solid var(--rule);
  }
  .stood {
    background: repeating-linear-gradient(135deg, var(--rule) 0 2px, transparent 2px 6px);
  }
  .worked {
    background: var(--water);
  }
  .mark {
    display: inline-flex;
    align-items: center;
    vertical-align: middle;
  }
  .mark small {
    font-size: 0.72rem;
    font-weight: 750;
    line-height: 1;
    margin-left: 1px;
  }
  .sum td {
    vertical-align: bottom;
    height: 34px;
  }
  .bar {
    display: block;
    background: var(--linetext);
    margin: 0 2px;
  }
  .level {
    height: 40px;
    padding: 0;
  }
  .level svg {
    width: 100%;
    display: block;
  }
  polyline {
    fill: none;
    stroke: var(--line);
    stroke-width: 2;
  }
  .key {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
    font-size: 0.9rem;
    margin-top: 6px;
  }
  .key span {
    display: inline-flex;
    align-items: center;
    gap: 5px;
  }
  .key i {
    width: 16px;
    height: 14px;
    border: 1px solid var(--rule);
  }
</style>
