import type { Interval } from './band';
import { crestsOver, GAP, type Reading } from './series';

/** A time during which a device stood outside its band. */
export interface Outside {
  from: Date;
  to: Date;
  /** under its band or over it */
  side: 'under' | 'over';
  /** high water left a mark: it stood over the band for some time between the two */
  sometime?: boolean;
}

/**
 * From when to when the level lay outside a band, on the piecewise-linear course of the readings; nothing is said of a gap of over 48 h.
 * Where the last reading lies outside the time ends with it.
 */
export function outsideBand(readings: readonly Reading[], from: Date, to: Date, band: Interval): Outside[] {
  const exact = readings.filter((r) => r.bound === 'exact').sort((a, b) => a.at.getTime() - b.at.getTime());
  const found: Outside[] = [];
  const add = (side: Outside['side'], start: number, end: number): void => {
    const [a, b] = [Math.max(start, from.getTime()), Math.min(end, to.getTime())];
    if (b <= a) return;
    const last = found.at(-1);
    if (last && last.side === side && a - last.to.getTime() < 60_000) last.to = new Date(b);
    else found.push({ from: new Date(a), to: new Date(b), side });
  };
  for (let i = 0; i + 1 < exact.length; i += 1) {
    const [a, b] = [exact[i] as Reading, exact[i + 1] as Reading];
    const [t0, t1] = [a.at.getTime(), b.at.getTime()];
    if (t1 - t0 > GAP || t1 <= from.getTime() || t0 >= to.getTime()) continue;
    const crossing = (level: number): number => t0 + ((level - a.level) / (b.level - a.level)) * (t1 - t0);
    const below = (l: number): boolean => l < band.min - 1e-9;
    const above = (l: number): boolean => l > band.max + 1e-9;
    const under = (): void => {
      if (below(a.level) || below(b.level))
        add('under', below(a.level) ? t0 : crossing(band.min), below(b.level) ? t1 : crossing(band.min));
    };
    const over = (): void => {
      if (above(a.level) || above(b.level)) add('over', above(a.level) ? t0 : crossing(band.max), above(b.level) ? t1 : crossing(band.max));
    };
    // of two readings with the whole band between them the side of the first comes first
    for (const side of above(a.level) ? [over, under] : [under, over]) side();
  }
  for (const [since, until] of crestsOver(readings, band)) {
    const [a, b] = [Math.max(since, from.getTime()), Math.min(until, to.getTime())];
    // what the readings themselves show needs no mark
    if (b > a && !found.some((o) => o.side === 'over' && o.from.getTime() < b && o.to.getTime() > a))
      found.push({ from: new Date(a), to: new Date(b), side: 'over', sometime: true });
  }
  return found.sort((a, b) => a.from.getTime() - b.from.getTime());
}
