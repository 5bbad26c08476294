import { integrate } from './integrator';
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
  /** it is cut wider by the water: metres of width a second between two times */
  widens?: { from: number; to: number; by: number };
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
  /** crest of the dam over which a high pond runs: elevation and length, m */
  crest?: { level: number; length: number } | null;
  /** what comes besides the inflow for a while: rain */
  rain?: readonly { from: number; to: number; flow: number }[];
}

export interface CoursePoint {
  /** s from the start */
  at: number;
  level: number;
  /** what ran out since the start, m³ */
  out: number;
}

/** @throws RangeError when the table is empty or an area is not above 0 */
function assertAreas(table: AreaTable): void {
  if (table.length === 0 || table.some((row) => !(row.area > 0))) throw new RangeError('a pond needs an area above 0 at every level');
}

function area(table: AreaTable, level: number): number {
  const last = table[table.length - 1] as AreaTable[number];
  if (table.length === 1 || level >= last.level) return last.area;
  const first = table[0] as AreaTable[number];
  if (level <= first.level) return first.area;
  let i = 1;
  while ((table[i] as AreaTable[number]).level < level) i += 1;
  const [a, b] = [table[i - 1] as AreaTable[number], table[i] as AreaTable[number]];
  return a.area + ((level - a.level) / (b.level - a.level)) * (b.area - a.area);
}

/** The area at a level, m². @throws RangeError when the table is empty or an area is not above 0 */
export function areaAt(table: AreaTable, level: number): number {
  assertAreas(table);
  return area(table, level);
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

/** A break as wide as it has been cut at a time. */
function widened({ shape, widens }: OpenBreak, time: number): BreakShape {
  if (!widens || time <= widens.from) return shape;
  const more = (Math.min(time, widens.to) - widens.from) * widens.by;
  return shape.kind === 'V' ? { kind: 'trapezoid', width: more, side: shape.side } : { ...shape, width: shape.width + more };
}

/** A pond and its tailwater that differ by less than this are all but one surface, m: the flow between them eases off evenly, and does not chatter. */
const ONE_SURFACE = 0.001;

/** A flow under a head, eased where the tailwater all but reaches it. */
function eased(flow: (head: number) => number, head: number, tail: number): number {
  const over = head - tail;
  return tail > 0 && over > 0 && over < ONE_SURFACE ? (flow(tail + ONE_SURFACE) * over) / ONE_SURFACE : flow(head);
}

/** What runs out of a pond at a level, m³/s; `middle` tells which breaks are open on the way to the next stop. */
function outflowAt(model: PondModel, level: number, time: number, middle: number): number {
  let flow = model.seepage;
  for (const b of model.breaks)
    if (middle >= b.from && middle < b.to) {
      const [shape, tail] = [b.widens ? widened(b, time) : b.shape, model.tail - b.sill];
      flow += eased((head) => breakFlow(shape, head, tail, b.cd), level - b.sill, tail);
    }
  for (const p of model.pipes) flow += eased((head) => pipeFlow(p, head, model.tail - p.sill), level - p.sill, model.tail - p.sill);
  if (model.crest && level > model.crest.level)
    flow += breakFlow({ kind: 'rectangle', width: model.crest.length }, level - model.crest.level, model.tail - model.crest.level);
  return flow;
}

/** Times at which something opens, shuts or begins to rain. */
function eventsOf({ breaks, rain = [] }: PondModel, end: number): number[] {
  const all = [
    ...breaks.flatMap((b) => [b.from, b.to, ...(b.widens ? [b.widens.from, b.widens.to] : [])]),
    ...rain.flatMap((r) => [r.from, r.to]),
  ];
  return all.filter((t) => t > 0 && t < end);
}

/** Largest error of a step, m; a course of a day ends some thousand times nearer than any gauge is read. */
const ALLOWED = 1e-9;
/** The same for a forecast, whose doubts are centimeters. */
export const ROUGH = 1e-6;

/**
 * The course of a pond: `A(L)·dL/dt = Q_in + rain − Q_break(L, L_tail) − Q_crest − Q_pipe − seepage`. It is run from one opening, mending or
 * shower to the next, since between them nothing jumps, and read off at equal times by dense output.
 *
 * @param hours how far, h
 * @param every a point at least this often, s
 * @param allowed largest error of a step, m
 * @returns points in the order of time, the first at 0
 * @throws RangeError when an area is not above 0, or something is not a number
 * @source Dormand and Prince, see the integrator
 */
export function pondCourse(model: PondModel, start: number, hours: number, every = 900, allowed = ALLOWED): CoursePoint[] {
  assertAreas(model.area);
  const end = hours * 3600;
  const events = [...new Set([...eventsOf(model, end), end])].sort((a, b) => a - b);
  const points: CoursePoint[] = [{ at: 0, level: start, out: 0 }];
  let [time, level, out] = [0, start, 0];
  let next = every;
  for (const stop of events) {
    const middle = (time + stop) / 2;
    const rain = (model.rain ?? []).reduce((sum, r) => sum + (middle >= r.from && middle < r.to ? r.flow : 0), 0);
    const [since, from, before, come] = [time, level, out, model.inflow + rain];
    const steady = model.breaks.every((b) => !b.widens || middle < b.from || middle >= b.to);
    const rises = (at: number, l: number): number => (come - outflowAt(model, l, at, middle)) / area(model.area, l);
    // what ran out is what came in less what is stored: summed up beside the level it would drift where a drowned break all but stops
    const outAt = (at: number, l: number): number => before + come * (at - since) - volumeBetween(model.area, from, l);
    level = integrate(rises, { start: time, value: level, end: stop }, { allowed, first: 60, steady }, (begun, to, valueAt) => {
      for (; next > begun && next <= to && next < stop; next += every) {
        const l = valueAt(next);
        points.push({ at: next, level: l, out: outAt(next, l) });
      }
    });
    out = outAt(stop, level);
    if (Number.isNaN(level)) throw new RangeError('the water balance was given something that is not a number');
    time = stop;
    if (next === stop) next += every;
    points.push({ at: stop, level, out });
  }
  return points;
}

/** The level at a time of a course, linear between its points, held at its ends. */
export function levelOn(course: readonly CoursePoint[], at: number): number {
  let [low, high] = [0, course.length - 1];
  const [first, last] = [course[low], course[high]];
  if (!first || !last) return NaN;
  if (at <= first.at) return first.level;
  if (at >= last.at) return last.level;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((course[middle] as CoursePoint).at <= at) low = middle;
    else high = middle;
  }
  const [a, b] = [course[low] as CoursePoint, course[high] as CoursePoint];
  return a.level + ((at - a.at) / (b.at - a.at)) * (b.level - a.level);
}
