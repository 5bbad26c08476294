import type { Device, Gauge, Line, Station, TrapSet, WaterBody } from '#core/record/kinds';
import type { SetView } from '#core/sets/standing';
import { setView } from '#core/sets/view';
import { followsOf } from '#core/stations/relation';
import { waterAt } from '#core/water/now';
import type { Follows } from '#core/water/ownLevel';
import type { Water } from '#core/water/state';
import { iceAt } from '#core/ice/growth';
import type { Ice } from '#core/record/kinds';
import { db } from './database';
import { factorAt, loadSheets, type Sheet } from './moving';
import { lastLooks } from './repositories/checks';
import { devices, type DeviceWhere } from './repositories/gear';
import { gauges, stations, waters } from './repositories/places';
import { stationLevels } from './repositories/scouting';
import { recentReadings, type ReadingsByGauge } from './repositories/readings';
import { currentLine, sets } from './repositories/sets';

/** The season under way, as every room begins from it. */
export interface Season {
  line: Line;
  sets: TrapSet[];
  views: SetView[];
  stations: Station[];
  /** own relations of stations on streams to their gauge, by station */
  follows: Record<string, Follows>;
  waters: WaterBody[];
  gauges: Gauge[];
  shed: DeviceWhere[];
  readings: ReadingsByGauge;
  /** ice of the frozen waters, by water, and all that was seen of ice */
  sheets: Record<string, Sheet>;
  ice: Ice[];
  /** levels now, by water; the ice by its course */
  levels: Record<string, Water>;
}

const DAYS = 86_400_000;
export const index = <T extends { id: string }>(list: T[]): Record<string, T> => Object.fromEntries(list.map((item) => [item.id, item]));

/** Layout and page of one request ask for the same season: it is loaded once. */
const loaded = new WeakMap<App.Locals, Map<string, Promise<Season | null>>>();

/**
 * The season that is under way with its sets in the states asked for, and the readings of the last four days.
 *
 * @returns null when no line was begun
 */
export function loadSeason(locals: App.Locals, states: TrapSet['state'][] = ['planned', 'prepared', 'live']): Promise<Season | null> {
  const own = loaded.get(locals) ?? new Map<string, Promise<Season | null>>();
  loaded.set(locals, own);
  const key = states.join();
  const season = own.get(key) ?? load(locals, states);
  own.set(key, season);
  return season;
}

async function load({ who, now }: App.Locals, states: TrapSet['state'][]): Promise<Season | null> {
  const line = await currentLine(db(), who.crew);
  if (!line) return null;
  const [all, places, water, boards, shed, readings, looks, depths] = await Promise.all([
    sets(db(), who.crew, { line: line.id, states }),
    stations(db(), who.crew),
    waters(db(), who.crew),
    gauges(db(), who.crew),
    devices(db(), who.crew),
    recentReadings(db(), who.crew, new Date(now.getTime() - 4 * DAYS), now),
    lastLooks(db(), who.crew, line.id, now),
    stationLevels(db(), who.crew),
  ]);
  const follows = followsBy(water, places, depths);
  const { sheets, seen } = await loadSheets(who.crew, now, water, boards);
  const iceFactors = Object.fromEntries(
    places.filter((s) => sheets[s.water]).map((s) => [s.id, factorAt(s, sheets[s.water], seen).factor]),
  );
  const context = { line, stations: index(places), follows, iceFactors, shed: index<Device>(shed), looks, now, system: who.person.system };
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
  return {
    line,
    sets: all,
    views: all.map((set) => setView(set, context)),
    stations: places,
    follows,
    waters: water,
    gauges: boards,
    shed,
    readings,
    sheets,
    ice: seen,
    levels,
  };
}

/** On a stream each station has its own relation to the gauge; on a pond all stand at its level. */
function followsBy(
  waters: WaterBody[],
  places: Station[],
  depths: { station: string; depth: number; level: number }[],
): Record<string, Follows> {
  const streams = new Set(waters.filter((w) => w.kind !== 'pond').map((w) => w.id));
  return Object.fromEntries(
    places.flatMap((s) => {
      if (!streams.has(s.water)) return [];
      const follows = followsOf(
        s.bed,
        depths.filter((d) => d.station === s.id),
      );
      return follows ? [[s.id, follows] as const] : [];
    }),
  );
}
