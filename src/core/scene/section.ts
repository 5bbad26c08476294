import type { Station } from '../stations/placed';
import type { WaterBody } from '../water/placed';
import type { SetView } from '../sets/standing';
import { levelText, offGauge, onGauge, type Frame } from '../units/frame';
import { INCH, feet, type System } from '../units/factors';
import { ICE_RATIO } from '../ice/growth';
import { printLength, printLevel, printWay } from '../units/length';
import type { Band } from '../water/track';
import { bottomAt } from '../water/part';
import { READING_LASTS, type Water } from '../water/state';
import { spanText } from '../time/clock';
import { fitted, placeLabels, spaced, type PlacedLabel } from './labels';
import { isOnShore, sectionSet, type Scales, type SectionSet } from './sectionSets';

/** Everything in pixels; heights and shore positions true, widths symbolic. */
export interface SectionScene {
  width: number;
  height: number;
  /** top of the drawing under the label rows */
  top: number;
  /** px per metre of elevation */
  scale: number;
  bed: [number, number][];
  lodges: { x: number; top: number; base: number; half: number }[];
  surfaces: { surface: 'pond' | 'tail'; y: number; from: number; to: number; level: number; text: string }[];
  before: { y: number; from: number; to: number; text: string; textY: number } | null;
  /** the sheet on the pond, and the snow on it */
  ice: { y: number; height: number; snow: number; from: number; to: number; text: string } | null;
  /** where the forecast has the pond at another time, as a band */
  ahead: { y: number; top: number; bottom: number; from: number; to: number; text: string } | null;
  sets: SectionSet[];
  /** `deep`: its depth was measured, or it needs none */
  stations: { x: number; y: number; text: string; id: string; deep: boolean }[];
  /** no depth of this water is known: its bed is a guess */
  guessed: boolean;
  /** x of ways along the shore, m, between which it is stretched evenly */
  stops: [along: number, x: number][];
  /** stations without a set, by name */
  free: { id: string; x: number; y: number; label: PlacedLabel & { y: number }; full: string }[];
  levels: { y: number; text: string }[];
  ways: { x: number; text: string }[];
}

export interface SectionInput {
  water: Pick<WaterBody, 'profile' | 'kind'>;
  stations: Station[];
  views: SetView[];
  levels: Water;
  /** the pond's reading before the last one, m, and when it was read; null where there is none */
  earlier: { level: number; when: string } | null;
  /** the forecast of the pond for another time, m, and how that time is called; left out where there is none */
  ahead?: (Band & { called: string }) | null;
  /** snow on the ice, m */
  snow?: number;
  /** with `columns` the sets stand at an equal pitch and the width follows: for a narrow screen */
  size: { width: number; height: number; columns?: boolean };
  /** how many times as wide as the size the shore is unrolled */
  zoom?: number;
  /** in what it is read: its axis counts from the pond's gauge */
  frame: Frame;
}

/** Stations whose names stand beside each other on a section of the usual width. */
const READABLE = 16;

/** The zoom at which the names of so many places can be read, in steps of a half. */
export const readableZoom = (places: number): number => Math.max(1, Math.ceil((places / READABLE) * 2) / 2);

