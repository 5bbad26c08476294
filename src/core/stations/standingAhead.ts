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

/**
 * Whether a place can be waded now, at the next check, and from when again: water by the forecast plus sink, with 6 in left to the top of the waders.
 *
 * @param bed elevation of the bed, m
 * @param follows surface at the place for a level of the gauge
 */
export function standingAhead(
  bed: number,
  sink: number | null,
  { waders, knee }: Stander,
  courses: Courses,
  now: number,
  check: number,
  clock: (seconds: number) => string,
  system: System,
  follows: (level: number) => number = (level) => level,
): Ahead {
  const wet = (course: readonly CoursePoint[], at: number): number => Math.max(0, follows(levelOn(course, at)) - bed) + (sink ?? 0);
  const can = (course: readonly CoursePoint[], at: number): boolean => (sink ?? 0) <= knee && wet(course, at) <= waders - FREEBOARD;
  const [here, then, surely] = [can(courses.middle, now), can(courses.middle, check), can(courses.high, check)];
  const blocked = courses.middle.filter((p) => p.at > now && !can(courses.middle, p.at));
  const last = blocked.at(-1)?.at ?? null;
  const end = courses.middle.at(-1)?.at ?? now;
  const again = last === null ? (here ? null : now) : last >= end ? null : (courses.middle.find((p) => p.at > last)?.at ?? null);
  const deep = printLength(wet(courses.middle, check), system);
  const sentence = here
    ? then
      ? surely
        ? `Wadable now and at the check (${deep} then).`
        : `Wadable now; maybe too deep at the check (${deep}).`
      : `Too deep to wade by the check (${deep}).${again === null ? '' : ` Wadable again about ${clock(again)}.`}`
    : again === null
      ? `Too deep to wade until after ${clock(courses.middle.at(-1)?.at ?? now)}.`
      : `Too deep to wade now. Wadable again about ${clock(again)}.`;
  const short = here
    ? then
      ? surely
        ? ''
        : 'maybe too deep to wade by the check'
      : 'too deep to wade by the check'
    : 'too deep to wade';
  return { now: here, atCheck: then, surely, again, until: here ? (blocked[0]?.at ?? null) : null, sentence, short };
}
