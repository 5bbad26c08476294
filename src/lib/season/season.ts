import { clockOf, type Clock } from '#core/time/clock';
import { foretold } from '#core/ahead/moving';
import type { InForce } from '#core/rules/inForce';
import { minutesOf, type Takes, type Task, type Time } from '#core/run/work';
import { armAndWaders } from '#core/units/bodyGauge';
import type { System } from '#core/units/factors';
import type { Frame } from '#core/units/frame';
import type { DeviceClass } from '#core/devices/sizes';
import type { DeviceWhere } from '#core/gear/where';
import type { SeenAtSet } from '#core/counting/atSet';
import type { Body, Device, Earlier, Gauge, Ground, Ice, LeftWord, Line, Share, ToldRise, TrapSet } from '#core/record/kinds';
import type { Written } from '#core/record/written';
import { factorAt, reachOf, sheetsOf, type Sheet } from '#core/ice/sheets';
import { iceAt } from '#core/ice/growth';
import type { SetView } from '#core/sets/standing';
import { setView } from '#core/sets/view';
import { followsOf } from '#core/stations/relation';
import { placed, type Station } from '#core/stations/placed';
import { zeroAt } from '#core/water/gauge';
import type { Surfaces } from '#core/water/levelAt';
import { waterAt } from '#core/water/now';
import type { Follows } from '#core/water/ownLevel';
import { placedWater, type WaterBody } from '#core/water/placed';
import type { Water } from '#core/water/state';
import { merged, type WeatherHour } from '#core/weather/hours';
import type { Facts } from './facts';
import { hungOn, type ReadingsByGauge } from './packed';
import { surfacesOf } from './surfaces';
import type { Asker } from './who';

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
  /** who goes where, of today and the days to come */
  shares: Written<Share>[];
  /** what work takes the reader, minutes */
  minutes: Record<Task, Takes>;
  /** the times they rest on */
  times: Time[];
  /** levels now, by water; the ice by its course */
  levels: Record<string, Water>;
}

/** The sort of a trap of the Shed. */
export const classOf = ({ shed }: Pick<Season, 'shed'>, device: string): DeviceClass =>
  shed.find((d) => d.id === device)?.class ?? 'bodyGrip';

export const index = <T extends { id: string }>(list: T[]): Record<string, T> => Object.fromEntries(list.map((item) => [item.id, item]));

/** The season with all its sets, and how they are looked at. */
export interface Loaded {
  season: Omit<Season, 'views'>;
  viewOf: (set: TrapSet) => SetView;
}

/** The sets of a season in the states asked for, as they are looked at. */
export function seasonIn({ season, viewOf }: Loaded, states: readonly TrapSet['state'][] = ['planned', 'prepared', 'live']): Season {
  const sets = season.sets.filter((set) => states.includes(set.state));
  return { ...season, sets, views: sets.map(viewOf) };
}

/** What is computed of a season from its facts: the same on the server and on a device that is out of reach. */
export function seasonOf(facts: Facts, { who, now }: Asker): Loaded {
  const { line, rules, areas, boards, shed, words, shares, times, looks, depths, seen, told, ground, openings, earlier, seenLate } = facts;
  const { places: storedPlaces, waters: storedWaters } = facts;
  const surfaces = surfacesOf(facts);
  const readings = hungOn(boards, facts.packed);
  const hours = merged(facts.weather);
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
    sets: facts.sets,
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
    shares,
    minutes: minutesOf(who.person.minutes, times),
    times,
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
