import { SPECIES } from '#core/animals/species';
import { exposureOf, nights, type Sprung, type Standing } from '#core/effort/exposure';
import { rateWithLimits } from '#core/effort/rate';
import { SPRUNG } from '#core/record/checks';
import type { Check, Device, Line, Station, TrapSet } from '#core/record/kinds';
import { setTypeOf } from '#core/sets/catalogue';
import type { Place } from '#core/sets/setType';
import { layOutSetting, placeOf } from '#core/sets/standing';
import { bandNear, levelBands } from '#core/water/band';
import { axisOf } from '#core/water/layout';
import { db } from './database';
import { checks } from './repositories/checks';
import { allReadings } from './repositories/readings';
import { sets as setsOf } from './repositories/sets';
import { index, loadSeason } from './season';

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
  const [visits, readings] = await Promise.all([checks(db(), locals.who.crew, { line }), allReadings(db(), locals.who.crew, first)]);
  const stations = index<Station>(season.stations);
  const shed = index<Device>(season.shed);
  const bySet = new Map<string, Check[]>();
  for (const visit of visits) bySet.set(visit.set, [...(bySet.get(visit.set) ?? []), visit]);
  const sets = (other ?? season.sets).map((set): SetTotal => {
    const station = stations[set.station];
    const own = (bySet.get(set.id) ?? []).sort((a, b) => a.at.localeCompare(b.at));
    const caught = countCatches(own);
    const exposures = station
      ? set.stays.map((stay) =>
          exposureOfStay(
            set,
            stay,
            placeOf(station, season.follows[station.id]),
            station.water,
            shed,
            own,
            season.gauges,
            readings,
            locals.now,
          ),
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
  place: Place,
  water: string,
  shed: Record<string, Device>,
  visits: Check[],
  gauges: { id: string; water: string; surface: string }[],
  readings: Awaited<ReturnType<typeof allReadings>>,
  now: Date,
) {
  const type = setTypeOf(set.type);
  const end = stay.to === null ? now : new Date(stay.to);
  const device = shed[stay.device];
  const spans = set.settings
    .map((setting, i) => ({
      setting,
      from: later(new Date(setting.at), new Date(stay.from)),
      to: earlier(new Date(set.settings[i + 1]?.at ?? end), end),
    }))
    .filter((s) => s.from < s.to);
  let { surface } = place;
  const standings = spans.map(({ setting, from, to }): Standing => {
    const layout = layOutSetting(type, setting, place, device ? { [stay.position]: device } : {}, 'us');
    const axis = axisOf(layout, stay.position);
    if (axis === 'pond' || axis === 'tail') surface = axis;
    const bands = levelBands(
      layout.needs.filter((n) => n.device === stay.position),
      layout.parts,
      axis,
      {},
    );
    return { from, to, band: bands && bandNear(bands, setting[surface] ?? 0) };
  });
  const gauge = gauges.find((g) => g.water === water && g.surface === surface);
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

const later = (a: Date, b: Date): Date => (a > b ? a : b);
const earlier = (a: Date, b: Date): Date => (a < b ? a : b);
