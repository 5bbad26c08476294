import { error } from '@sveltejs/kit';
import { appointmentsOf } from '#core/time/appointments';
import { toCalendar } from '$lib/exchange/calendar';
import { openDuties } from '$lib/server/duties';
import { owedOf } from '$lib/server/rounds';
import { closedTo } from '$lib/server/ruled';
import { loadSeason } from '$lib/server/season';
import type { RequestHandler } from './$types';

/** Deadlines, opening days and duties of the line, for any calendar. */
export const GET: RequestHandler = async ({ locals }) => {
  const season = await loadSeason(locals);
  if (!season) error(404, 'No line was begun: there is nothing with a date yet.');
  const waters = Object.fromEntries(season.waters.map((w) => [w.id, w.name]));
  const checks = season.views.flatMap((v) =>
    v.state === 'live'
      ? owedOf(v, locals).map(({ at: deadline, minutes }) => ({
          ...{ set: v.id, name: `${v.number} ${v.name}`, deadline, minutes },
          water: { id: v.station.water, name: waters[v.station.water] ?? '' },
        }))
      : [],
  );
  const opens = season.sets.flatMap((set) => {
    const date = set.state === 'prepared' ? (closedTo(season, set, locals.now)?.opens ?? set.opens) : null;
    return date ? [{ id: set.id, name: `${set.number} ${set.name}`, date }] : [];
  });
  const duties = (await openDuties(season, locals)).map((d) => ({ id: `${d.catch} ${d.rule}`, what: d.text, whom: d.whom, by: d.dueAt }));
  return new Response(toCalendar(appointmentsOf({ checks, opens, duties }, season.clock), locals.now), {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'content-disposition': 'attachment; filename="zaprud.ics"' },
  });
};