export const LABEL_SIZE = 13;
const ROW = 36;
const FOOT = 24;
const RIGHT = 58;
/** left margin, kept free for the words of the waterline and its handle */
const LEFT = 104;
/** Distance of two sets on a narrow screen. */
const PITCH = 92;
/** Lays out the section of one water: bed, surfaces, stations in order, every set at its depth with its level band. */
export function sectionScene(input: SectionInput): SectionScene {
  const it = laidOut(input);
  const { ground, stations, size, top, scale, xOf, yOf, low, high, end, stops, far } = it;
  const { water, earlier, levels, frame } = input;
  const { system } = frame;
  const shores = [ground[0]?.[1] ?? low, ground.at(-1)?.[1] ?? low].map(yOf) as [number, number];
  return {
    ...{ width: size.width, height: size.height, top, scale, stops },
    surfaces: surfacesOf(it, input),
    bed: [[-10, shores[0]], ...ground.map(([along, z]): [number, number] => [xOf(along), yOf(z)]), [size.width + 10, shores[1]]],
    lodges: lodgesOf(it, input),
    before: earlier && {
      ...{ y: yOf(earlier.level), from: 0, to: end, text: `${levelText(earlier.level, frame)} ${earlier.when}` },
      textY: clearOf(yOf(earlier.level), levels.known.pond === undefined ? null : yOf(levels.known.pond)),
    },
    ice: iceOf(it, input),
    ahead: input.ahead ? aheadOf(input.ahead, end, yOf, frame) : null,
    ...standingOf(it, input),
    stations: stations.map((s) => {
      const deep = s.bed !== null || s.crest !== null;
      return { id: s.id, x: xOf(s.along), y: yOf(bedAt(ground, s.along)), text: `${s.number} ${s.name}`, deep };
    }),
    guessed: water.profile.length === 0 && stations.every((s) => s.bed === null && s.crest === null),
    levels: levelTicks(onGauge(low, frame), onGauge(high, frame), system).map((z) => ({
      y: yOf(offGauge(z, frame)),
      text: printLevel(z, system).replace(/ (in|cm|m)$/, ''),
    })),
    ways: spaced(
      wayTicks(far, system).map((along) => ({ x: xOf(along), text: printWay(along, system) })),
      size.width,
    ),
  };
}

/** Where everything of a section lies, before it is drawn: px, and m of elevation. */
type LaidOut = ReturnType<typeof laidOut>;
function laidOut({ water, views, levels, stations: all, size: asked, zoom = 1 }: SectionInput) {
  const stations = soundedBySets(all, views);
  const ground = bedLine(water, stations);
  const far = Math.max(...ground.map(([along]) => along), ...stations.map((s) => s.along), feet(60));
  const taken = new Set(views.map((v) => v.station.id));
  const free = stations.filter((s) => !taken.has(s.id));
  const places = [...new Set([...views.map((v) => v.station), ...free].map((s) => s.along))].sort((a, b) => a - b);
  const width = asked.columns ? LEFT + Math.max(places.length, 3) * PITCH + 30 : asked.width * zoom;
  const size = { width, height: asked.height };
  const across: [number, number][] = [
    [0, LEFT],
    [far, width - RIGHT - 40],
  ];
  const stops = asked.columns ? columnStops(places, far) : across;
  const xOf = (along: number): number => between(stops, along);
  const marks = keptLabels(views, all, width, () => {
    const named = [...views.map(({ number, name, station }) => ({ number, name, along: station.along })), ...free];
    return labelled(named, xOf, width - (asked.columns ? 0 : RIGHT));
  });
  const top = 12 + Math.max(1, ...marks.map((m) => m.label.row + 1)) * ROW;
  const [low, high] = range(ground, stations, views, levels);
  const scale = (size.height - top - FOOT) / (high - low);
  const yOf = (z: number): number => top + (high - z) * scale;
  const dam = stations.find((s) => s.kind === 'dam' && s.surface === 'pond');
  // a pond ends at its dam, whether the water below it was ever read or not
  const end = dam && (water.kind === 'pond' || levels.known.tail !== undefined) ? xOf(dam.along) : size.width;
  return { ground, stations, free, far, size, stops, xOf, yOf, marks, top, low, high, scale, dam, end };
}

/** The pond up to its dam, and the water below it from there on. */
function surfacesOf({ yOf, end, size, dam }: LaidOut, { levels: { known, age }, frame }: SectionInput): SectionScene['surfaces'] {
  const one = (surface: 'pond' | 'tail', level: number, from: number, to: number): SectionScene['surfaces'][number] => {
    const text = `${surface === 'tail' ? levelText(level, frame, 'tail') : levelText(level, frame)}${agedText(age[surface])}`;
    return { surface, level, y: yOf(level), from, to, text };
  };
  return [
    ...(known.pond === undefined ? [] : [one('pond', known.pond, 0, end)]),
    ...(known.tail === undefined || !dam ? [] : [one('tail', known.tail, end, size.width)]),
  ];
}

const lodgesOf = ({ stations, ground, xOf, yOf, high }: LaidOut, { size }: SectionInput): SectionScene['lodges'] =>
  stations
    .filter((s) => s.kind === 'lodge' && s.crest !== null)
    .map((s) => ({ x: xOf(s.along), top: yOf(s.crest ?? high), base: yOf(bedAt(ground, s.along)), half: size.columns ? 40 : 84 }));

