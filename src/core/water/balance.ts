import { breakFlow, pipeFlow, type BreakShape, type Pipe } from './outflow';

/** Area of a pond by level, m and m², in rising order; linear between its rows, held beyond them. */
export type AreaTable = readonly { level: number; area: number }[];

export interface OpenBreak {
  shape: BreakShape;
  /** elevation of the sill, m */
  sill: number;
  /** seconds from the start; it is shut before and after */
  from: number;
  to: number;
  cd: number;
}

/** What fills and drains a pond. Flows m³/s, levels m in the water's datum, times s from the start. */
export interface PondModel {
  area: AreaTable;
  inflow: number;
  seepage: number;
  /** tailwater elevation below the dam, m; held */
  tail: number;
  breaks: readonly OpenBreak[];
  pipes: readonly (Pipe & { sill: number })[];
}

export interface CoursePoint {
  /** s from the start */
  at: number;
  level: number;
  /** what ran out since the start, m³ */
  out: number;
}

/** The area at a level, m². @throws RangeError when the table is empty or an area is not above 0 */
export function areaAt(table: AreaTable, level: number): number {
  const [first] = table;
  const last = table.at(-1);
  if (!first || !last || table.some((row) => !(row.area > 0))) throw new RangeError('a pond needs an area above 0 at every level');
  if (level <= first.level) return first.area;
  const upper = table.findIndex((row) => row.level >= level);
  const [a, b] = [table[upper - 1], table[upper]];
  if (!a || !b) return last.area;
  return a.area + ((level - a.level) / (b.level - a.level)) * (b.area - a.area);
}

/** Volume between two levels, m³: the area table integrated, exactly. */
export function volumeBetween(table: AreaTable, from: number, to: number): number {
  if (to < from) return -volumeBetween(table, to, from);
  const stops = [from, ...table.map((row) => row.level).filter((l) => l > from && l < to), to];
  return stops.slice(1).reduce((sum, level, i) => {
    const before = stops[i] ?? level;
    return sum + ((areaAt(table, before) + areaAt(table, level)) / 2) * (level - before);
  }, 0);
}

function outflowAt(model: PondModel, level: number, time: number): number {
  let flow = model.seepage;
  for (const b of model.breaks) if (time >= b.from && time < b.to) flow += breakFlow(b.shape, level - b.sill, model.tail - b.sill, b.cd);
  for (const p of model.pipes) flow += pipeFlow(p, level - p.sill, model.tail - p.sill);
  return flow;
}

// Dormand–Prince, fifth order with the fourth beside it. @source any handbook of numerical methods; checked against the package odex
const C = [0, 1 / 5, 3 / 10, 4 / 5, 8 / 9, 1, 1];
const A = [
  [],
  [1 / 5],
  [3 / 40, 9 / 40],
  [44 / 45, -56 / 15, 32 / 9],
  [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
  [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
  [35 / 384, 0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84],
];
const B5 = [35 / 384, 0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84, 0];
const B4 = [5179 / 57600, 0, 7571 / 16695, 393 / 640, -92097 / 339200, 187 / 2100, 1 / 40];

/**
 * The course of a pond: `A(L)·dL/dt = Q_in − Q_break(L, L_tail) − Q_pipe − seepage`, by an adaptive integrator that stops at every opening and mending.
 *
 * @param hours how far, h
 * @param every a point at least this often, s
 * @returns points in the order of time, the first at 0
 * @throws RangeError when an area is not above 0
 */
export function pondCourse(model: PondModel, start: number, hours: number, every = 900): CoursePoint[] {
  const end = hours * 3600;
  const events = model.breaks.flatMap((b) => [b.from, b.to]).filter((t) => t > 0 && t < end);
  const stops = [...new Set([...events, ...Array.from({ length: Math.floor(end / every) }, (_, i) => (i + 1) * every), end])].sort(
    (a, b) => a - b,
  );
  const points: CoursePoint[] = [{ at: 0, level: start, out: 0 }];
  let [time, level, out] = [0, start, 0];
  let step = 60;
  for (const stop of stops) {
    // a break that shuts at this stop is still open on the way to it
    const middle = (time + stop) / 2;
    const slope = (l: number): [number, number] => {
      const q = outflowAt(model, l, middle);
      return [(model.inflow - q) / areaAt(model.area, l), q];
    };
    while (stop - time > 1e-9) {
      const h = Math.min(step, stop - time);
      const k: [number, number][] = [];
      for (let i = 0; i < C.length; i += 1) k.push(slope(level + h * (A[i] ?? []).reduce((sum, a, j) => sum + a * (k[j]?.[0] ?? 0), 0)));
      const sum = (weights: number[], of: 0 | 1): number => weights.reduce((s, w, i) => s + w * (k[i]?.[of] ?? 0), 0) * h;
      const error = Math.abs(sum(B5, 0) - sum(B4, 0)) + Math.abs(sum(B5, 1) - sum(B4, 1)) / areaAt(model.area, level);
      const allowed = 1e-10 * Math.max(1, h / 60);
      if (error <= allowed || h < 1e-3) {
        time += h;
        level += sum(B5, 0);
        out += sum(B5, 1);
      }
      step = Math.min(1800, Math.max(1e-3, 0.9 * h * (error === 0 ? 5 : Math.min(5, (allowed / error) ** 0.2))));
    }
    points.push({ at: stop, level, out });
  }
  return points;
}

/** The level at a time of a course, linear between its points. */
export function levelOn(course: readonly CoursePoint[], at: number): number {
  const after = course.findIndex((p) => p.at >= at);
  const [a, b] = [course[after - 1], course[after]];
  if (!b) return course.at(-1)?.level ?? NaN;
  if (!a) return b.level;
  return a.level + ((at - a.at) / (b.at - a.at)) * (b.level - a.level);
}
