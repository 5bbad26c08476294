import { printLength } from '../units/length';
import type { System } from '../units/factors';
import type { Interval } from './band';
import { levelOn, pondCourse, type CoursePoint, type OpenBreak, type PondModel } from './balance';
import { pondForecast, type Courses, type Forecast } from './pondForecast';
import type { BreakShape } from './outflow';

/** A pond and the breaks that are thought of: alike, open from one time to another. */
export interface BreakPlan {
  /** m, in the water's datum */
  start: number;
  model: Omit<PondModel, 'breaks'>;
  shape: BreakShape;
  sill: number;
  /** how many of that shape */
  count: number;
  /** seconds after the start at which they are opened */
  opened: number;
  /** breaks that are open already */
  running: readonly Omit<OpenBreak, 'cd'>[];
  /** seconds after the start at which it is mended; null when it is not */
  mended: number | null;
  widens?: OpenBreak['widens'];
  hours: number;
}

function modelOf({ model, shape, sill, count, opened, running, mended, widens }: BreakPlan): PondModel {
  const own: OpenBreak = { shape, sill, from: opened, to: mended ?? Infinity, cd: 1, ...(widens ? { widens } : {}) };
  return { ...model, breaks: [...Array.from({ length: count }, () => own), ...running.map((b) => ({ ...b, cd: 1 }))] };
}

const course = (plan: BreakPlan): CoursePoint[] => pondCourse(modelOf(plan), plan.start, plan.hours);

/** The course of the pond under the breaks, and the band around it. */
export const breakCourses = (plan: BreakPlan): Forecast => pondForecast(modelOf(plan), plan.start, plan.hours);

/** When a course first leaves a band, seconds, and over which end; null when it stays; 0 when it never was inside. */
export function leavesBy(points: readonly CoursePoint[], band: Interval): { at: number; edge: 'min' | 'max' } | null {
  const edgeOf = (level: number): 'min' | 'max' | null => (level < band.min - 1e-9 ? 'min' : level > band.max + 1e-9 ? 'max' : null);
  const [first] = points;
  if (!first) return { at: 0, edge: 'min' };
  const out = edgeOf(first.level);
  if (out) return { at: 0, edge: out };
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1], points[i]];
    const edge = b && edgeOf(b.level);
    if (a && b && edge) return { at: a.at + ((band[edge] - a.level) / (b.level - a.level)) * (b.at - a.at), edge };
  }
  return null;
}

/** Seconds after which a course first leaves a band; null when it stays; 0 when it never was inside. */
export const leavesAt = (points: readonly CoursePoint[], band: Interval): number | null => leavesBy(points, band)?.at ?? null;

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
  const holds = (size: number): boolean => levelOn(course({ ...plan, shape: resized(plan.shape, size) }), at) >= goal;
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
  const down = (size: number): boolean => levelOn(course({ ...plan, shape: resized(plan.shape, size) }), at) <= goal;
  if (!down(20)) return null;
  let [low, high] = [0, 20];
  for (let n = 0; n < 40 && high - low > 1e-4; n += 1) {
    const middle = (low + high) / 2;
    if (down(middle)) high = middle;
    else low = middle;
  }
  return high;
}

export const BREAK_CAUTION = 'Opening a dam can flood downstream. Get permission; check the law; never stand below it.';

/** A size of break in words. */
export const sizeText = (shape: BreakShape, size: number, system: System): string =>
  shape.kind === 'V'
    ? `a V ${printLength(2 * size * 0.3048, system)} wide at a depth of ${printLength(0.3048, system)}`
    : `${printLength(size, system)} wide`;
