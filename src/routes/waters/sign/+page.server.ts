import { redirect } from '@sveltejs/kit';
import { SIGN_KINDS } from '#core/sign/kinds';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { openedOn, reader } from '#lib/form/reader';
import { newId } from '#lib/form/newId';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import { crewOf } from '$lib/server/repositories/places';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const crew = await crewOf(db(), locals.who.crew);
  return { kinds: SIGN_KINDS.map((k) => ({ ...k, own: crew?.halfLives[k.id] ?? null })), entry: newId(), opened: crew?.entry };
};

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const crew = await crewOf(db(), locals.who.crew);
    const halfLives: Record<string, number> = {};
    for (const { id, halfLife } of SIGN_KINDS) {
      const days = read.number(`h.${id}`);
      if (days !== undefined && days !== halfLife) halfLives[id] = days;
    }
    if (!read.ok() || !crew) return refused(read);
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('entry'),
          crew: crew.id,
          kind: 'crew',
          occurredAt: locals.now,
          by: locals.who.person.id,
          ...openedOn(read, crew),
          body: { ...bodyOf(crew), halfLives },
        }),
      (path) => path.replace('halfLives.', 'h.'),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/waters/sign?saved=1');
  },
};
