import type { Axis, Known } from './levels';
import { bends, heightAt, heightLimits, type Need } from './need';
import type { Part } from './part';

/** Levels between which a device works, m; an open end is infinite. */
export interface Interval {
  min: number;
  max: number;
}

const EVERYWHERE: Interval[] = [{ min: -Infinity, max: Infinity }];

/**
 * The levels along one axis at which a need holds, the other axes at their present values. Closed arithmetic:
 * between the levels where a float grounds or its line goes taut the value is linear.
 *
 * @returns disjoint intervals in rising order, or null when another axis it needs is not known
 */
export function needBand(need: Need, parts: Part[], axis: Axis, known: Known): Interval[] | null {
  const at = (level: number) => heightAt(need, parts, { ...known, [axis]: level });
  const edges = [...new Set(bends(need, parts, axis, known))].sort((a, b) => a - b);
  const segments = [-Infinity, ...edges].map((min, i) => ({ min, max: edges[i] ?? Infinity }));
  const limits = heightLimits(need, parts);
  const found: Interval[] = [];
  for (const segment of segments) {
    const [a, b] = samples(segment);
    const [fa, fb] = [at(a), at(b)];
    if (fa === null || fb === null) return null;
    const slope = (fb - fa) / (b - a);
    const piece = solve(fa - slope * a, slope, limits, segment);
    if (piece) found.push(piece);
  }
  return merged(found);
}

function samples({ min, max }: Interval): [number, number] {
  if (Number.isFinite(min) && Number.isFinite(max)) return [min, max === min ? min + 1 : max];
  if (Number.isFinite(min)) return [min, min + 1];
  return Number.isFinite(max) ? [max - 1, max] : [0, 1];
}

function solve(offset: number, slope: number, limits: Interval, segment: Interval): Interval | null {
  if (Math.abs(slope) < 1e-12) return offset >= limits.min - 1e-9 && offset <= limits.max + 1e-9 ? segment : null;
  const ends = [(limits.min - offset) / slope, (limits.max - offset) / slope].sort((a, b) => a - b) as [number, number];
  const piece = { min: Math.max(ends[0], segment.min), max: Math.min(ends[1], segment.max) };
  return piece.min <= piece.max ? piece : null;
}

function merged(pieces: Interval[]): Interval[] {
  const joined: Interval[] = [];
  for (const piece of [...pieces].sort((a, b) => a.min - b.min)) {
    const last = joined.at(-1);
    if (last && piece.min <= last.max + 1e-9) last.max = Math.max(last.max, piece.max);
    else joined.push({ ...piece });
  }
  return joined;
}

/** The levels that lie in both lists of intervals. */
export function intersect(a: Interval[], b: Interval[]): Interval[] {
  return a.flatMap((one) =>
    b.flatMap((two) => {
      const both = { min: Math.max(one.min, two.min), max: Math.min(one.max, two.max) };
      return both.min <= both.max ? [both] : [];
    }),
  );
}

/** Where all needs hold along one axis; null when another axis is not known. */
export function levelBands(needs: readonly Need[], parts: Part[], axis: Axis, known: Known): Interval[] | null {
  let bands = EVERYWHERE;
  for (const need of needs) {
    const own = needBand(need, parts, axis, known);
    if (!own) return null;
    bands = intersect(bands, own);
  }
  return bands;
}

/** The interval that holds a level, otherwise the nearest; null when there is none. */
export function bandNear(bands: Interval[], level: number): Interval | null {
  let best: Interval | null = null;
  let nearest = Infinity;
  for (const band of bands) {
    const distance = Math.max(band.min - level, level - band.max, 0);
    if (best && distance >= nearest) continue;
    best = band;
    nearest = distance;
  }
  return best;
}
