import { BUILDS } from '../animals/species';
import { ICE_RATIO } from '../ice/growth';
import type { Design, Mark, Travel } from '../sets/design';
import type { System } from '../units/factors';
import { printLength } from '../units/length';
import type { Known } from '../water/levels';
import { bottomAt, type Part } from '../water/part';
import { animalFront, animalSide, atTheWater, onTheGround } from './glyphs/animal';
import { jawsFront, jawsSide, loopFront, loopSide, pan } from './glyphs/devices';
import { drawThing } from './glyphs/things';
import { textWidth } from './labels';
import { placeAround, type Box, type Segment, type Wish } from './placing';
import type { Ink, Point, Stroke } from './stroke';

export type View = 'side' | 'eye';

export interface Shape {
  part: string;
  /** SVG path, px */
  d: string;
  ink: Ink;
  fill: 'ink' | 'pale' | 'none';
  width: number;
  dash: boolean;
}

export interface Dimension {
  /** the number it stands for; null when it follows from others */
  key: string | null;
  label: string;
  text: string;
  /** the line with its two ends, px; `to` is the end that moves */
  from: Point;
  to: Point;
  /** px per metre of the number, on the drawing */
  pull: Point;
  /** box of its text */
  box: Box;
  /** a thin line from text to dimension where they lie apart */
  leader: Segment | null;
}

export interface DesignScene {
  view: View;
  width: number;
  height: number;
  /** px per metre, both ways */
  scale: number;
  /** SVG path of bed and banks */
  ground: string;
  /** the bank beyond the way, seen over the water from the side */
  beyond: { y: number; height: number } | null;
  /** the surface, from where to where it reaches: a dam ends it */
  water: { y: number; from: number; to: number; box: Box } | null;
  /** the water as it stood when the set was made, where that was another level */
  made: { y: number; text: [x: number, y: number] } | null;
  ice: { y: number; height: number } | null;
  shapes: Shape[];
  /** box of each part that is drawn */
  boxes: Record<string, Box>;
  dimensions: Dimension[];
  /** the same numbers in words */
  twin: string[];
}

const SIZE = 14;
const TALL = 17;
/** As the animal comes: what lies further before the set than this is behind it. */
const BEHIND = -0.7;

/** Whether a part is drawn as the animal meets the set: what it has passed already is not. */
export const isAhead = (part: Part): boolean => (part.kind === 'line' ? part.x - part.wide / 2 : part.x + part.wide / 2) >= BEHIND;

/** How a design is looked at. */
export interface Look {
  view: View;
  /** the levels to draw it at, and which surface stands there */
  known: Known;
  surface: 'pond' | 'tail';
  frame: { width: number; height: number };
  system: System;
  /** leaves the lengths out, for small pictures */
  bare?: boolean;
  /** the level when it was made, m: drawn where it is another one now, since lengths are measured from it */
  made?: number | null;
}

/** A look with what every piece of the drawing asks of it. */
interface Seen extends Required<Look> {
  design: Design;
  /** the level of its surface, m; null where none is known */
  level: number | null;
  put: (p: Point) => Point;
  scale: number;
}

/** A design from the side (x along the travel) or as the animal meets it (y across), to one scale both ways. What is drawn is the parts list, part for part. */
export function designScene(design: Design, look: Look): DesignScene {
  const { view, known, surface, frame, bare = false, made = null } = look;
  const level = known[surface] ?? null;
  const parts = design.parts.filter((part) => view === 'side' || isAhead(part));
  const strokes = [...parts].sort(byDepth(view)).flatMap((part) => drawPart(part, view, bottomAt(part, known) ?? part.z.k));
  const animals = animalsOf(design, { view, level, made });
  const line = view === 'side' ? design.ground : design.front;
  const marks = bare ? [] : design.marks.filter((mark) => mark.view === view);
  const points = [...[...strokes, ...animals].flatMap((s) => s.line), ...line, ...marks.flatMap((m) => [m.at, m.to])];
  if (points.length === 0) return nothing(view, frame);
  const { left, bottom, scale } = fitted(points, level, frame, bare);
  const put = ([h, z]: Point): Point => [left + h * scale, bottom - z * scale];
  const seen: Seen = { ...look, bare, made, design, level, put, scale };
  const boxes = boxesOf(strokes, put);
  const devices = parts.flatMap((part) => (part.device ? [boxes[part.id]] : [])).filter((box): box is Box => box !== undefined);
  const { water, dimensions, taken } = lettered(seen, marks, devices);
  return {
    ...frame,
    view,
    scale,
    ground: groundPath(line.map(put), frame),
    beyond: view === 'side' && level !== null ? bankBeyond(design.front, level, put) : null,
    water,
    made: bare || made === null || level === null || Math.abs(made - level) < 0.01 ? null : madeAt(put([0, made])[1], taken),
    ice: known.sheet && level !== null ? { y: put([0, level + (1 - ICE_RATIO) * known.sheet])[1], height: known.sheet * scale } : null,
    shapes: [...animals, ...strokes].map((s) => shapeOf(s, put)),
    boxes,
    dimensions,
    twin: twinOf(seen, dimensions),
  };
}

