import type { CoursePoint } from './balance';
import { changeOf } from './change';
import { withBand, type Forecast } from './pondForecast';
import type { Reading } from './series';

const HOUR = 3_600_000;
/** Share of a normal spread that 8 in 10 lie within. @source any table of the normal distribution */
const EIGHT_OF_TEN = 1.2816;
/** A stream whose history teaches nothing: a third of the rise is gone in a day, and it wanders this much in a day. [practice] */
const UNKNOWN = { k: 0.4 / 24, wander: 0.04 };
/** Hours after which two thirds of a fall that was seen are spent, and the share of it that is in doubt. [practice] */
const EASES = 48;
const TREND_DOUBT = 0.5;
/** The rain that is expected may be this much more or less. [practice] */
const RAIN_DOUBT = 0.5;
const LEAST_SPREAD = 0.006;

/** Rain of an hour of the clock that begins at a time; mm. */
export interface RainHour {
  at: number;
  rain: number;
}

/** How a stream answers: `dL/dt = −k·(L − base) + r·rain`. */
export interface StreamFit {
  /** 1/h */
  k: number;
  /** level to which it falls back, m */
  base: number;
  /** rise for a millimetre of rain, m */
  r: number;
  /** spread of one step's error, m, and the step's length, h */
  spread: number;
  step: number;
  /** steps it was fitted to; 0 when nothing could be */
  steps: number;
  /** what was read of its last move, m an hour, where nothing could be fitted: a fall goes on and eases, a rise may */
  trend: number;
}

interface Step {
  from: number;
  to: number;
  a: number;
  b: number;
  /** the wet hours in it */
  wet: RainHour[];
}

/** Rain that still counts at the end of a step, mm: each hour's fades with the recession. */
function faded({ wet, to }: Step, k: number): number {
  let sum = 0;
  for (const hour of wet) sum += hour.rain * Math.exp((-k * (to - hour.at)) / HOUR);
  return sum;
}

/** For a given recession the base and the answer to rain by least squares of the steps. */
function solved(steps: readonly Step[], k: number): { base: number; r: number; error: number } {
  let [ee, er, rr, ey, ry] = [0, 0, 0, 0, 0];
  const rows = steps.map((s) => {
    const left = Math.exp((-k * (s.to - s.from)) / HOUR);
    const row = { e: 1 - left, rain: faded(s, k), y: s.b - s.a * left };
    ee += row.e * row.e;
    er += row.e * row.rain;
    rr += row.rain * row.rain;
    ey += row.e * row.y;
    ry += row.rain * row.y;
    return row;
  });
  const det = ee * rr - er * er;
  const r = rr < 1e-9 || Math.abs(det) < 1e-12 ? 0 : Math.max(0, (ee * ry - er * ey) / det);
  const base = (ey - r * er) / ee;
  const error = rows.reduce((sum, row) => sum + (row.y - row.e * base - row.rain * r) ** 2, 0);
  return { base, r, error };
}

/**
 * Recession and answer to rain, fitted to a gauge's own readings: for each recession tried the other two follow by least squares, the best is kept.
 * Steps of over two days teach nothing. With under six steps the practice figures stand, with the last move that was read and as wide
 * as the moves were.
 *
 * @source linear reservoir, any handbook of hydrology, from memory
 */
export function fitStream(readings: readonly Reading[], rain: readonly RainHour[]): StreamFit {
  const exact = readings.filter((r) => r.bound === 'exact').sort((a, b) => a.at.getTime() - b.at.getTime());
  const wet = rain.filter((h) => h.rain > 0);
  const steps = exact.slice(1).flatMap((b, i): Step[] => {
    const a = exact[i] as Reading;
    const [from, to] = [a.at.getTime(), b.at.getTime()];
    if (to - from < HOUR / 12 || to - from >= 48 * HOUR) return [];
    return [{ from, to, a: a.level, b: b.level, wet: wet.filter((h) => h.at >= from && h.at < to) }];
  });
  const last = exact.at(-1)?.level ?? 0;
  const hours = steps.length === 0 ? 12 : steps.reduce((sum, s) => sum + (s.to - s.from) / HOUR, 0) / steps.length;
  if (steps.length < 6) return byTrend(exact, steps, last);
  const tried = Array.from({ length: 36 }, (_, i) => (1 / 240) * 60 ** (i / 35));
  let best = { k: UNKNOWN.k, ...solved(steps, UNKNOWN.k) };
  for (const k of tried) {
    const found = solved(steps, k);
    if (found.error < best.error) best = { k, ...found };
  }
  const spread = Math.max(LEAST_SPREAD, Math.sqrt(best.error / Math.max(1, steps.length - 3)));
  return { k: best.k, base: best.base, r: best.r, spread, step: hours, steps: steps.length, trend: 0 };
}

