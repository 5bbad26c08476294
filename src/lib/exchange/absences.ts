import ICAL from 'ical.js';
import { addDays, instantOf } from '#core/time/localTime';

/** A stretch of a calendar on which somebody may be away. */
export interface Absence {
  title: string;
  from: Date;
  to: Date;
}

/** So far ahead a calendar is read, days. */
const AHEAD = 90;
/** Of something that comes again and again, so many times at most. */
const TIMES = 60;
const DAY = 86_400_000;

/**
 * What a calendar file (iCalendar, RFC 5545) holds of the next 90 days, the soonest first. A day as a whole is one on which nobody comes: from
 * the evening before it to the morning after.
 *
 * @throws RangeError when the text is no calendar
 */
export function absencesIn(text: string, zone: string, now: Date): Absence[] {
  const events = eventsOf(text);
  const end = now.getTime() + AHEAD * DAY;
  return events
    .flatMap((event) =>
      timesOf(event, now, end).map(([start, stop]) => ({ title: event.summary || 'without a name', ...spanOf(start, stop, zone) })),
    )
    .filter(({ from, to }) => to > now && from.getTime() < end && to > from)
    .map((a) => (a.from < now ? { ...a, from: now } : a))
    .sort((a, b) => a.from.getTime() - b.from.getTime());
}

function eventsOf(text: string): ICAL.Event[] {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    if (calendar.name !== 'vcalendar') throw new Error('no calendar');
    for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
    return calendar.getAllSubcomponents('vevent').map((own) => new ICAL.Event(own));
  } catch {
    throw new RangeError('That is no calendar file. Save one from your calendar as iCalendar (.ics).');
  }
}

type Pair = [ICAL.Time, ICAL.Time];

function timesOf(event: ICAL.Event, now: Date, end: number): Pair[] {
  if (!event.isRecurring()) return [[event.startDate, event.endDate]];
  const found: Pair[] = [];
  const each = event.iterator();
  for (let next = each.next(); next && found.length < TIMES; next = each.next()) {
    const { startDate, endDate } = event.getOccurrenceDetails(next);
    if (startDate.toJSDate().getTime() > end) break;
    if (endDate.toJSDate() > now) found.push([startDate, endDate]);
  }
  return found;
}

/** All-day events have dates of their own, without a zone: they lie on the days of the line. */
function spanOf(start: ICAL.Time, stop: ICAL.Time, zone: string): { from: Date; to: Date } {
  if (!start.isDate) return { from: start.toJSDate(), to: stop.toJSDate() };
  const first = start.toString();
  const after = stop.toString() > first ? stop.toString() : addDays(first, 1);
  return { from: instantOf(addDays(first, -1), '17:00', zone), to: instantOf(after, '07:00', zone) };
}
