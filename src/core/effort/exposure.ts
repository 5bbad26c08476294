import type { Interval } from '../water/band';
import { hoursInBand, type HoursInBand, type Reading } from '../water/series';

const HOUR = 3_600_000;

/** A time during which one device stood in one place at one height. */
export interface Standing {
  from: Date;
  to: Date;
  /** the level band at that height; null when no level moves it */
  band: Interval | null;
  /** the levels at which it may have worked, where they go further */
  may?: Interval | null;
}

/** A check that found the device sprung: half of the time since the look before it counts. */
export interface Sprung {
  at: Date;
  before: Date;
  /** it held a catch: until it sprang it worked, whatever was read */
  caught?: boolean;
}

/** Hours that do not count, by the first reason that holds. */
export interface LostHours {
  /** the half of an interval in which it may have lain sprung, its catch in it */
  sprung: number;
  /** found sprung, knocked down or frozen in, and left so */
  spent: number;
  /** surely outside its range */
  outside: number;
}

export interface Exposure {
  /** hours from going live to being pulled, as the clock ran: those of its range at most, and those lost */
  hoursSet: number;
  /** hours inside its band, a sprung interval counted half; what nobody read counts to `high` only */
  inBand: HoursInBand;
  lost: LostHours;
}

interface Span {
  from: Date;
  to: Date;
}

const middle = ({ at, before }: Sprung): Date => new Date((at.getTime() + before.getTime()) / 2);
const hoursOf = ({ from, to }: Span): number => Math.max(0, to.getTime() - from.getTime()) / HOUR;
const within = (span: Span, { from, to }: Span): Span => ({ from: span.from > from ? span.from : from, to: span.to < to ? span.to : to });
const isOpen = ({ from, to }: Span): boolean => to > from;

/** Times as disjoint spans, so that no hour is counted twice. */
function merged(spans: readonly Span[]): Span[] {
  const found: Span[] = [];
  for (const span of spans.filter(isOpen).sort((a, b) => Number(a.from) - Number(b.from))) {
    const last = found.at(-1);
    if (last && span.from <= last.to) last.to = span.to > last.to ? span.to : last.to;
    else found.push({ ...span });
  }
  return found;
}

/** What is left of disjoint spans once others are taken out. */
const without = (spans: readonly Span[], taken: readonly Span[]): Span[] =>
  taken.reduce<Span[]>(
    (rest, { from, to }) =>
      rest.flatMap((span) => [within(span, { from: span.from, to: from }), within(span, { from: to, to: span.to })].filter(isOpen)),
    [...spans],
  );

/**
 * Exposure of a device: hours set, and hours inside its band (a range where the level was not read), with the reason of every hour that is taken off.
 * A sprung or catching device counts half of the interval in which it sprang. [practice, after Nelson & Clark 1973] Where it held a catch that half counts whole: it worked.
 *
 * @param readings of the gauge that judges it
 * @param spent times in which it lay as it was found, sprung or knocked down: they count nothing
 */
export function exposureOf(standings: Standing[], sprung: Sprung[], readings: Reading[], spent: Span[] = []): Exposure {
  const inside = ({ band, may }: Standing, span: Span): HoursInBand => {
    const hours = hoursOf(span);
    if (!band) return { low: hours, high: hours };
    const sure = hoursInBand(readings, span.from, span.to, band);
    return may ? { low: sure.low, high: hoursInBand(readings, span.from, span.to, may).high } : sure;
  };
  const left = merged(spent);
  const halved = without(merged(sprung.map((s) => ({ from: middle(s), to: s.at }))), left);
  const worked = without(merged(sprung.filter((s) => s.caught).map((s) => ({ from: s.before, to: middle(s) }))), [...left, ...halved]);
  const sum: Exposure = { hoursSet: 0, inBand: { low: 0, high: 0 }, lost: { sprung: 0, spent: 0, outside: 0 } };
  const add = ({ low, high }: HoursInBand, sign = 1): void => {
    sum.inBand.low += sign * low;
    sum.inBand.high += sign * high;
  };
  for (const standing of standings) {
    const own = (spans: readonly Span[]): Span[] => spans.map((span) => within(span, standing)).filter(isOpen);
    sum.hoursSet += hoursOf(standing);
    add(inside(standing, standing));
    for (const span of own([...left, ...halved])) add(inside(standing, span), -1);
    for (const span of own(worked)) {
      const [part, hours] = [inside(standing, span), hoursOf(span)];
      add({ low: hours - part.low, high: hours - part.high });
    }
    for (const span of own(left)) sum.lost.spent += hoursOf(span);
    for (const span of own(halved)) sum.lost.sprung += hoursOf(span);
  }
  sum.inBand.low = Math.max(0, sum.inBand.low);
  sum.inBand.high = Math.max(sum.inBand.low, sum.inBand.high);
  sum.lost.outside = Math.max(0, sum.hoursSet - sum.lost.sprung - sum.lost.spent - sum.inBand.high);
  return sum;
}

/** Hours as trap-nights of 24 h, one decimal: for the eye, never to divide by. */
export const nights = (hours: number): number => Math.round((hours / 24) * 10) / 10;
