import type { Remark } from './rule';

/** A check that is owed: the local date of its deadline, and what it takes, minutes. */
export interface OwedOn {
  day: string;
  minutes: number;
}

/**
 * The first day whose checks take longer at the sets alone than it has light: more sets than one person can check.
 *
 * @param lightOf minutes from sunrise to sunset of a local date; null where the sun does not say
 * @source common practice: driving comes on top
 */
export function overfull(owed: readonly OwedOn[], lightOf: (day: string) => number | null): Remark | null {
  for (const day of [...new Set(owed.map((o) => o.day))].sort()) {
    const own = owed.filter((o) => o.day === day);
    const minutes = own.reduce((sum, o) => sum + o.minutes, 0);
    const light = lightOf(day);
    if (light !== null && minutes > light)
      return { id: 'tooMany', severity: 'likely to fail', values: { sets: own.length, minutes, light } };
  }
  return null;
}
