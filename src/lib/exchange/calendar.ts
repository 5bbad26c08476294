import ICAL from 'ical.js';
import type { Appointment } from '#core/time/appointments';

/** A line has 75 octets at most (RFC 5545, 3.1), and a folded one begins with a space. */
ICAL.foldLength = 74;

/** Told so long before its end, in a calendar's own way. [practice] */
const TOLD_BEFORE = '-PT60M';

const utc = (at: Date): ICAL.Time => ICAL.Time.fromJSDate(at, true);

/** Appointments as one iCalendar text (RFC 5545). @param made when it is written */
export function toCalendar(appointments: readonly Appointment[], made: Date): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('prodid', '-//Zaprud//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  for (const { id, title, note, when } of appointments) {
    const event = new ICAL.Component('vevent');
    event.updatePropertyWithValue('uid', `${id.replaceAll(' ', '-')}@zaprud`);
    event.updatePropertyWithValue('dtstamp', utc(made));
    event.updatePropertyWithValue('summary', title);
    if (note) event.updatePropertyWithValue('description', note);
    if ('date' in when) event.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(when.date));
    else {
      event.updatePropertyWithValue('dtstart', utc(when.from));
      event.updatePropertyWithValue('dtend', utc(when.to));
      event.addSubcomponent(alarm(title));
    }
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}

function alarm(title: string): ICAL.Component {
  const told = new ICAL.Component('valarm');
  told.updatePropertyWithValue('action', 'DISPLAY');
  told.updatePropertyWithValue('description', title);
  told.updatePropertyWithValue('trigger', ICAL.Duration.fromString(TOLD_BEFORE));
  return told;
}
