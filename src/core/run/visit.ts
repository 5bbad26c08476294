import { middleOf, type Takes, type Task } from './work';

/** What a visit takes, minutes: in the middle, and between which two it mostly lies. */
export interface Visit {
  task: Task;
  minutes: number;
  low: number;
  high: number;
}

/** What is known of a set before one stands at it. */
export interface Ahead {
  /** something is to be changed or set again there */
  isRemade: boolean;
  isMissing: boolean;
  underIce: boolean;
}

/** The work at a set as it is expected: a look, a remake or a search; through ice the hole is opened anew. */
export function visitOf({ isRemade, isMissing, underIce }: Ahead, takes: Readonly<Record<Task, Takes>>): Visit {
  const task = isMissing ? 'missing' : isRemade ? 'remake' : 'look';
  const sum = (of: 'minutes' | 'low' | 'high'): number => takes[task][of] + (underIce ? takes.chop[of] : 0);
  return { task, minutes: sum('minutes'), low: sum('low'), high: sum('high') };
}

/** How far the end of a day may lie on both sides of what was calculated, minutes. */
export interface Band {
  sooner: number;
  later: number;
}

/** Nine days of ten end between the two: 1.645 standard deviations of a sum. @source standard normal distribution */
const NINE_OF_TEN = 1.645;

/**
 * The band of a day's end: each visit may be quicker or slower on its own, and some hold a catch.
 *
 * @param catches the share of checks that held a catch; each takes the minutes of a catch instead of a look
 */
export function bandOf(visits: readonly Visit[], catches: number, takes: Readonly<Record<Task, Takes>>): Band & { usual: number } {
  const { catch: caught, look } = middleOf(takes);
  const more = Math.max(0, caught - look);
  const spread = (side: 'low' | 'high'): number =>
    visits.reduce((sum, v) => sum + ((v[side] - v.minutes) / NINE_OF_TEN) ** 2, 0) + visits.length * catches * (1 - catches) * more ** 2;
  const usual = visits.length * catches * more;
  return {
    usual,
    sooner: Math.min(usual + sumOf(visits), NINE_OF_TEN * Math.sqrt(spread('low'))),
    later: NINE_OF_TEN * Math.sqrt(spread('high')),
  };
}

const sumOf = (visits: readonly Visit[]): number => visits.reduce((sum, v) => sum + v.minutes - v.low, 0);
