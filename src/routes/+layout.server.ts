import { db } from '$lib/server/database';
import { newId } from '$lib/server/newId';
import { people } from '$lib/server/repositories/places';
import { loadSeason } from '$lib/server/season';
import { stripOf } from '$lib/server/strip';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, cookies }) => {
  if (!locals.who) return { who: null };
  const [season, crew] = await Promise.all([loadSeason(locals, ['live']), people(db(), locals.who.crew)]);
  return {
    who: { person: locals.who.person, people: crew.map(({ id, name }) => ({ id, name })) },
    theme: cookies.get('theme') ?? 'auto',
    line: season?.line ?? null,
    day: season && stripOf(season, locals.now),
    nowIso: locals.now.toISOString(),
    formId: newId(),
  };
};
