import { addDays, localDate } from '../time/localTime';

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

/** The nights a watch covers in part or whole. */
function nightsOf({ from, to }: Watch, zone: string): string[] {
  const found: string[] = [];
  const last = nightOf(to, zone);
  for (let date = nightOf(from, zone); date <= last && found.length < 400; date = addDays(date, 1)) found.push(date);
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
