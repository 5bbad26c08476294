import { areaOf } from '#core/ground/geodesic';
import type { Ground } from '#core/record/kinds';
import { placedOpening, type Opening, type WaterBody } from '#core/water/placed';
import { sunOf } from '#core/time/sun';
import { addDays, localDate } from '#core/time/localTime';
import type { AreaTable, PondModel } from '#core/water/balance';
import type { BreakShape } from '#core/water/outflow';
import { amongForecasts, pondForecast, type Forecast } from '#core/water/pondForecast';
import { levelAt } from '#core/water/levelAt';
import type { Reading } from '#core/water/series';
import { fitStream, streamForecast, type RainHour, type StreamFit } from '#core/water/streamForecast';
import type { WeatherHour } from '#core/weather/hours';
import { remembered } from '#core/remembered';
import type { Season } from './season';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** How far a forecast reaches, h. */
export const AHEAD = 72;
/** A reading older than this begins no forecast. */
const OLDEST = DAY;
/** After a mending a pond fills up; until then its history does not tell where it stands. */
const REFILLS = 10 * DAY;
/** What a millimetre of rain cuts off the sides of a break in soft fill, m. [practice] */
const CUTS = 0.0025;
/** A mending begins this long after sunset. [practice] */
export const MENDED_AFTER = 2 * HOUR;

/** The courses of one surface, from its last reading on. */
export interface Outlook {
  from: Date;
  courses: Forecast;
  /** how a stream answers, where it was fitted */
  fit: StreamFit | null;
  /** what it rests on that nobody measured: rules of thumb stand in, and the band is wide */
  lacks?: readonly Lacking[];
}

export interface Moving {
  pond: Outlook | null;
  tail: Outlook | null;
}

/** The shape of a break as it stands in the water at a level. */
export function shapeOf({ shape, width, sill }: Pick<Opening, 'shape' | 'width' | 'sill'>, level: number): BreakShape {
  const depth = Math.max(0.05, level - sill);
  if (shape === 'rectangle') return { kind: shape, width };
  return shape === 'V' ? { kind: shape, side: width / (2 * depth) } : { kind: shape, width: Math.max(0.02, width - depth), side: 0.5 };
}

/** The area of a pond at its shore as drawn on the map, m²; null when it was not drawn. */
export function drawnArea(ground: Ground[], water: string): number | null {
  const shore = ground.find((g) => g.water === water && g.kind === 'shore' && g.shape.type === 'Polygon');
  return shore?.shape.type === 'Polygon' ? areaOf(shore.shape.coordinates[0] ?? []).area : null;
}

/** A pond's area by level: as typed, else as drawn at the level it has now. */
export function areasOf(water: WaterBody, ground: Ground[], level: number): AreaTable | null {
  if (water.areas.length > 0) return [...water.areas].sort((a, b) => a.level - b.level);
  const drawn = drawnArea(ground, water.id);
  return drawn === null ? null : [{ level, area: drawn }];
}

/** What a pond's forecast needs beside its level and its breaks. */
export type Lacking = 'area' | 'rise';

/** What a pond of unknown size may have: from a fifth of an acre to five, and nothing to an inch of rise in a day. [practice] */
const ASSUMED = { area: [800, 4000, 20_000], rise: [0, 0.01, 0.0254] };

/** The dearest that a page asks: the same water balance gives the same course. */
const forecastOf = remembered((model: PondModel, level: number): Forecast => pondForecast(model, level, AHEAD), 200);

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

/** The forecast of a drained pond; where its area or its rise was never measured, of all ponds that it may be. */
function drainedForecast(water: WaterBody, level: number, from: Date, context: PondContext): Outlook {
  const lacks: Lacking[] = [
    ...(areasOf(water, context.ground, level) ? [] : (['area'] as const)),
    ...(water.rise === null ? (['rise'] as const) : []),
  ];
  const areas = lacks.includes('area') ? ASSUMED.area.map((area) => [{ level, at: from.toISOString(), area }]) : [water.areas];
  const rises = lacks.includes('rise') ? ASSUMED.rise : [water.rise];
  const all = areas.flatMap((own) =>
    rises.flatMap((rise) => {
      const model = pondModel({ ...water, areas: own, rise }, level, from, context);
      return model ? [forecastOf(model, level)] : [];
    }),
  );
  const called = { area: 'the area of the pond, not measured', rise: 'its rise in a day, not measured' };
  const courses = amongForecasts(lacks.map((l) => called[l]).join(' and '), all, Math.floor(all.length / 2));
  return { from, courses: lacks.length > 0 ? courses : (all[0] ?? courses), fit: null, lacks };
}

const fromStart = (from: number, to: number): number => (to - from) / 1000;

/** Rain as what comes into a pond: on its own surface and from the ground around it. */
export function rainFlow(hours: readonly WeatherHour[], from: number, area: number, water: WaterBody) {
  const catches = area + (water.catchment ?? 0) * (water.runoff ?? 0);
  return hours
    .filter((h) => h.rain > 0 && h.at + HOUR > from && h.at < from + AHEAD * HOUR)
    .map((h) => ({ from: fromStart(from, h.at), to: fromStart(from, h.at + HOUR), flow: ((h.rain / 1000) * catches) / 3600 }));
}

