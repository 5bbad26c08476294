<script lang="ts">
  import { page } from '$app/state';
  import Chart from '$lib/ui/Chart.svelte';
  import { baseLayout, timeAxis, type Colours, type Key } from '$lib/ui/plot';

  interface Props {
    chart: { x: string[]; temperature: number[]; rain: number[]; snow: number[]; now: string; units: string[] };
  }
  let { chart }: Props = $props();
  const HEIGHT = 280;
  const keys: Key[] = [
    { name: 'temperature', mark: 'line', colour: 'ink' },
    { name: 'freezing', mark: 'dashes', colour: 'line' },
    { name: 'rain', mark: 'bar', colour: 'line' },
    { name: 'snow, melted', mark: 'bar', colour: 'water' },
  ];

  const build = (colours: Colours) => {
    const { ink, mute, rule, line, water, steel } = colours;
    const { x, temperature, rain, snow, now, units } = chart;
    const frost = units[0] === '°F' ? 32 : 0;
    // with bars on a second axis Plotly finds no range of its own in the first drawing
    const [low, high] = [Math.min(...temperature, frost) - 2, Math.max(...temperature, frost) + 2];
    const wettest = Math.max(...rain.map((r, i) => r + (snow[i] ?? 0)), 0.04);
    return {
      data: [
        {
          x,
          y: rain,
          type: 'bar',
          name: 'rain',
          yaxis: 'y2',
          marker: { color: line, opacity: 0.55 },
          hovertemplate: `%{y} ${units[1]}<extra>rain</extra>`,
        },
        {
          x,
          y: snow,
          type: 'bar',
          name: 'snow, melted',
          yaxis: 'y2',
          marker: { color: water, line: { color: steel, width: 1 } },
          hovertemplate: `%{y} ${units[1]}<extra>snow</extra>`,
        },
        {
          x,
          y: temperature,
          mode: 'lines',
          name: 'temperature',
          line: { color: ink, width: 2 },
          hovertemplate: `%{y} ${units[0]}<extra></extra>`,
        },
      ],
      layout: {
        ...baseLayout(colours, HEIGHT, { top: 26, right: 58 }),
        barmode: 'stack',
        xaxis: { ...timeAxis(colours, page.data.clock.hours), range: [x[0], x.at(-1)] },
        yaxis: { title: { text: units[0] }, gridcolor: rule, linecolor: mute, zeroline: false, range: [low, high] },
        yaxis2: {
          title: { text: units[1] },
          overlaying: 'y',
          side: 'right',
          range: [0, wettest * 1.2],
          tickmode: 'auto',
          tickformat: '.2f',
          showgrid: false,
        },
        shapes: [
          { type: 'line', x0: now, x1: now, y0: 0, y1: 1, yref: 'paper', line: { color: mute, width: 1.5, dash: 'dot' } },
          { type: 'line', x0: 0, x1: 1, xref: 'paper', y0: frost, y1: frost, line: { color: line, width: 1, dash: 'dash' } },
        ],
        annotations: [{ x: now, y: 1, yref: 'paper', yanchor: 'bottom', text: 'now', showarrow: false }],
      },
    };
  };
</script>

<Chart
  height={HEIGHT}
  {build}
  {keys}
  label="Temperature, rain and snow by the hour, a day back and three ahead. The table below has the days."
/>
