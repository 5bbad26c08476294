import { printLength } from '../units/length';
import type { System } from '../units/factors';
import type { Interval } from './band';
import { levelOn, pondCourse, type CoursePoint, type OpenBreak, type PondModel } from './balance';
import type { BreakShape } from './outflow';

/** A pond and the break that is thought of. */
export interface BreakPlan {
  /** m, in the water's datum */
  start: number;
  model: Omit<PondModel, 'breaks'>;
  shape: BreakShape;
  sill: number;
  /** breaks that are open already */
  running: readonly Omit<OpenBreak, 'cd'>[];
  /** seconds after the start at which it is mended; null when it is not */
  mended: number | null;
  hours: number;
}

export interface Courses {
  low: CoursePoint[];
  middle: CoursePoint[];
  high: CoursePoint[];
}

/** How far off a break's own coefficient, and an inflow that nobody measured, may be. [practice] */
export const CD_OFF = 0.2;
export const INFLOW_OFF = 0.5;

const course = ({ start, model, shape, sill, running, mended, hours }: BreakPlan, cd: number, inflow: number): CoursePoint[] =>
  pondCourse(
    { ...model, inflow, breaks: [{ shape, sill, from: 0, to: mended ?? Infinity, cd }, ...running.map((b) => ({ ...b, cd }))] },
    start,
    hours,
  );

/** The course of the pond under a break, and the band around it: the break runs a fifth better or worse, the inflow is half as large again or half (practice). */
export const breakCourses = (plan: BreakPlan): Courses => ({
  low: course(plan, 1 + CD_OFF, plan.model.inflow * (1 - INFLOW_OFF)),
  middle: course(plan, 1, plan.model.inflow),
  high: course(plan, 1 - CD_OFF, plan.model.inflow * (1 + INFLOW_OFF)),
});

/** Seconds after which a course first leaves a band; null when it stays; 0 when it never was inside. */
export function leavesAt(points: readonly CoursePoint[], band: Interval): number | null {
  const inside = (level: number): boolean => level >= band.min - 1e-9 && level <= band.max + 1e-9;
  const [first] = points;
  if (!first || !inside(first.level)) return 0;
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1], points[i]];
    if (!a || !b || inside(b.level)) continue;
    const edge = b.level < band.min ? band.min : band.max;
    return a.at + ((edge - a.level) / (b.level - a.level)) * (b.at - a.at);
  }
  return null;
}

export interface Leaving {
  middle: number | null;
  earliest: number | null;
  latest: number | null;
}

/** When a band is left, on the middle course and at the ends of the band of courses. */
export function leaving(courses: Courses, band: Interval): Leaving {
  const all = [courses.low, courses.middle, courses.high].map((c) => leavesAt(c, band));
  const known = all.filter((t): t is number => t !== null);
  return {
    middle: all[1] ?? null,
    earliest: known.length > 0 ? Math.min(...known) : null,
    latest: known.length === all.length ? Math.max(...known) : null,
  };
}

/** The same break with its width, or the spread of a V, put to another size. */
export const resized = (shape: BreakShape, size: number): BreakShape =>
  shape.kind === 'V' ? { kind: 'V', side: size } : { ...shape, width: size };

/**
 * The largest break after which the level still stands at `goal` at a time, by bisection on the course.
 *
 * @returns its width (of a V its side slope), m; 0 when even no break leaves it there; Infinity when none of up to 20 m does harm
 */
export function largestBreak(plan: BreakPlan, goal: number, at: number): number {
  const holds = (size: number): boolean => levelOn(course({ ...plan, shape: resized(plan.shape, size) }, 1, plan.model.inflow), at) >= goal;
  if (holds(20)) return Infinity;
  if (!holds(1e-6)) return 0;
  let [low, high] = [1e-6, 20];
  for (let n = 0; n < 40 && high - low > 1e-4; n += 1) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * The smallest break by which the level has come down to `goal` at a time.
 *
 * @returns its width (of a V its side slope), m; null when none of up to 20 m does it
 */
export function smallestBreak(plan: BreakPlan, goal: number, at: number): number | null {
  const down = (size: number): boolean => levelOn(course({ ...plan, shape: resized(plan.shape, size) }, 1, plan.model.inflow), at) <= goal;
  if (!down(20)) return null;
  let [low, high] = [0, 20];
  for (let n = 0; n < 40 && high - low > 1e-4; n += 1) {
    const middle = (low + high) / 2;
    if (down(middle)) high = middle;
    else low = middle;
  }
  return high;
}

export const BREAK_CAUTION =
  'Opening a dam can flood those below and wash out what stands on it. It needs leave in many places: ask the owner and the local law first, and never stand below a break that is being opened.';

/** A size of break in words. */
export const sizeText = (shape: BreakShape, size: number, system: System): string =>
  shape.kind === 'V'
    ? `a V ${printLength(2 * size * 0.3048, system)} wide at a depth of ${printLength(0.3048, system)}`
    : `${printLength(size, system)} wide`;
