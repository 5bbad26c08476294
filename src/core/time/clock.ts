import { wallOf } from './localTime';

/** How a reader tells time: the zone of his line, and `3:12 pm` with `Dec 8`, or `15:12` with `8 Dec`. */
export interface Clock {
  zone: string;
  hours: Hours;
}

export type Hours = 12 | 24;

/** A person's own way with hours and dates, as the record keeps it; null goes with the units. */
export type Times = '12h' | '24h' | null;

/** The clock a person reads: the way that was chosen, or the one that goes with the units. */
export const clockOf = ({ times, system }: { times: Times; system: 'us' | 'metric' }, zone: string): Clock => ({
  zone,
  hours: (times ?? (system === 'us' ? '12h' : '24h')) === '12h' ? 12 : 24,
});

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

export const monthDay = (month: number, day: number, hours: Hours): string =>
  hours === 12 ? `${MONTHS[month - 1] ?? ''} ${day}` : `${day} ${MONTHS[month - 1] ?? ''}`;

/** `3:12 pm` or `15:12`. */
export function clockText(at: Date, clock: Clock): string {
  return wallText(wallOf(at, clock.zone).clock, clock.hours);
}

/** A time of day `15:12` as `3:12 pm` or as it is. */
export function wallText(wall: string, hours: Hours): string {
  if (hours === 24) return wall;
  const hour = Number(wall.slice(0, 2));
  return `${hour % 12 || 12}${wall.slice(2)} ${hour < 12 ? 'am' : 'pm'}`;
}

/** A full hour as short as it is told: `3 pm`, `noon` or `15:00`. */
export function hourText(at: Date, clock: Clock): string {
  const text = clockText(at, clock);
  if (clock.hours === 24) return text;
  return text === '12:00 pm' ? 'noon' : text === '12:00 am' ? 'midnight' : text.replace(':00 ', ' ');
}

/** `Dec 8` or `8 Dec`. */
export function dayText(at: Date, clock: Clock): string {
  const { date } = wallOf(at, clock.zone);
  return monthDay(Number(date.slice(5, 7)), Number(date.slice(8)), clock.hours);
}

/** A local date (ISO) as `Dec 8` or `8 Dec`; with its year where that is not this one's. */
export function dateText(date: string, today: string, hours: Hours): string {
  const [year = '', month = '', day = ''] = date.split('-');
  const short = monthDay(Number(month), Number(day), hours);
  if (today.startsWith(`${year}-`)) return short;
  return hours === 12 ? `${short}, ${year}` : `${short} ${year}`;
}

/** A date and a time of day that may be no moment at all, as its reader says them: `2:30 am on Mar 8, 2026`. */
export const wallSaid =
  (hours: Hours) =>
  (date: string, wall: string): string =>
    `${wallText(wall, hours)} on ${dateText(date, '', hours)}`;

/** Day and time: `Dec 8 3:12 pm` or `8 Dec 15:12`. */
export const momentText = (at: Date, clock: Clock): string => `${dayText(at, clock)} ${clockText(at, clock)}`;

/** Day, year and time, for what is kept for good: `Dec 8, 2026 3:12 pm` or `8 Dec 2026 15:12`. */
export const datedText = (at: Date, clock: Clock): string =>
  `${dateText(wallOf(at, clock.zone).date, '', clock.hours)} ${clockText(at, clock)}`;

/** A moment as it is told at `now`: only the time on the same local day, `yesterday` and `tomorrow` beside it, else its day. */
export function whenText(at: Date, now: Date, clock: Clock): string {
  const day = daySaid(at, now, clock);
  return day === clockText(at, clock) ? day : `${day} ${clockText(at, clock)}`;
}

/** The day alone of a moment as it is told at `now`: `yesterday`, `Dec 8`; on the same day its time. */
export function daySaid(at: Date, now: Date, clock: Clock): string {
  const days = Math.round((Date.parse(wallOf(at, clock.zone).date) - Date.parse(wallOf(now, clock.zone).date)) / 86_400_000);
  if (days === 0) return clockText(at, clock);
  if (days === 1) return 'tomorrow';
  return days === -1 ? 'yesterday' : dayText(at, clock);
}

/** A moment as short as it is told: the time alone on the same local day, else with its day. */
export const shortText = (at: Date, now: Date, clock: Clock): string =>
  wallOf(at, clock.zone).date === wallOf(now, clock.zone).date ? clockText(at, clock) : momentText(at, clock);

/** A span in words: `40 min`, `3 h 05 min`, `2 days`. */
export function spanText(milliseconds: number): string {
  const minutes = Math.round(Math.abs(milliseconds) / 60_000);
  if (minutes < 60) return `${minutes} min`;
  if (minutes < 48 * 60)
    return minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} min`;
  return `${Math.round(minutes / 1440)} days`;
}
