import { colonyRange, type ColonyEvidence } from '#core/counting/colonyRange';
import { howManyLeft, type Left } from '#core/counting/left';
import { nightOf, type Count } from '#core/counting/nights';
import { effortByNight } from '#core/effort/totals';
import { addDays, instantOf, localDate } from '#core/time/localTime';
import type { Season } from '#lib/season/season';
import type { Scouted } from './scouting';
import type { workedSets } from './totals';

/** Nights further back are not asked about. */
const MOST_NIGHTS = 120;
/** So many more than were met are thought of at least. [practice] */
const BEYOND = 9;
/** What caught was in its range for some of that night, whatever was read. [practice] */
const SOME = 0.5;

export interface LeftAsked {
  season: Season;
  water: string;
  worked: NonNullable<Awaited<ReturnType<typeof workedSets>>>;
  /** of this water */
  scouted: Pick<Scouted, 'signs'>;
  count: Count;
  evidence: ColonyEvidence;
  now: Date;
}

/** How many beavers are left on a water; null where no set was ever live for them there, or where more were caught than its signs told of: then they tell nothing of the rest. */
export function leftIn({ season, water, worked, scouted, count, evidence, now }: LeftAsked): Left | null {
  const { zone } = season.line;
  const here = worked.filter(({ set }) => season.stations.some((s) => s.id === set.station && s.water === water));
  const meant = here.filter(({ set }) => set.species === 'beaver');
  const begun = meant.flatMap(({ set }) => set.stays.map((s) => Date.parse(s.from)));
  if (begun.length === 0 || colonyRange(evidence, 'metric').high === null) return null;
  const nights = nightsFrom(new Date(Math.min(...begun)), now, zone);
  const caught = here
    .flatMap(({ visits }) => visits.flatMap((v) => v.devices.flatMap((d) => (d.catch?.species === 'beaver' ? [new Date(v.at)] : []))))
    .sort((a, b) => Number(a) - Number(b));
  const efforts = meant.map(({ set, visits, asked }) => effortByNight(set, visits, asked, nights));
  const trapped = nights.map(({ date }, n) => {
    const taken = caught.filter((at) => nightOf(at, zone) === date).length;
    const effort = efforts.reduce((sum, e) => sum + (e[n] ?? 0), 0);
    return { caught: taken, effort: taken > 0 ? Math.max(SOME, effort) : effort };
  });
  const last = caught.at(-1) ?? new Date(0);
  const { low, high } = colonyRange({ ...evidence, caught: { count: 0, afterFloor: 0, since: '' } }, 'metric');
  const floor = evidence.floor + evidence.caught.count - evidence.caught.afterFloor;
  const taken = trapped.reduce((sum, n) => sum + n.caught, 0);
  return howManyLeft({
    nights: trapped,
    expected: Math.max(1, (low + (high ?? low)) / 2),
    floor: evidence.floor === 0 ? 0 : floor,
    most: Math.max(floor, taken, high ?? 0) + BEYOND,
    quiet: count.nights.filter((n) => n.events === 0 && n.date > nightOf(last, zone)).length,
    ...mendingSince(last, { season, water, scouted, now }),
  });
}

function nightsFrom(first: Date, now: Date, zone: string): { date: string; from: Date; to: Date }[] {
  const found: { date: string; from: Date; to: Date }[] = [];
  for (let date = nightOf(first, zone); date <= localDate(now, zone) && found.length < MOST_NIGHTS; date = addDays(date, 1))
    found.push({ date, from: instantOf(date, '12:00', zone), to: instantOf(addDays(date, 1), '12:00', zone) });
  return found;
}

/** Whether somebody mended since the last catch, and for how many nights a break stayed open that nobody did. */
function mendingSince(last: Date, { season, water, scouted, now }: Pick<LeftAsked, 'season' | 'water' | 'scouted' | 'now'>) {
  const breaks = season.openings.filter((o) => o.water === water);
  const mended =
    breaks.some((o) => o.mended !== null && Date.parse(o.mended) > last.getTime()) ||
    scouted.signs.some((s) => s.kind === 'mendedLeak' && s.freshness === 'hours' && Date.parse(s.at) > last.getTime());
  const open = breaks.filter((o) => o.mended === null).map((o) => Math.max(Date.parse(o.opened), last.getTime()));
  const unmended = open.length === 0 || mended ? null : Math.floor((now.getTime() - Math.min(...open)) / 86_400_000);
  return { mended, unmended };
}
