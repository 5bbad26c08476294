import type { Scope } from '#core/colony/scope';
import { agesMet, NO_AGES } from '#core/counting/ages';
import { takesBeside, type Took } from '#core/counting/bySort';
import { colonyRange, type ColonyEvidence } from '#core/counting/colonyRange';
import type { LeftEvidence, TrapNight } from '#core/counting/left';
import { foundNight, nightOf, type Count } from '#core/counting/nights';
import { addDays, instantOf, localDate } from '#core/time/localTime';
import { classOf, type Season } from '#lib/season/season';
import type { Scouted } from './scouting';
import type { workedSets } from './totals';

/** Nights further back are not asked about. */
const MOST_NIGHTS = 120;
/** So many more than were met are thought of at least. [practice] */
const BEYOND = 9;
/** What caught was in its range for some of that night, whatever was read. [practice] */
const SOME = 0.5;
/** Between these lies the chance that they left the water, by how fresh its freshest sign is; where they were met, so much a night since. [practice] */
const MOVED = { least: 0.02, most: 0.6, unknown: 0.2, night: 0.01 } as const;

export type TrapNights = ReturnType<typeof nightsFrom>[number];

export interface LeftAsked {
  season: Season;
  scope: Scope;
  /** of the places of the colony, each with its device-nights in range by night */
  worked: readonly (NonNullable<Awaited<ReturnType<typeof workedSets>>>[number] & { byTrap: readonly (readonly number[])[] })[];
  /** the nights of the efforts */
  nights: readonly TrapNights[];
  /** of the places of the colony */
  scouted: Pick<Scouted, 'signs' | 'cameras' | 'activity'>;
  count: Count;
  evidence: ColonyEvidence;
  /** of each set, what it takes beside one that works and that nobody shies from: 0 to 1 */
  worth: (set: string) => number;
  /** what each sort of trap took elsewhere */
  sorts: readonly Took[];
  now: Date;
}

/**
 * What is held of how many are left of a colony; null where more were caught than its signs told of: then they tell nothing of the rest; and
 * where neither a trap stood nor a camera watched nor a break was open.
 */
export function leftEvidence(asked: LeftAsked): LeftEvidence | null {
  const { season, scope, worked, scouted, count, evidence, worth, sorts } = asked;
  const { zone } = season.line;
  const meant = worked.filter(({ set }) => set.species === scope.species);
  if (colonyRange(evidence, 'metric').high === null) return null;
  const begun = meant.flatMap(({ set }) => set.stays.map((s) => Date.parse(s.from)));
  // before the first trap stood there is nothing to take from
  const skipped = begun.length === 0 ? Infinity : asked.nights.findIndex((n) => n.to.getTime() > Math.min(...begun));
  const nights = asked.nights.slice(skipped);
  const catches = worked
    .flatMap(({ visits }) =>
      visits.flatMap((v) =>
        v.devices.flatMap((d) =>
          d.catch?.species === scope.species ? [{ at: new Date(v.at), bites: d.catch.bites, age: d.catch.age }] : [],
        ),
      ),
    )
    .sort((a, b) => Number(a.at) - Number(b.at));
  const caught = catches.map((c) => c.at);
  const takes = takesBeside(sorts);
  const efforts = meant.flatMap(({ set, byTrap }) =>
    set.stays.map((stay, trap) => {
      const share = worth(set.id) * (takes[classOf(season, stay.device)] ?? 1);
      return (byTrap[trap] ?? []).slice(skipped).map((n) => n * share);
    }),
  );
  const first = nights[0]?.date ?? '';
  const trapped = nights.map(({ date }, n): TrapNight => {
    // what is found on the day a first trap was set was caught that day
    const taken = caught.filter((at) => (foundNight(at, zone) < first ? first : foundNight(at, zone)) === date).length;
    const effort = efforts.reduce((sum, e) => sum + (e[n] ?? 0), 0);
    return { caught: taken, effort: taken > 0 ? Math.max(SOME, effort) : effort };
  });
  const last = caught.at(-1) ?? new Date(0);
  const mending = mendingSince(last, asked);
  const silent = count.nights.filter((n) => n.events === 0 && n.date > nightOf(last, zone)).length;
  if (nights.length === 0 && silent === 0 && mending.unmended === null && !mending.mended) return null;
  const { low, high } = colonyRange({ ...evidence, caught: { count: 0, stillThere: 0, since: '' } }, 'metric');
  const lived = evidence.floor === 0 ? 0 : evidence.caught.count + evidence.caught.stillThere;
  const taken = trapped.reduce((sum, n) => sum + n.caught, 0);
  const pictures = scouted.cameras.flatMap((c) => c.events.filter((e) => e.species === scope.species).map((e) => e.at));
  const seen = [...caught, ...pictures];
  const firstPicture = Math.min(...pictures.map(Number));
  const agesOf = (from: number) => catches.filter(({ at }) => at.getTime() > from).map(({ age }) => age);
  const present = seen.length === 0 ? '' : localDate(new Date(Math.max(...seen.map(Number))), zone);
  return {
    nights: trapped,
    expected: Math.max(1, (low + (high ?? low)) / 2),
    floor: lived,
    most: Math.max(lived, taken, high ?? 0) + BEYOND,
    quiet: silent,
    ...mending,
    bitten: catches.at(-1)?.bites === 'fresh',
    moved: movedOf(asked, present),
    present: trapped.filter((_, n) => (nights[n]?.date ?? '') < present).length,
    ages: scope.species === 'beaver' && nights.length > 0 ? agesMet(count, agesOf(0), agesOf(firstPicture)) : NO_AGES,
  };
}

