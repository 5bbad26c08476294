import { amountIn, unitWords } from '#core/gear/stock';
import type { StockHad } from '#core/gear/where';
import type { NewEntry } from '#core/record/entry';
import { idBeside } from '#lib/form/newId';
import type { Reader } from '#lib/form/reader';

/** What a set takes from the jar and the roll when it is set again. */
const TAKEN: readonly StockHad['kind'][] = ['lure', 'bait', 'wire', 'lock', 'swivel', 'stake'];

/** The stock that a check may have used, as its form offers it. */
export const takenOf = (stock: readonly StockHad[]): StockHad[] => stock.filter(({ kind }) => TAKEN.includes(kind));

/** What a check says was used of the stock, as a move of it beside the check; none where nothing was chosen. A fault stands in the reader. */
export function usedUp(
  read: Reader,
  { set, at, form, supplies }: { set: string; at: Date; form: string; supplies: readonly StockHad[] },
): NewEntry[] {
  const chosen = read.text('usedStock');
  if (chosen === '') return [];
  const { who } = read;
  const of = supplies.find((s) => s.id === chosen);
  if (!of) {
    read.refuse('usedStock', 'Choose what was used from the list.');
    return [];
  }
  const used = amountIn(read.text('usedAmount') || '1', of.unit, who.person.system);
  if (used === null || used <= 0) {
    read.refuse('usedAmount', `How much is a number of ${unitWords(of.unit, who.person.system)}: write it like 1.`);
    return [];
  }
  const body = {
    id: idBeside(form, 'used move'),
    stock: of.id,
    at: at.toISOString(),
    why: 'used' as const,
    amount: -used,
    count: null,
    set,
    note: '',
  };
  return [{ id: idBeside(form, 'used'), crew: who.crew, kind: 'stockMove', occurredAt: at, by: who.person.id, body }];
}