/** How rain widens a break in soft fill, spread over the wet time ahead. */
export function wideningIn(hours: readonly WeatherHour[], from: number) {
  const wet = hours.filter((h) => h.rain > 0.5 && h.at + HOUR > from && h.at < from + AHEAD * HOUR);
  const [first, last] = [wet[0], wet.at(-1)];
  if (!first || !last) return undefined;
  const total = wet.reduce((sum, h) => sum + h.rain, 0) * CUTS;
  const [begin, end] = [fromStart(from, first.at), fromStart(from, last.at + HOUR)];
  return { from: begin, to: end, by: total / (end - begin) };
}

/** The next time after a moment at which mending begins by practice. */
export function dusk(after: Date, zone: string, place: { lat: number; lon: number }): Date {
  const day = localDate(after, zone);
  for (const date of [day, addDays(day, 1)]) {
    const { sunset } = sunOf(date, zone, place);
    if (sunset && sunset.getTime() + MENDED_AFTER > after.getTime()) return new Date(sunset.getTime() + MENDED_AFTER);
  }
  return new Date(after.getTime() + DAY);
}

interface PondContext {
  ground: Ground[];
  open: Opening[];
  hours: WeatherHour[];
  season: Season;
  tail: number | undefined;
}

/** What fills and drains a pond, from a reading on; null where its area is not known. */
export function pondModel(
  water: WaterBody,
  level: number,
  from: Date,
  { ground, open, hours, season, tail }: PondContext,
): PondModel | null {
  const area = areasOf(water, ground, level);
  if (!area) return null;
  const wide = area.find((a) => a.level >= level)?.area ?? area.at(-1)?.area ?? 0;
  const start = from.getTime();
  const dam = season.stations.find((s) => s.water === water.id && s.kind === 'dam' && s.crest !== null);
  const widens = wideningIn(hours, start);
  const breaks = open.flatMap((b) => {
    const mended = b.mended ? new Date(b.mended) : b.expect === 'mended after dusk' ? dusk(from, season.line.zone, season.line) : null;
    const one = {
      shape: shapeOf(b, level),
      sill: b.sill,
      from: fromStart(start, Date.parse(b.opened)),
      to: mended ? fromStart(start, mended.getTime()) : Infinity,
      cd: 1,
      ...(b.widens && widens ? { widens } : {}),
    };
    return Array.from({ length: b.count }, () => one);
  });
  return {
    area,
    inflow: ((water.rise ?? 0) / 86_400) * wide,
    seepage: ((water.seep ?? 0) / 86_400) * wide,
    tail: tail ?? -100,
    pipes: water.pipes,
    crest: water.spill !== null && dam?.crest ? { level: dam.crest, length: water.spill } : null,
    rain: rainFlow(hours, start, wide, water),
    breaks,
  };
}

/** Seasons of one request share their readings, whichever of their sets were asked for. */
const known = new WeakMap<Season['readings'], MovingAll>();

export interface MovingAll {
  hours: WeatherHour[];
  waters: Record<string, Moving>;
  ground: Ground[];
  open: Opening[];
}

/** Courses of every surface of the season that was read within a day, with the weather they rest on; reckoned once a season that was loaded. */
export function movingOf(season: Season, now: Date): MovingAll {
  const found = known.get(season.readings) ?? moving(season, now);
  known.set(season.readings, found);
  return found;
}

function moving(season: Season, now: Date): MovingAll {
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
      if (water.kind !== 'pond' || (own.length === 0 && water.pipes.length === 0 && !mended)) return [water.id, byHistory()];
      const levels = season.levels[water.id];
      const level = levels?.known.pond;
      const age = levels?.age.pond ?? Infinity;
      if (level === undefined || age > OLDEST) return [water.id, { pond: null, tail }];
      const from = new Date(now.getTime() - age);
      const context = { ground, open: own, hours, season, tail: levels?.known.tail };
      if (own.length === 0 && !areasOf(water, ground, level)) return [water.id, byHistory()];
      return [water.id, { pond: drainedForecast(water, level, from, context), tail }];
    }),
  );
  return { hours, waters, ground, open };
}

function streamOf(season: Season, rain: Rain, water: string, surface: 'pond' | 'tail', now: Date): Outlook | null {
  const gauge = season.gauges.find((g) => g.water === water && g.surface === surface);
  const readings = gauge ? (season.readings[gauge.id] ?? []) : [];
  const last = levelAt(readings, now);
  if (last.how !== 'read' && last.how !== 'carried') return null;
  const age = last.how === 'read' ? 0 : last.age;
  if (age > OLDEST || (last.how === 'carried' && last.atMost)) return null;
  return streamOutlook(readings, rain, last.level, now.getTime() - age);
}
