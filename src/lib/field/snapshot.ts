import type { Check, Kind, Person } from '#core/record/kinds';
import type { StockHad } from '#core/gear/where';
import type { Caught } from '#lib/check/atCatch';
import type { Facts } from '#lib/season/facts';
import type { PackedReadings } from '#lib/season/packed';

/** The shape of a snapshot now; one of an older shape is fetched anew as soon as there is a signal. */
export const SHAPE = 4;

/** What a device took along in an older shape, with what it cannot know left empty. */
export function inShape(old: Snapshot): Snapshot {
  if (old.shape === SHAPE) return old;
  const { facts, past } = old.shape < 2 ? { ...old, facts: { ...old.facts, shares: [] } } : old;
  return {
    ...old,
    catches: old.shape < 2 ? 0 : old.catches,
    facts: {
      ...facts,
      places: facts.places.map((p) => ({ ...p, lies: p.lies ?? [], photo: p.photo ?? null })),
      seenLate: Object.fromEntries(
        Object.entries(facts.seenLate).map(([place, seen]) => [place, seen.map((e) => ({ ...e, set: e.set ?? null }))]),
      ),
    },
    past: Object.fromEntries(Object.entries(past).map(([set, visits]) => [set, visits.map(asToday)])),
  };
}
const asToday = (visit: Check): Check => ({
  ...visit,
  devices: visit.devices.map((d) => ({
    ...d,
    felt: d.felt ?? 'not said',
    baitBy: d.baitBy ?? 'not said',
    catch: d.catch && { ...d.catch, lay: d.catch.lay ?? 'not said' },
  })),
});

/** What a device takes along: facts of the season, of its checks and of its crew. Nothing in it is computed. */
export interface Snapshot {
  /** the shape in which it was written */
  shape: number;
  crew: string;
  person: Person;
  people: { id: string; name: string }[];
  facts: Facts;
  /** the last checks of every live set, newest first */
  past: Record<string, Check[]>;
  caught: Caught[];
  /** the share of checks that found a catch */
  catches: number;
  /** what of the shed a check may use up */
  supplies: StockHad[];
  /** by the clock of the record */
  taken: Date;
  /** the newest entry in it */
  newest: number;
}

/** The photos that are looked for on the way: sets as they were left, their last checks, the places they stand at. */
export function photosIn({ facts, past }: Pick<Snapshot, 'facts' | 'past'>): string[] {
  const live = facts.sets.filter((s) => s.state === 'live');
  const places = new Set(live.map((s) => s.station));
  const all = [
    ...live.flatMap((s) => [s.photoLeft, ...(past[s.id] ?? []).map((visit) => visit.photo)]),
    ...facts.places.filter((p) => places.has(p.id)).map((p) => p.photo),
  ];
  return [...new Set(all.filter((id) => id !== null))];
}

/** What came since a snapshot was taken: the members that any newer entry touches, whole; of the readings only the gauges that were read. */
export type Since = Pick<Snapshot, Always> & Partial<Omit<Snapshot, 'facts' | Always>> & { facts: Partial<Facts> };

/** what is told each time: when, up to where, and to whom */
type Always = 'shape' | 'taken' | 'newest' | 'crew' | 'person';
type Member = Exclude<keyof Snapshot, 'facts' | Always>;

const BESIDE: readonly Kind[] = ['reading', 'logged', 'set', 'station', 'stationLevel', 'ice', 'water', 'gauge'];

/** The kinds of entries that each member of the facts rests on. */
const FACTS_FROM: Record<keyof Facts, readonly Kind[]> = {
  line: ['line'],
  rules: ['rulebook', 'line'],
  areas: ['water', 'site'],
  sets: ['set', 'line'],
  places: ['station'],
  waters: ['water'],
  boards: ['gauge'],
  shed: ['device', 'set'],
  words: ['leftWord'],
  shares: ['share'],
  times: ['check', 'set'],
  looks: ['check', 'set'],
  depths: ['stationLevel'],
  seen: ['ice'],
  told: ['told'],
  ground: ['ground'],
  openings: ['opening'],
  earlier: ['earlier'],
  seenLate: ['camera'],
  packed: ['reading', 'logged'],
  since: ['reading', 'logged'],
  beside: BESIDE,
  weather: ['weather', 'ice'],
};
const REST_FROM: Record<Member, readonly Kind[]> = {
  people: ['person'],
  past: ['check', 'set'],
  caught: ['check', 'rulebook'],
  supplies: ['stock', 'stockMove'],
  catches: ['check'],
};

const picked = <T extends object>(all: T, from: Partial<Record<keyof T, readonly Kind[]>>, kinds: ReadonlySet<Kind>): Partial<T> =>
  Object.fromEntries(Object.entries(all).filter(([key]) => from[key as keyof T]?.some((kind) => kinds.has(kind)))) as Partial<T>;

/**
 * What a device that has an older snapshot is sent.
 *
 * @param kinds of the entries since then
 * @param gauges that were read since then
 */
export function sinceThen(all: Snapshot, kinds: ReadonlySet<Kind>, gauges: ReadonlySet<string>): Since {
  const facts = picked(all.facts, FACTS_FROM, kinds);
  if (facts.packed) facts.packed = facts.packed.filter(({ gauge_id }) => gauges.has(gauge_id));
  const { shape, taken, newest, crew, person } = all;
  return { ...picked(all, REST_FROM, kinds), facts, shape, taken, newest, crew, person };
}

/** A snapshot brought up to date. */
export function broughtUp(old: Snapshot, { facts, ...rest }: Since): Snapshot {
  const packed = (facts.packed ?? []).reduce(withGauge, old.facts.packed);
  return { ...old, ...rest, facts: { ...old.facts, ...facts, packed } };
}

/** Readings of one gauge in the place of those that were there. */
export const withGauge = (all: PackedReadings, own: PackedReadings[number]): PackedReadings =>
  all.some((p) => p.gauge_id === own.gauge_id) ? all.map((p) => (p.gauge_id === own.gauge_id ? own : p)) : [...all, own];