/** Too few steps to fit anything to: the level goes on as it moved last, and wanders as far in a day as it did. */
function byTrend(exact: readonly Reading[], steps: readonly Step[], last: number): StreamFit {
  const newest = exact.at(-1);
  const change = newest ? changeOf(exact, newest.at) : null;
  const hours = change ? (change.to.at.getTime() - change.from.at.getTime()) / HOUR : Infinity;
  const trend = change && hours < 48 ? (change.to.level - change.from.level) / hours : 0;
  const days = steps.map((s) => (s.b - s.a) ** 2 / Math.max(0.25, (s.to - s.from) / (24 * HOUR)));
  const wander = Math.sqrt(days.reduce((sum, d) => sum + d, 0) / Math.max(1, days.length));
  return { k: UNKNOWN.k, base: last, r: 0, spread: Math.max(UNKNOWN.wander, wander), step: 24, steps: 0, trend };
}

/** Of a move that goes on and eases, what comes within some hours, m. */
const goesOn = (trend: number, hours: number): number => trend * EASES * (1 - Math.exp(-hours / EASES));

/**
 * The course of a stream from a level on, by its own recession and answer to rain. The band is the spread of its past steps, which add up
 * and fade as the level does (a first-order autoregression, any handbook of statistics), and half of the rise by rain that is only expected.
 *
 * @param from ms of the reading it begins with
 * @param rain hours from then on, the expected ones with them
 */
export function streamForecast(fit: StreamFit, start: number, from: number, hours: number, rain: readonly RainHour[]): Forecast {
  const every = 1800;
  const count = Math.round((hours * 3600) / every);
  const middle: CoursePoint[] = [{ at: 0, level: start, out: 0 }];
  const wet = [0];
  const fades = Math.exp((-fit.k * every) / 3600);
  const falls = new Map(rain.filter((h) => h.rain > 0).map((h) => [Math.floor(h.at / HOUR), h.rain]));
  let [over, rise] = [start - fit.base, 0];
  for (let i = 1; i <= count; i += 1) {
    const now = from + (i - 1) * every * 1000;
    const more = (fit.r * (falls.get(Math.floor(now / HOUR)) ?? 0) * every) / 3600;
    over = over * fades + more;
    rise = rise * fades + more;
    middle.push({ at: i * every, level: fit.base + over + goesOn(Math.min(0, fit.trend), (i * every) / 3600), out: 0 });
    wet.push(rise);
  }
  const still = 1 - Math.exp(-2 * fit.k * fit.step);
  const own = middle.map((p) => EIGHT_OF_TEN * fit.spread * Math.sqrt((1 - Math.exp((-2 * fit.k * p.at) / 3600)) / still));
  const rainy = wet.map((w) => w * RAIN_DOUBT);
  const move = middle.map((p) => goesOn(fit.trend, p.at / 3600));
  const rising = fit.trend > 0 ? move : move.map((m) => -m * TREND_DOUBT);
  return withBand(middle, [
    { called: fit.steps === 0 ? 'few readings so far' : 'past steps', up: own, down: own },
    { called: 'the rain', up: rainy, down: rainy },
    ...(fit.trend === 0
      ? []
      : [{ called: fit.trend > 0 ? 'the rise goes on or ends' : 'the fall goes on or ends', up: rising, down: rising }]),
  ]);
}

/** How a stream answers, in a sentence's figures: hours after which half of a rise is gone. */
export const halfGone = ({ k }: StreamFit): number => Math.LN2 / k;
