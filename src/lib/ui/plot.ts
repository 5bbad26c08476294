import type { Hours } from '#core/time/clock';

/** Plotly's own words, untyped here. */
export type Trace = Record<string, unknown>;
export type Plan = Record<string, unknown>;

/** Colours of the page under its theme, by their names in the style sheet. */
export type Colours = Record<'ink' | 'mute' | 'rule' | 'paper' | 'line' | 'dusk' | 'water' | 'out' | 'fine' | 'steel', string>;

/** What a line, an area or a mark of a chart stands for. */
export interface Key {
  name: string;
  mark: 'line' | 'dashes' | 'area' | 'bar' | 'circle' | 'diamond' | 'triangle' | 'cross';
  colour: keyof Colours;
}

const NAMES = ['ink', 'mute', 'rule', 'paper', 'line', 'dusk', 'water', 'out', 'fine', 'steel'] as const;

const colours = (): Colours => {
  const style = getComputedStyle(document.documentElement);
  return Object.fromEntries(NAMES.map((name) => [name, style.getPropertyValue(`--${name}`).trim()])) as Colours;
};

/** An axis of time on the line's own clock, in the reader's way. */
export const timeAxis = ({ rule, mute }: Colours, hours: Hours): Plan => {
  const [clock, day] = hours === 12 ? ['%-I %p', '%b %-d'] : ['%H:%M', '%-d %b'];
  return {
    gridcolor: rule,
    linecolor: mute,
    type: 'date',
    hoverformat: hours === 12 ? '%b %-d %-I:%M %p' : '%-d %b %H:%M',
    tickformatstops: [
      { dtickrange: [null, 86_399_999], value: `${clock}\n${day}` },
      { dtickrange: [86_400_000, 'M1'], value: day },
      { dtickrange: ['M1', null], value: '%b %Y' },
    ],
  };
};

/** What every chart has in common. */
export const baseLayout = ({ ink, paper }: Colours, height: number, { top = 8, right = 24 } = {}): Plan => ({
  height,
  autosize: true,
  margin: { l: 58, r: right, t: top, b: 46 },
  paper_bgcolor: paper,
  plot_bgcolor: paper,
  font: { family: '"Overpass Variable", sans-serif', size: 13, color: ink },
  // its words stand under the drawing, where no date can lie on them
  showlegend: false,
});

/** Draws a chart with Plotly, which only loads here, and anew when the theme or the width changes. @returns what takes it down */
export function plotted(host: HTMLElement, build: (colours: Colours, width: number) => { data: Trace[]; layout: Plan }): () => void {
  let gone = false;
  let purge = (): void => undefined;
  const draw = async (): Promise<void> => {
    const { default: Plotly } = await import('plotly.js-basic-dist-min');
    if (gone) return;
    const { data, layout } = build(colours(), host.clientWidth);
    // from nothing: a drawing that is only resized keeps the margins of the width it had
    purge();
    await Plotly.newPlot(host, data, layout, { displayModeBar: false });
    purge = () => Plotly.purge(host);
  };
  // one drawing at a time: a second one into a half drawn chart leaves its axes behind
  let last = draw();
  const themes = new MutationObserver(() => (last = last.then(draw)));
  themes.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
  let width = host.clientWidth;
  const sizes = new ResizeObserver(() => {
    if (host.clientWidth === width) return;
    width = host.clientWidth;
    last = last.then(draw);
  });
  sizes.observe(host);
  return () => {
    gone = true;
    themes.disconnect();
    sizes.disconnect();
    purge();
  };
}
