import { levelOn, type CoursePoint } from '../water/balance';
import type { Courses } from '../water/pondForecast';
import { FREEBOARD, type Stander } from './standing';

/** Whether and when a place can be stood at. */
export interface Reach {
  /** it can be waded now, at the check on the middle course, and for sure there on the high one */
  now: boolean;
  atCheck: boolean;
  surely: boolean;
  /** seconds of the course from when on it can be stood at again and to the course's end; null when it does not come back, or never was cut off */
  again: number | null;
  /** seconds of the course up to when it can be stood at; null where it cannot now, or can as far as is foreseen */
  until: number | null;
}

export interface Ahead extends Reach {
  /** water and sink at the check on the middle course, m */
  deep: number;
  /** seconds of the course to where it is foreseen */
  end: number;
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
}

/** Whether a place can be waded now, at the next check, and from when again: water by the forecast plus sink, with 6 in left to the top of the waders. */
export function standingAhead(ground: Ground, { waders, knee }: Stander, courses: Courses, { now, check }: Then): Ahead {
  const { bed, sink, follows = (level) => level } = ground;
  const wet = (course: readonly CoursePoint[], at: number): number => Math.max(0, follows(levelOn(course, at)) - bed) + (sink ?? 0);
  const can = (course: readonly CoursePoint[], at: number): boolean => (sink ?? 0) <= knee && wet(course, at) <= waders - FREEBOARD;
  const [here, then, surely] = [can(courses.middle, now), can(courses.middle, check), can(courses.high, check)];
  const blocked = courses.middle.filter((p) => p.at > now && !can(courses.middle, p.at));
  const last = blocked.at(-1)?.at ?? null;
  const end = courses.middle.at(-1)?.at ?? now;
  const again = last === null ? (here ? null : now) : last >= end ? null : (courses.middle.find((p) => p.at > last)?.at ?? null);
  const until = here ? (blocked[0]?.at ?? null) : null;
  return { now: here, atCheck: then, surely, again, until, deep: wet(courses.middle, check), end };
}
