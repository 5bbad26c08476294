import { growthOf, iceAt, iceCourse, placeFactor, type Growth, type IceCourse, type Measured } from '#core/ice/growth';
import type { Gauge, Ice } from '#core/record/kinds';
import type { Station } from '#core/stations/placed';
import { elevationAt } from '#core/water/levelAt';
import type { WaterBody } from '#core/water/placed';
import type { Reading } from '#core/water/series';
import { merged } from '#core/weather/hours';
import { db } from './database';
import { iceSeen, weatherSince } from './repositories/moving';
import { recentReadings } from './repositories/readings';

const DAY = 86_400_000;
/** How far a sheet is grown ahead, ms. */
const AHEAD = 3 * DAY;

/** The ice of a water, from its last measurement on. */
export interface Sheet {
  course: IceCourse[];
  growth: Growth;
  last: Ice;
  /** how far the water fell since it froze over, m; null when it was not read then */
  fell: number | null;
  frozen: string;
}

/** The sheets of the crew's frozen waters, by water, calculated to three days ahead. */
export async function loadSheets(
  crew: string,
  now: Date,
  waters: WaterBody[],
  gauges: Gauge[],
): Promise<{ sheets: Record<string, Sheet>; seen: Ice[] }> {
  const seen = await iceSeen(db(), crew);
  if (seen.length === 0) return { sheets: {}, seen };
  const first = Math.min(...seen.map((i) => Date.parse(i.at)));
  const since = new Date(Math.max(first, now.getTime() - 120 * DAY) - 2 * DAY);
  const [stretches, readings] = await Promise.all([weatherSince(db(), crew, since), recentReadings(db(), gauges, since, now)]);
  const hours = merged(stretches);
  const sheets: Record<string, Sheet> = {};
  for (const water of waters) {
    const own = seen.filter((i) => i.water === water.id && i.station === null && Date.parse(i.at) <= now.getTime());
    const frozen = own.slice(own.findLastIndex((i) => i.seen === 'open water') + 1);
    const [begun, last] = [frozen[0], frozen.at(-1)];
    if (!begun || !last) continue;
    const measured = frozen.map((i): Measured => ({ at: Date.parse(i.at), thickness: i.thickness }));
    const growth = growthOf(water.ice ?? 'lake', measured, hours);
    const gauge = gauges.find((g) => g.water === water.id && g.surface === 'pond');
    sheets[water.id] = {
      course: iceCourse({ at: Date.parse(last.at), thickness: last.thickness }, growth, hours, now.getTime() + AHEAD),
      growth,
      last,
      frozen: begun.at,
      fell: gauge ? fellSince(readings[gauge.id] ?? [], new Date(begun.at), now) : null,
    };
  }
  return { sheets, seen };
}

/** How far a water fell from its level at freeze-up to now, m; 0 when it rose. */
function fellSince(readings: Reading[], then: Date, now: Date): number | null {
  const [a, b] = [elevationAt(readings, then), elevationAt(readings, now)];
  return a === null || b === null ? null : Math.max(0, a - b);
}

/** The sheet over a place now, against the open one: its own measurement, else by its kind. */
export function factorAt(station: Station, sheet: Sheet | undefined, seen: readonly Ice[]) {
  const own = sheet && seen.filter((i) => i.station === station.id && i.seen === 'measured' && i.at >= sheet.frozen).at(-1);
  const open = own && sheet ? iceAt(sheet.course, Date.parse(own.at)) : null;
  return placeFactor(station, own && open ? { here: own.thickness, sheet: open.middle } : null);
}
