import { redirect } from '@sveltejs/kit';
import { ruleText, type CheckRule } from '#core/time/deadline';
import { db } from '$lib/server/database';
import { attempt, openedOn, reader, refused } from '$lib/server/form';
import { newId } from '$lib/server/newId';
import { bodyOf } from '$lib/server/record/upsert';
import { record } from '$lib/server/record/write';
import { currentLine } from '$lib/server/repositories/sets';
import { readRule } from '$lib/server/ruleForm';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const line = await currentLine(db(), locals.who.crew);
  const rule = line?.rule as CheckRule | undefined;
  return {
    season: line ? { name: line.name, season: line.season, rulebook: line.rulebook, zone: line.zone } : null,
    rule,
    words: rule ? ruleText(rule) : '',
    entry: newId(),
    opened: line?.entry,
  };
};

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const line = await currentLine(db(), locals.who.crew);
    const read = reader(await request.formData(), locals.who);
    if (!line) return refused(read, 'No line was begun yet.');
    const rule = readRule(read);
    if (!rule) return refused(read);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'line',
        occurredAt: locals.now,
        by: locals.who.person.id,
        ...openedOn(read, line),
        body: { ...bodyOf(line), rule, rulebook: read.text('rulebook') },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/rules');
  },
};
