import { redirect } from '@sveltejs/kit';
import { SCHOOL_IDS, SIDES, type Picked } from '#core/words/schools';
import { ruleText } from '#core/time/deadline';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { openedOn, reader } from '#lib/form/reader';
import { newId } from '#lib/form/newId';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import { currentLine } from '$lib/server/repositories/sets';
import { schoolTallies } from '$lib/server/schools';
import { loadSeason } from '$lib/server/season';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals, ['live', 'pulled']);
  return {
    line: season && { name: season.line.name, season: season.line.season },
    picked: season?.line.schools ?? {},
    came: season && (await schoolTallies(season, locals)),
    interval: season ? ruleText(season.line.rule) : '',
    saved: url.searchParams.has('saved'),
    entry: newId(),
    opened: season?.line.entry,
  };
};

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const line = await currentLine(db(), locals.who.crew);
    if (!line) return refused(read, 'No line was begun yet.');
    const schools: Picked = {};
    for (const matter of SCHOOL_IDS) {
      const typed = read.text(matter);
      const side = SIDES.find((s) => s === typed);
      if (side) schools[matter] = side;
      else if (typed !== '') read.refuse(matter, 'Pick one side, or leave it open.');
    }
    if (!read.ok()) return refused(read);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'line',
        occurredAt: locals.now,
        by: locals.who.person.id,
        ...openedOn(read, line),
        body: { ...bodyOf(line), schools },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/rules/schools?saved=1');
  },
};
