import { learned, shyOf, worthOf, type Before } from '#core/colony/fears';
import type { Fear, SetHistory } from '#core/colony/looks';
import { metAt } from '#core/colony/history';
import { scopesOf, type Scope } from '#core/colony/scope';
import { likelyBy } from '#core/colony/practice';
import { traitsOf } from '#core/colony/traits';
import { seenBy } from '#core/counting/atSet';
import { colonyRange } from '#core/counting/colonyRange';
import { howManyLeft } from '#core/counting/left';
import type { Took } from '#core/counting/bySort';
import { DEVICE_CLASSES } from '#core/devices/sizes';
import type { Met } from '#core/planning/met';
import { effortOfStays } from '#core/effort/totals';
import type { TrapSet } from '#core/record/kinds';
import { armAndWaders } from '#core/units/bodyGauge';
import { laidAt, layOut, settingAt } from '#core/sets/standing';
import { setTypeOf } from '#core/sets/catalogue';
import { groundOf } from '#lib/season/oneSet';
import { classOf, type Season } from '#lib/season/season';
import { evidenceOf, waterCount } from './counting';
import { db } from './database';
import { leftEvidence, nightsFrom, type TrapNights } from './left';
import { colonies } from './repositories/colonies';
import { loadScouted, type Scouted } from './scouting';
import { loadSeason } from './season';
import { workedSets } from './totals';

export type Worked = NonNullable<Awaited<ReturnType<typeof workedSets>>>[number] & {
  /** device-nights in range, of each of its traps by night */
  byTrap: readonly (readonly number[])[];
  /** of all of them together */
  effort: readonly number[];
};

/** Everything of the record that colonies are read from. */
export interface ColonyRecord {
  season: Season;
  scouted: Scouted;
  worked: Worked[];
  scopes: Scope[];
  /** from the first trap on, and those that are drawn */
  nights: TrapNights[];
}

/** So many nights are drawn. */
export const DRAWN = 28;

/** @param water the sets of its colonies alone */
export async function loadColonies(locals: App.Locals, water?: string): Promise<ColonyRecord | null> {
  const [season, scouted, worked, named] = await Promise.all([
    loadSeason(locals, ['live', 'pulled']),
    loadScouted(locals),
    workedSets(locals),
    colonies(db(), locals.who.crew),
  ]);
  if (!season) return null;
  const first = locals.now.getTime() - (DRAWN - 1) * 86_400_000;
  const scopes = scopesOf(named, season.waters, season.stations);
  const asked = scopes.filter((s) => !water || s.waters.includes(water));
  const own = (worked ?? []).filter(({ set }) => !water || asked.some((s) => s.places.has(set.station)));
  const begun = own.flatMap(({ set }) => set.stays.map((s) => Date.parse(s.from)));
  const nights = nightsFrom(new Date(Math.min(first, ...begun)), locals.now, season.line.zone);
  return {
    ...{ season, scouted, nights, scopes },
    worked: own.map((one) => {
      const byTrap = effortOfStays(one.set, one.visits, one.asked, nights);
      return { ...one, byTrap, effort: nights.map((_, n) => byTrap.reduce((sum, trap) => sum + (trap[n] ?? 0), 0)) };
    }),
  };
}

/** What a colony met at its sets, and what that taught it. */
function tasted({ season, scouted, worked }: ColonyRecord, scope: Scope, { who, now }: App.Locals) {
  const here = worked.filter(({ set }) => scope.places.has(set.station));
  const seen = {
    ...scouted,
    signs: scouted.signs.filter((s) => scope.places.has(s.station)),
    cameras: scouted.cameras.filter((c) => scope.places.has(c.station)),
    caught: scouted.caught.filter((c) => scope.places.has(c.station)),
  };
  const meant = here.filter(({ set }) => set.species === scope.species);
  const histories = meant.map((one) => historyOf(one, { season, scouted: seen, scope, now, hands: armAndWaders(who.person.measures) }));
  return {
    worked: here,
    seen,
    histories,
    taught: learned(histories, beforeOf(scope, season), heldBefore(scope), likelyBy(scope.colony?.likely ?? [])),
  };
}

