import { levelText, type Frame } from '../units/frame';
import { printLength } from '../units/length';

/** What is endangered by a water, and the level at which it is safe; m in the water's datum. */
export interface Safe {
  level: number;
  what: string;
}

/** What every reading says of the endangered: how much is still to go. */
export function stillToGo(safe: Safe, level: number | null, frame: Frame): string {
  const { system } = frame;
  const goal = levelText(safe.level, frame);
  if (level === null) return `${safe.what}: the level to reach is ${goal}; the gauge was never read.`;
  const over = level - safe.level;
  return over > 0.003
    ? `${safe.what}: ${printLength(over, system)} still to go, down to ${goal}.`
    : `${safe.what}: at or under the level to reach, ${goal}, by ${printLength(Math.max(0, -over), system)}.`;
}
