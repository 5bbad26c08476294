import { BROOK_MARKS, type BrookMarkKind } from '#core/scouting/brook';
import { reader } from '#lib/form/reader';
import { refused } from '$lib/server/form';
import { newId } from '#lib/form/newId';
import { waterOf } from '$lib/server/scouting';
import { saveSurvey } from '$lib/server/survey';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { water } = await waterOf(locals, params.water);
  return { water, marks: BROOK_MARKS, ids: { entry: newId(), id: newId() } };
};

export const actions: Actions = {
  default: async ({ request, locals, params }) => {
    const data = await request.formData();
    const read = reader(data, locals.who);
    const rows = [...new Set([...data.keys()].flatMap((key) => /^(\d{1,3})\.mark$/.exec(key)?.[1] ?? []))].sort(
      (a, b) => Number(a) - Number(b),
    );
    const marks = rows.flatMap((n) => {
      if (read.text(`${n}.mark`) === '') return [];
      const along = read.length(`${n}.along`, locals.who.person.system === 'us' ? 'ft' : 'm');
      if (along === undefined) read.refuse(`${n}.along`, 'How far along the creek, for example 120 ft; counted steps will do.');
      return [
        {
          along: along ?? 0,
          mark: read.text(`${n}.mark`) as BrookMarkKind,
          depth: read.length(`${n}.depth`) ?? null,
          roof: read.length(`${n}.roof`) ?? null,
          pool: read.has(`${n}.pool`),
          outside: read.has(`${n}.outside`),
        },
      ];
    });
    if (marks.length === 0) {
      read.refuse('marks', 'Tap what you see while walking: one mark at least.');
      return refused(read);
    }
    return saveSurvey(
      read,
      locals,
      { id: read.text('id'), water: params.water, station: null, note: read.text('note'), found: { kind: 'brook', marks } },
      undefined,
      'marks',
    );
  },
};
