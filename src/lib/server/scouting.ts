import { error } from '@sveltejs/kit';
import type { Station } from '#core/stations/placed';
import { CAUGHT } from '#core/sign/kinds';
import { activity, useOf, type FoundSign } from '#core/sign/activity';
import { tell, type Told } from '#core/words/finding';
import { db } from './database';
import { catchesSince } from './repositories/checks';
import { crewOf } from './repositories/places';
import { cameraRolls, type Watched } from './repositories/scouting';
import { signs, type NotedSign } from './repositories/sign';
import { loadSeason } from './season';
import { frameOf } from '#core/ahead/facts';

const DAY = 86_400_000;
/** Sign older than this has no weight left in any table. */
const OLDEST = 180 * DAY;

export interface Scouted {
  halfLives: Record<string, number>;
  signs: NotedSign[];
  cameras: Watched[];
  /** what was caught at these places */
  caught: { station: string; species: string; age: string; at: Date }[];
  /** what counts for a station's use, camera events and catches among it; of one species when given */
  found: (station: string, species?: string) => FoundSign[];
  use: (station: string) => Told;
  /** 0 to 1; null when nothing was ever noted */
  activity: (station: string, species?: string) => number | null;
}

const loaded = new WeakMap<App.Locals, Map<string, Promise<Scouted>>>();

/** All that was read of the crew's places, or of one water: sign, cameras, and the half-lives by which they are weighed. Once a request. */
export function loadScouted(locals: App.Locals, water = ''): Promise<Scouted> {
  const own = loaded.get(locals) ?? new Map<string, Promise<Scouted>>();
  loaded.set(locals, own);
  const found = own.get(water) ?? scoutedOf(locals, water);
  own.set(water, found);
  return found;
}

async function scoutedOf({ who, now }: App.Locals, water: string): Promise<Scouted> {
  const since = new Date(now.getTime() - OLDEST);
  const of = water ? { water } : {};
  const [crew, noted, cameras, caught] = await Promise.all([
    crewOf(db(), who.crew),
    signs(db(), who.crew, { ...of, since }),
    cameraRolls(db(), who.crew, { ...of, since }),
    catchesSince(db(), who.crew, { ...of, since }),
  ]);
  const halfLives = crew?.halfLives ?? {};
  const found = (station: string, species?: string): FoundSign[] =>
    [
      ...noted
        .filter((s) => s.station === station)
        .map((s): FoundSign => ({ kind: s.kind, freshness: s.freshness, at: new Date(s.at), species: s.species })),
      ...cameras
        .filter((c) => c.station === station)
        .flatMap((c) => c.events)
        .map((e): FoundSign => ({ kind: 'camera', freshness: 'hours', at: e.at, species: e.species })),
      ...caught
        .filter((c) => c.station === station)
        .map(({ at, species: of }): FoundSign => ({ kind: CAUGHT, freshness: 'hours', at, species: of })),
    ].filter((s) => !species || s.species === species);
  return {
    caught,
    halfLives,
    signs: noted,
    cameras,
    found,
    use: (station) => tell(useOf(found(station), now, halfLives), who.person.system),
    activity: (station, species) => {
      const own = found(station, species);
      return own.length === 0 ? null : activity(own, now, halfLives);
    },
  };
}

/** The water of an address with its season, or the page that says there is none. */
export async function waterOf(locals: App.Locals, id: string) {
  const season = await loadSeason(locals);
  const water = season?.waters.find((w) => w.id === id);
  const stored = season?.stored.waters.find((w) => w.id === id);
  if (!season || !water || !stored) error(404, 'There is no such water in this record.');
  return {
    season,
    water,
    /** as it is kept, to be written anew */
    stored,
    gauge: season.gauges.find((g) => g.water === id && g.surface === 'pond'),
    frame: frameOf(season, id, locals.who.person.system),
    levels: season.levels[id] ?? { known: {}, age: {}, atMost: {} },
    stations: season.stations.filter((s) => s.water === id),
  };
}

/** The station of an address with its water. */
export async function stationOf(locals: App.Locals, water: string, id: string) {
  const found = await waterOf(locals, water);
  const station = found.stations.find((s) => s.id === id);
  if (!station) error(404, 'There is no such location in this record.');
  return { ...found, station };
}

export const stationName = ({ number, name }: Station): string => `${number} ${name}`;
