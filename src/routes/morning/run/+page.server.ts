import { error, redirect } from '@sveltejs/kit';
import { newId } from '#lib/form/newId';
import { reader } from '#lib/form/reader';
import { runPage } from '#lib/run/page';
import { readShare } from '#lib/run/readShare';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { record } from '$lib/server/record/write';
import { catchShare } from '$lib/server/repositories/checks';
import { people } from '$lib/server/repositories/places';
import { loadSeason } from '$lib/server/season';
import type { Actions, PageServerLoad } from './$types';

/** The run of a day: its stops in the order that breaks no deadline in the least time. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  const entry = newId();
  if (!season) return { day: null, entry };
  const [catches, crew] = await Promise.all([catchShare(db(), locals.who.crew, season.line.id), people(db(), locals.who.crew)]);
  const names = crew.map(({ id, name }) => ({ id, name }));
  return { day: runPage(season, url.searchParams, { catches, people: names }, locals), entry };
};

export const actions: Actions = {
  /** Who goes which way, for every device of the crew. */
  share: async ({ request, locals, url }) => {
    const season = await loadSeason(locals);
    if (!season) error(404, 'No line was begun yet.');
    const read = reader(await request.formData(), locals.who);
    const entry = readShare(read, season, locals);
    if (!entry) return refused(read);
    const result = await attempt(read, () => record(db(), entry));
    if ('failure' in result) return result.failure;
    const asked = new URLSearchParams(url.searchParams);
    asked.delete('/share');
    redirect(303, `/morning/run?${asked.toString()}`);
  },
};
