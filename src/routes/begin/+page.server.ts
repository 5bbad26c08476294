import { redirect } from '@sveltejs/kit';
import { db } from '$lib/server/database';
import { attempt, reader, refused } from '$lib/server/form';
import { idBeside, newId } from '$lib/server/newId';
import { record, type NewEntry } from '$lib/server/record/write';
import { currentLine } from '$lib/server/repositories/sets';
import { readRule } from '$lib/server/ruleForm';
import { whoOf } from '$lib/server/who';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  if (locals.who && (await currentLine(db(), locals.who.crew))) redirect(303, '/waters');
  return { entry: newId(), zone: Intl.DateTimeFormat().resolvedOptions().timeZone };
};

/** Crew, person, line, site and first water in one form; every id follows from the form's own, so that sending it twice makes one crew. */
export const actions: Actions = {
  default: async ({ request, locals, cookies }) => {
    const nobody = { id: newId(), name: '', system: 'us' as const, measures: {}, minutes: {} };
    const read = reader(await request.formData(), locals.who ?? whoOf('', nobody));
    const form = read.text('entry');
    const of = (name: string): string => idBeside(form, name);
    const rule = readRule(read);
    const lat = read.number('lat');
    const lon = read.number('lon');
    if (lat === undefined || Math.abs(lat) > 90)
      read.refuse('lat', 'A latitude lies between −90 and 90 degrees; it gives the hours of light.');
    if (lon === undefined || Math.abs(lon) > 180) read.refuse('lon', 'A longitude lies between −180 and 180 degrees.');
    for (const name of ['crew', 'person', 'line', 'season', 'site', 'water'])
      if (read.text(name) === '') read.refuse(name, 'A name is needed here.');
    if (!rule || lat === undefined || lon === undefined || !read.ok()) return refused(read);
    const crew = of('crew');
    const person = of('person');
    const common = { crew, occurredAt: locals.now, by: null };
    const entry = (kind: NewEntry['kind'], body: NewEntry['body']): NewEntry =>
      ({ ...common, id: of(`entry ${kind}`), kind, body }) as NewEntry;
    const result = await attempt(read, async () => {
      await record(
        db(),
        entry('crew', { id: crew, name: read.text('crew') }),
        entry('person', {
          id: person,
          name: read.text('person'),
          system: read.text('system') === 'metric' ? 'metric' : 'us',
          measures: {},
        }),
        entry('line', {
          id: of('line'),
          name: read.text('line'),
          season: read.text('season'),
          zone: read.text('zone'),
          lat,
          lon,
          rule,
          rulebook: '',
        }),
        entry('site', { id: of('site'), name: read.text('site'), lat, lon, owner: '', access: '', endangered: '' }),
        entry('water', {
          id: of('water'),
          site: of('site'),
          name: read.text('water'),
          kind: read.text('waterKind') as 'pond',
          profile: [],
          note: '',
        }),
        entry('gauge', { id: of('gauge'), water: of('water'), name: 'gauge', surface: 'pond', zero: 0 }),
      );
    });
    if ('failure' in result) return result.failure;
    cookies.set('person', person, { path: '/', maxAge: 60 * 60 * 24 * 365, sameSite: 'lax', httpOnly: true, secure: false });
    redirect(303, `/waters/${of('water')}`);
  },
};
