import { sawOf } from '#core/colony/looks';
import { storyOf, type Happened, type Story } from '#core/colony/story';
import { foundNight, nightOf } from '#core/counting/nights';
import { outcomeText } from '#core/record/sentence';
import { signKind } from '#core/sign/kinds';
import { many } from '#core/units/many';
import type { Season } from '#lib/season/season';
import { DRAWN, type ColonyRead } from './colonies';
import { stationName } from './scouting';
import type { System } from '#core/units/factors';

/** Who was met where and when: the nights of a colony by place, with the levels read meanwhile. */
export function colonyStory(read: ColonyRead, season: Season, now: Date, system: System) {
  const { zone } = season.line;
  const nights = read.nights.slice(-DRAWN);
  const from = nights[0]?.from ?? now;
  const story: Story = storyOf({
    nights: nights.map((n) => n.date),
    places: [...read.stations].sort((a, b) => a.along - b.along).map((s) => ({ id: s.id, name: stationName(s) })),
    happened: [...met(read, zone, system), ...seen(read, zone), ...mended(read, season, zone)],
    worked: read.worked.map(({ set, effort }) => ({
      place: set.station,
      effort: effort.slice(-DRAWN),
      stood: nights.map((n) => set.stays.some((s) => new Date(s.from) < n.to && (s.to === null || new Date(s.to) > n.from))),
    })),
  });
  const gauge = season.gauges.find((g) => read.scope.waters.includes(g.water) && g.surface === 'pond');
  const readings = (gauge && read.worked[0]?.asked.readings[gauge.id]) ?? [];
  const levels = readings
    .filter((r) => r.at >= from && r.at <= now)
    .map((r) => ({ x: (r.at.getTime() - from.getTime()) / 86_400_000, level: r.level }));
  return { story, levels, gauge: gauge?.name ?? '' };
}

function met({ scope, worked }: ColonyRead, zone: string, system: System): Happened[] {
  return worked.flatMap(({ set, visits }) =>
    visits.flatMap((visit) => {
      const night = foundNight(new Date(visit.at), zone);
      return visit.devices.flatMap((d): Happened[] => {
        const at = { place: set.station, night, count: 1, said: outcomeText(d, system) };
        const saw = sawOf(d, scope.species);
        const turned: Happened[] = d.flags.includes('went round') ? [{ ...at, mark: 'turned', said: 'went round' }] : [];
        if (d.outcome === 'catch') return [{ ...at, mark: saw === 'caught' ? 'caught' : 'other' }];
        return saw && saw !== 'untouched' ? [{ ...at, mark: 'met' }, ...turned] : turned;
      });
    }),
  );
}

function seen({ scope, seen: { cameras, signs } }: ColonyRead, zone: string): Happened[] {
  const events = cameras.flatMap((c) =>
    c.events
      .filter((e) => e.species === scope.species)
      .map((e): Happened => ({
        place: c.station,
        night: nightOf(e.at, zone),
        mark: e.did === 'went round' || e.did === 'over it' ? 'turned' : 'passed',
        count: 1,
        said: `camera: ${e.count} at once`,
      })),
  );
  const noted = signs
    .filter((s) => s.species === scope.species && s.kind !== 'mendedLeak')
    .map((s): Happened => ({
      place: s.station,
      night: foundNight(new Date(s.at), zone),
      mark: 'sign',
      count: 1,
      said: `${signKind(s.kind).label}, ${s.freshness === 'old' ? 'old' : `${s.freshness} old`}`,
    }));
  return [...events, ...noted];
}

/** Breaks and leaks that were mended: at the place of the set that opened them, else at the dam. */
function mended({ scope, stations, seen: { signs } }: ColonyRead, season: Season, zone: string): Happened[] {
  const dam = stations.find((s) => s.kind === 'dam');
  const breaks = season.openings.flatMap(({ water, set, opened, mended: at, count }): Happened[] => {
    const place = season.sets.find((s) => s.id === set)?.station ?? dam?.id;
    if (!at || !place || !scope.waters.includes(water)) return [];
    const hours = Math.round((Date.parse(at) - Date.parse(opened)) / 3_600_000);
    return [{ place, night: foundNight(new Date(at), zone), mark: 'mended', count, said: `break plugged within ${many(hours, 'hour')}` }];
  });
  const leaks = signs
    .filter((s) => s.kind === 'mendedLeak')
    .map((s): Happened => ({ place: s.station, night: foundNight(new Date(s.at), zone), mark: 'mended', count: 1, said: 'leak mended' }));
  return [...breaks, ...leaks];
}
