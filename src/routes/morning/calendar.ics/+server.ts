import { error } from '@sveltejs/kit';
import { appointmentsOf } from '#core/time/appointments';
import { toCalendar } from '$lib/exchange/calendar';
import { db } from '$lib/server/database';
import { openDuties } from '$lib/server/duties';
import { movingOf } from '#core/ahead/moving';
import { roundRow } from '#lib/season/rounds';
import { closedTo } from '#lib/bench/ruled';
import { colonies } from '$lib/server/repositories/colonies';
import { loadSeason } from '$lib/server/season';
import type { RequestHandler } from './$types';

/** Deadlines, opening days and duties of the line, for any calendar. */
export const GET: RequestHandler = async ({ locals }) => {
  const season = await loadSeason(locals);
  if (!season) error(404, 'No line was begun: there is nothing with a date yet.');
  const waters = Object.fromEntries(season.waters.map((w) => [w.id, w.name]));
  const moving = movingOf(season, locals.now);
  const checks = season.views.flatMap((v) =>
    v.state === 'live'
      ? [roundRow(season, v, moving, locals)].map((row) => ({
          ...{ set: v.id, name: `${v.number} ${v.name}`, deadline: new Date(row.deadline), minutes: row.visit.minutes },
          water: { id: v.station.water, name: waters[v.station.water] ?? '' },
        }))
      : [],
  );
  const opens = season.sets.flatMap((set) => {
    const date = set.state === 'prepared' ? (closedTo(season, set, locals.now)?.opens ?? set.opens) : null;
    return date ? [{ id: set.id, name: `${set.number} ${set.name}`, date }] : [];
  });
  const duties = (await openDuties(season, locals)).map((d) => ({ id: `${d.catch} ${d.rule}`, what: d.text, whom: d.whom, by: d.dueAt }));
  const lookBacks = (await colonies(db(), locals.who.crew)).flatMap(({ id, name, done }) =>
    done ? [{ id, name, date: done.lookBack }] : [],
  );
  return new Response(toCalendar(appointmentsOf({ checks, opens, duties, lookBacks }, season.clock), locals.now), {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'content-disposition': 'attachment; filename="zaprud.ics"' },
  });
};
