import { SPECIES } from '../animals/species';
import { armingsOf, spentTimes } from '../check/spent';
import { SPRUNG } from '../record/checks';
import type { Check, TrapSet } from '../record/kinds';
import { bandIn, stretchesOf } from '../sets/history';
import type { Ground } from '../sets/standing';
import type { Reading } from '../water/series';
import { exposureOf, nights, type Sprung, type Standing } from './exposure';
import { rateWithLimits } from './rate';

/** Exposure and catch, of a set or of all. */
export interface Total {
  hoursSet: number;
  inBand: { low: number; high: number };
  caught: Record<string, number>;
  /** animals the set was meant for, per 100 in-band nights, with exact 95 % limits */
  rate: { rate: number; low: number; high: number } | null;
}

export interface SetTotal extends Total {
  id: string;
  number: number;
  name: string;
  station: string;
  species: TrapSet['species'];
}

/** What a set is totalled with: how its place stood, what its gauges read, and until when. */
export interface Totalled {
  /** null where its station is not in the record any more */
  ground: Ground | null;
  gauges: readonly { id: string; water: string; surface: string }[];
  readings: Record<string, Reading[]>;
  now: Date;
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const sumBands = (list: readonly { inBand: Total['inBand'] }[]): Total['inBand'] => ({
  low: sum(list.map((e) => e.inBand.low)),
  high: sum(list.map((e) => e.inBand.high)),
});

/** What a set adds up to. @param visits its checks, in any order */
export function setTotal(set: TrapSet, visits: readonly Check[], asked: Totalled): SetTotal {
  const own = [...visits].sort((a, b) => a.at.localeCompare(b.at));
  const { ground } = asked;
  const exposures = ground ? set.stays.map((stay) => exposureOfStay(set, stay, own, { ...asked, ground })) : [];
  const caught = countCatches(own);
  const inBand = sumBands(exposures);
  const { id, number, name, station, species } = set;
  return {
    id,
    number,
    name,
    station,
    species,
    hoursSet: sum(exposures.map((e) => e.hoursSet)),
    inBand,
    caught,
    rate: rateWithLimits(caught[species] ?? 0, nights(inBand.high)),
  };
}

/** All sets together; every animal counts. */
export function allTotals(sets: readonly SetTotal[]): Total {
  const inBand = sumBands(sets);
  const caught = Object.fromEntries(SPECIES.map((s) => [s, sum(sets.map((t) => t.caught[s] ?? 0))]).filter(([, n]) => n !== 0));
  return {
    hoursSet: sum(sets.map((s) => s.hoursSet)),
    inBand,
    caught,
    rate: rateWithLimits(sum(Object.values(caught) as number[]), nights(inBand.high)),
  };
}

/** Readings before the first trap stood tell nothing of it; three days more reach over any gap that is still told. */
export const firstStay = (sets: readonly Pick<TrapSet, 'stays'>[]): Date =>
  new Date(Math.max(0, Math.min(...sets.flatMap((s) => s.stays.map((y) => Date.parse(y.from))), 4e12) - 3 * 86_400_000));

function countCatches(visits: readonly Check[]): Record<string, number> {
  const found: Record<string, number> = {};
  for (const { devices } of visits)
    for (const { catch: caught } of devices) if (caught) found[caught.species] = (found[caught.species] ?? 0) + 1;
  return found;
}

type Stay = TrapSet['stays'][number];

function exposureOfStay(
  set: TrapSet,
  stay: Stay,
  visits: readonly Check[],
  { ground, gauges, readings, now }: Totalled & { ground: Ground },
) {
  const end = stay.to === null ? now : new Date(stay.to);
  let { surface } = ground.station;
  const standings = stretchesOf(set, new Date(stay.from), end, ground).map((stretch): Standing => {
    const { axis, band, may } = bandIn(set, stretch, stay.position, {});
    if (axis === 'pond' || axis === 'tail') surface = axis;
    return { from: stretch.from, to: stretch.to, band, may };
  });
  const gauge = gauges.find((g) => g.water === ground.station.water && g.surface === surface);
  return exposureOf(
    standings,
    sprungOf(stay, visits),
    gauge ? (readings[gauge.id] ?? []) : [],
    spentTimes(stay.id, visits, armingsOf(set), end),
  );
}

function sprungOf(stay: Stay, visits: readonly Check[]): Sprung[] {
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
