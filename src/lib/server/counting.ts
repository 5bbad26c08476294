import type { Station } from '#core/stations/placed';
import { cameraTonight, type CameraAdvice } from '#core/counting/cameraTonight';
import type { ColonyEvidence } from '#core/counting/colonyRange';
import type { Scope } from '#core/colony/scope';
import { countOf, stillThere, type Count } from '#core/counting/nights';
import { latest } from '#core/stations/measures';
import { type Clock, dayText } from '#core/time/clock';
import { db } from './database';
import { untouchedInARow } from './repositories/checks';
import { stationName, type Scouted } from './scouting';
import type { Season } from '#lib/season/season';

const DAY = 86_400_000;

/** What cameras tell of a species. */
export function waterCount(scouted: Pick<Scouted, 'cameras'>, species: string, zone: string): Count {
  const events = scouted.cameras.flatMap((c) => c.events);
  const watches = scouted.cameras.map((c) => ({ from: new Date(c.from), to: new Date(c.to) }));
  return countOf(events, watches, species, zone);
}

/** What the signs of a colony tell: its largest lodge, longest dam and largest pile, who was seen, who was caught since, and what was written of it. */
export function evidenceOf(
  { species, colony }: Pick<Scope, 'species' | 'colony'>,
  stations: readonly Station[],
  count: Count,
  scouted: Pick<Scouted, 'caught' | 'cameras'>,
  clock: Clock,
): ColonyEvidence {
  const own = scouted.caught.filter((c) => c.species === species);
  // who was seen before a catch may be the one that was caught: the floor holds from the first picture on
  const seen = Math.min(...scouted.cameras.flatMap((c) => c.events.filter((e) => e.species === species).map((e) => e.at.getTime())));
  const most = (what: 'across' | 'crestLength' | 'extent'): number | null => {
    const all = stations.flatMap((s) => latest(s.measures, what)?.value ?? []);
    return all.length > 0 ? Math.max(...all) : null;
  };
  return {
    floor: count.floor,
    young: (count.sizes.small ?? 0) > 0,
    lodgeAcross: most('across'),
    damLength: most('crestLength'),
    pileExtent: most('extent'),
    told: colony?.first ? { ...colony.first, why: colony.why } : null,
    caught: {
      count: own.length,
      stillThere: stillThere(
        count,
        own.filter((c) => c.at.getTime() > seen).map((c) => c.age),
      ),
      since: own[0] ? dayText(own[0].at, clock) : '',
    },
  };
}

/** A break that was plugged of late: at the place of its set, else at every dam of that water. */
function mendedAt(season: Season, station: Station, now: Date): boolean {
  return season.openings.some(({ water, set, mended }) => {
    if (water !== station.water || !mended || now.getTime() - Date.parse(mended) > 3 * DAY) return false;
    const placed = season.sets.find((s) => s.id === set);
    return placed ? placed.station === station.id : station.kind === 'dam';
  });
}

/** Where the one camera should hang tonight: the places of a water, or of all, the best first. */
export async function cameraPlaces(
  { who, now }: App.Locals,
  season: Season,
  scouted: Scouted,
  stations: Station[],
): Promise<CameraAdvice[]> {
  const calm = await untouchedInARow(db(), who.crew, season.line.id);
  return cameraTonight(
    stations.map((s) => {
      const live = season.views.filter((v) => v.station.id === s.id && v.state === 'live');
      const nights = new Set(
        scouted.cameras
          .filter((c) => c.station === s.id && now.getTime() - Date.parse(c.to) < 3 * DAY)
          .map((c) => Math.min(3, Math.ceil((Date.parse(c.to) - Math.max(Date.parse(c.from), now.getTime() - 3 * DAY)) / DAY))),
      );
      return {
        id: s.id,
        name: stationName(s),
        kind: s.kind,
        activity: scouted.activity(s.id),
        untouched: live.length > 0 ? Math.max(0, ...live.map((v) => calm[v.id] ?? 0)) : null,
        mended:
          mendedAt(season, s, now) ||
          scouted.signs.some((g) => g.station === s.id && g.kind === 'mendedLeak' && now.getTime() - Date.parse(g.at) < 3 * DAY),
        watched: Math.max(0, ...nights),
      };
    }),
  );
}
