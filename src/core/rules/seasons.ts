import type { Species } from '../animals/species';
import { addDays } from '../time/localTime';
import type { BookRule, Rulebook } from './book';
import { dayOfYear, holdsDay, nextOn } from './dates';

/** When and where it is looked at: local date and time of day, and the area where the book knows areas. */
export interface Day {
  date: string;
  time: string;
  area: string;
}

type Opens = { date: string; from: string | null };

/** Whether an animal may be taken: open, closed with the rule that says so and the next opening, or the book is silent. */
export type SeasonAnswer =
  { is: 'open'; rule: string; until: string } | { is: 'closed'; rule: string; because: string; opens: Opens | null } | { is: 'silent' };

const hasArea = (of: { area: string }, area: string): boolean => of.area === '' || of.area === area;

/**
 * What the book says of an animal on a day. A closure stands before every season; a book that names no season of an animal is silent about it.
 *
 * @param day local date, time of day `HH:MM`, area
 */
export function seasonAt(book: Pick<Rulebook, 'seasons' | 'closures'>, species: Species, day: Day): SeasonAnswer {
  const seasons = book.seasons.filter((s) => s.species === species && hasArea(s, day.area));
  const closed = closureOn(book, species, day);
  if (closed) return { is: 'closed', rule: closed.id, because: closed.because, opens: nextOpening(book, species, day) };
  const open = seasons.find((s) => isOpen(s, day));
  if (open) return { is: 'open', rule: open.id, until: nextOn(open.closes, day.date) };
  const [first] = seasons;
  return first ? { is: 'closed', rule: first.id, because: '', opens: nextOpening(book, species, day) } : { is: 'silent' };
}

const closureOn = ({ closures }: Pick<Rulebook, 'closures'>, species: Species, { date, area }: Pick<Day, 'date' | 'area'>) =>
  closures.find((c) => c.species === species && hasArea(c, area) && c.from <= date && (c.until === null || date <= c.until));

function isOpen(season: BookRule<'seasons'>, { date, time }: Day): boolean {
  if (!holdsDay(season, dayOfYear(date))) return false;
  const isFirst = dayOfYear(date) === season.opens;
  if (isFirst && season.from !== null && time < season.from) return false;
  return season.hours === null || (time >= season.hours.from && time <= season.hours.to);
}

/** Hours of a day, as clocks of that day, in which sets for an animal may be made by the book; null where it names none. */
export interface MakingHours {
  from: string | null;
  to: string | null;
  /** the rule that says so */
  rule: string;
}

/** Of a day that lies in a season: from when to when sets may be made, the hour of its first day with it. */
export function makingHours(
  book: Pick<Rulebook, 'seasons'>,
  species: Species,
  { date, area }: Pick<Day, 'date' | 'area'>,
): MakingHours | null {
  const own = book.seasons.find((s) => s.species === species && hasArea(s, area) && holdsDay(s, dayOfYear(date)));
  if (!own) return null;
  const first = dayOfYear(date) === own.opens ? own.from : null;
  const from = [first, own.hours?.from ?? null].reduce((a, b) => (a === null || (b !== null && b > a) ? b : a));
  const to = own.hours?.to ?? null;
  return from === null && to === null ? null : { from, to, rule: own.id };
}

/** The next date on which a season opens and no closure holds, within two years; null where none does. */
export function nextOpening(book: Pick<Rulebook, 'seasons' | 'closures'>, species: Species, day: Day): Opens | null {
  const own = book.seasons.filter((s) => s.species === species && hasArea(s, day.area));
  const open = own.flatMap((season): Opens[] => {
    const hoursLater = holdsDay(season, dayOfYear(day.date)) && season.hours !== null && day.time < season.hours.from;
    if (hoursLater && !closureOn(book, species, day)) return [{ date: day.date, from: season.hours?.from ?? null }];
    const starts = [nextOn(season.opens, day.date)];
    starts.push(nextOn(season.opens, addDays(starts[0] ?? day.date, 1)));
    const ends = book.closures.flatMap((c) => (c.species === species && c.until !== null ? [addDays(c.until, 1)] : []));
    return [...starts, ...ends]
      .filter((date) => date >= day.date && holdsDay(season, dayOfYear(date)) && !closureOn(book, species, { ...day, date }))
      .filter((date) => date > day.date || (season.from !== null && dayOfYear(date) === season.opens && day.time < season.from))
      .map((date) => ({ date, from: dayOfYear(date) === season.opens ? season.from : null }));
  });
  return open.sort((a, b) => a.date.localeCompare(b.date))[0] ?? null;
}
