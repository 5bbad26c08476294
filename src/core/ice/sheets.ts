import { growthOf, iceAt, iceCourse, placeFactor, type Growth, type IceCourse, type Measured } from './growth';
import type { Ice } from '../record/kinds';
import { latest } from '../stations/measures';
import type { Station } from '../stations/placed';
import type { Moment, Surfaces } from '../water/levelAt';
import type { WaterBody } from '../water/placed';
import { nextCheck, type RuleAt } from '../time/deadline';
import { carriedOn, type WeatherHour } from '../weather/hours';
import type { IceHere } from './bearing';

const DAY = 86_400_000;

/** The ice of a water, from its last measurement on. */
export interface Sheet {
  course: IceCourse[];
  growth: Growth;
  last: Ice;
  /** how far the water fell since it froze over, m; null when it was not read then */
  fell: number | null;
  frozen: string;
}

/** Since when the weather counts for the ice: the first that was seen of it, at most four months. */
export const iceSince = (seen: readonly Ice[], now: Date): Date =>
  new Date(Math.max(Math.min(now.getTime(), ...seen.map((i) => Date.parse(i.at))), now.getTime() - 120 * DAY) - 2 * DAY);

/** Where nobody measured the open sheet the place that was measured last stands for it: its thinnest hole of each time, since one place grows by one law. */
function atOnePlace(all: readonly Ice[]): Ice[] {
  const last = all.filter((i) => i.seen === 'measured').at(-1)?.station ?? null;
  const thinnest = new Map<string, Ice>();
  for (const ice of all) {
    const known = thinnest.get(ice.at);
    if ((ice.station === null || ice.station === last) && (!known || ice.thickness < known.thickness)) thinnest.set(ice.at, ice);
  }
  return [...thinnest.values()];
}

/** What was seen of a water's open sheet since it was last open water; of its places where the sheet itself was never measured. */
function frozenOf(water: string, seen: readonly Ice[], now: Date): Ice[] {
  const all = seen.filter((i) => i.water === water && Date.parse(i.at) <= now.getTime());
  const open = all.filter((i) => i.station === null);
  const own = open.some((i) => i.seen === 'measured') ? open : atOnePlace(all);
  return own.slice(own.map((i) => i.seen).lastIndexOf('open water') + 1);
}

/** When the waters froze over: the levels of then are compared with those of now. */
export function momentsOfIce(seen: readonly Ice[], waters: readonly { id: string }[], now: Date): Moment[] {
  return waters.flatMap(({ id }) => {
    const [begun] = frozenOf(id, seen, now);
    return begun ? [begun.at, now].map((at) => ({ water: id, surface: 'pond' as const, at })) : [];
  });
}

/** How far sheets are grown: to the check after the next one by the rule, at least three days, at most sixteen. */
export const reachOf = (now: Date, line: RuleAt): number =>
  Math.min(now.getTime() + 16 * DAY, Math.max(now.getTime() + 3 * DAY, nextCheck(null, nextCheck(null, now, line), line).getTime()));

/** The sheets of frozen waters, by water, calculated to a time ahead; where the weather told ends its cold goes on. */
export function sheetsOf(
  seen: readonly Ice[],
  waters: readonly WaterBody[],
  hours: readonly WeatherHour[],
  surfaces: Surfaces,
  { now, until }: { now: Date; until: number },
): Record<string, Sheet> {
  const sheets: Record<string, Sheet> = {};
  const ahead = carriedOn(hours, until);
  for (const water of waters) {
    const frozen = frozenOf(water.id, seen, now);
    const [begun, last] = [frozen[0], frozen.at(-1)];
    if (!begun || !last) continue;
    const measured = frozen.map((i): Measured => ({ at: Date.parse(i.at), thickness: i.thickness }));
    const growth = growthOf(water.ice ?? 'lake', measured, hours);
    const [then, later] = [surfaces.at(water.id, 'pond', begun.at), surfaces.at(water.id, 'pond', now)];
    sheets[water.id] = {
      course: iceCourse({ at: Date.parse(last.at), thickness: last.thickness }, growth, ahead, until),
      growth,
      last,
      frozen: begun.at,
      fell: then.how === 'unknown' || later.how === 'unknown' ? null : Math.max(0, then.level - later.level),
    };
  }
  return sheets;
}

/** The ice where somebody wants to stand; null where the water there is open, or nothing was seen of it. */
export function iceHere(
  station: Pick<Station, 'id' | 'kind' | 'measures' | 'surface'>,
  sheet: Sheet | undefined,
  seen: readonly Ice[],
  now: Date,
): IceHere | null {
  const ice = sheet && station.surface === 'pond' ? iceAt(sheet.course, now.getTime()) : null;
  if (!sheet || !ice || ice.high < 0.005) return null;
  return { thin: ice.low * factorAt(station, sheet, seen).factor, white: sheet.last.white, fell: sheet.fell };
}

/** The sheet over a place now, against the open one: its own measurement, else by its kind. */
export function factorAt(station: Pick<Station, 'id' | 'kind' | 'measures'>, sheet: Sheet | undefined, seen: readonly Ice[]) {
  const own = sheet && seen.filter((i) => i.station === station.id && i.seen === 'measured' && i.at >= sheet.frozen).at(-1);
  const open = own && sheet ? iceAt(sheet.course, Date.parse(own.at)) : null;
  const feeds = latest(station.measures, 'feeds')?.value === 1;
  return placeFactor({ kind: station.kind, feeds }, own && open ? { here: own.thickness, sheet: open.middle } : null);
}
