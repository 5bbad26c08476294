import type { Reading } from './series';

/** A course that was kept: points in ms and m. */
export interface KeptCourse {
  made: number;
  points: readonly { at: number; low: number; middle: number; high: number }[];
}

export interface Quality {
  /** hours ahead: from, to */
  from: number;
  to: number;
  pairs: number;
  /** mean of what was forecast less what came, m; positive when it was forecast too high */
  bias: number;
  /** mean distance, m */
  off: number;
  /** share of what came that lay inside the band, 0 to 1; 0.8 was promised */
  inside: number;
  /** exact 95% limits of that share */
  insideLow: number;
  insideHigh: number;
}

export interface Pair {
  made: number;
  at: number;
  middle: number;
  low: number;
  high: number;
  came: number;
}

const HOUR = 3_600_000;
/** Two readings of one stretch of hours tell little more than one: ahead of less than this nothing is counted. */
const LEAST = 3 * HOUR;

/** Every reading that came within a kept course, with what had been forecast for its time. */
export function pairsOf(kept: readonly KeptCourse[], readings: readonly Reading[]): Pair[] {
  const exact = readings.filter((r) => r.bound === 'exact');
  return kept.flatMap(({ made, points }) => {
    const last = points.at(-1)?.at ?? made;
    return exact.flatMap((r): Pair[] => {
      const at = r.at.getTime();
      if (at < made + LEAST || at > last) return [];
      const after = points.findIndex((p) => p.at >= at);
      const [a, b] = [points[after - 1], points[after]];
      if (!b) return [];
      const share = a ? (at - a.at) / (b.at - a.at) : 0;
      const mix = (pick: 'low' | 'middle' | 'high'): number => (a ? a[pick] + share * (b[pick] - a[pick]) : b[pick]);
      return [{ made, at, middle: mix('middle'), low: mix('low'), high: mix('high'), came: r.level }];
    });
  });
}

/** How good forecasts were, by hours ahead. @param limits exact limits of a share (successes of trials) */
export function qualityOf(
  pairs: readonly Pair[],
  limits: (hits: number, of: number) => [number, number],
  spans: readonly [number, number][] = SPANS,
): Quality[] {
  return spans.map(([from, to]) => {
    const own = pairs.filter((p) => p.at - p.made >= from * HOUR && p.at - p.made < to * HOUR);
    const n = own.length;
    const hits = own.filter((p) => p.came >= p.low - 1e-9 && p.came <= p.high + 1e-9).length;
    const [insideLow, insideHigh] = n === 0 ? [0, 1] : limits(hits, n);
    const mean = (pick: (p: Pair) => number): number => (n === 0 ? 0 : own.reduce((sum, p) => sum + pick(p), 0) / n);
    return {
      from,
      to,
      pairs: n,
      bias: mean((p) => p.middle - p.came),
      off: mean((p) => Math.abs(p.middle - p.came)),
      inside: n === 0 ? 0 : hits / n,
      insideLow,
      insideHigh,
    };
  });
}

const SPANS: readonly [number, number][] = [
  [3, 18],
  [18, 30],
  [30, 48],
];
