import { INCH, type System } from '../units/factors';
import { printLength } from '../units/length';
import type { Interval } from './band';
import { levelOn, type CoursePoint } from './balance';
import { leavesBy, leaving } from './breakDesign';
import type { Courses } from './pondForecast';
import { NO_REMEDY, type Remedy } from './remedy';

const STEP = INCH / 4;
/** How far the middle of a forecast runs from end to end within a time, m. @param from to, s from the start of the courses */
export function swingOf({ middle }: Pick<Courses, 'middle'>, from: number, to: number): number {
  const levels = looked(middle, from, to);
  return Math.max(...levels) - Math.min(...levels);
}

/** What ends sooner than this is told in minutes, s. */
const SOON = 90 * 60;
/** A change of more than this is another set. [practice] */
const FURTHEST = 24 * INCH;

/** The levels of a course every ten minutes of a time. */
function looked(course: readonly CoursePoint[], from: number, to: number): number[] {
  const looks = Math.max(1, Math.ceil((to - from) / 600));
  return Array.from({ length: looks + 1 }, (_, i) => levelOn(course, from + ((to - from) * i) / looks));
}

const rising = (levels: readonly number[]): number[] => [...levels].sort((a, b) => a - b);

const RISING = new WeakMap<readonly CoursePoint[], Map<string, readonly number[]>>();
/** So many times of one course are kept: those of the checks ahead. */
const MOST_TIMES = 64;

/** The levels of a course during a time, rising: every set of a water asks for the same few. */
function risingOf(course: readonly CoursePoint[], from: number, to: number): readonly number[] {
  const known = RISING.get(course) ?? new Map<string, readonly number[]>();
  const key = `${from} ${to}`;
  const levels = known.get(key) ?? rising(looked(course, from, to));
  if (known.size >= MOST_TIMES) known.clear();
  RISING.set(course, known.set(key, levels));
  return levels;
}

