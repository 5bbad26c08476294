import type { System } from '../units/factors';
import { printLength } from '../units/length';
import { printWeight } from '../units/weight';
import type { Carried } from './carry';

/** How much of it: a length of cable, a weight of fill, or a count. */
export function amountText({ kind, count, amount }: Pick<Carried, 'kind' | 'count' | 'amount'>, system: System): string {
  if (amount === undefined) return String(count);
  return kind === 'fill' ? printWeight(amount, system) : printLength(amount, system);
}