/** How likely it is that they left the water: by the nights since one was caught or seen, else by the freshest sign of any of its places. @param present local date of that day; empty where none was met */
function movedOf({ scope, scouted, season, now }: LeftAsked, present: string): number {
  if (present !== '') {
    const nights = (Date.parse(localDate(now, season.line.zone)) - Date.parse(present)) / 86_400_000;
    return Math.min(MOVED.most, MOVED.least + 1 - (1 - MOVED.night) ** nights);
  }
  const all = [...scope.places].flatMap((id) => scouted.activity(id, scope.species) ?? []);
  return all.length === 0 ? MOVED.unknown : Math.min(MOVED.most, Math.max(MOVED.least, 1 - Math.max(...all)));
}

/** The nights of the line from a moment to now, each from its noon to the next. */
export function nightsFrom(first: Date, now: Date, zone: string): { date: string; from: Date; to: Date }[] {
  const found: { date: string; from: Date; to: Date }[] = [];
  // the night under way, or the one that was last
  const last = nightOf(now, zone);
  const begin = nightOf(first, zone);
  for (
    let date = begin < addDays(last, -MOST_NIGHTS) ? addDays(last, -MOST_NIGHTS) : begin;
    date <= last && found.length < MOST_NIGHTS;
    date = addDays(date, 1)
  )
    found.push({ date, from: instantOf(date, '12:00', zone), to: instantOf(addDays(date, 1), '12:00', zone) });
  return found;
}

/** Whether somebody mended since the last catch, and for how many nights a break stayed open that nobody did. */
function mendingSince(last: Date, { season, scope, scouted, now }: LeftAsked): { mended: boolean; unmended: number | null } {
  const breaks = season.openings.filter((o) => scope.waters.includes(o.water));
  const mended =
    breaks.some((o) => o.mended !== null && Date.parse(o.mended) > last.getTime()) ||
    scouted.signs.some((s) => s.kind === 'mendedLeak' && s.freshness === 'hours' && Date.parse(s.at) > last.getTime());
  const open = breaks.filter((o) => o.mended === null).map((o) => Math.max(Date.parse(o.opened), last.getTime()));
  const unmended = open.length === 0 || mended ? null : Math.floor((now.getTime() - Math.min(...open)) / 86_400_000);
  return { mended, unmended };
}