const nothing = (view: View, frame: Look['frame']): DesignScene => ({
  ...frame,
  ...{ view, scale: 1, ground: '', beyond: null, water: null, made: null, ice: null, shapes: [], boxes: {}, dimensions: [], twin: [] },
});

/** The animals on their way, at the water as it stands now. */
function animalsOf({ travel, ground }: Design, { view, level, made }: Pick<Seen, 'view' | 'level' | 'made'>): Stroke[] {
  const there = (own: Travel): Travel => (made === null || level === null ? own : atTheWater(own, ground, made, level));
  return travel
    .map((own) => onTheGround(there(own), ground, level))
    .flatMap((own) => (view === 'side' ? animalSide(own) : animalFront(own)));
}

/** The lengths and the word of the water, each where it covers nothing. @param devices boxes of what is looked for */
function lettered(seen: Seen, marks: Mark[], devices: readonly Box[]): Pick<DesignScene, 'water' | 'dimensions'> & { taken: Box[] } {
  const { put, level, frame } = seen;
  const dims = lanes(marks).map((mark) => dimensionOf(mark, seen));
  const y = level === null ? null : put([0, level])[1];
  const [from, to] = waterEnds(seen);
  const segments = dims.map(({ from, to }): Segment => [...from, ...to]);
  if (y !== null) segments.push([from, y, to, y]);
  const handles = dims.map(({ to: [x, y] }): Box => ({ x: x - 7, y: y - 7, width: 14, height: 14 }));
  const own: Wish = { width: WATER_WIDE, height: TALL, spots: y === null ? [] : waterSpots([from, to], y, frame.width) };
  const [box, ...labels] = placeAround([own, ...dims.map((d) => wishOf(d))], frame, segments, [...devices, ...handles]);
  return {
    water: y === null || !box ? null : { y, from, to, box },
    taken: box ? [box, ...labels] : labels,
    dimensions: dims.map((d, i) => {
      const label = labels[i] ?? { x: 0, y: 0, width: 0, height: 0 };
      return { ...d, box: label, leader: leaderOf(d, label) };
    }),
  };
}

/** From where to where the water is drawn, px. */
function waterEnds({ level, view, design, surface, put, frame }: Seen): [from: number, to: number] {
  const reach = level === null || view === 'eye' ? null : wetReach(design.ground, level, surface);
  return reach ? (reach.map((h) => Math.min(frame.width, Math.max(0, put([h, 0])[0]))) as Point) : [0, frame.width];
}

const WATER_WIDE = textWidth('water', SIZE);

/** Where the word of the water may stand: at the end that is open first. */
const waterSpots = ([from, to]: [number, number], y: number, width: number): Point[] =>
  ([to - WATER_WIDE / 2 - 6, from + WATER_WIDE / 2 + 6].map((x) => [x, y - 11]) as Point[]).sort(([a], [b]) =>
    to < width ? a - b : b - a,
  );

/**
 * From where to where a surface reaches along the travel, m: where the ground stands out between two waters the one belongs to the pond,
 * before it, the other to what lies below the dam.
 */
