import type { SeasonYield } from '#core/ledger/yield';
import { lines } from './repositories/sets';
import { db } from './database';
import { seasonTotals } from './totals';

export interface StationYield extends SeasonYield {
  station: string;
  species: string;
}

/** What every station gave in every season, newest season first. */
export async function yieldsOf(locals: App.Locals): Promise<StationYield[]> {
  const all = await lines(db(), locals.who.crew);
  const totals = await Promise.all(all.map((line) => seasonTotals(locals, line)));
  return totals.flatMap((total, i) =>
    (total ?? []).map((set) => ({
      station: set.station,
      species: set.species,
      season: all[i]?.season ?? '',
      hours: set.inBand,
      caught: set.caught[set.species] ?? 0,
    })),
  );
}
