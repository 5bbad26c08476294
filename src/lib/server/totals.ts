import { firstStay, setTotal, type SetTotal, type Totalled } from '#core/effort/totals';
import type { Check, Line, TrapSet } from '#core/record/kinds';
import type { Station } from '#core/stations/placed';
import { db } from './database';
import { checks } from './repositories/checks';
import { groundOf } from '#lib/season/oneSet';
import { allReadings } from './repositories/readings';
import { currentLineId, sets as setsOf } from './repositories/sets';
import { momentsOfSets } from '#lib/season/facts';
import { index } from '#lib/season/season';
import { loadSeason } from './season';
import { surfacesAt } from './surfaces';

/** What every set of a season adds up to: exposure and catch. The season is the one under way unless another line is given. */
export async function seasonTotals(locals: App.Locals, of?: Line): Promise<SetTotal[] | null> {
  const known = await workedSets(locals, of);
  return known && known.map(({ set, visits, asked }) => setTotal(set, visits, asked));
}

/** Every set that worked in a season with its checks, and with what its exposure is worked out. */
export async function workedSets(locals: App.Locals, of?: Line): Promise<{ set: TrapSet; visits: Check[]; asked: Totalled }[] | null> {
  const visited = checks(db(), locals.who.crew, { line: of?.id ?? currentLineId(db(), locals.who.crew) });
  // what fails is thrown where it is waited for
  visited.catch(() => undefined);
  const season = await loadSeason(locals, ['live', 'pulled']);
  if (!season) return null;
  const line = of?.id ?? season.line.id;
  const other = line === season.line.id ? null : await setsOf(db(), locals.who.crew, { line, states: ['live', 'pulled'] });
  const own = other ?? season.sets;
  const [visits, readings] = await Promise.all([visited, allReadings(db(), season.gauges, firstStay(own))]);
  const stations = index<Station>(season.stations);
  const surfaces = other ? await surfacesAt(season.gauges, momentsOfSets(other, season.stations)) : season.surfaces;
  const bySet = new Map<string, Check[]>();
  for (const visit of visits) bySet.set(visit.set, [...(bySet.get(visit.set) ?? []), visit]);
  return own.map((set) => {
    const station = stations[set.station];
    const ground = station ? { ...groundOf(season, station), surfaces } : null;
    return { set, visits: bySet.get(set.id) ?? [], asked: { ground, gauges: season.gauges, readings, now: locals.now } };
  });
}
