import type Feature from 'ol/Feature';
import { Circle, Fill, Icon, RegularShape, Stroke, Style, Text } from 'ol/style';
import { mount, unmount } from 'svelte';
import type { GroundKind } from '#core/record/scouting';
import StateMark from '../StateMark.svelte';

/** What the map shows of one thing, kept on its feature. */
export interface Shown {
  what: 'station' | 'ground' | 'site' | 'draft';
  id: string;
  text: string;
  number?: string;
  kind?: GroundKind;
  mark?: string | null;
  outside?: boolean;
  /** the ice is thinner here */
  thin?: boolean;
}

const colour = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** The program's own mark of a state as a picture for the map: the same drawing as everywhere else. */
function picture(verdict: string): string {
  const host = document.createElement('div');
  const mark = mount(StateMark, { target: host, props: { verdict: verdict as 'fine', size: 20 } });
  const svg = host.querySelector('svg');
  svg?.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  const text = host.innerHTML.replace(/<!--.*?-->/g, '').replace(/var\((--[a-z-]+)\)/g, (_, name: string) => colour(name));
  void unmount(mark);
  return `data:image/svg+xml,${encodeURIComponent(text)}`;
}

const LINES: Partial<Record<GroundKind, { colour: string; width: number; dash?: number[] }>> = {
  'stream line': { colour: '--line', width: 3.5 },
  shore: { colour: '--line', width: 2 },
  'dam crest': { colour: '--bedink', width: 6 },
  road: { colour: '--mute', width: 2.5, dash: [10, 5] },
  'boundary of permission': { colour: '--edge', width: 2.2, dash: [2, 7] },
  track: { colour: '--mute', width: 1.8, dash: [2, 4] },
};

/** How everything on the map is drawn, in the colours of the theme of the moment. */
export function mapStyle(): (feature: { get(key: string): unknown }, resolution: number) => Style | Style[] | undefined {
  const ink = colour('--ink');
  const paper = colour('--paper');
  const water = colour('--water');
  const mute = colour('--mute');
  const out = colour('--out');
  const cache = new Map<string, string>();
  const text = (words: string, y: number, fill = ink, size = 13) =>
    new Text({
      text: words,
      font: `600 ${size}px "Overpass Variable", sans-serif`,
      offsetY: y,
      fill: new Fill({ color: fill }),
      stroke: new Stroke({ color: paper, width: 3.5 }),
      overflow: true,
    });
  const markOf = (verdict: string): string => {
    const known = cache.get(verdict) ?? picture(verdict);
    cache.set(verdict, known);
    return known;
  };
  return (feature, resolution) => {
    const shown = feature.get('shown') as Shown;
    const near = resolution < 0.75;
    if (shown.what === 'draft') {
      const stroke = new Stroke({ color: out, width: 3 });
      return new Style({
        stroke,
        fill: new Fill({ color: `${out}22` }),
        image: new Circle({ radius: 6, stroke, fill: new Fill({ color: paper }) }),
        zIndex: 9,
      });
    }
    if (shown.what === 'station') {
      const words = near ? shown.text : (shown.number ?? '');
      const image = shown.mark
        ? new Icon({ src: markOf(shown.mark), width: 20, height: 20, declutterMode: 'none' })
        : new Circle({
            declutterMode: 'none',
            radius: 3.5,
            fill: new Fill({ color: paper }),
            stroke: new Stroke({ color: mute, width: 1.8 }),
          });
      const ring = shown.outside
        ? [
            new Style({
              image: new Circle({ declutterMode: 'none', radius: 14, stroke: new Stroke({ color: out, width: 2.4, lineDash: [4, 3] }) }),
              zIndex: 4,
            }),
          ]
        : [];
      const thin = shown.thin
        ? [
            new Style({
              image: new Circle({
                declutterMode: 'none',
                radius: 16,
                fill: new Fill({ color: `${paper}88` }),
                stroke: new Stroke({ color: ink, width: 1.6, lineDash: [1.5, 3] }),
              }),
              zIndex: 3,
            }),
          ]
        : [];
      return [
        ...thin,
        ...ring,
        new Style({ image, text: text(words, 19, shown.mark ? ink : mute, shown.mark ? 13 : 12), zIndex: shown.mark ? 6 : 5 }),
      ];
    }
    if (shown.what === 'site')
      return new Style({
        image: new RegularShape({
          points: 4,
          radius: 9,
          angle: 0,
          declutterMode: 'none',
          fill: new Fill({ color: paper }),
          stroke: new Stroke({ color: ink, width: 2.2 }),
        }),
        text: text(shown.text, -18, ink, 14),
        zIndex: 4,
      });
    if (shown.kind === 'access' || shown.kind === 'bridge' || shown.kind === 'other')
      return new Style({
        text: new Text({
          text: { access: '⌂', bridge: '][', other: '•' }[shown.kind],
          font: '700 17px "Overpass Variable", sans-serif',
          fill: new Fill({ color: ink }),
          stroke: new Stroke({ color: paper, width: 3 }),
        }),
        zIndex: 3,
      });
    const line = LINES[shown.kind ?? 'other'] ?? { colour: '--mute', width: 1.6 };
    const fill = shown.kind === 'shore' ? new Fill({ color: water }) : undefined;
    const named = near && shown.kind !== 'shore' && shown.kind !== 'stream line' && shown.kind !== 'boundary of permission';
    const label = named ? new Text({ ...textOptions(ink, paper), text: shown.text, placement: 'line' }) : undefined;
    return new Style({
      stroke: new Stroke({ color: colour(line.colour), width: line.width, ...(line.dash ? { lineDash: line.dash } : {}) }),
      ...(fill ? { fill } : {}),
      ...(label ? { text: label } : {}),
      zIndex: shown.kind === 'shore' ? 0 : 1,
    });
  };
}

const textOptions = (ink: string, paper: string) => ({
  font: '500 12px "Overpass Variable", sans-serif',
  fill: new Fill({ color: ink }),
  stroke: new Stroke({ color: paper, width: 3 }),
  textBaseline: 'bottom' as const,
  offsetY: -3,
});

export const shownOf = (feature: Pick<Feature, 'get'>): Shown => feature.get('shown') as Shown;
