import type { Device, Gauge, Line, Station, TrapSet, WaterBody } from '#core/record/kinds';
import type { SetView } from '#core/sets/standing';
import { setView } from '#core/sets/view';
import { waterAt } from '#core/water/now';
import type { Water } from '#core/water/state';
import { db } from './database';
import { lastLooks } from './repositories/checks';
import { devices, type DeviceWhere } from './repositories/gear';
import { gauges, stations, waters } from './repositories/places';
import { recentReadings, type ReadingsByGauge } from './repositories/readings';
import { currentLine, sets } from './repositories/sets';

/** The season under way, as every room begins from it. */
export interface Season {
  line: Line;
  sets: TrapSet[];
  views: SetView[];
  stations: Station[];
  waters: WaterBody[];
  gauges: Gauge[];
  shed: DeviceWhere[];
  readings: ReadingsByGauge;
  /** levels now, by water */
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
  const [all, places, water, boards, shed, readings, looks] = await Promise.all([
    sets(db(), who.crew, { line: line.id, states }),
    stations(db(), who.crew),
    waters(db(), who.crew),
    gauges(db(), who.crew),
    devices(db(), who.crew),
    recentReadings(db(), who.crew, new Date(now.getTime() - 4 * DAYS), now),
    lastLooks(db(), who.crew, line.id, now),
  ]);
  const context = { line, stations: index(places), shed: index<Device>(shed), looks, now, system: who.person.system };
  const levels = Object.fromEntries(
    water.map(({ id }) => [
      id,
      waterAt(
        boards.filter((g) => g.water === id),
        readings,
        now,
      ),
    ]),
  );
  return {
    line,
    sets: all,
    views: all.map((set) => setView(set, context)),
    stations: places,
    waters: water,
    gauges: boards,
    shed,
    readings,
    levels,
  };
}
