import { minutesOf, type Takes, type Task } from '#core/run/work';
import { clockOf, type Clock } from '#core/time/clock';
import type { InForce } from '#core/rules/inForce';
import { armAndWaders } from '#core/units/bodyGauge';
import type { SeenAtSet } from '#core/counting/atSet';
import type { Body, Device, Earlier, Gauge, Ground, Ice, LeftWord, Line, ToldRise, TrapSet } from '#core/record/kinds';
import type { Station } from '#core/stations/placed';
import type { WaterBody } from '#core/water/placed';
import type { SetView } from '#core/sets/standing';
import { setView } from '#core/sets/view';
import { followsOf } from '#core/stations/relation';
import { waterAt } from '#core/water/now';
import type { Follows } from '#core/water/ownLevel';
import type { Water } from '#core/water/state';
import { foretold } from '#core/ahead/moving';
import { iceAt } from '#core/ice/growth';
import { momentsOf, placed } from '#core/stations/placed';
import { type Frame } from '#core/units/frame';
import type { System } from '#core/units/factors';
import { zeroAt } from '#core/water/gauge';
import type { Moment, Surfaces } from '#core/water/levelAt';
import { placedWater } from '#core/water/placed';
import { merged, type WeatherHour } from '#core/weather/hours';
import { surfacesAt } from './surfaces';
import { db } from './database';
import type { Written } from './record/upsert';
import { factorAt, iceSince, momentsOfIce, reachOf, sheetsOf, type Sheet } from '#core/ice/sheets';
import { together } from './repositories/asked';
import { askLastLooks, askTimes } from './repositories/checks';
import { askIce, askTold, weatherSince } from './repositories/moving';
import { askLeftWords } from './repositories/leftWords';
import { askDevices, type DeviceWhere } from './repositories/gear';
import { askGauges, askStations, askWaters } from './repositories/places';
import { askEarlier, askGrounds, askOpenings, askSeenLate, askStationLevels } from './repositories/scouting';
import { askAreas, askRulesInForce } from './repositories/rules';
import { hungOn, packedReadings, type ReadingsByGauge } from './repositories/readings';
import { askCurrentLine, askSets, currentLineId, setsOf } from './repositories/sets';

/** The season under way, as every room begins from it. */
export interface Season {
  line: Written<Line>;
  /** how the reader tells time */
  clock: Clock;
  sets: Written<TrapSet>[];
  views: SetView[];
  stations: Station[];
  /** own relations of stations on streams to their gauge, by station */
  follows: Record<string, Follows>;
  waters: WaterBody[];
  gauges: Written<Gauge>[];
  /** places and waters as they are kept, for a form that writes them anew */
  stored: { stations: Written<Body<'station'>>[]; waters: Written<Body<'water'>>[] };
  /** where the surfaces stood when something was measured from them */
  surfaces: Surfaces;
  /** in what the reader reads the levels of each water */
  frames: Record<string, Frame>;
  shed: DeviceWhere[];
  /** the readings that forecasts are fitted to, and the weather told since then */
  readings: ReadingsByGauge;
  hours: WeatherHour[];
  /** ice of the frozen waters, by water, and all that was seen of ice */
  sheets: Record<string, Sheet>;
  ice: Ice[];
  /** rises that somebody told of late */
  told: Written<ToldRise>[];
  /** what was drawn on the map, and every break, newest first, as they are kept */
  ground: Ground[];
  openings: Written<Body<'opening'>>[];
  /** what others did on its waters */
  earlier: Written<Earlier>[];
  /** what cameras saw of late, by station */
  seenLate: Record<string, SeenAtSet[]>;
  /** the rulebook in force; null where the line has none */
  rules: InForce | null;
  /** the area of the rulebook in which each water lies, where one was named */
  areas: Record<string, string>;
  /** who is out and left word */
  words: Written<LeftWord>[];
  /** what work takes the reader, minutes */
  minutes: Record<Task, Takes>;
  /** levels now, by water; the ice by its course */
  levels: Record<string, Water>;
}

