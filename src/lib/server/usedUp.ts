import { amountIn, unitWords } from '#core/gear/stock';
import { db } from './database';
import type { Reader } from './form';
import { idBeside } from './newId';
import { stock, type StockHad } from './repositories/gear';
import type { NewEntry } from './record/write';

/** What a set takes from the jar and the roll when it is set again. */
const TAKEN: readonly StockHad['kind'][] = ['lure', 'bait', 'wire', 'lock', 'swivel', 'stake'];

/** The stock that a check may have used, as its form offers it. */
export const takenAtChecks = async ({ who, now }: Pick<App.Locals, 'who' | 'now'>): Promise<StockHad[]> =>
  (await stock(db(), who.crew, now)).filter(({ kind }) => TAKEN.includes(kind));

/** What a check says was used of the stock, as a move of it beside the check; none where nothing was chosen. A fault stands in the reader. */
export async function usedUp(
  read: Reader,
  { set, at, form, now }: { set: string; at: Date; form: string; now: Date },
): Promise<NewEntry[]> {
  const chosen = read.text('usedStock');
  if (chosen === '') return [];
  const { who } = read;
  const of = (await takenAtChecks({ who, now })).find((s) => s.id === chosen);
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
