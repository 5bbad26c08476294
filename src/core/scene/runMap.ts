import { way, type Position } from '../ground/geodesic';
import type { GroundKind, Shape } from '../record/scouting';
import { FOOT, type System } from '../units/factors';
import { textWidth } from './labels';
import { placeAround, type Box } from './placing';

export interface Stop {
  id: string;
  label: string;
  at: Position;
}

export interface RunMapAsked<T extends Stop> {
  stops: readonly T[];
  /** the user's own lines and areas */
  ground: readonly { kind: GroundKind; shape: Shape }[];
  /** where the device is; null where its receiver is silent */
  here: Position | null;
  /** only what lies this near to where the device is, m; null: every stop */
  within: number | null;
  /** px */
  width: number;
  height: number;
  system: System;
}

export interface RunMap<T extends Stop> {
  /** with their places on the drawing, and of their labels' left ends at their middle, px; a path from the mark to a label that lies apart */
  stops: (T & { x: number; y: number; labelX: number; labelY: number; leader: string | null })[];
  lines: { kind: GroundKind; d: string }[];
  here: { x: number; y: number } | null;
  /** a length that reads round, m, and how long it is drawn, px */
  bar: { length: number; px: number };
}

/** Nothing is drawn larger than this fits, m across. */
const LEAST = 60;
const MARGIN = 34;
type Plane = readonly [east: number, north: number];
const TEXT = 14;
/** A label further from its mark than this does not show whose it is, px. */
const APART = 16;

/**
 * The stops of a run as they lie on the ground, north up: distances from the middle are true, and over some miles all of them are.
 *
 * @returns null where no stop has a position
 */
export function runMap<T extends Stop>({ stops, ground, here, within, width, height, system }: RunMapAsked<T>): RunMap<T> | null {
  const [first] = stops;
  if (!first) return null;
  const middle = within !== null && here ? here : first.at;
  const plane = (at: Position): Plane => {
    const { distance, bearing } = way(middle, at);
    const angle = (bearing * Math.PI) / 180;
    return [distance * Math.sin(angle), distance * Math.cos(angle)];
  };
  const lie = stops.map(({ at }) => plane(at));
  const mine = here && plane(here);
  const fit = within !== null && here ? [square(-within), square(within)] : withHere(lie, mine);
  const [east, north] = [fit.map((p) => p[0]), fit.map((p) => p[1])];
  const [wide, tall] = [east, north].map((all) => Math.max(LEAST, Math.max(...all) - Math.min(...all))) as [number, number];
  const scale = Math.min((width - 2 * MARGIN) / wide, (height - 2 * MARGIN) / tall);
  const centre = [east, north].map((all) => (Math.max(...all) + Math.min(...all)) / 2) as [number, number];
  const onPaper = ([e, n]: Plane): [x: number, y: number] => [width / 2 + (e - centre[0]) * scale, height / 2 - (n - centre[1]) * scale];
  const placed = stops.flatMap((stop, i) => {
    const [x, y] = onPaper(lie[i] ?? [0, 0]);
    return inFrame([x, y], width, height) ? [{ ...stop, x, y }] : [];
  });
  const at = mine && inFrame(onPaper(mine), width, height);
  const marks = [...placed, ...(at ? [at] : [])].map(({ x, y }) => ({ x: x - 9, y: y - 9, width: 18, height: 18 }));
  const boxes = placeAround(
    placed.map(({ x, y, label }) => {
      const own = textWidth(label, TEXT) + 4;
      const beside = own / 2 + 12;
      return {
        width: own,
        height: TEXT + 2,
        spots: [
          [x + beside, y],
          [x - beside, y],
          [x, y - 18],
          [x, y + 18],
        ],
      };
    }),
    { width, height },
    [],
    marks,
  );
  return {
    stops: placed.map((stop, i) => labelledBy(stop, boxes[i] ?? { x: stop.x, y: stop.y, width: 0, height: 0 })),
    lines: ground.flatMap(({ kind, shape }) => (shape.type === 'Point' ? [] : [{ kind, d: pathOf(shape, (at) => onPaper(plane(at))) }])),
    here: at,
    bar: barOf(scale, width / 3, system),
  };
}

/** A stop with its label; where that had to go further than beside its mark, a thin line leads to it. */
function labelledBy<T extends { x: number; y: number }>(stop: T, { x, y, width, height }: Box) {
  const [nearX, nearY] = [Math.min(Math.max(stop.x, x), x + width), Math.min(Math.max(stop.y, y), y + height)];
  const isApart = Math.hypot(nearX - stop.x, nearY - stop.y) > APART;
  const leader = isApart ? `M${stop.x.toFixed(1)} ${stop.y.toFixed(1)}L${nearX.toFixed(1)} ${nearY.toFixed(1)}` : null;
  return { ...stop, labelX: x + 2, labelY: y + TEXT / 2 + 1, leader };
}

const square = (both: number): Plane => [both, both];

/** The stops, and the one who walks where he is no further from them than they from each other. */
function withHere(lie: readonly Plane[], mine: Plane | null): readonly Plane[] {
  if (!mine) return lie;
  const [east, north] = [lie.map((p) => p[0]), lie.map((p) => p[1])];
  const reach = Math.max(LEAST, Math.max(...east) - Math.min(...east), Math.max(...north) - Math.min(...north));
  const isNear = lie.some(([e, n]) => Math.hypot(e - mine[0], n - mine[1]) <= reach);
  return isNear ? [...lie, mine] : lie;
}

function inFrame([x, y]: [number, number], width: number, height: number): { x: number; y: number } | null {
  return x >= 0 && x <= width && y >= 0 && y <= height ? { x, y } : null;
}

function pathOf(shape: Exclude<Shape, { type: 'Point' }>, at: (position: Position) => [number, number]): string {
  const points = shape.type === 'Polygon' ? (shape.coordinates[0] ?? []) : shape.coordinates;
  const drawn = points.map((p) =>
    at(p)
      .map((n) => n.toFixed(1))
      .join(' '),
  );
  return `M${drawn.join('L')}${shape.type === 'Polygon' ? 'Z' : ''}`;
}

/** A round length of the system's own unit that is drawn no longer than `most` px. */
function barOf(scale: number, most: number, system: System): RunMap<Stop>['bar'] {
  const unit = system === 'us' ? FOOT : 1;
  const longest = most / scale / unit;
  const ten = 10 ** Math.floor(Math.log10(longest));
  const round = [5, 2, 1].map((n) => n * ten).find((n) => n <= longest) ?? ten;
  return { length: round * unit, px: round * unit * scale };
}