/** How far back readings and weather reach, that streams are fitted to; ms. */
const HISTORY = 35 * 86_400_000;
/** How far back a reading is told with who read it, ms. */
const NAMED = 4 * 86_400_000;
export const index = <T extends { id: string }>(list: T[]): Record<string, T> => Object.fromEntries(list.map((item) => [item.id, item]));

/** Layout and page of one request ask for the same season: it is loaded once. */
const loaded = new WeakMap<App.Locals, Promise<Loaded | null>>();

/** The season with all its sets, and how they are looked at. */
interface Loaded {
  season: Omit<Season, 'views'>;
  viewOf: (set: TrapSet) => SetView;
}

/**
 * The season that is under way with its sets in the states asked for, and the readings and the weather of the last five weeks.
 *
 * @returns null when no line was begun
 */
export async function loadSeason(
  locals: App.Locals,
  states: readonly TrapSet['state'][] = ['planned', 'prepared', 'live'],
): Promise<Season | null> {
  const found = loaded.get(locals) ?? load(locals);
  loaded.set(locals, found);
  const all = await found;
  if (!all) return null;
  const sets = all.season.sets.filter((set) => states.includes(set.state));
  return { ...all.season, sets, views: sets.map(all.viewOf) };
}

async function load({ who, now }: App.Locals): Promise<Loaded | null> {
  const history = new Date(now.getTime() - HISTORY);
  const named = new Date(now.getTime() - NAMED);
  const ownLine = currentLineId(db(), who.crew);
  const packed = packedReadings(db(), { crew: who.crew }, { since: history, until: now, named });
  // what fails is thrown where it is waited for
  packed.catch(() => undefined);
  const { line, rows, settings, stays, ...asked } = await together(
    db(),
    {
      line: askCurrentLine(db(), who.crew),
      rules: askRulesInForce(db(), who.crew, ownLine),
      areas: askAreas(db(), who.crew),
      ...askSets(db(), who.crew, { line: ownLine }),
      places: askStations(db(), who.crew),
      waters: askWaters(db(), who.crew),
      boards: askGauges(db(), who.crew),
      shed: askDevices(db(), who.crew),
      words: askLeftWords(db(), who.crew),
      times: askTimes(db(), who.crew, who.person.id),
      looks: askLastLooks(db(), who.crew, ownLine, now),
      depths: askStationLevels(db(), who.crew),
      seen: askIce(db(), who.crew),
      told: askTold(db(), who.crew, now),
      ground: askGrounds(db(), who.crew),
      openings: askOpenings(db(), who.crew),
      earlier: askEarlier(db(), who.crew),
      seenLate: askSeenLate(db(), who.crew, named),
    },
    true,
  );
  if (!line) return null;
  const {
    places: storedPlaces,
    waters: storedWaters,
    boards,
    shed,
    times,
    words,
    looks,
    depths,
    seen,
    told,
    ground,
    openings,
    earlier,
    seenLate,
    rules,
    areas,
  } = asked;
  const all = setsOf({ rows, settings, stays });
  const [surfaces, read, stretches] = await Promise.all([
    surfacesAt(boards, [
      ...momentsOfSets(all, storedPlaces),
      ...momentsOfPlaces(storedPlaces, depths),
      ...momentsOfIce(seen, storedWaters, now),
    ]),
    packed,
    weatherSince(db(), who.crew, new Date(Math.min(history.getTime(), iceSince(seen, now).getTime()))),
  ]);
  const readings = hungOn(boards, read);
  const hours = merged(stretches);
  const places = storedPlaces.map((s) => placed(s, surfaces));
  const water = storedWaters.map((w) => placedWater(w, surfaces));
  const follows = followsBy(water, places, depths, surfaces);
  const sheets = sheetsOf(seen, water, hours, surfaces, { now, until: reachOf(now, line) });
  const iceFactors = Object.fromEntries(
    places.filter((s) => sheets[s.water]).map((s) => [s.id, factorAt(s, sheets[s.water], seen).factor]),
  );
  const clock = clockOf(who.person, line.zone);
  const frames = Object.fromEntries(water.map(({ id }) => [id, frameFor(id, boards, who.person.system, clock, now)]));
  const context = {
    line,
    rules,
    stations: index(places),
    follows,
    iceFactors,
    surfaces,
    shed: index<Device>(shed),
    looks,
    now,
    frames,
    hands: armAndWaders(who.person.measures),
  };
  const levels = Object.fromEntries(
    water.map(({ id }): [string, Water] => {
      const levels = waterAt(
        boards.filter((g) => g.water === id),
        readings,
        now,
      );
      const sheet = sheets[id] && iceAt(sheets[id].course, now.getTime());
      return [id, sheet ? { ...levels, known: { ...levels.known, sheet: sheet.middle } } : levels];
    }),
  );
  const season = {
    line,
    sets: all,
    stations: places,
    follows,
    waters: water,
    gauges: boards,
    stored: { stations: storedPlaces, waters: storedWaters },
    surfaces,
    frames,
    shed,
    readings,
    hours,
    sheets,
    ice: seen,
    told,
    ground,
    openings,
    earlier,
    seenLate,
    rules,
    areas,
    levels,
    clock,
    words,
    minutes: minutesOf(who.person.minutes, times),
  };
  season.levels = foretold(season, now);
  const views = new Map<string, SetView>();
  const viewOf = (set: TrapSet): SetView => {
    const view = views.get(set.id) ?? setView(set, context);
    views.set(set.id, view);
    return view;
  };
  return { season, viewOf };
}