/** What the record holds of one colony, and what that comes to. */
export function readColony(known: ColonyRecord, scope: Scope, locals: App.Locals) {
  const { season, nights } = known;
  const stations = season.stations.filter((s) => scope.places.has(s.id));
  const met = tasted(known, scope, locals);
  const { worked, seen: scouted, histories, taught } = met;
  const count = waterCount(scouted, scope.species, season.line.zone);
  const signs = evidenceOf(scope, stations, count, scouted, season.clock);
  const worth = worthOf(histories, taught);
  const sorts = sortsOf(known, scope);
  const evidence = leftEvidence({ season, scope, nights, worked, scouted, count, evidence: signs, worth, sorts, now: locals.now });
  const range = colonyRange(signs, locals.who.person.system);
  return { ...met, scope, nights, stations, count, range, sorts, evidence, left: evidence && howManyLeft(evidence) };
}
export type ColonyRead = ReturnType<typeof readColony>;

/** What each sort of trap took of its animal elsewhere: by that a night of one here counts more or less than a night of another. */
function sortsOf({ season, worked }: ColonyRecord, { places, species }: Scope): Took[] {
  const elsewhere = worked.filter(({ set }) => set.species === species && !places.has(set.station));
  const all = elsewhere.flatMap(({ set, visits, byTrap }) =>
    set.stays.map((stay, n): Took => {
      const found = visits.flatMap((v) => v.devices.filter((d) => d.stay === stay.id && d.catch?.species === species));
      return { device: classOf(season, stay.device), caught: found.length, nights: (byTrap[n] ?? []).reduce((a, b) => a + b, 0) };
    }),
  );
  return DEVICE_CLASSES.flatMap((device): Took[] => {
    const own = all.filter((t) => t.device === device);
    const sum = (of: (took: Took) => number): number => own.reduce((total, took) => total + of(took), 0);
    return own.length === 0 ? [] : [{ device, caught: sum((t) => t.caught), nights: sum((t) => t.nights) }];
  });
}

/** Earlier trapping of its animal on its waters. */
const beforeOf = ({ waters, species }: Scope, { earlier }: Season): Before[] =>
  earlier.filter((e) => waters.includes(e.water) && e.species === species);

/** What somebody holds of its fears instead of practice. */
const heldBefore = ({ colony }: Scope): Partial<Record<Fear, number>> =>
  Object.fromEntries((colony?.beliefs ?? []).map(({ fear, share }) => [fear, share]));

interface HistoryAsked {
  season: Season;
  scouted: Pick<Scouted, 'cameras' | 'activity'>;
  scope: Scope;
  now: Date;
  hands: Parameters<typeof groundOf>[2];
}

/** What was met at one set, with what of it can be shied from. */
function historyOf({ set, visits, asked }: Worked, { season, scouted, scope, now, hands }: HistoryAsked): SetHistory {
  const seen = seenBy(
    scouted.cameras.filter((c) => c.station === set.station),
    set.id,
  ).flatMap((c) => c.events);
  const { species } = scope;
  return {
    id: set.id,
    place: set.station,
    name: `${set.number} ${set.name}`,
    traits: traitsIn(set, season, now, hands),
    ...metAt({ set, visits, asked, seen, species, zone: season.line.zone, classOf: (device) => classOf(season, device) }),
    inUse: scouted.activity(set.station, species),
  };
}

function traitsIn(set: TrapSet, season: Season, now: Date, hands: HistoryAsked['hands']): SetHistory['traits'] {
  const station = season.stations.find((s) => s.id === set.station);
  if (!station) return [];
  const type = setTypeOf(set.type);
  const laid = laidAt(set, now, groundOf(season, station, hands));
  const design = layOut(type, laid, 'us');
  return traitsOf({
    devices: [...new Set(set.stays.map((s) => classOf(season, s.device)))],
    sizes: season.shed.filter((d) => set.stays.some((s) => s.device === d.id)),
    place: station.kind,
    parts: design.parts,
    known: laid.then,
    surface: station.surface,
    lures: settingAt(set, now).lures,
    scented: design.supplies.some((s) => s.kind === 'lure'),
  });
}

/** What colonies have learned this season, as earlier trapping is told: the devices they shy from by what they met; of one water where one is given. */
export async function learnedHere(locals: App.Locals, water?: string): Promise<Met[]> {
  const known = await loadColonies(locals, water);
  return (known?.scopes ?? [])
    .filter((scope) => !water || scope.waters.includes(water))
    .flatMap((scope): Met[] => {
      const devices = shyOf(tasted(known as ColonyRecord, scope, locals).taught);
      if (devices.length === 0) return [];
      return scope.waters.map((own) => ({ water: own, devices, survivors: 'shy', season: 'this season', who: 'your own sets' }));
    });
}
