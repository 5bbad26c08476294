import { DateTime } from 'luxon';

export type LocalTime = { ok: true; at: Date } | { ok: false; sentence: string };

/**
 * Reads a local wall time (`2026-11-25T07:31`, as a form sends it) in the line's zone, to the whole minute.
 * A time that the clocks skip is refused; one that they repeat is asked, unless `which` says which.
 *
 * @param zone IANA name, `America/Chicago`
 * @param which `first` (before the clocks go back) or `second`
 * @param say how its reader is told a date and a time of day
 */
export function readLocalTime(
  text: string,
  zone: string,
  which?: string | null,
  say: (date: string, wall: string) => string = (date, wall) => `${wall} on ${date}`,
): LocalTime {
  const match = /^(\d{4}-\d{2}-\d{2})[T ](\d{2}:\d{2})(?::\d{2}(?:\.\d+)?)?$/.exec(whole(text));
  const [, date = '', wall = ''] = match ?? [];
  const typed = match ? `${date}T${wall}` : '';
  const time = DateTime.fromISO(typed, { zone });
  if (!match || !time.isValid)
    return { ok: false, sentence: `“${text.trim().slice(0, 30)}” is not a date and time. Write it like 2026-11-25 07:31, or 7:31 am.` };
  if (time.toFormat("yyyy-MM-dd'T'HH:mm") !== typed) {
    return { ok: false, sentence: `The clocks skip ${say(date, wall)}: that time does not exist. Give a time an hour later.` };
  }
  const both = time.getPossibleOffsets();
  if (both.length > 1 && which !== 'first' && which !== 'second') {
    return { ok: false, sentence: `The clocks show ${say(date, wall)} twice. Say which of the two is meant.` };
  }
  const chosen = which === 'second' ? both.at(-1) : both[0];
  return { ok: true, at: (chosen ?? time).toJSDate() };
}

/** `2026-11-25 3:12 pm` as `2026-11-25 15:12`; anything else as it was typed. */
function whole(text: string): string {
  const match = /^(\S+)[T ](1[0-2]|0?[1-9])(:\d{2})\s*([ap])\.?m\.?$/i.exec(text.trim());
  if (!match) return text.trim();
  const [, date = '', hour = '', minutes = '', half = ''] = match;
  return `${date} ${String((Number(hour) % 12) + (half.toLowerCase() === 'p' ? 12 : 0)).padStart(2, '0')}${minutes}`;
}

/** An instant as a form field wants it: the line's wall time to the minute. */
export function toField(at: Date, zone: string): string {
  const { date, clock } = wallOf(at, zone);
  return `${date}T${clock}`;
}

const QUARTER = 900_000;
/** Offsets from UTC in ms, by zone and quarter of an hour: a page asks for hundreds of wall times, and a zone's clocks change on a quarter. */
const OFFSETS = new Map<string, Map<number, number>>();

function offsetAt(at: Date, zone: string): number {
  const quarter = Math.floor(at.getTime() / QUARTER);
  let own = OFFSETS.get(zone);
  if (!own || own.size > 20_000) OFFSETS.set(zone, (own = new Map<number, number>()));
  const known = own.get(quarter);
  if (known !== undefined) return known;
  const offset = DateTime.fromMillis(quarter * QUARTER, { zone }).offset * 60_000;
  own.set(quarter, offset);
  return offset;
}

/** An instant as it is typed and read back: `2026-11-25 07:31` in the line's zone. */
export const instantText = (at: Date, zone: string): string => toField(at, zone).replace('T', ' ');

/** What a wall clock of a zone shows: the date (ISO) and `07:31`. */
export function wallOf(at: Date, zone: string): { date: string; clock: string } {
  const wall = new Date(at.getTime() + offsetAt(at, zone)).toISOString();
  return { date: wall.slice(0, 10), clock: wall.slice(11, 16) };
}

/** The local date (ISO) of an instant. */
export const localDate = (at: Date, zone: string): string => wallOf(at, zone).date;

/** A local date `days` later, by the calendar: a date alone has no clock that could change. */
export const addDays = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** The instant of a wall time on a local date; a skipped time moves on to the next that exists. */
export const instantOf = (date: string, clock: string, zone: string): Date => DateTime.fromISO(`${date}T${clock}`, { zone }).toJSDate();

/** Whether a text is a day of the calendar, as `2026-11-21`. */
export const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && DateTime.fromISO(text).isValid;

/** An instant cut to its whole minute, as the record stores times of placing, checking and pulling. */
export const wholeMinute = (at: Date): Date => new Date(Math.floor(at.getTime() / 60_000) * 60_000);
