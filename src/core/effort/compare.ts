import { poissonLimits, shareLimits } from './interval';

/** A count and the hours in which it was made. */
export interface Counted {
  caught: number;
  hours: number;
}

/** How many times as often the one catches as the other, with exact 95% limits; `high` is Infinity where the other caught nothing. */
export interface Ratio {
  ratio: number;
  low: number;
  high: number;
}

/**
 * The ratio of two rates; null where neither caught, or one never worked.
 *
 * @source the first count, given both, is binomial; Clopper & Pearson 1934: 9 in 60 against 3 in 80 are 4.0 (0.998 to 22.97)
 */
export function rateRatio(one: Counted, other: Counted): Ratio | null {
  const both = one.caught + other.caught;
  if (both === 0 || one.hours <= 0 || other.hours <= 0) return null;
  const [low, high] = shareLimits(one.caught, both);
  const turned = (share: number): number => (share >= 1 ? Infinity : ((share / (1 - share)) * other.hours) / one.hours);
  return { ratio: turned(one.caught / both), low: turned(low), high: turned(high) };
}

/** Whether a rate is surely higher or lower than another; null where they cannot be told apart. */
export function apart(one: Counted, other: Counted): 'higher' | 'lower' | null {
  const found = rateRatio(one, other);
  if (!found) return null;
  return found.low > 1 ? 'higher' : found.high < 1 ? 'lower' : null;
}

/** Catches an hour of work, with their exact 95% limits; null where no minute was spent. @param minutes of placing, looking and remaking */
export function perHour(caught: number, minutes: number): { rate: number; low: number; high: number } | null {
  if (minutes <= 0) return null;
  const { low, high } = poissonLimits(caught);
  return { rate: (caught * 60) / minutes, low: (low * 60) / minutes, high: (high * 60) / minutes };
}