function wetReach(ground: readonly Point[], level: number, surface: 'pond' | 'tail'): [number, number] {
  const shores = ground.slice(1).flatMap(([h, z], i) => {
    const [before, under] = ground[i] ?? [h, z];
    return under < level === z < level ? [] : [before + ((level - under) / (z - under)) * (h - before)];
  });
  const [first, last] = [shores[0], shores.at(-1)];
  const isDam = first !== undefined && last !== undefined && [ground[0], ground.at(-1)].every((end) => end && end[1] < level);
  if (!isDam) return [-Infinity, Infinity];
  return surface === 'pond' ? [-Infinity, first] : [last, Infinity];
}

export const MADE = 'when it was set';
/** Where the word of that line stands: over it or under it, at its begin or further along, clear of what has a place already and of the title on top. */
function madeAt(
  y: number,
  taken: readonly { x: number; y: number; width: number; height: number }[],
): { y: number; text: [number, number] } {
  const [width, title] = [textWidth(MADE, 13), { x: 0, y: 0, width: 110, height: 30 }];
  const isFree = ([x, base]: [number, number]): boolean =>
    [...taken, title].every((o) => x + width < o.x || x > o.x + o.width || base + 4 < o.y || base - 12 > o.y + o.height);
  const spots = [8, 120, 200].flatMap((x): [number, number][] => [
    [x, y - 5],
    [x, y + 16],
  ]);
  return { y, text: spots.find(isFree) ?? [8, y - 5] };
}

/** What stands nearer to the eye is drawn later; devices last, since they are what is looked for. */
const byDepth =
  (view: View) =>
  (a: Part, b: Part): number =>
    rank(a) - rank(b) || (view === 'side' ? b.y - a.y : b.x - a.x);

const rank = (part: Part): number => {
  if (['wall', 'pipe', 'ceiling', 'box', 'tree'].includes(part.kind)) return 0;
  if (part.kind === 'line') return 3;
  return part.device && part.kind !== 'bed' && part.kind !== 'stone' ? 2 : 1;
};

function drawPart(part: Part, view: View, z: number): Stroke[] {
  if (part.kind === 'jaws') return view === 'side' ? jawsSide(part, z) : jawsFront(part, z);
  if (part.kind === 'loop') return view === 'side' ? loopSide(part, z) : loopFront(part, z);
  const at = view === 'side' ? part.x : part.y;
  const wide = view === 'side' ? part.wide : part.across;
  return part.kind === 'pan' ? pan(part, at, z) : drawThing({ part, at, wide, z, view });
}

/** Scale and place of the drawing in its frame: everything inside, with room for words. */
function fitted(
  points: Point[],
  surface: number | null,
  frame: { width: number; height: number },
  bare: boolean,
): { left: number; bottom: number; scale: number } {
  const hs = points.map(([h]) => h);
  const zs = [...points.map(([, z]) => z), ...(surface === null ? [] : [surface, surface + 0.06])];
  const [left, right, low, high] = [Math.min(...hs), Math.max(...hs), Math.min(...zs), Math.max(...zs)];
  const pad = bare ? { x: 6, y: 6 } : { x: 30, y: 22 };
  const scale = Math.min((frame.width - 2 * pad.x) / Math.max(right - left, 0.1), (frame.height - 2 * pad.y) / Math.max(high - low, 0.1));
  const x = (frame.width - (right - left) * scale) / 2 - left * scale;
  const y = frame.height - (frame.height - (high - low) * scale) / 2 + low * scale;
  return { left: x, bottom: y, scale };
}

/** Upright lengths that would lie on each other step aside. */
function lanes(marks: Mark[]): Mark[] {
  const taken: { h: number; low: number; high: number }[] = [];
  return marks.map((mark) => {
    if (mark.grows[0] !== 0) return mark;
    const [low, high] = [Math.min(mark.at[1], mark.to[1]), Math.max(mark.at[1], mark.to[1])];
    let h = mark.at[0];
    while (taken.some((t) => Math.abs(t.h - h) < 0.03 && t.low < high + 0.02 && low < t.high + 0.02)) h += 0.045;
    taken.push({ h, low, high });
    return { ...mark, at: [h, mark.at[1]], to: [h, mark.to[1]] };
  });
}

