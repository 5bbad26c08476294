import { poissonLimits } from './interval';

/**
 * Catch per 100 corrected trap-nights.
 *
 * @param catches animals of interest
 * @param trapNights traps (not sets) times nights
 * @param sprung all sprung traps, catches of any kind included
 * @param interval nights between checks; a sprung trap loses half of it
 * @throws RangeError when nothing is left of the trap-nights
 * @source Nelson & Clark 1973: `100·C / (TN − I·S/2)`
 */
export function catchPer100(catches: number, trapNights: number, sprung: number, interval: number): number {
  const left = trapNights - (interval * sprung) / 2;
  if (!(left > 0)) throw new RangeError(`${trapNights} trap-nights with ${sprung} sprung leave nothing to divide by`);
  return (100 * catches) / left;
}

/** A rate per 100 nights with its exact 95 % limits; null without exposure. */
export function rateWithLimits(catches: number, nights: number): { rate: number; low: number; high: number } | null {
  if (!(nights > 0)) return null;
  const { low, high } = poissonLimits(catches);
  return { rate: (100 * catches) / nights, low: (100 * low) / nights, high: (100 * high) / nights };
}