/** The sets as they stand, and the places without one, each under its label. */
function standingOf(it: LaidOut, { views, levels, frame }: SectionInput): Pick<SectionScene, 'sets' | 'free'> {
  const { xOf, yOf, scale, top, size, ground, free } = it;
  const scales: Scales = { xOf, yOf, scale, top, bottom: size.height - FOOT };
  const markOf = (i: number) => {
    const { label, full } = it.marks[i] as { label: PlacedLabel; full: string };
    return { label: { ...label, y: 12 + label.row * ROW }, full };
  };
  return {
    sets: views.map((view, i) => sectionSet(view, markOf(i), scales, { levels, frame, bedAt: (along) => bedAt(ground, along) })),
    free: free.map((s, i) => ({ id: s.id, x: xOf(s.along), y: yOf(bedAt(ground, s.along)), ...markOf(views.length + i) })),
  };
}

/** How old a reading is that the line is drawn by, where it is old. */
const agedText = (age = 0): string => (age > READING_LASTS ? `, ${spanText(age)} old` : '');

function aheadOf(
  { low, middle, high, called }: Band & { called: string },
  to: number,
  yOf: (z: number) => number,
  frame: Frame,
): NonNullable<SectionScene['ahead']> {
  const text = `${called} ${levelText(middle, frame)}, between ${levelText(low, frame)} and ${levelText(high, frame)}`;
  return { y: yOf(middle), top: yOf(high), bottom: yOf(low), from: 0, to, text };
}

/** The sheet as it floats: nine parts in ten under the water line. */
function iceOf({ yOf, scale, end: to }: LaidOut, { levels: { known }, snow = 0, frame }: SectionInput): SectionScene['ice'] {
  if (known.pond === undefined || !known.sheet) return null;
  return {
    y: yOf(known.pond + (1 - ICE_RATIO) * known.sheet),
    height: known.sheet * scale,
    snow: snow * scale,
    from: 0,
    to,
    text: `${printLength(known.sheet, frame.system)} of ice`,
  };
}

/** Baseline of yesterday's words: over its line, and clear of those of the waterline of now. */
function clearOf(y: number, now: number | null): number {
  if (now === null || Math.abs(now - y) > 20) return y - 5;
  return y <= now ? Math.min(y - 5, now - 24) : y + 16;
}

/** Where the shore lies when the sets stand at an equal pitch; between two sets the way is stretched evenly. */
const columnStops = (places: number[], far: number): [number, number][] => [
  [-1, LEFT - PITCH / 2],
  ...places.map((p, i): [number, number] => [p, LEFT + (i + 0.5) * PITCH]),
  [far + 1, LEFT + (places.length + 0.5) * PITCH],
];

/** On the straight line between the two neighbours, carried on beyond the ends. */
function between(stops: readonly [number, number][], at: number): number {
  const after = stops.findIndex(([p]) => p >= at);
  const upper = after < 0 ? stops.length - 1 : Math.max(after, 1);
  const [a, b] = [stops[upper - 1], stops[upper]];
  if (!a || !b) return LEFT;
  return a[1] + ((at - a[0]) / (b[0] - a[0] || 1)) * (b[1] - a[1]);
}

/** x of a way along the shore, m. */
export const xAt = ({ stops }: Pick<SectionScene, 'stops'>, along: number): number => between(stops, along);

/** The way along the shore, m, at an x of the section; null before the inlet and beyond the last stop. */
export function alongAt({ stops }: Pick<SectionScene, 'stops'>, x: number): number | null {
  const along = between(
    stops.map(([a, b]): [number, number] => [b, a]),
    x,
  );
  return along < 0 || along > (stops.at(-1)?.[0] ?? 0) ? null : along;
}

interface Named {
  number: number;
  name: string;
  along: number;
}

function labelled(things: Named[], xOf: (along: number) => number, to: number): Labels {
  const full = things.map((t) => `${t.number} ${t.name}`);
  const labels = things.map((t, i) => ({ text: fitted(full[i] ?? '', LABEL_SIZE, 170), at: xOf(t.along) }));
  return placeLabels(labels, LABEL_SIZE, { from: 4, to }, 16).map((label, i) => ({ label, full: full[i] ?? '' }));
}

