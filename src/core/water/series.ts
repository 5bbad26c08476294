import type { Interval } from './band';

/**
 * One look at a gauge, m in the water's datum. `atMost` is an upper bound: a set stood dry, by how much was not seen. `crest` is a mark that high
 * water left some time between `since` and `at`.
 */
export interface Reading {
  at: Date;
  level: number;
  bound: 'exact' | 'atMost' | 'crest';
  /** of a crest only */
  since?: Date | null;
  /** of a crest only: give or take, m */
  doubt?: number | null;
  /** who read it; null for what no person read */
  by?: string | null;
}

/** Between two readings further apart than this the way the water took is not known. [practice] */
export const GAP = 48 * 3_600_000;

const EXACT = new WeakMap<readonly Reading[], readonly Reading[]>();

/** Readings that give a level, in the order of time. Bounds are kept in the record and left out here. A list is not changed once it was asked of. */
export function exactOf(readings: readonly Reading[]): readonly Reading[] {
  const known = EXACT.get(readings);
  if (known) return known;
  const exact = readings.filter((r) => r.bound === 'exact').sort((a, b) => a.at.getTime() - b.at.getTime());
  EXACT.set(readings, exact);
  return exact;
}

/** Hours for which a device was in its band: surely, and at most (where no reading tells). */
export interface HoursInBand {
  low: number;
  high: number;
}

const HOUR = 3_600_000;

const HELD = new WeakMap<readonly Reading[], readonly Reading[]>();

/** Readings that give a level, the last of them held for a day. */
function heldOf(readings: readonly Reading[]): readonly Reading[] {
  const known = HELD.get(readings);
  if (known) return known;
  const sorted = exactOf(readings);
  const last = sorted.at(-1);
  const held = last ? [...sorted, { ...last, at: new Date(last.at.getTime() + 24 * HOUR) }] : [];
  HELD.set(readings, held);
  return held;
}

/** Where the stretch between two readings begins that reaches past a moment: by halving, readings are many. */
function firstAfter(held: readonly Reading[], from: Date): number {
  let [low, high] = [0, Math.max(0, held.length - 1)];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if ((held[middle + 1]?.at ?? Infinity) > from) high = middle;
    else low = middle + 1;
  }
  return low;
}

/**
 * Hours between two times during which the level lay inside a band; exact on the piecewise-linear course of the readings.
 * Time before the first reading, more than a day behind the last, or in a gap of over 48 h counts only to `high`; so does the time in which
 * a mark tells that the water once stood over the band.
 */
export function hoursInBand(readings: Reading[], from: Date, to: Date, band: Interval): HoursInBand {
  const total = Math.max(0, to.getTime() - from.getTime()) / HOUR;
  let told = 0;
  let inside = 0;
  const marks = crestsOver(readings, band);
  const held = heldOf(readings);
  for (let i = firstAfter(held, from); i + 1 < held.length; i += 1) {
    const [a, b] = [held[i], held[i + 1]];
    if (!a || !b || a.at >= to) break;
    if (b.at.getTime() - a.at.getTime() > GAP) continue;
    const start = Math.max(a.at.getTime(), from.getTime());
    const end = Math.min(b.at.getTime(), to.getTime());
    for (const [s, e] of withoutMarks(start, end, marks)) {
      told += (e - s) / HOUR;
      inside += shareInside(a, b, s, e, band) * ((e - s) / HOUR);
    }
  }
  return { low: inside, high: inside + Math.max(0, total - told) };
}

/** A time in which high water left a mark over a band, ms. */
export type MarkSpan = [from: number, to: number];

/** The times in which, as a mark tells, the water once stood over a band, or may have: a mark counts by its upper end. */
export const crestsOver = (readings: readonly Reading[], band: Interval): MarkSpan[] =>
  readings.flatMap((r): MarkSpan[] =>
    r.bound === 'crest' && r.since && r.level + (r.doubt ?? 0) > band.max ? [[r.since.getTime(), r.at.getTime()]] : [],
  );

/** What is left of a time once those of marks are taken out. */
const withoutMarks = (from: number, to: number, marks: readonly MarkSpan[]): MarkSpan[] =>
  marks.reduce<MarkSpan[]>(
    (rest, [a, b]) =>
      rest.flatMap(([s, e]): MarkSpan[] =>
        [[s, Math.min(e, a)] as MarkSpan, [Math.max(s, b), e] as MarkSpan].filter(([left, right]) => right > left),
      ),
    to > from ? [[from, to]] : [],
  );

function shareInside(a: Reading, b: Reading, start: number, end: number, band: Interval): number {
  const slope = (b.level - a.level) / (b.at.getTime() - a.at.getTime());
  const first = a.level + slope * (start - a.at.getTime());
  const last = a.level + slope * (end - a.at.getTime());
  const [low, high] = first < last ? [first, last] : [last, first];
  if (high - low < 1e-12) return low >= band.min - 1e-9 && low <= band.max + 1e-9 ? 1 : 0;
  return Math.max(0, Math.min(high, band.max) - Math.max(low, band.min)) / (high - low);
}
