import { agree } from '../units/many';
import { nights } from './exposure';
import { poissonLimits } from './interval';

/** Hours of work, surely and at most. */
interface Hours {
  low: number;
  high: number;
}

/** Under so many working nights a rate is not told. [practice] */
const FEW = 10;
const NIGHT = 24;

/** Animals per 100 working nights. A high end is Infinity where the nights that surely count are none. */
export interface Rate {
  /** from the nights at most to the nights for sure; one figure where they are the same */
  rate: { low: number; high: number };
  /** with the doubt of the count: exact 95% limits */
  limits: { low: number; high: number };
}

/**
 * Catch per 100 working nights with its exact 95% limits; null under 10 nights, which tell nothing.
 *
 * @param caught animals, a whole number
 * @param hours the hours that count, never rounded
 * @source Nelson & Clark 1973 for what counts: `100·C / (TN − I·S/2)`; Garwood 1936 for the limits
 */
export function rateOf(caught: number, { low, high }: Hours): Rate | null {
  if (high < FEW * NIGHT - 1e-9) return null;
  const per = (count: number, hours: number): number => (count === 0 ? 0 : hours > 0 ? (100 * count * NIGHT) / hours : Infinity);
  const limits = poissonLimits(caught);
  return { rate: { low: per(caught, high), high: per(caught, low) }, limits: { low: per(limits.low, high), high: per(limits.high, low) } };
}

const round = (n: number): string => (n < 9.95 ? n.toFixed(1) : n.toFixed(0));
const span = (low: number, high: number): string => (round(low) === round(high) ? round(low) : `${round(low)} to ${round(high)}`);

/** `28.5`, `0 to 5`: working nights, surely and at most. */
export const nightsRange = ({ low, high }: Hours): string =>
  nights(low) === nights(high) ? String(nights(high)) : `${nights(low)} to ${nights(high)}`;

/** `28.5 working nights`, `0 to 1 working night`. */
export const nightsSay = (hours: Hours): string => `${nightsRange(hours)} working ${agree(nights(hours.high), 'night', 'nights')}`;

/**
 * A rate in words; says where only one side is known, and that few nights tell nothing.
 *
 * @param unit what the figure is read in; empty where a heading says it
 */
export function rateSays(caught: number, hours: Hours, unit = ' per 100 nights'): string {
  const rate = rateOf(caught, hours);
  if (!rate) return hours.high < NIGHT ? 'under one night: no rate' : `under ${FEW} nights: no rate yet`;
  const { low, high } = rate.limits;
  if (!Number.isFinite(high)) return caught === 0 ? 'no night counts for sure: no rate' : `at least ${round(rate.rate.low)}${unit}`;
  if (caught === 0) return `at most ${round(high)}${unit}`;
  return `${span(rate.rate.low, rate.rate.high)}${unit} (${round(low)} to ${round(high)})`;
}
