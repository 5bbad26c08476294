import type { System } from '../units/factors';
import { parseLength, printLength } from '../units/length';
import { parseWeight, printWeight } from '../units/weight';

export type StockUnit = 'pieces' | 'length' | 'portions' | 'weight';

/** How much of a stock in its unit: `12`, `83 ft 4 in`, `7 portions`. */
export function stockText(amount: number, unit: StockUnit, system: System): string {
  if (unit === 'length') return printLength(amount, system);
  if (unit === 'weight') return printWeight(amount, system);
  const count = Math.round(amount * 100) / 100;
  return unit === 'portions' ? `${count} ${count === 1 ? 'portion' : 'portions'}` : String(count);
}

/** What a unit is called at a field: a bare number counts in it. */
export const unitWords = (unit: StockUnit, system: System): string =>
  unit === 'length' ? (system === 'us' ? 'feet' : 'metres') : unit === 'weight' ? (system === 'us' ? 'pounds' : 'kilograms') : unit;

/** A typed amount in the stock's own unit, SI inside; null when it was not understood. Empty is null too. */
export function amountIn(text: string, unit: StockUnit, system: System): number | null {
  if (text.trim() === '') return null;
  if (unit === 'length') {
    const read = parseLength(text, system === 'us' ? 'ft' : 'm');
    return read.ok ? read.value : null;
  }
  if (unit === 'weight') {
    const read = parseWeight(text, system);
    return read.ok ? read.value : null;
  }
  const value = Number(text.replace(',', '.').replace('−', '-'));
  return Number.isFinite(value) ? value : null;
}
