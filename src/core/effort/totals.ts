import { SPECIES } from '../animals/species';
import { armingsOf, spentTimes } from '../check/spent';
import { SPRUNG } from '../record/checks';
import type { Check, TrapSet } from '../record/kinds';
import { bandIn, stretchesOf } from '../sets/history';
import type { Ground } from '../sets/standing';
import type { Reading } from '../water/series';
import { exposureOf, type Exposure, type Sprung, type Standing } from './exposure';

/** Exposure and catch, of a set or of several. */
export interface Total extends Exposure {
  caught: Record<string, number>;
}

/** What the sets meant for one animal add up to: its catch and the nights are of the same sets. */
export interface SpeciesTotal extends Exposure {
  species: TrapSet['species'];
  /** animals of the species, in the sets meant for it */
  count: number;
  sets: number;
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

function sumExposures(list: readonly Exposure[]): Exposure {
  const of = (pick: (e: Exposure) => number): number => sum(list.map(pick));
  return {
    hoursSet: of((e) => e.hoursSet),
    inBand: { low: of((e) => e.inBand.low), high: of((e) => e.inBand.high) },
    lost: { sprung: of((e) => e.lost.sprung), spent: of((e) => e.lost.spent), outside: of((e) => e.lost.outside) },
  };
}

/** What a set adds up to. @param visits its checks, in any order */
export function setTotal(set: TrapSet, visits: readonly Check[], asked: Totalled): SetTotal {
  const own = [...visits].sort((a, b) => a.at.localeCompare(b.at));
  const { ground } = asked;
  const exposures = ground ? set.stays.map((stay) => exposureOfStay(set, stay, own, { ...asked, ground })) : [];
  const { id, number, name, station, species } = set;
  return { id, number, name, station, species, ...sumExposures(exposures), caught: countCatches(own) };
}

/** The sets by the animal they are meant for, most caught first. */
export function bySpecies(sets: readonly SetTotal[]): SpeciesTotal[] {
  return SPECIES.flatMap((species): SpeciesTotal[] => {
    const own = sets.filter((s) => s.species === species);
    if (own.length === 0) return [];
    return [{ species, count: sum(own.map((s) => s.caught[species] ?? 0)), sets: own.length, ...sumExposures(own) }];
  }).sort((a, b) => b.count - a.count);
}

/** Animals caught in sets that were meant for another one, by what was caught. */
export function accidents(sets: readonly SetTotal[]): Record<string, number> {
  const found: Record<string, number> = {};
  for (const { species, caught } of sets)
    for (const [other, n] of Object.entries(caught)) if (other !== species) found[other] = (found[other] ?? 0) + n;
  return found;
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

/** A stretch of time: a night from its noon to the next, the time between two looks. */
export interface Stretch {
  from: Date;
  to: Date;
}

/** Nights of 24 h that a device stood inside its range, a stretch at a time: the middle of what is sure and what may be. @param visits of its set, in any order */
export function nightsInside(set: TrapSet, stay: Stay, visits: readonly Check[], asked: Totalled, stretches: readonly Stretch[]): number[] {
  const { ground } = asked;
  if (!ground) return stretches.map(() => 0);
  const own = [...visits].sort((a, b) => a.at.localeCompare(b.at));
  const { standings, sprung, readings, spent } = factsOfStay(set, stay, own, { ...asked, ground });
  return stretches.map(({ from, to }) => {
    const then = standings
      .filter((s) => s.from < to && s.to > from)
      .map((s) => ({ ...s, from: s.from > from ? s.from : from, to: s.to < to ? s.to : to }));
    if (then.length === 0) return 0;
    // what lies elsewhere takes no hour of this stretch
    const fell = sprung.filter((s) => s.before < to && s.at > from);
    const lay = spent.filter((s) => s.from < to && s.to > from);
    const { low, high } = exposureOf(then, fell, readings, lay).inBand;
    return (low + high) / 2 / 24;
  });
}

/** Device-nights inside the range, of each trap of a set by night. */
export const effortOfStays = (set: TrapSet, visits: readonly Check[], asked: Totalled, nights: readonly Stretch[]): number[][] =>
  set.stays.map((stay) => nightsInside(set, stay, visits, asked, nights));

function exposureOfStay(set: TrapSet, stay: Stay, visits: readonly Check[], asked: Totalled & { ground: Ground }): Exposure {
  const { standings, sprung, readings, spent } = factsOfStay(set, stay, visits, asked);
  return exposureOf(standings, sprung, readings, spent);
}

/** What the exposure of a device rests on: how it stood, when it sprang, what its gauge read, when it lay spent. */
function factsOfStay(set: TrapSet, stay: Stay, visits: readonly Check[], { ground, gauges, readings, now }: Totalled & { ground: Ground }) {
  const end = stay.to === null ? now : new Date(stay.to);
  let { surface } = ground.station;
  const standings = stretchesOf(set, new Date(stay.from), end, ground).map((stretch): Standing => {
    const { axis, band, may } = bandIn(set, stretch, stay.position, {});
    if (axis === 'pond' || axis === 'tail') surface = axis;
    return { from: stretch.from, to: stretch.to, band, may };
  });
  const gauge = gauges.find((g) => g.water === ground.station.water && g.surface === surface);
  return {
    standings,
    sprung: sprungOf(stay, visits),
    readings: gauge ? (readings[gauge.id] ?? []) : [],
    spent: spentTimes(stay.id, visits, armingsOf(set), end),
  };
}

function sprungOf(stay: Stay, visits: readonly Check[]): Sprung[] {
  let before = new Date(stay.from);
  return visits.flatMap((visit): Sprung[] => {
    const own = visit.devices.find((d) => d.stay === stay.id);
    if (!own || own.outcome === 'not reached') return [];
    const at = new Date(visit.at);
    const found = SPRUNG.includes(own.outcome) ? [{ at, before, caught: own.outcome === 'catch' }] : [];
    before = at;
    return found;
  });
}
