import type { StockHad } from '#core/gear/where';
import { takenOf } from '#lib/check/usedUp';
import { db } from './database';
import { stock } from './repositories/gear';

/** The stock that a check may have used. */
export const takenAtChecks = async ({ who, now }: Pick<App.Locals, 'who' | 'now'>): Promise<StockHad[]> =>
  takenOf(await stock(db(), who.crew, now));