function dimensionOf(mark: Mark, { put, scale, system }: Pick<Seen, 'put' | 'scale' | 'system'>): Omit<Dimension, 'box' | 'leader'> {
  const length = Math.hypot(mark.to[0] - mark.at[0], mark.to[1] - mark.at[1]);
  return {
    key: mark.key,
    label: mark.label,
    text: printLength(length, system),
    from: put(mark.at),
    to: put(mark.to),
    pull: [mark.grows[0] * scale, -mark.grows[1] * scale],
  };
}

function wishOf({ from, to, text, pull }: Omit<Dimension, 'box' | 'leader'>): Wish {
  const width = textWidth(text, SIZE);
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const upright = pull[0] === 0;
  const short = Math.abs(to[1] - from[1]) < 22;
  const spots: Point[] = upright
    ? [
        ...(short ? [[x, Math.min(from[1], to[1]) - TALL / 2 - 2] as Point] : []),
        [x + width / 2 + 6, y],
        [x - width / 2 - 6, y],
        [x + width / 2 + 6, from[1] + (to[1] - from[1]) * 0.25],
        [x - width / 2 - 6, from[1] + (to[1] - from[1]) * 0.75],
      ]
    : [
        [x, y - TALL / 2 - 2],
        [x, y + TALL / 2 + 3],
      ];
  return { width, height: TALL, spots };
}

/** A leader is drawn where the words had to go further than beside their line. */
function leaderOf({ from, to }: { from: Point; to: Point }, box: Box): Segment | null {
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const near: Point = [Math.min(Math.max(middle[0], box.x), box.x + box.width), Math.min(Math.max(middle[1], box.y), box.y + box.height)];
  return Math.hypot(near[0] - middle[0], near[1] - middle[1]) > 26 ? [...near, ...middle] : null;
}

const round = (n: number): number => Math.round(n * 10) / 10;

const pathOf = (points: Point[], closed: boolean): string =>
  `M${points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}${closed ? 'Z' : ''}`;

const shapeOf = ({ part, line, ink, fill, width, dash, closed }: Stroke, put: (p: Point) => Point): Shape => ({
  part,
  d: pathOf(line.map(put), closed ?? false),
  ink,
  fill: fill ?? 'none',
  width,
  dash: dash ?? false,
});

function boxesOf(strokes: Stroke[], put: (p: Point) => Point): Record<string, Box> {
  const found: Record<string, Box> = {};
  for (const { part, line } of strokes) {
    const before = found[part];
    const points = line.map(put);
    const xs = [...points.map(([x]) => x), ...(before ? [before.x, before.x + before.width] : [])];
    const ys = [...points.map(([, y]) => y), ...(before ? [before.y, before.y + before.height] : [])];
    const [x, y] = [Math.min(...xs), Math.min(...ys)];
    found[part] = { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
  }
  return found;
}

function groundPath(points: Point[], { width, height }: { width: number; height: number }): string {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return '';
  return pathOf([[-5, height + 5], [-5, first[1]], ...points, [width + 5, last[1]], [width + 5, height + 5]], true);
}

/** The nearer-to-the-left bank of the section, as a strip over the water; a wall or a mound is a part of its own. */
function bankBeyond(front: Point[], surface: number, put: (p: Point) => Point): DesignScene['beyond'] {
  const high = Math.max(...front.slice(0, 2).map(([, z]) => z), ...front.slice(-2).map(([, z]) => z));
  if (front.length < 4 || high - surface < 0.03) return null;
  const [top, foot] = [put([0, Math.min(high, surface + 0.14)])[1], put([0, surface])[1]];
  return { y: top, height: foot - top };
}

/** The numbers of the drawing in words, with the animal that is drawn. */
function twinOf({ design, view, level, known, system }: Seen, dims: readonly Dimension[]): string[] {
  const lengths = dims.map(({ label, text }) => `${label} ${text}.`);
  const ice = known.sheet ? [`${printLength(known.sheet, system)} of ice.`] : [];
  const who = design.travel[0];
  const animal = who
    ? [`Drawn at true size: ${BUILDS[who.build].called}, ${printLength(BUILDS[who.build].body, system)} without its tail.`]
    : [];
  const dry = level === null ? ['No level was read: the drawing takes the water as it is seen.'] : [];
  return [...lengths, ...ice, ...(view === 'side' ? animal : []), ...dry];
}