/** When sets were laid: the levels they were measured from. */
export function momentsOfSets(all: readonly TrapSet[], places: readonly { id: string; water: string }[]): Moment[] {
  const water = new Map(places.map((p) => [p.id, p.water]));
  return all.flatMap(({ station, settings }) => {
    const own = water.get(station);
    if (!own) return [];
    return settings.flatMap(({ at }) => (['pond', 'tail'] as const).map((surface) => ({ water: own, surface, at })));
  });
}

/** When something was measured at stations. */
function momentsOfPlaces(places: Body<'station'>[], depths: { station: string; at: string }[]): Moment[] {
  const of = index(places);
  const own = ({ water, surface }: Body<'station'>, at: string): Moment => ({ water, surface, at });
  return [
    ...places.flatMap((place) => momentsOf(place).map((at) => own(place, at))),
    ...depths.flatMap(({ station, at }) => (of[station] ? [own(of[station], at)] : [])),
  ];
}

/** In what a reader reads the levels of a water: told from its gauges as they hang now. */
function frameFor(water: string, boards: Gauge[], system: System, clock: Clock, now: Date): Frame {
  const zero = (surface: 'pond' | 'tail'): number => {
    const gauge = boards.find((g) => g.water === water && g.surface === surface);
    return gauge ? zeroAt(gauge, now.getTime()) : 0;
  };
  return { system, ...clock, zero: { pond: zero('pond'), tail: zero('tail') } };
}

/** On a stream each station has its own rating to the gauge; on a pond all stand at its level. */
function followsBy(
  waters: WaterBody[],
  places: Station[],
  depths: { station: string; depth: number; at: string; noted?: number | undefined }[],
  surfaces: Surfaces,
): Record<string, Follows> {
  const streams = new Set(waters.filter((w) => w.kind !== 'pond').map((w) => w.id));
  return Object.fromEntries(
    places.flatMap((s) => {
      if (!streams.has(s.water)) return [];
      const follows = followsOf(
        s.bed,
        depths.filter((d) => d.station === s.id).flatMap((d) => depthReading(d, s, surfaces)),
      );
      return follows ? [[s.id, follows] as const] : [];
    }),
  );
}

/** A station's own depth with the level of its gauge at that moment; none where that is not known. */
export function depthReading<D extends { depth: number; at: string; noted?: number | undefined }>(
  read: D,
  { water, surface }: Pick<Station, 'water' | 'surface'>,
  surfaces: Surfaces,
): (D & { level: number })[] {
  const found = surfaces.at(water, surface, read.at);
  if (found.how !== 'unknown') return [{ ...read, level: found.level }];
  return read.noted === undefined ? [] : [{ ...read, level: surfaces.elevation(water, surface, read.at, read.noted) }];
}
