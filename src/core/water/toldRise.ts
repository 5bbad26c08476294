import type { ToldRise } from '../record/kinds';
import type { System } from '../units/factors';
import { printLength } from '../units/length';
import { withBand, type Forecast } from './pondForecast';

/** What is still to come of it, told without its time: `a rise of 2 ft, give or take 6 in`. */
export function riseText({ rise, doubt }: Pick<ToldRise, 'rise' | 'doubt'>, system: System): string {
  const by = `a ${rise < 0 ? 'fall' : 'rise'} of ${printLength(Math.abs(rise), system)}`;
  return doubt === 0 ? by : `${by}, give or take ${printLength(doubt, system)}`;
}

/** Share of a told rise that is there at a time, 0 to 1: evenly from when it was told. */
function shareAt({ at, until }: Pick<ToldRise, 'at' | 'until'>, time: number): number {
  const [from, to] = [Date.parse(at), Date.parse(until)];
  return Math.min(1, Math.max(0, (time - from) / (to - from)));
}

/** Those that are not all there yet when the gauge was read last: what came before is in the reading. */
export const stillToCome = <T extends Pick<ToldRise, 'until'>>(told: readonly T[], read: number): T[] =>
  told.filter((t) => Date.parse(t.until) > read);

/**
 * A forecast moved by what somebody told: the middle by the rise, the band by its doubt, both growing evenly until it is all there.
 *
 * @param from ms of the reading that the forecast begins with
 */
export function withTold(forecast: Forecast, told: readonly ToldRise[], from: number): Forecast {
  const coming = stillToCome(told, from);
  if (coming.length === 0) return forecast;
  const shares = (t: ToldRise): number[] => forecast.middle.map((p) => shareAt(t, from + p.at * 1000) - shareAt(t, from));
  const moves = coming.map((t) => ({ t, shares: shares(t) }));
  const middle = forecast.middle.map((p, i) => ({
    ...p,
    level: p.level + moves.reduce((sum, m) => sum + m.t.rise * (m.shares[i] ?? 0), 0),
  }));
  return withBand(middle, [
    ...forecast.doubts,
    ...moves.map(({ t, shares }) => {
      const by = shares.map((s) => t.doubt * s);
      return { called: `what ${t.who} told`, up: by, down: by };
    }),
  ]);
}
