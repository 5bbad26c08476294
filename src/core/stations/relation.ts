import { many } from '../units/many';
import { printLength } from '../units/length';
import type { System } from '../units/factors';
import type { Follows } from '../water/ownLevel';

/** A depth read at the station and what the gauge stood at then; m. */
export interface DepthReading {
  depth: number;
  level: number;
}

export interface Relation {
  /** depth at the station = a + b · level of the gauge */
  a: number;
  b: number;
  /** half the width of the band around it, m */
  within: number;
  readings: number;
}

/** With one reading the slope is taken as 1 and the depth may be off by this share of every change of the gauge. [practice] */
const SLOPE_DOUBT = 0.5;
const LEAST_BAND = 0.02;

/**
 * How the depth at a station follows its gauge: `depth = a + b·L`. Least squares through its own readings;
 * with fewer than two different levels b is 1 and the band grows with the way from the reading.
 *
 * @returns null without any reading
 * @source least squares, any handbook; the band [practice]
 */
export function relationOf(readings: DepthReading[]): Relation | null {
  const [first] = readings;
  if (!first) return null;
  const n = readings.length;
  const mean = (pick: (r: DepthReading) => number): number => readings.reduce((sum, r) => sum + pick(r), 0) / n;
  const [level, depth] = [mean((r) => r.level), mean((r) => r.depth)];
  const spread = readings.reduce((sum, r) => sum + (r.level - level) ** 2, 0);
  if (spread < 1e-4) return { a: depth - level, b: 1, within: LEAST_BAND, readings: 1 };
  const b = readings.reduce((sum, r) => sum + (r.level - level) * (r.depth - depth), 0) / spread;
  const a = depth - b * level;
  const rest = Math.sqrt(readings.reduce((sum, r) => sum + (r.depth - a - b * r.level) ** 2, 0) / Math.max(1, n - 2));
  return { a, b, within: Math.max(LEAST_BAND, n > 2 ? 2 * rest : LEAST_BAND), readings: n };
}

export interface DepthNow {
  depth: number;
  low: number;
  high: number;
  certain: boolean;
  sentence: string;
}

/**
 * The depth at a station at a level of its gauge, with its band and the sentence why.
 *
 * @param from the reading nearest in level, for the doubt of a single one
 */
export function depthAt(relation: Relation, level: number, from: DepthReading, system: System): DepthNow {
  const depth = relation.a + relation.b * level;
  const single = relation.readings < 2;
  const within = relation.within + (single ? SLOPE_DOUBT * Math.abs(level - from.level) : 0);
  const [low, high] = [depth - within, depth + within];
  const said = depth > 0 ? `${printLength(depth, system)} deep now` : `dry by ${printLength(-depth, system)} now`;
  return {
    depth,
    low,
    high,
    certain: !single,
    sentence: single
      ? `${said}, likely ${printLength(low, system)} to ${printLength(high, system)}. One reading here: measure at another level.`
      : `${said}, within ${printLength(within, system)}, by ${many(relation.readings, 'reading')} here: it moves ${relation.b.toFixed(1)} ${system === 'us' ? 'in' : 'cm'} for every ${system === 'us' ? 'inch' : 'centimeter'} of the gauge.`,
  };
}

/**
 * How the surface at a station follows its gauge, once two readings at different levels told; null before, or where its bed was never measured.
 */
export function followsOf(bed: DepthReading | null, own: readonly DepthReading[]): Follows | null {
  if (!bed || own.length === 0) return null;
  const relation = relationOf([bed, ...own]);
  if (!relation || relation.readings < 2) return null;
  return { k: bed.level - bed.depth + relation.a, slope: relation.b };
}
