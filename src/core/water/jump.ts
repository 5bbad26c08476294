import { INCH } from '../units/factors';
import { levelText, type Frame } from '../units/frame';
import { printLength } from '../units/length';
import type { Axis } from './levels';
import { exactOf, type Reading } from './series';

/** A level that lies this far outside all that was read is asked about before it is kept. [practice] */
const FAR = 12 * INCH;

/** The question at a typed level that lies far from all that was read, m in the water's datum; null where nothing is odd, or nothing was read yet. */
export function jumpText(level: number, readings: readonly Reading[], frame: Frame, axis: Axis): string | null {
  const read = exactOf(readings).map((r) => r.level);
  if (read.length === 0) return null;
  const [low, high] = [Math.min(...read), Math.max(...read)];
  const by = Math.max(low - level, level - high);
  if (by <= FAR) return null;
  const print = (l: number): string => levelText(l, frame, axis);
  const all = read.length === 1 ? `the ${print(low)} read before` : `all that was read (${print(low)} to ${print(high)})`;
  return `${printLength(by, frame.system)} ${level > high ? 'above' : 'below'} ${all}. Is it right? Then save once more; else correct it.`;
}
