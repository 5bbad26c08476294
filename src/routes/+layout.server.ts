import { clockOf, type Clock } from '#core/time/clock';
import { db } from '$lib/server/database';
import { newId } from '$lib/server/newId';
import { people } from '$lib/server/repositories/places';
import { loadSeason } from '$lib/server/season';
import { stripOf } from '$lib/server/strip';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, cookies }) => {
  if (!locals.who)
    return {
      who: null,
      theme: cookies.get('theme') ?? 'auto',
      sunIsDown: false,
      line: null,
      day: null,
      formId: newId(),
      clock: { zone: 'UTC', hours: 12 } as Clock,
    };
  const [season, crew] = await Promise.all([loadSeason(locals), people(db(), locals.who.crew)]);
  const day = season && stripOf(season, locals.now);
  locals.sunIsDown = day?.strip.lights.find(({ start, end }) => day.strip.now >= start && day.strip.now < end)?.light === 'night';
  return {
    who: { person: locals.who.person, people: crew.map(({ id, name }) => ({ id, name })) },
    theme: cookies.get('theme') ?? 'auto',
    line: season?.line ?? null,
    day,
    sunIsDown: locals.sunIsDown,
    clock: clockOf(locals.who.person, season?.line.zone ?? 'UTC'),
    formId: newId(),
  };
};
