import { printLength } from '../units/length';
import type { System } from '../units/factors';
import { levelOn, type CoursePoint } from '../water/balance';
import type { Courses } from '../water/pondForecast';
import { FREEBOARD, type Stander } from './standing';

export interface Ahead {
  /** it can be waded now, at the check on the middle course, and for sure there on the high one */
  now: boolean;
  atCheck: boolean;
  surely: boolean;
  /** seconds of the course from when on it can be stood at again and to the course's end; null when it does not come back, or never was cut off */
  again: number | null;
  /** seconds of the course up to when it can be stood at; null where it cannot now, or can as far as is foreseen */
  until: number | null;
  sentence: string;
  /** in a few words what keeps a person from the place; empty where nothing does */
  short: string;
}

/** A place that is waded to. */
export interface Ground {
  /** elevation of the bed, m */
  bed: number;
  /** how deep one sinks in, m; null where nobody measured it */
  sink: number | null;
  /** surface at the place for a level of the gauge */
  follows?: (level: number) => number;
}

export interface Then {
  /** seconds of the course */
  now: number;
  check: number;
  clock: (seconds: number) => string;
  system: System;
}

/** Whether a place can be waded now, at the next check, and from when again: water by the forecast plus sink, with 6 in left to the top of the waders. */
export function standingAhead(ground: Ground, { waders, knee }: Stander, courses: Courses, { now, check, clock, system }: Then): Ahead {
  const { bed, sink, follows = (level) => level } = ground;
  const wet = (course: readonly CoursePoint[], at: number): number => Math.max(0, follows(levelOn(course, at)) - bed) + (sink ?? 0);
  const can = (course: readonly CoursePoint[], at: number): boolean => (sink ?? 0) <= knee && wet(course, at) <= waders - FREEBOARD;
  const [here, then, surely] = [can(courses.middle, now), can(courses.middle, check), can(courses.high, check)];
  const blocked = courses.middle.filter((p) => p.at > now && !can(courses.middle, p.at));
  const last = blocked.at(-1)?.at ?? null;
  const end = courses.middle.at(-1)?.at ?? now;
  const again = last === null ? (here ? null : now) : last >= end ? null : (courses.middle.find((p) => p.at > last)?.at ?? null);
  const until = here ? (blocked[0]?.at ?? null) : null;
  const back = again === null ? null : clock(again);
  const said = sentenceOf({ here, then, surely, back, deep: printLength(wet(courses.middle, check), system), end: clock(end) });
  return { now: here, atCheck: then, surely, again, until, ...said };
}

interface Found {
  here: boolean;
  then: boolean;
  surely: boolean;
  /** from when on it can be waded again, in words; null where that is not foreseen */
  back: string | null;
  deep: string;
  end: string;
}

function sentenceOf({ here, then, surely, back, deep, end }: Found): Pick<Ahead, 'sentence' | 'short'> {
  if (here && then && surely) return { sentence: `Wadable now and at the check (${deep} then).`, short: '' };
  if (here && then)
    return { sentence: `Wadable now; maybe too deep at the check (${deep}).`, short: 'maybe too deep to wade by the check' };
  if (here) {
    const again = back === null ? '' : ` Wadable again about ${back}.`;
    return { sentence: `Too deep to wade by the check (${deep}).${again}`, short: 'too deep to wade by the check' };
  }
  const sentence = back === null ? `Too deep to wade until after ${end}.` : `Too deep to wade now. Wadable again about ${back}.`;
  return { sentence, short: 'too deep to wade' };
}
