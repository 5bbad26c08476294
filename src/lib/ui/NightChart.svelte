<script lang="ts">
  import { dateText, hourText, type Clock } from '#core/time/clock';
  import Chart from './Chart.svelte';
  import { baseLayout, type Colours, type Key } from './plot';

  interface Props {
    points: { at: string; count: number; size: string; station: string }[];
    suns: { date: string; sunset: string | null; dusk: string | null; dawn: string | null; sunrise: string | null }[];
    clock: Clock;
    label: string;
  }
  let { points, suns, clock, label }: Props = $props();
  const HEIGHT = 310;
  const MARK: Record<string, Key['mark']> = { large: 'circle', middle: 'diamond', small: 'triangle' };
  const sizes = $derived(['large', 'middle', 'small', 'unknown'].filter((size) => points.some((p) => p.size === size)));
  const keys = $derived<Key[]>([
    { name: 'twilight', mark: 'area', colour: 'dusk' },
    ...sizes.map((size): Key => ({ name: size, mark: MARK[size] ?? 'cross', colour: 'line' })),
  ]);

  /** Hours behind noon of the night's first day, so that a night stands in one piece. */
  function place(at: string): { night: string; hours: number } {
    const parts = new Intl.DateTimeFormat('en-CA', {
      timeZone: clock.zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
    });
    const of = (date: Date) => Object.fromEntries(parts.formatToParts(date).map((p) => [p.type, p.value]));
    const noon = of(new Date(Date.parse(at) - 43_200_000));
    const wall = of(new Date(at));
    const hours = (Number(wall.hour) + Number(wall.minute) / 60 + 12) % 24;
    return { night: `${noon.year}-${noon.month}-${noon.day}`, hours };
  }
  const build = (colours: Colours, width: number) => {
    const { ink, mute, rule, line, dusk } = colours;
    type Edge = 'sunset' | 'dusk' | 'dawn' | 'sunrise';
    const edge = (pick: Edge) =>
      suns.flatMap((s) => {
        const at = s[pick];
        return at ? [{ x: s.date, y: place(at).hours }] : [];
      });
    const light = (pick: Edge, fill: boolean) => ({
      x: edge(pick).map((p) => p.x),
      y: edge(pick).map((p) => p.y),
      mode: 'lines' as const,
      line: { color: dusk, width: 1.5 },
      ...(fill ? { fill: 'tonexty', fillcolor: `${dusk}66` } : {}),
      hoverinfo: 'skip' as const,
    });
    const SYMBOL: Partial<Record<Key['mark'], string>> = { triangle: 'triangle-up', cross: 'x' };
    const sized = sizes.map((size) => {
      const mark = MARK[size] ?? 'cross';
      const own = points.filter((p) => p.size === size);
      return {
        x: own.map((p) => place(p.at).night),
        y: own.map((p) => place(p.at).hours),
        text: own.map((p) => `${p.count} ${size}, ${p.station}`),
        mode: 'markers' as const,
        marker: {
          symbol: SYMBOL[mark] ?? mark,
          size: own.map((p) => 7 + 3 * p.count),
          color: line,
          opacity: 0.75,
          line: { color: ink, width: 1 },
        },
        hovertemplate: '%{text}<extra></extra>',
      };
    });
    // a date wants some 50 px
    const every = Math.max(1, Math.ceil((suns.length * 52) / Math.max(120, width - 90)));
    const named = suns.filter((_, n) => n % every === 0);
    const ticks = [4, 7, 10, 13, 16, 19, 22];
    return {
      data: [light('sunset', false), light('dusk', true), light('dawn', false), light('sunrise', true), ...sized],
      layout: {
        ...baseLayout(colours, HEIGHT),
        xaxis: {
          title: { text: 'night of', standoff: 12 },
          gridcolor: rule,
          linecolor: mute,
          type: 'category',
          tickvals: named.map((s) => s.date),
          ticktext: named.map((s) => dateText(s.date, s.date, clock.hours)),
          categoryorder: 'category ascending',
          categoryarray: suns.map((s) => s.date),
        },
        yaxis: {
          range: [23, 2],
          tickvals: ticks,
          ticktext: ticks.map((t) => hourText(new Date(((t + 12) % 24) * 3_600_000), { ...clock, zone: 'UTC' })),
          gridcolor: rule,
          linecolor: mute,
        },
      },
    };
  };
</script>

<Chart height={HEIGHT} {build} {keys} {label} />
