import { SPECIES } from '#core/animals/species';
import { exposureOf, nights, type Sprung, type Standing } from '#core/effort/exposure';
import { rateWithLimits } from '#core/effort/rate';
import { SPRUNG } from '#core/record/checks';
import type { Check, Line, TrapSet } from '#core/record/kinds';
import type { Station } from '#core/stations/placed';
import { bandIn, stretchesOf } from '#core/sets/history';
import type { Ground } from '#core/sets/standing';
import { db } from './database';
import { checks } from './repositories/checks';
import { groundOf } from './oneSet';
import { allReadings, type ReadingsByGauge } from './repositories/readings';
import { sets as setsOf } from './repositories/sets';
import { index, loadSeason, momentsOfSets } from './season';
import { surfacesAt } from './surfaces';

export interface SetTotal {
  id: string;
  number: number;
  name: string;
  station: string;
  species: TrapSet['species'];
  hoursSet: number;
  inBand: { low: number; high: number };
  caught: Record<string, number>;
  /** animals the set was meant for, per 100 in-band nights, with exact 95 % limits */
  rate: { rate: number; low: number; high: number } | null;
}

/** What a season adds up to, the one under way unless another line is given: exposure and catch of every set, and of all. */
export async function seasonTotals(
  locals: App.Locals,
  of?: Line,
): Promise<{ sets: SetTotal[]; all: Omit<SetTotal, 'id' | 'number' | 'name' | 'station' | 'species'> } | null> {
  const season = await loadSeason(locals, ['live', 'pulled']);
  if (!season) return null;
  const line = of?.id ?? season.line.id;
  const other = line === season.line.id ? null : await setsOf(db(), locals.who.crew, { line, states: ['live', 'pulled'] });
  const first = firstStay(other ?? season.sets);
  const [visits, readings] = await Promise.all([checks(db(), locals.who.crew, { line }), allReadings(db(), season.gauges, first)]);
  const stations = index<Station>(season.stations);
  const surfaces = other ? await surfacesAt(season.gauges, momentsOfSets(other, season.stations)) : season.surfaces;
  const bySet = new Map<string, Check[]>();
  for (const visit of visits) bySet.set(visit.set, [...(bySet.get(visit.set) ?? []), visit]);
  const sets = (other ?? season.sets).map((set): SetTotal => {
    const station = stations[set.station];
    const own = (bySet.get(set.id) ?? []).sort((a, b) => a.at.localeCompare(b.at));
    const caught = countCatches(own);
    const exposures = station
      ? set.stays.map((stay) =>
          exposureOfStay(set, stay, { ...groundOf(season, station), surfaces }, own, season.gauges, readings, locals.now),
        )
      : [];
    const inBand = { low: sum(exposures.map((e) => e.inBand.low)), high: sum(exposures.map((e) => e.inBand.high)) };
    return {
      id: set.id,
      number: set.number,
      name: set.name,
      station: set.station,
      species: set.species,
      hoursSet: sum(exposures.map((e) => e.hoursSet)),
      inBand,
      caught,
      rate: rateWithLimits(caught[set.species] ?? 0, nights(inBand.high)),
    };
  });
  const inBand = { low: sum(sets.map((s) => s.inBand.low)), high: sum(sets.map((s) => s.inBand.high)) };
  const caught = Object.fromEntries(SPECIES.map((s) => [s, sum(sets.map((t) => t.caught[s] ?? 0))]).filter(([, n]) => n !== 0));
  return {
    sets,
    all: {
      hoursSet: sum(sets.map((s) => s.hoursSet)),
      inBand,
      caught,
      rate: rateWithLimits(sum(Object.values(caught) as number[]), nights(inBand.high)),
    },
  };
}

/** Readings before the first trap stood tell nothing of it; three days more reach over any gap that is still told. */
export const firstStay = (sets: Pick<TrapSet, 'stays'>[]): Date =>
  new Date(Math.max(0, Math.min(...sets.flatMap((s) => s.stays.map((y) => Date.parse(y.from))), 4e12) - 3 * 86_400_000));

const sum = (list: number[]): number => list.reduce((a, b) => a + b, 0);

function countCatches(visits: Check[]): Record<string, number> {
  const found: Record<string, number> = {};
  for (const { devices } of visits)
    for (const { catch: caught } of devices) if (caught) found[caught.species] = (found[caught.species] ?? 0) + 1;
  return found;
}

function exposureOfStay(
  set: TrapSet,
  stay: TrapSet['stays'][number],
  ground: Ground,
  visits: Check[],
  gauges: readonly { id: string; water: string; surface: string }[],
  readings: ReadingsByGauge,
  now: Date,
) {
  const end = stay.to === null ? now : new Date(stay.to);
  let { surface } = ground.station;
  const standings = stretchesOf(set, new Date(stay.from), end, ground).map((stretch): Standing => {
    const { axis, band } = bandIn(set, stretch, stay.position, {});
    if (axis === 'pond' || axis === 'tail') surface = axis;
    return { from: stretch.from, to: stretch.to, band };
  });
  const gauge = gauges.find((g) => g.water === ground.station.water && g.surface === surface);
  return exposureOf(standings, sprungOf(stay, visits), gauge ? (readings[gauge.id] ?? []) : []);
}

function sprungOf(stay: TrapSet['stays'][number], visits: Check[]): Sprung[] {
  let before = new Date(stay.from);
  return visits.flatMap((visit): Sprung[] => {
    const own = visit.devices.find((d) => d.stay === stay.id);
    if (!own || own.outcome === 'not reached') return [];
    const at = new Date(visit.at);
    const found = SPRUNG.includes(own.outcome) ? [{ at, before }] : [];
    before = at;
    return found;
  });
}
