import { levelOn, pondCourse, ROUGH, type CoursePoint, type PondModel } from './balance';

/** A course with its band: one in ten ends under `low`, one in ten over `high`. */
export interface Courses {
  low: CoursePoint[];
  middle: CoursePoint[];
  high: CoursePoint[];
}

/** What makes a band wide: how far one doubt alone moves the level, m, at the times of the course. */
export interface Doubt {
  called: string;
  up: number[];
  down: number[];
}

export interface Forecast extends Courses {
  doubts: Doubt[];
}

/** How far off each thing may be in 8 readings in 10: shares, and metres for the reading and the tailwater. [practice] */
export const PRACTICE_DOUBTS = { reading: 0.006, coefficient: 0.2, inflow: 0.5, rain: 0.5, area: 0.1, tail: 0.05 } as const;
export type Doubts = Record<keyof typeof PRACTICE_DOUBTS, number>;

const EVERY = 1800;

/** One end of a doubt, and the other; where it is left out the level answers evenly and the first is mirrored. */
type Changed = [called: string, up: [PondModel, number], down?: [PondModel, number]];

/** The pond with one thing changed to either end of its doubt; `up` is the end that leaves more water. */
function changes(model: PondModel, start: number, doubts: Doubts): Changed[] {
  const found: Changed[] = [['the reading', [model, start + doubts.reading]]];
  const both = (called: string, change: (share: number) => PondModel, by: number): void => {
    found.push([called, [change(1 + by), start], [change(1 - by), start]]);
  };
  if (model.breaks.length > 0)
    both(
      'how well the break runs',
      (share) => ({ ...model, breaks: model.breaks.map((b) => ({ ...b, cd: b.cd * share })) }),
      -doubts.coefficient,
    );
  if (model.inflow > 0) found.push(['the inflow', [{ ...model, inflow: model.inflow * (1 + doubts.inflow) }, start]]);
  if (model.rain && model.rain.length > 0)
    both('the rain', (share) => ({ ...model, rain: model.rain?.map((r) => ({ ...r, flow: r.flow * share })) ?? [] }), doubts.rain);
  found.push(['the area of the pond', [{ ...model, area: model.area.map((a) => ({ ...a, area: a.area * (1 + doubts.area) })) }, start]]);
  const drowns = [...model.breaks, ...model.pipes].some((o) => model.tail + doubts.tail > o.sill);
  if (drowns)
    found.push([
      'the water below the dam',
      [{ ...model, tail: model.tail + doubts.tail }, start],
      [{ ...model, tail: model.tail - doubts.tail }, start],
    ]);
  return found;
}

/**
 * The course of a pond with its band from the 10th to the 90th percentile. Each doubt is run alone to either end, and their
 * effects, taken as independent, are added as squares (first-order propagation of error, any handbook of statistics; the sizes of the doubts are practice).
 *
 * @param start level now, m
 * @param hours how far
 */
export function pondForecast(model: PondModel, start: number, hours: number, doubts: Doubts = PRACTICE_DOUBTS): Forecast {
  const middle = pondCourse(model, start, hours, EVERY, ROUGH);
  const found = changes(model, start, doubts).map(([called, up, down]): Doubt => {
    const off = ([changed, from]: [PondModel, number]): number[] => {
      const run = pondCourse(changed, from, hours, 2 * EVERY, ROUGH);
      return middle.map((p) => levelOn(run, p.at) - p.level);
    };
    const a = off(up);
    const b = down ? off(down) : a.map((d) => -d);
    return {
      called,
      up: a.map((d, i) => Math.max(0, d, b[i] ?? 0)),
      down: a.map((d, i) => Math.max(0, -d, -(b[i] ?? 0))),
    };
  });
  return withBand(middle, found);
}

/** A middle course and its doubts as a band; the doubts add as squares. */
export function withBand(middle: CoursePoint[], doubts: Doubt[]): Forecast {
  const side = (sign: 1 | -1): CoursePoint[] =>
    middle.map((p, i) => ({
      ...p,
      level: p.level + sign * Math.hypot(...doubts.map((d) => (sign === 1 ? d.up[i] : d.down[i]) ?? 0)),
    }));
  return { low: side(-1), middle, high: side(1), doubts };
}

/**
 * One forecast of several that may be true, where what they differ by was never measured: the middle one, its band from the lowest to the highest of all.
 *
 * @param called what they differ by
 * @param all with the middle one at `nth`; of one length, at the same times
 */
export function amongForecasts(called: string, all: readonly Forecast[], nth: number): Forecast {
  const own = all[nth];
  if (!own) throw new RangeError(`there is no forecast ${nth} among ${all.length}`);
  const at = (course: readonly CoursePoint[], p: CoursePoint): number => levelOn(course, p.at);
  const up = own.middle.map((p) => Math.max(...all.map((f) => at(f.high, p))) - p.level);
  const down = own.middle.map((p) => p.level - Math.min(...all.map((f) => at(f.low, p))));
  const side = (by: readonly number[], sign: 1 | -1): CoursePoint[] =>
    own.middle.map((p, i) => ({ ...p, level: p.level + sign * (by[i] ?? 0) }));
  return { low: side(down, -1), middle: own.middle, high: side(up, 1), doubts: [...own.doubts, { called, up, down }] };
}

/** What each doubt alone gives of the band's half-width at a time, the largest first, those of over an eighth of an inch; m. */
export function widthAt({ middle, doubts }: Forecast, at: number): { called: string; by: number }[] {
  const nth = middle.findIndex((p) => p.at >= at);
  const i = nth === -1 ? middle.length - 1 : nth;
  return doubts
    .map((d) => ({ called: d.called, by: ((d.up[i] ?? 0) + (d.down[i] ?? 0)) / 2 }))
    .filter((d) => d.by > 0.0035)
    .sort((a, b) => b.by - a.by);
}
