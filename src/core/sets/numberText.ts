import type { System } from '../units/factors';
import { parseLength, printLength, smallUnit, type Gauge, type Parsed } from '../units/length';
import { parseShare } from '../units/share';
import { parseWeight, printWeight } from '../units/weight';
import type { NumberSpec } from './setType';

/** A number of a set as its reader writes it: `9¼ in`, `50%`, `40 lb`. */
export function printNumber({ unit }: Pick<NumberSpec, 'unit'>, value: number, system: System): string {
  if (unit === 'share') return `${Math.round(value * 100)}%`;
  return unit === 'weight' ? printWeight(value, system) : printLength(value, system);
}

/** Reads a number of a set as it was typed, in SI; or the sentence that says what was not understood. */
export function parseNumber({ unit }: Pick<NumberSpec, 'unit'>, text: string, system: System, words: Gauge = {}): Parsed {
  if (unit === 'share') return parseShare(text);
  return unit === 'weight' ? parseWeight(text, system) : parseLength(text, smallUnit(system), words);
}
