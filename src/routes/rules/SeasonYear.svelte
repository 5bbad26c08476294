<script lang="ts">
  import { holdsDay } from '#core/rules/dates';

  /** The year of a rulebook: when each animal is open, when it is closed for a while, and today. The lines under Seasons say the same. */
  interface Props {
    seasons: { id: string; species: string; area: string; opens: string; closes: string }[];
    closures: { species: string; area: string; from: string; until: string | null }[];
    today: string;
    /** the local date, by which a closure holds or not */
    date: string;
  }
  let { seasons, closures, today, date }: Props = $props();

  /** The year begins in July: a winter stands in one piece. */
  const MONTHS = [7, 8, 9, 10, 11, 12, 1, 2, 3, 4, 5, 6];
  const NAMES = ['Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec', 'Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun'];

  /** percent of the year at which a day begins */
  const x = (day: string): number => ((MONTHS.indexOf(Number(day.slice(0, 2))) + (Number(day.slice(3)) - 1) / 31) / 12) * 100;
  const calledOf = (s: { species: string; area: string }): string => s.species + (s.area ? `, ${s.area}` : '');
  const rows = $derived(
    [...new Set(seasons.map(calledOf))].map((called) => {
      const own = seasons.filter((s) => calledOf(s) === called);
      const shut = closures.some(
        (c) =>
          c.species === own[0]?.species && (c.area === '' || c.area === own[0]?.area) && c.from <= date && (!c.until || date <= c.until),
      );
      return { called, own, how: shut ? 'shut' : own.some((s) => holdsDay(s, today)) ? 'open' : 'later' };
    }),
  );
  const spans = ({ opens, closes }: { opens: string; closes: string }): [number, number][] => {
    const [from, to] = [x(opens), Math.min(100, x(closes) + 0.27)];
    return from <= to
      ? [[from, to]]
      : [
          [from, 100],
          [0, to],
        ];
  };
</script>

{#if rows.length > 0}
  <div class="year" role="img" aria-label="When each animal is open in a year">
    <div class="track months">
      {#each NAMES as month (month)}<span>{month}</span>{/each}
    </div>
    {#each rows as { called, own, how } (called)}
      <span class="name" class:now={how === 'open'}>{called}</span>
      <div class="track">
        {#each own as season (season.id)}
          {#each spans(season) as [from, to] (from)}<i class={how} style:left="{from}%" style:width="{to - from}%"></i>{/each}
        {/each}
        <b style:left="{x(today)}%"></b>
      </div>
    {/each}
  </div>
{/if}

<style>
  .year {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 0 12px;
    max-width: 760px;
    margin: 12px 0;
    align-items: center;
  }
  .name.now {
    font-weight: 700;
  }
  .track {
    position: relative;
    height: 28px;
    border-left: 1px solid var(--rule);
  }
  .months {
    grid-column: 2;
    display: grid;
    grid-template-columns: repeat(12, 1fr);
    height: auto;
    border: 0;
    font-size: 0.85rem;
    color: var(--mute);
  }
  .months span {
    border-left: 1px solid var(--rule);
    padding-left: 3px;
    overflow: hidden;
  }
  i {
    position: absolute;
    top: 5px;
    height: 18px;
    border: 1px solid var(--ink);
    background: var(--paper);
  }
  .open {
    background: var(--fine);
  }
  .shut {
    background: repeating-linear-gradient(45deg, var(--out) 0 3px, var(--paper) 3px 8px);
  }
  .track b {
    position: absolute;
    top: -2px;
    bottom: -2px;
    width: 2px;
    background: var(--out);
  }
  @media (max-width: 600px) {
    .months span:nth-child(even) {
      visibility: hidden;
    }
  }
</style>