type Labels = { label: PlacedLabel; full: string }[];
const KEPT = new WeakMap<SetView[], { stations: Station[]; width: number; labels: Labels }>();

/** Labels stand where they stood while only the level moves. */
function keptLabels(views: SetView[], stations: Station[], width: number, place: () => Labels): Labels {
  const known = KEPT.get(views);
  if (known?.stations === stations && known.width === width) return known.labels;
  const labels = place();
  KEPT.set(views, { stations, width, labels });
  return labels;
}

/** Stations with the bed that was measured for a set there, where nobody measured it for the place itself. */
function soundedBySets(stations: Station[], views: readonly SetView[]): Station[] {
  if (stations.every((s) => s.bed)) return stations;
  const floors = new Map(
    views.flatMap((v) => {
      const floor = v.layout.free.map((f) => f.floor).find((f) => typeof f === 'number');
      return typeof floor === 'number' ? [[v.station.id, floor] as const] : [];
    }),
  );
  return stations.map((s) => {
    const floor = floors.get(s.id);
    return s.bed || floor === undefined ? s : { ...s, bed: { depth: 0, level: floor, at: '' } };
  });
}

/** The bed from the drawn profile and every measured station, along and elevation, m. */
function bedLine(water: Pick<WaterBody, 'profile'>, stations: Station[]): [number, number][] {
  const drawn = water.profile.map(({ along, bed }): [number, number] => [along, bed]);
  const near = (along: number): boolean => drawn.some(([a]) => Math.abs(a - along) < 2);
  const measured = stations.flatMap((s): [number, number][] =>
    s.bed && s.kind !== 'lodge' && !isOnShore(s) && !near(s.along) ? [[s.along, s.bed.level - s.bed.depth]] : [],
  );
  const dams = stations.flatMap((s): [number, number][] =>
    s.kind === 'dam' && s.crest !== null && !near(s.along) ? [[s.along, s.crest]] : [],
  );
  const all = [...drawn, ...measured, ...dams].sort((a, b) => a[0] - b[0]);
  return all.length === 0
    ? [
        [0, -0.6],
        [feet(60), -0.6],
      ]
    : all;
}

/** The bed at a place of the shore, linear between the points of its line, held at its ends. */
function bedAt(ground: [number, number][], along: number): number {
  let [low, high] = [0, ground.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((ground[middle] as [number, number])[0] < along) low = middle + 1;
    else high = middle;
  }
  const [a, b] = [ground[low - 1], ground[low]];
  if (!a || !b) return (a ?? b)?.[1] ?? 0;
  return a[1] + ((along - a[0]) / (b[0] - a[0] || 1)) * (b[1] - a[1]);
}

/** The lowest and the highest thing that is drawn, with some room. */
function range(ground: [number, number][], stations: Station[], views: SetView[], levels: Water): [number, number] {
  let [low, high] = [Infinity, -Infinity];
  const reach = (bottom: number, top = bottom): void => {
    low = Math.min(low, bottom);
    high = Math.max(high, top);
  };
  for (const point of ground) reach(point[1]);
  for (const { crest } of stations) if (crest !== null) reach(crest);
  for (const level of Object.values(levels.known)) reach(level);
  for (const { layout } of views)
    for (const part of layout.parts) {
      const z = part.device ? bottomAt(part, levels.known) : null;
      if (z !== null) reach(z, z + part.height);
    }
  return [low - 5 * INCH, high + 5 * INCH];
}

function levelTicks(low: number, high: number, system: System): number[] {
  const step = system === 'us' ? 12 * INCH : 0.25;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.max(0, Math.floor((high - first) / step) + 1) }, (_, i) => first + i * step);
}

function wayTicks(far: number, system: System): number[] {
  const unit = system === 'us' ? feet(1) : 1;
  const steps = [10, 20, 25, 50, 100, 200, 500, 1000, 2000, 5000];
  const step = (steps.find((s) => far / (s * unit) <= 10) ?? 10_000) * unit;
  return Array.from({ length: Math.floor(far / step) + 1 }, (_, i) => i * step);
}
