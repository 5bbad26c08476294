import { movingOf } from '#core/ahead/moving';
import { isCloseTo } from '#core/run/stops';
import { travelMatrix, type Access, type Ends, type Mode } from '#core/run/travel';
import { placingOf } from '#core/run/work';
import { makingHours } from '#core/rules/seasons';
import { setTypeOf } from '#core/sets/catalogue';
import type { SetView } from '#core/sets/standing';
import { instantOf, localDate } from '#core/time/localTime';
import { roundRow } from './rounds';
import type { Season } from './season';
import type { Asker } from './who';

/** What a run of one day is asked with. */
export interface RunAsked {
  start: Date;
  mode: Mode;
  /** the access point at which it begins and ends, by its id; the first of all where none is named */
  access: string;
}

/** Points at which a truck can stand, as they were drawn. */
export const accessPoints = ({ ground }: Pick<Season, 'ground'>): (Access & { id: string })[] =>
  ground.flatMap(({ id, kind, shape, site, name }) =>
    kind === 'access' && shape.type === 'Point' ? [{ id, at: shape.coordinates, ground: site, name }] : [],
  );

/** The stops of a day with what is known of each, and the minutes between them: 0 is where the day begins. */
export function dayRun(season: Season, { start, mode, access }: RunAsked, asker: Asker) {
  const moving = movingOf(season, asker.now);
  const accesses = accessPoints(season);
  const begin = accesses.find((a) => a.id === access) ?? accesses[0] ?? null;
  const siteOf = Object.fromEntries(season.stored.waters.map((w) => [w.id, w.site]));
  const ends = ({ station }: SetView): Ends => ({
    at: station.lat === null || station.lon === null ? null : [station.lon, station.lat],
    ground: siteOf[station.water] ?? '',
  });
  const zone = season.line.zone;
  const due = season.views.filter((v) => v.state === 'live' && isCloseTo(v, start, zone));
  const opening = season.views.filter((v) => v.state === 'prepared' && v.opens !== null && v.opens <= localDate(start, zone));
  const minute = (at: Date | null): number | null => (at === null ? null : (at.getTime() - start.getTime()) / 60_000);
  const day = localDate(start, zone);
  /** the hours in which the book lets it be made */
  const lawful = ({ species, station }: SetView): { opens: number | null; due: number | null } => {
    const hours = season.rules && makingHours(season.rules.book, species, { date: day, area: season.areas[station.water] ?? '' });
    const clock = (time: string | null | undefined): number | null => (time ? minute(instantOf(day, time, zone)) : null);
    return { opens: clock(hours?.from), due: clock(hours?.to) };
  };
  const stops = [
    ...due.map((view) => {
      const row = roundRow(season, view, moving, asker);
      const deadline = new Date(row.deadline);
      // what the water cut off before the day begins is no deadline of the day
      const shuts = row.shuts && row.shuts > start ? row.shuts : null;
      return {
        ...{ id: view.id, label: `${view.number} ${view.name}`, order: row.order, visit: row.visit },
        opens: minute(row.opens),
        due: minute(shuts && shuts < deadline ? shuts : deadline),
        ends: shuts !== null && shuts < deadline ? ('water' as const) : ('deadline' as const),
        isBreak: setTypeOf(view.type).acts !== undefined,
        view,
      };
    }),
    ...opening.map((view) => {
      const any = season.minutes[setTypeOf(view.type).underIce ? 'ice' : 'place'];
      const { minutes, low, high } = placingOf(view.type, any, season.times);
      return {
        ...{ id: view.id, label: `${view.number} ${view.name}`, order: 'Set it' },
        visit: { task: 'place' as const, minutes, low, high },
        ...lawful(view),
        ...{ ends: 'hours' as const, isBreak: setTypeOf(view.type).acts !== undefined, view },
      };
    }),
  ];
  const first: Ends = begin ?? {
    at: season.line.lat === null || season.line.lon === null ? null : [season.line.lon, season.line.lat],
    ground: '',
  };
  const travel = travelMatrix([first, ...stops.map((s) => ends(s.view))], accesses, mode);
  return {
    begin: begin?.id ?? '',
    unplaced: stops.filter((s) => s.view.station.lat === null).length,
    left: season.views.filter((v) => v.state === 'live').length - due.length,
    stops: stops.map(({ view: _, ...stop }) => stop),
    travel: travel.map((row) => row.map((m) => Math.round(m * 10) / 10)),
    at: stops.map(({ view }) => ends(view).at),
  };
}