/** How many of rising levels lie under a value. */
function under(levels: readonly number[], value: number): number {
  let [low, high] = [0, levels.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((levels[middle] as number) < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Share of rising levels that lie in a band moved up by `by`; a nanometre outside is inside. */
const share = (levels: readonly number[], { min, max }: Interval, by = 0): number =>
  Math.max(0, under(levels, max + by + 1.001e-9) - under(levels, min + by - 1e-9)) / levels.length;

/** Share of a time, 0 to 1, during which a course lies in a band; the course is looked at every ten minutes. */
export const shareInBand = (course: readonly CoursePoint[], band: Interval, from: number, to: number): number =>
  share(risingOf(course, from, to), band);

/** During which time a device can be moved how far. */
export interface Reach {
  /** seconds from the start of the courses */
  from: number;
  to: number;
  /** how far it can go down to the bed, m; null when that is not known */
  room: number | null;
  /** how far it can go up to what is over it, m; null or left out where nothing is */
  above?: number | null;
}

/**
 * The change of height that keeps a device in its band longest until a time: most of it on the middle course, then on the low and the high one, then the smallest, in steps of ¼ in.
 *
 * @returns metres up (down when negative), and the share of the time it then spends in its band
 */
export function bestShift(courses: Courses, band: Interval, { from, to, room, above = null }: Reach): { by: number; share: number } {
  const up = Math.min(FURTHEST, above ?? FURTHEST);
  const down = Math.min(FURTHEST, room ?? FURTHEST);
  const [low, middle, high] = [risingOf(courses.low, from, to), risingOf(courses.middle, from, to), risingOf(courses.high, from, to)];
  const sidesOf = (by: number): number => share(low, band, by) + share(high, band, by);
  let best = { by: 0, share: share(middle, band), sides: sidesOf(0) };
  // nothing keeps it in its band longer than the whole time on every course
  if (best.share === 1 && best.sides === 2) return { by: 0, share: 1 };
  for (let n = -Math.floor(down / STEP + 1e-6); n <= Math.floor(up / STEP + 1e-6); n += 1) {
    const by = n * STEP;
    const own = share(middle, band, by);
    if (own < best.share - 1e-9) continue;
    const sides = sidesOf(by);
    const better = own > best.share + 1e-9 || sides > best.sides + 1e-9 || (sides > best.sides - 1e-9 && Math.abs(by) < Math.abs(best.by));
    if (better) best = { by, share: own, sides };
  }
  return { by: best.by, share: best.share };
}

export interface Asked {
  courses: Courses;
  band: Interval;
  /** seconds from the start of the courses */
  now: number;
  /** the next check, seconds from the start of the courses: until then nobody is there */
  check: number;
  /** the check after that: what is changed at the next one has to hold so long */
  after: number;
  /** what it is once the band is left under its lower or over its upper end: `dry` */
  then: { min: string; max: string };
  /** how a change is ordered; null where nothing can be changed at the water */
  say: { down: string; up: string } | null;
  /** thickness of a stone that can be taken out from under it, m; 0 without one */
  stone?: number;
  room: number | null;
  /** how far it can go up to what is over it, m; null or left out where nothing is */
  above?: number | null;
  clock: (seconds: number) => string;
}

/** What the forecast says of one device until its next check: until when it is fine, what then; and the change at that check that keeps it in longest until the one after. */
export function outlookText(
  { courses, band, now, check, after, then, say, room, above = null, stone = 0, clock }: Asked,
  system: System,
): { sentence: string; remedy: Remedy; certain: boolean } {
  const ends = courses.middle.at(-1)?.at ?? 0;
  const until = Math.min(check, ends);
  const cut = (course: CoursePoint[]): CoursePoint[] => [
    { at: now, level: levelOn(course, now), out: 0 },
    ...course.filter((p) => p.at > now && p.at <= until),
  ];
  const ahead = { low: cut(courses.low), middle: cut(courses.middle), high: cut(courses.high) };
  const { middle, earliest, latest } = leaving(ahead, band);
  const remedy = remedyOf({ courses, band, check, after, say, room, above, stone, clock }, system);
  if (earliest === null) {
    const sentence =
      check <= ends
        ? `Should work until the check at ${clock(check)}.`
        : `Should work until ${clock(ends)}, as far as the forecast reaches; the check is ${clock(check)}.`;
    return { sentence, remedy, certain: true };
  }
  const out = middle !== null && middle <= now;
  const edge = [ahead.middle, ahead.low, ahead.high].map((course) => leavesBy(course, band)?.edge).find((e) => e) ?? 'min';
  const sentence = out
    ? ''
    : middle === null
      ? `Likely keeps working; at the earliest ${clock(earliest)}: ${then[edge]}.`
      : `${middle - now < SOON ? `Works for about ${Math.max(5, Math.round((middle - now) / 300) * 5)} min more, until` : 'Works until about'} ${clock(middle)}${latest === null ? ` (${clock(earliest)} at the earliest)` : ` (${clock(earliest)} to ${clock(latest)})`}, then ${then[edge]}.`;
  return { sentence, remedy, certain: false };
}

function remedyOf(
  { courses, band, check, after: wanted, say, room, above = null, stone = 0, clock }: Omit<Asked, 'now' | 'then'>,
  system: System,
): Remedy {
  const after = Math.min(wanted, courses.middle.at(-1)?.at ?? 0);
  if (!say || check >= after) return NO_REMEDY;
  const { by, share: inside } = bestShift(courses, band, { from: check, to: after, room, above });
  if (inside < 0.05) return { order: 'Move it to another depth', then: `No adjustment lasts until ${clock(after)}.`, by: 0 };
  if (by === 0 || inside < shareInBand(courses.middle, band, check, after) + 0.05) return NO_REMEDY;
  const order = `${by < 0 ? say.down : say.up} ${printLength(Math.abs(by), system)}${stoneText(by, stone, system)}`;
  const part = inside > 0.99 ? '' : ` ${Math.round(inside * 100)}% of the time`;
  return { order, then: `Then it should work${part} until ${clock(after)}.`, by };
}

/** A change as it is made where the trap lies on a flat stone: with it, or with it taken out. */
export function stoneText(by: number, stone: number, system: System): string {
  if (stone < STEP) return '';
  const rest = by + stone;
  if (by > 0) return ' (another flat stone under it)';
  if (Math.abs(rest) < STEP) return ' (take the stone out)';
  return rest < 0
    ? ` (take the ${printLength(stone, system)} stone out and dig ${printLength(-rest, system)})`
    : ` (a stone ${printLength(-by, system)} thinner)`;
}
