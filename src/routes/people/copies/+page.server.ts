import { error, redirect } from '@sveltejs/kit';
import { clockOf, whenText } from '#core/time/clock';
import { isId, newId } from '#lib/form/newId';
import { db } from '$lib/server/database';
import { askFor, jobsOf } from '$lib/server/repositories/jobs';
import { currentLine } from '$lib/server/repositories/sets';
import { work } from '$lib/server/work';
import type { Actions, PageServerLoad } from './$types';

/** So long a copy lies ready, ms. [practice] */
const LASTS = 7 * 86_400_000;

export const load: PageServerLoad = async ({ locals }) => {
  const { crew, person } = locals.who;
  const isOwner = locals.role === 'owner';
  const [jobs, line] = await Promise.all([isOwner ? jobsOf(db(), crew) : [], currentLine(db(), crew)]);
  const clock = clockOf(person, line?.zone ?? 'UTC');
  return {
    isOwner,
    id: newId(),
    copies: jobs.map(({ id, name, asked_at, state, steps_done, steps, bytes }) => ({
      ...{ id, name, state, bytes, asked: whenText(asked_at, locals.now, clock) },
      share: steps ? Math.min(steps_done / steps, 1) : 0,
    })),
  };
};

export const actions: Actions = {
  ask: async ({ request, locals }) => {
    if (locals.role !== 'owner') error(403, 'A copy of everything, the owner of the crew takes.');
    const { crew, person } = locals.who;
    const id = String((await request.formData()).get('id') ?? '');
    if (!isId(id)) error(400, 'That form is not complete: load the page again.');
    const { now } = locals;
    await askFor(db(), { crew_id: crew, id, person_id: person.id, asked_at: now, ends_at: new Date(now.getTime() + LASTS) });
    void work();
    redirect(303, '/people/copies');
  },
};
