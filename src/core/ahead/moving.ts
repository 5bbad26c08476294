import { remembered } from '../remembered';
import type { Ground } from '../record/kinds';
import { isDammed } from '../stations/dammed';
import { levelAt } from '../water/levelAt';
import { placedOpening, type Opening } from '../water/placed';
import type { Reading } from '../water/series';
import { withTold } from '../water/toldRise';
import { READING_LASTS, type Water } from '../water/state';
import { levelOn } from '../water/balance';
import { fitStream, streamForecast, type RainHour } from '../water/streamForecast';
import type { WeatherHour } from '../weather/hours';
import type { Facts } from './facts';
import { AHEAD, areasOf, drainedForecast, OLDEST, type Outlook } from './ponds';

const DAY = 86_400_000;
/** After a mending a pond fills up; until then its history does not tell where it stands. */
const REFILLS = 10 * DAY;

export interface Moving {
  pond: Outlook | null;
  tail: Outlook | null;
}

/** A stream from its last reading on, by its own history and the rain. */
const streamOutlook = remembered(
  (readings: readonly Reading[], rain: Rain, level: number, from: number): Outlook => {
    const fit = fitStream(readings, rain.hours);
    return { from: new Date(from), courses: streamForecast(fit, level, from, AHEAD, rain.hours), fit };
  },
  100,
  (readings, rain, level, from) => `${readings.map((r) => `${r.at.getTime()} ${r.level} ${r.bound}`).join()} ${level} ${from} ${rain.key}`,
);

interface Rain {
  hours: RainHour[];
  key: string;
}

/** The wet hours, with what tells them from others. */
function rainOf(hours: readonly WeatherHour[]): Rain {
  const wet = hours.filter((h) => h.rain > 0).map(({ at, rain }) => ({ at, rain }));
  return { hours: wet, key: wet.map((h) => `${h.at} ${h.rain}`).join() };
}

/** Seasons of one request share their readings, whichever of their sets were asked for. */
const known = new WeakMap<Facts['readings'], MovingAll>();

export interface MovingAll {
  hours: WeatherHour[];
  waters: Record<string, Moving>;
  ground: Ground[];
  open: Opening[];
}

/** Courses of every surface of the season that was read within a day, with the weather they rest on; computed once a season that was loaded. */
export function movingOf(season: Facts, now: Date): MovingAll {
  const found = known.get(season.readings) ?? moving(season, now);
  known.set(season.readings, found);
  return found;
}

function moving(season: Facts, now: Date): MovingAll {
  const { hours, ground, openings } = season;
  const rain = rainOf(hours);
  const all = openings.map((o) => placedOpening(o, season.surfaces, now));
  const open = all.filter((o) => Date.parse(o.opened) <= now.getTime() && (!o.mended || Date.parse(o.mended) > now.getTime()));
  const waters = Object.fromEntries(
    season.waters.map((water): [string, Moving] => {
      const tail = streamOf(season, rain, water.id, 'tail', now);
      const own = open.filter((o) => o.water === water.id);
      const byHistory = (): Moving => ({ pond: streamOf(season, rain, water.id, 'pond', now), tail });
      // a pond that nothing drained of late holds its height by its own dam: its history tells how
      const mended = all.some((o) => o.water === water.id && o.mended && now.getTime() - Date.parse(o.mended) < REFILLS);
      if (!isDammed(water, season.stations) || (own.length === 0 && water.pipes.length === 0 && !mended)) return [water.id, byHistory()];
      const levels = season.levels[water.id];
      const level = levels?.known.pond;
      const age = levels?.age.pond ?? Infinity;
      if (level === undefined || age > OLDEST) return [water.id, { pond: null, tail }];
      const from = new Date(now.getTime() - age);
      const context = { ground, open: own, hours, season, tail: levels?.known.tail };
      if (own.length === 0 && !areasOf(water, ground, level)) return [water.id, byHistory()];
      return [water.id, { pond: toldTo(season, water.id, 'pond', drainedForecast(water, level, from, context)), tail }];
    }),
  );
  return { hours, waters, ground, open };
}

function streamOf(season: Facts, rain: Rain, water: string, surface: 'pond' | 'tail', now: Date): Outlook | null {
  const gauge = season.gauges.find((g) => g.water === water && g.surface === surface);
  const readings = gauge ? (season.readings[gauge.id] ?? []) : [];
  const last = levelAt(readings, now);
  if (last.how !== 'read' && last.how !== 'carried') return null;
  const age = last.how === 'read' ? 0 : last.age;
  if (age > OLDEST || (last.how === 'carried' && last.atMost)) return null;
  return toldTo(season, water, surface, streamOutlook(readings, rain, last.level, now.getTime() - age));
}

/** An outlook moved by the rises that were told of its surface and are not in its reading. */
function toldTo(season: Facts, water: string, surface: 'pond' | 'tail', outlook: Outlook): Outlook {
  const gauge = season.gauges.find((g) => g.water === water && g.surface === surface);
  const told = season.told.filter((t) => t.gauge === gauge?.id);
  return told.length === 0 ? outlook : { ...outlook, courses: withTold(outlook.courses, told, outlook.from.getTime()) };
}

/** The surfaces of a water whose reading is too old to stand by itself. */
const oldOf = ({ age }: Water): ('pond' | 'tail')[] => (['pond', 'tail'] as const).filter((surface) => (age[surface] ?? 0) > READING_LASTS);

/** The levels of waters with what the forecast says of those that were read too long ago to stand by themselves. */
export function foretold(season: Facts, now: Date): Record<string, Water> {
  if (Object.values(season.levels).every((water) => oldOf(water).length === 0)) return season.levels;
  const { waters } = movingOf(season, now);
  return Object.fromEntries(
    Object.entries(season.levels).map(([id, water]) => {
      const ahead = oldOf(water).flatMap((surface) => {
        const outlook = waters[id]?.[surface];
        if (!outlook) return [];
        const at = (now.getTime() - outlook.from.getTime()) / 1000;
        const { low, middle, high } = outlook.courses;
        return [[surface, { low: levelOn(low, at), middle: levelOn(middle, at), high: levelOn(high, at) }] as const];
      });
      return [id, ahead.length === 0 ? water : { ...water, foretold: Object.fromEntries(ahead) }];
    }),
  );
}
