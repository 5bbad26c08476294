import type { System } from '../units/factors';
import { printLength, printLevel } from '../units/length';

/** What is endangered by a water, and the level at which it is safe; m in the water's datum. */
export interface Safe {
  level: number;
  what: string;
}

/** What every reading says of the endangered: how much is still to go. `zero` is the gauge's zero, m. */
export function stillToGo(safe: Safe, level: number | null, zero: number, system: System): string {
  const goal = printLevel(safe.level - zero, system);
  if (level === null) return `${safe.what}: the level to reach is ${goal}; the gauge was never read.`;
  const over = level - safe.level;
  return over > 0.003
    ? `${safe.what}: ${printLength(over, system)} still to go, down to ${goal}.`
    : `${safe.what}: at or under the level to reach, ${goal}, by ${printLength(Math.max(0, -over), system)}.`;
}
