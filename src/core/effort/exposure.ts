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
}

export interface Exposure {
  /** hours from going live to being pulled, as the clock ran */
  hoursSet: number;
  /** hours inside its band, a sprung interval counted half */
  inBand: HoursInBand;
}

/** One half of the interval in which a device sprang, ending with the look that found it. */
const idle = ({ at, before }: Sprung) => ({ from: new Date((at.getTime() + before.getTime()) / 2), to: at });

/** Times as disjoint spans, so that no hour is taken off twice. */
function merged(spans: { from: Date; to: Date }[]): { from: Date; to: Date }[] {
  const found: { from: Date; to: Date }[] = [];
  for (const span of [...spans].sort((a, b) => Number(a.from) - Number(b.from))) {
    const last = found.at(-1);
    if (last && span.from <= last.to) last.to = span.to > last.to ? span.to : last.to;
    else found.push({ ...span });
  }
  return found;
}

/**
 * Exposure of a device: hours set, and hours inside its band (a range where the level was not read).
 * A sprung or catching device counts half of the interval in which it sprang.
 *
 * @param readings of the gauge that judges it
 * @param spent times in which it lay as it was found, sprung or knocked down: they count nothing
 */
export function exposureOf(standings: Standing[], sprung: Sprung[], readings: Reading[], spent: { from: Date; to: Date }[] = []): Exposure {
  const inside = ({ band, may }: Standing, from: Date, to: Date): HoursInBand => {
    const hours = Math.max(0, to.getTime() - from.getTime()) / HOUR;
    if (!band) return { low: hours, high: hours };
    const sure = hoursInBand(readings, from, to, band);
    return may ? { low: sure.low, high: hoursInBand(readings, from, to, may).high } : sure;
  };
  const lost = merged([...sprung.map(idle), ...spent]);
  let hoursSet = 0;
  let low = 0;
  let high = 0;
  for (const standing of standings) {
    hoursSet += Math.max(0, standing.to.getTime() - standing.from.getTime()) / HOUR;
    const whole = inside(standing, standing.from, standing.to);
    low += whole.low;
    high += whole.high;
    for (const span of lost) {
      const from = span.from > standing.from ? span.from : standing.from;
      const to = span.to < standing.to ? span.to : standing.to;
      if (to <= from) continue;
      const part = inside(standing, from, to);
      low -= part.low;
      high -= part.high;
    }
  }
  return { hoursSet, inBand: { low: Math.max(0, low), high: Math.max(0, high) } };
}

/** Hours as trap-nights, one decimal. */
export const nights = (hours: number): number => Math.round((hours / 24) * 10) / 10;
