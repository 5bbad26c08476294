<script lang="ts">
  import { page } from '$app/state';
  import Chart from './Chart.svelte';
  import { baseLayout, timeAxis, type Colours, type Key } from './plot';

  /** A course over time with its band and, beside it on the same axis, the bands of the sets: already printed values of one unit. */
  export interface Line {
    name: string;
    x: string[];
    y: number[];
  }
  interface Props {
    /** what came */
    past: Line;
    /** what is forecast: middle, and the ends of its band */
    ahead?: { x: string[]; low: number[]; middle: number[]; high: number[] } | null;
    /** forecasts that were kept, thin */
    kept?: { x: string[]; low: number[]; middle: number[]; high: number[] }[];
    bands?: { name: string; low: number; high: number }[];
    marks?: Line | null;
    unit: string;
    label: string;
  }
  let { past, ahead = null, kept = [], bands = [], marks = null, unit, label }: Props = $props();
  const HEIGHT = 350;
  const keys = $derived<Key[]>([
    { name: past.name, mark: 'line', colour: 'line' },
    ...(ahead
      ? ([
          { name: 'forecast', mark: 'dashes', colour: 'line' },
          { name: 'eight in ten', mark: 'area', colour: 'line' },
        ] satisfies Key[])
      : []),
    ...(kept.length > 0 ? [{ name: 'what was forecast', mark: 'area', colour: 'mute' } satisfies Key] : []),
    ...(marks ? [{ name: marks.name, mark: 'diamond', colour: 'ink' } satisfies Key] : []),
  ]);

  const build = (colours: Colours, width: number) => {
    const { ink, mute, rule, line } = colours;
    const last = ahead?.x.at(-1) ?? past.x.at(-1) ?? '';
    const areas = (b: { x: string[]; low: number[]; high: number[] }, colour: string) => [
      { x: b.x, y: b.high, mode: 'lines', line: { width: 0 }, hoverinfo: 'skip' },
      {
        x: b.x,
        y: b.low,
        mode: 'lines',
        line: { width: 0 },
        fill: 'tonexty',
        fillcolor: colour,
        hoverinfo: 'skip',
      },
    ];
    const all = [...past.y, ...(ahead ? [...ahead.low, ...ahead.high] : [])];
    const [low, high] = [Math.min(...all), Math.max(...all)];
    const near = bands.filter((b) => b.high > low - (high - low) && b.low < high + (high - low));
    const first = past.x[0] ?? ahead?.x[0] ?? '';
    // times are the line's own clock, without a zone
    const ms = (t: string): number => Date.parse(`${t}Z`);
    const span = ms(last) - ms(first);
    // on a small screen the numbers would lie on each other: the table below has them
    const hasRoom = width * 0.02 > 12;
    const at = (n: number): string => new Date(ms(last) + span * 0.02 * (n + 1)).toISOString().slice(0, 16);
    return {
      data: [
        ...kept.flatMap((k) => areas(k, `${mute}2e`)),
        ...kept.map((k) => ({
          x: k.x,
          y: k.middle,
          mode: 'lines',
          line: { color: mute, width: 1, dash: 'dot' },
          hoverinfo: 'skip',
        })),
        ...(ahead ? areas(ahead, `${line}3a`) : []),
        ...(ahead
          ? [
              {
                x: ahead.x,
                y: ahead.middle,
                mode: 'lines',
                name: 'forecast',
                line: { color: line, width: 2, dash: 'dash' },
                hovertemplate: `%{y:.2f} ${unit}<extra>forecast</extra>`,
              },
            ]
          : []),
        {
          x: past.x,
          y: past.y,
          mode: past.x.length > 200 ? 'lines' : 'lines+markers',
          name: past.name,
          line: { color: line, width: 2 },
          marker: { size: 5 },
          hovertemplate: `%{y:.2f} ${unit}<extra></extra>`,
        },
        ...(marks
          ? [{ x: marks.x, y: marks.y, mode: 'markers', name: marks.name, marker: { symbol: 'diamond', size: 10, color: ink } }]
          : []),
        ...near.map((b, n) => ({
          x: [at(n), at(n)],
          y: [Math.max(b.low, low - (high - low) * 0.6), Math.min(b.high, high + (high - low) * 0.6)],
          mode: 'lines+markers',
          marker: { symbol: 'line-ew-open', size: 9, color: ink },
          line: { color: ink, width: 2 },
          hovertemplate: `${b.name}<extra></extra>`,
        })),
      ],
      layout: {
        ...baseLayout(colours, HEIGHT, { top: 22 }),
        xaxis: timeAxis(colours, page.data.clock.hours),
        yaxis: { title: { text: unit }, gridcolor: rule, linecolor: mute, zeroline: false },
        annotations: near
          .filter(() => hasRoom)
          .map((b, n) => ({
            x: at(n),
            y: 1,
            yref: 'paper',
            yanchor: 'bottom',
            text: b.name.split(' ')[0],
            showarrow: false,
            font: { size: 11, color: ink },
          })),
      },
    };
  };
</script>

<Chart height={HEIGHT} {build} {keys} {label} />
