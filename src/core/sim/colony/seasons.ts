import { seeded } from '../random';
import { liveSeason, type Plan, type Season, type Setting } from './trapline';

/** What a season is judged by. `less`: fewer is better. */
export const MEASURES = {
  left: { less: true },
  caught: { less: false },
  missed: { less: true },
  minutes: { less: true },
} as const;
export type MeasureOf = keyof typeof MEASURES;
export const MEASURED = Object.keys(MEASURES) as MeasureOf[];

/** Many seasons under one plan. */
export interface Many {
  seasons: number;
  /** of each measure, what every season came to */
  values: Record<MeasureOf, number[]>;
  /** seasons that ended with none left */
  cleared: number;
  /** mean number caught by the end of each night */
  byNight: number[];
}

/** The seed of one season of many: the first one can be lived again by itself. */
export const seedOf = (seed: number, season: number): number => (seed * 7919 + season * 104_729) >>> 0;

/**
 * Lives so many seasons under a plan. Two plans under one seed begin with the same colonies and the same weather.
 *
 * @param step told after each hundredth of them
 */
export function liveMany(
  { setting, plan, seasons, seed }: { setting: Setting; plan: Plan; seasons: number; seed: number },
  step: (done: number) => void = () => undefined,
): Many {
  const values: Many['values'] = { left: [], caught: [], missed: [], minutes: [] };
  const byNight = Array.from({ length: setting.nights }, () => 0);
  for (let n = 0; n < seasons; n += 1) {
    const season = liveSeason(seeded(seedOf(seed, n)), setting, plan);
    for (const what of MEASURED) values[what].push(season[what]);
    addUp(byNight, season);
    if ((n + 1) % Math.max(1, Math.floor(seasons / 100)) === 0) step(n + 1);
  }
  return { seasons, values, cleared: values.left.filter((l) => l === 0).length, byNight: byNight.map((all) => all / seasons) };
}

function addUp(byNight: number[], { nights }: Season): void {
  let caught = 0;
  for (const [n, night] of nights.entries()) {
    caught += night.caught;
    byNight[n] = (byNight[n] ?? 0) + caught;
  }
}

/** How many seasons came to each whole number, from the least to the most of both. */
export function counted(values: readonly number[], low: number, high: number): number[] {
  const found = Array.from({ length: high - low + 1 }, () => 0);
  for (const value of values) {
    const at = Math.round(value) - low;
    if (at >= 0 && at < found.length) found[at] = (found[at] ?? 0) + 1;
  }
  return found;
}

/** Two plans by one measure: chances that a season under the one beats a season under the other. */
export interface Against {
  first: number;
  second: number;
  even: number;
  /** mean of the first less mean of the second */
  apart: number;
  /** how far off that may be by the draw alone, 19 in 20 */
  doubt: number;
}

/** From so often on, one season of each shows which plan is better. [practice] */
export const SHOWS = 0.8;

/** Holds two lists of seasons against each other, each of the one against each of the other. @throws RangeError when one is empty */
export function against(a: readonly number[], b: readonly number[], { less }: { less: boolean }): Against {
  if (a.length === 0 || b.length === 0) throw new RangeError('nothing to compare: live some seasons under both plans first');
  const sorted = [...b].sort((x, y) => x - y);
  let under = 0;
  let over = 0;
  for (const value of a) {
    under += firstNotBelow(sorted, value);
    over += sorted.length - firstAbove(sorted, value);
  }
  const all = a.length * b.length;
  const [more, fewer] = [under / all, over / all];
  const [first, second] = less ? [fewer, more] : [more, fewer];
  const doubt = 1.96 * Math.sqrt(variance(a) / a.length + variance(b) / b.length);
  return { first, second, even: 1 - more - fewer, apart: mean(a) - mean(b), doubt };
}

/** Whether one season of each would show which is better; `none` where many seasons show no difference either. */
export function whatShows({ first, second, even, apart, doubt }: Against): 'first' | 'second' | 'not in one' | 'none' {
  if (Math.abs(apart) <= doubt) return 'none';
  if (first + even / 2 >= SHOWS) return 'first';
  if (second + even / 2 >= SHOWS) return 'second';
  return 'not in one';
}

export const mean = (values: readonly number[]): number => values.reduce((all, v) => all + v, 0) / values.length;
function variance(values: readonly number[]): number {
  const middle = mean(values);
  return values.reduce((all, v) => all + (v - middle) ** 2, 0) / Math.max(1, values.length - 1);
}
/** How many stand before the first that passes; the list rises. */
function before(sorted: readonly number[], isPast: (value: number) => boolean): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (isPast(sorted[middle] ?? Infinity)) high = middle;
    else low = middle + 1;
  }
  return low;
}
const firstNotBelow = (sorted: readonly number[], value: number): number => before(sorted, (v) => v >= value);
const firstAbove = (sorted: readonly number[], value: number): number => before(sorted, (v) => v > value);
