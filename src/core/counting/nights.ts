import { addDays, instantOf, localDate } from '../time/localTime';

export type SizeClass = 'large' | 'middle' | 'small' | 'unknown';

/** What one camera saw at one moment. */
export interface CameraEvent {
  at: Date;
  species: string;
  count: number;
  size: SizeClass;
}

/** A stretch of watching. */
export interface Watch {
  from: Date;
  to: Date;
}

export interface Night {
  /** local date of its evening */
  date: string;
  events: number;
  /** most animals of the species in one event */
  most: number;
}

export interface Count {
  nights: Night[];
  /** watched nights without an event of the species */
  quiet: number;
  most: { count: number; at: Date } | null;
  /** most at once of each size class */
  sizes: Partial<Record<SizeClass, number>>;
  /** a camera's count is a floor: no fewer than this many */
  floor: number;
}

const HALF_DAY = 43_200_000;

/** The night to which a moment belongs: from noon to noon, by the date of its evening. */
export const nightOf = (at: Date, zone: string): string => localDate(new Date(at.getTime() - HALF_DAY), zone);

/** A night that was watched for less than this tells nothing by its silence. [practice] */
const WATCHED = 8 * 3_600_000;

/** The nights a watch covers for the most part. */
function nightsOf({ from, to }: Watch, zone: string): string[] {
  const found: string[] = [];
  const last = nightOf(to, zone);
  for (let date = nightOf(from, zone); date <= last && found.length < 400; date = addDays(date, 1)) {
    const [begin, end] = [instantOf(date, '12:00', zone), instantOf(addDays(date, 1), '12:00', zone)];
    const watched = Math.min(to.getTime(), end.getTime()) - Math.max(from.getTime(), begin.getTime());
    if (watched >= WATCHED) found.push(date);
  }
  return found;
}

/**
 * What the cameras tell of one species: events by night, most at once, size classes, and nights without an event.
 * The floor is the larger of the most seen at once and the sum of the most of each size class: a kit is no adult.
 */
export function countOf(events: readonly CameraEvent[], watches: readonly Watch[], species: string, zone: string): Count {
  const own = events.filter((e) => e.species === species);
  const dates = new Set([...watches.flatMap((w) => nightsOf(w, zone)), ...own.map((e) => nightOf(e.at, zone))]);
  const nights = [...dates].sort().map((date): Night => {
    const of = own.filter((e) => nightOf(e.at, zone) === date);
    return { date, events: of.length, most: Math.max(0, ...of.map((e) => e.count)) };
  });
  const top = own.reduce<CameraEvent | null>((best, e) => (!best || e.count > best.count ? e : best), null);
  const sizes: Count['sizes'] = {};
  for (const { size, count } of own) sizes[size] = Math.max(sizes[size] ?? 0, count);
  const classed = (sizes.large ?? 0) + (sizes.middle ?? 0) + (sizes.small ?? 0);
  return {
    nights,
    quiet: nights.filter((n) => n.events === 0).length,
    most: top && { count: top.count, at: top.at },
    sizes,
    floor: Math.max(top?.count ?? 0, classed),
  };
}

/** Which size a camera shows an animal of an age as; a two-year-old is told from an adult by nobody. [practice] */
const SIZE_OF: Partial<Record<string, SizeClass>> = { adult: 'large', 'two years': 'large', yearling: 'middle', kit: 'small' };

/** Of those that a camera showed, how many must still be there once some were caught after its pictures: a kit in the trap is none of the two large ones. @param ages of what was caught since */
export function stillThere({ most, sizes }: Pick<Count, 'most' | 'sizes'>, ages: readonly string[]): number {
  const unknown = ages.filter((age) => !SIZE_OF[age]).length;
  const classes = (['large', 'middle', 'small'] as const).map((size) =>
    Math.max(0, (sizes[size] ?? 0) - ages.filter((age) => SIZE_OF[age] === size).length),
  );
  return Math.max(0, (most?.count ?? 0) - ages.length, classes.reduce((a, b) => a + b, 0) - unknown);
}

/** The night whose catch a look finds: the one before its day. */
export const foundNight = (at: Date, zone: string): string => addDays(localDate(at, zone), -1);
