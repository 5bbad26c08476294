import { redirect } from '@sveltejs/kit';
import { db, inCrew } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { currentLine } from '$lib/server/repositories/sets';
import { readRule } from '$lib/server/ruleForm';
import { readPlace } from '$lib/server/placeForm';
import { whoOf } from '#lib/season/who';
import { localDate } from '#core/time/localTime';
import { seasonOf } from '#core/time/season';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  if (locals.who && (await currentLine(db(), locals.who.crew))) redirect(303, '/waters');
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return { entry: newId(), zone, seasonNow: seasonOf(localDate(locals.now, zone)) };
};

/** Crew, person, line, site and first water in one form; every id follows from the form's own, so that sending it twice makes one crew. */
export const actions: Actions = {
  default: async ({ request, locals, cookies }) => {
    const nobody = { id: newId(), name: '', system: 'us' as const, times: null, measures: {}, minutes: {} };
    const read = reader(await request.formData(), locals.who ?? whoOf('', nobody));
    const form = read.text('entry');
    const of = (name: string): string => idBeside(form, name);
    if (locals.who && locals.who.crew !== of('crew') && (await currentLine(db(), locals.who.crew)))
      read.refuse('person', 'A crew works here already: add people and waters to it, in its own rooms.');
    const rule = readRule(read);
    const place = readPlace(read);
    for (const name of ['person', 'water']) if (read.text(name) === '') read.refuse(name, 'A name is needed here.');
    if (rule?.kind === 'daylight' && place.lat === null && read.ok())
      read.refuse('lat', 'A check by the last light needs the place: it gives the hours of light.');
    if (!rule || !read.ok()) return refused(read);
    const named = (name: string, instead: string): string => read.text(name) || read.text(instead);
    // who was invited has a crew and a name, and begins its line
    const invited = locals.who && locals.who.crew !== of('crew') ? locals.who : null;
    const crew = invited?.crew ?? of('crew');
    const person = invited?.person.id ?? of('person');
    const common = { crew, occurredAt: locals.now, by: null };
    const entry = (kind: NewEntry['kind'], body: NewEntry['body']): NewEntry =>
      ({ ...common, id: of(`entry ${kind}`), kind, body }) as NewEntry;
    const begin = async (): Promise<void> => {
      await record(
        db(),
        ...(invited
          ? []
          : [
              entry('crew', { id: crew, name: named('crew', 'person') }),
              entry('person', {
                id: person,
                name: read.text('person'),
                system: read.text('system') === 'metric' ? 'metric' : 'us',
                measures: {},
              }),
            ]),
        entry('line', {
          id: of('line'),
          name: named('line', 'water'),
          season: read.text('season') || seasonOf(localDate(locals.now, 'UTC')),
          zone: read.text('zone'),
          ...place,
          rule,
          rulebook: '',
        }),
        entry('site', { id: of('site'), name: named('site', 'water'), ...place, owner: '', access: '', endangered: '' }),
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
    };
    const result = await attempt(read, () => inCrew({ crew, role: invited ? locals.role : 'owner' }, begin));
    if ('failure' in result) return result.failure;
    cookies.set('person', person, { path: '/', maxAge: 60 * 60 * 24 * 365, sameSite: 'lax', httpOnly: true, secure: false });
    redirect(303, `/waters/${of('water')}`);
  },
};
