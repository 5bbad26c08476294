import { clockOf, whenText, type Clock } from '#core/time/clock';
import { db } from '$lib/server/database';
import { newId } from '#lib/form/newId';
import { people } from '$lib/server/repositories/places';
import { wordState } from '#core/run/leftWord';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';
import { stripOf } from '$lib/server/strip';
import type { LayoutServerLoad } from './$types';

/** Who left word and is not back in time: told on every page of every device of the crew. */
function overdueOf(season: Season | null, now: Date): { id: string; text: string }[] {
  if (!season) return [];
  return season.words
    .filter((word) => wordState(word, now) === 'overdue')
    .map(({ id, who, backBy, where }) => ({
      id,
      text: `${who}: back by ${whenText(new Date(backBy), now, season.clock)} and not back. ${where}`,
    }));
}

export const load: LayoutServerLoad = async ({ locals, cookies, route }) => {
  // the field part has its own facts, and a client sees nothing of the line
  if (!locals.who || route.id === '/field' || locals.role === 'reader')
    return {
      who: null,
      theme: cookies.get('theme') ?? 'auto',
      sunIsDown: false,
      line: null,
      day: null,
      overdue: [],
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
    overdue: overdueOf(season, locals.now),
    sunIsDown: locals.sunIsDown,
    clock: clockOf(locals.who.person, season?.line.zone ?? 'UTC'),
    formId: newId(),
  };
};
