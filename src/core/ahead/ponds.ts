import { areaOf } from '../ground/geodesic';
import type { Ground } from '../record/kinds';
import { type Opening, type WaterBody } from '../water/placed';
import { isPlaced, sunOf, type Place } from '../time/sun';
import { addDays, instantOf, localDate } from '../time/localTime';
import type { AreaTable, PondModel } from '../water/balance';
import type { BreakShape } from '../water/outflow';
import { amongForecasts, pondForecast, type Forecast } from '../water/pondForecast';
import { type StreamFit } from '../water/streamForecast';
import type { WeatherHour } from '../weather/hours';
import { remembered } from '../remembered';
import type { Facts } from './facts';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** How far a forecast reaches, h. */
export const AHEAD = 72;
/** A reading older than this begins no forecast. [practice] */
export const OLDEST = 2 * DAY;
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

/** The forecast of a drained pond; where its area or its rise was never measured, of all ponds that it may be. */
export function drainedForecast(water: WaterBody, level: number, from: Date, context: PondContext): Outlook {
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

/** Where the place is not known dusk is taken at six. [practice] */
const USUAL_SUNSET = '18:00';

/** The next time after a moment at which mending begins by practice. */
export function dusk(after: Date, zone: string, place: Place): Date {
  const day = localDate(after, zone);
  for (const date of [day, addDays(day, 1)]) {
    const sunset = isPlaced(place) ? sunOf(date, zone, place).sunset : instantOf(date, USUAL_SUNSET, zone);
    if (sunset && sunset.getTime() + MENDED_AFTER > after.getTime()) return new Date(sunset.getTime() + MENDED_AFTER);
  }
  return new Date(after.getTime() + DAY);
}

export interface PondContext {
  ground: Ground[];
  open: Opening[];
  hours: WeatherHour[];
  season: Facts;
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
