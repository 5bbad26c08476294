import { HOLE_FEELS, LODGE_SIGNS, type HoleFeel, type LodgeSign } from '#core/scouting/lodge';
import { signKind } from '#core/sign/kinds';
import { reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import type { NewEntry } from '#core/record/entry';
import { stationName, waterOf } from '$lib/server/scouting';
import { iceInHoles, saveSurvey } from '$lib/server/survey';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { water, stations } = await waterOf(locals, params.water);
  return {
    water,
    lodges: stations.filter((s) => s.kind === 'lodge' || s.kind === 'bank den').map((s) => ({ value: s.id, text: stationName(s) })),
    signs: LODGE_SIGNS.map((id) => ({ id, label: signKind(id).label, tells: signKind(id).tells })),
    feels: HOLE_FEELS,
    ids: { entry: newId(), id: newId() },
  };
};

export const actions: Actions = {
  default: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const station = read.text('station');
    const seen = LODGE_SIGNS.filter((s) => read.many('seen').includes(s)) as LodgeSign[];
    if (station === '') read.refuse('station', 'Choose the lodge; a new one is added as a location of the water first.');
    const holes = ['0', '1', '2'].flatMap((n) => {
      if (read.text(`${n}.felt`) === '') return [];
      const distance = read.length(`${n}.distance`, locals.who.person.system === 'us' ? 'ft' : 'm');
      const bearing = read.number(`${n}.bearing`);
      if (distance === undefined) read.refuse(`${n}.distance`, 'How far from the peak, for example 7 ft.');
      if (bearing === undefined) read.refuse(`${n}.bearing`, 'The bearing from the peak, in degrees.');
      return [
        { felt: read.text(`${n}.felt`) as HoleFeel, distance: distance ?? 0, bearing: bearing ?? 0, ice: read.length(`${n}.ice`) ?? null },
      ];
    });
    const form = read.text('entry');
    const place = { water: params.water, station: station || null };
    const also = (at: Date): NewEntry[] => [
      ...iceInHoles(holes, place, form, at, locals),
      ...seen.map((kind): NewEntry => ({
        id: idBeside(form, `sign entry ${kind}`),
        crew: locals.who.crew,
        kind: 'sign',
        occurredAt: at,
        by: locals.who.person.id,
        body: {
          id: idBeside(form, `sign ${kind}`),
          station,
          at: at.toISOString(),
          kind,
          species: 'beaver',
          freshness: 'hours',
          direction: '',
          note: 'at the winter lodge',
        },
      })),
    ];
    return saveSurvey(
      read,
      locals,
      {
        id: read.text('id'),
        water: params.water,
        station: station || null,
        note: read.text('note'),
        found: {
          kind: 'lodge',
          seen,
          ledge: read.number('ledge') ?? null,
          pile: read.number('pile') ?? null,
          radius: read.length('radius', locals.who.person.system === 'us' ? 'ft' : 'm') ?? null,
          holes,
        },
      },
      also,
      'holes',
    );
  },
};
