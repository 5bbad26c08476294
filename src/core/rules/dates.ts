/** Days of the year and what lies between them: seasons of a rulebook, by local dates. */

/** Days of a month, February with its leap day: a season may end on it. */
const DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

export function isMonthDay(text: string): boolean {
  const read = /^(\d\d)-(\d\d)$/.exec(text);
  const [month, day] = [Number(read?.[1]), Number(read?.[2])];
  return read !== null && month >= 1 && month <= 12 && day >= 1 && day <= (DAYS[month - 1] ?? 0);
}

export interface Span {
  opens: string;
  closes: string;
}

/** Whether a day of the year (`11-25`) lies in a span; both its ends do. */
export const holdsDay = ({ opens, closes }: Span, day: string): boolean =>
  opens <= closes ? day >= opens && day <= closes : day >= opens || day <= closes;

/** Whether two spans share a day. */
export const overlap = (a: Span, b: Span): boolean => holdsDay(a, b.opens) || holdsDay(b, a.opens);

/** The day of the year of a local date. */
export const dayOfYear = (date: string): string => date.slice(5);

/** The next local date from a date on, that date with it, which is a day of the year. A leap day comes on 1 March in other years. */
export function nextOn(day: string, from: string): string {
  const year = Number(from.slice(0, 4));
  const on = (y: number): string => {
    const date = `${y}-${day}`;
    return day === '02-29' && !isLeap(y) ? `${y}-03-01` : date;
  };
  return on(year) >= from ? on(year) : on(year + 1);
}

const isLeap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
