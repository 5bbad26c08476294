import { clockText, hourText, type Clock } from './clock';
import { addDays, instantOf, localDate, wallOf } from './localTime';
import { isPlaced, sunOf, type Place } from './sun';

export type Light = 'night' | 'twilight' | 'day';

/** One day from 03:00 to 03:00 as the strip draws it; every position is a share of its width, 0 to 1. */
export interface DayStrip {
  from: Date;
  to: Date;
  /** none where the place of the line is not known */
  lights: { light: Light; start: number; end: number }[];
  now: number;
  nowText: string;
  sunrise: { at: number; text: string } | null;
  sunset: { at: number; text: string } | null;
  hours: { at: number; text: string }[];
  deadlines: { at: number; set: string; text: string; overdue: boolean }[];
  /** deadlines that lie behind the strip's end */
  later: number;
}

/**
 * Lays out the 24 hours around `now`, night to night: light, hours, and one tick for each set's deadline.
 * A deadline already past is kept at the strip's beginning and marked overdue.
 */
export function dayStrip(now: Date, clock: Clock, place: Place, deadlines: { set: string; at: Date }[]): DayStrip {
  const { zone } = clock;
  const today = localDate(now, zone);
  const start = instantOf(today, '03:00', zone);
  const date = now < start ? addDays(today, -1) : today;
  const from = instantOf(date, '03:00', zone);
  const to = instantOf(addDays(date, 1), '03:00', zone);
  const span = to.getTime() - from.getTime();
  const share = (at: Date): number => (at.getTime() - from.getTime()) / span;
  const sun = sunOf(date, zone, place);
  const inside = deadlines.filter(({ at }) => at < to);
  return {
    from,
    to,
    lights: isPlaced(place) ? lightsOf(share, sun.dawn, sun.sunrise, sun.sunset, sun.dusk) : [],
    now: share(now),
    nowText: clockText(now, clock),
    sunrise: sun.sunrise && { at: share(sun.sunrise), text: halfless(clockText(sun.sunrise, clock)) },
    sunset: sun.sunset && { at: share(sun.sunset), text: halfless(clockText(sun.sunset, clock)) },
    hours: hoursOf(from, to, zone).map((at) => ({ at: share(at), text: halfless(hourText(at, clock)) })),
    deadlines: inside.map(({ set, at }) => ({ set, at: Math.max(0, share(at)), text: clockText(at, clock), overdue: at < now })),
    later: deadlines.length - inside.length,
  };
}

/** Noon and midnight stand on the strip: the halves of the day need not be said again. */
const halfless = (text: string): string => text.replace(/ [ap]m$/, '');

function lightsOf(share: (at: Date) => number, dawn: Date | null, sunrise: Date | null, sunset: Date | null, dusk: Date | null) {
  const edges: [Light, Date | null][] = [
    ['night', dawn],
    ['twilight', sunrise],
    ['day', sunset],
    ['twilight', dusk],
  ];
  const lights: { light: Light; start: number; end: number }[] = [];
  let at = 0;
  for (const [light, end] of edges) {
    if (!end) continue;
    lights.push({ light, start: at, end: share(end) });
    at = share(end);
  }
  return [...lights, { light: 'night' as const, start: at, end: 1 }];
}

function hoursOf(from: Date, to: Date, zone: string): Date[] {
  const hours: Date[] = [];
  for (let at = from.getTime(); at < to.getTime(); at += 3_600_000) {
    if (Number(wallOf(new Date(at), zone).clock.slice(0, 2)) % 3 === 0) hours.push(new Date(at));
  }
  return hours;
}
