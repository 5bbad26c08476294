import { GAP_PLACES, mainCrossing, type Gap, type GapPlace } from '#core/scouting/crossing';
import { reader } from '#lib/form/reader';
import { refused } from '$lib/server/form';
import { newId } from '#lib/form/newId';
import { stationName, waterOf } from '$lib/server/scouting';
import { saveSurvey } from '$lib/server/survey';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { water, stations } = await waterOf(locals, params.water);
  return {
    water,
    dams: stations.filter((s) => s.kind === 'dam').map((s) => ({ value: s.id, text: stationName(s) })),
    places: GAP_PLACES,
    ids: { entry: newId(), id: newId() },
  };
};

export const actions: Actions = {
  default: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const gaps = ['0', '1', '2', '3', '4', '5'].flatMap((n): (Gap & { row: string })[] =>
      read.has(`${n}.there`)
        ? [
            {
              row: n,
              place: (read.text(`${n}.place`) || 'middle') as GapPlace,
              worn: read.has(`${n}.worn`),
              wet: read.has(`${n}.wet`),
              dark: read.has(`${n}.dark`),
              bare: read.has(`${n}.bare`),
              channel: read.has(`${n}.channel`),
              poles: read.has(`${n}.poles`),
              unused: read.has(`${n}.unused`),
              width: read.length(`${n}.width`) ?? null,
            },
          ]
        : [],
    );
    if (gaps.length === 0) {
      read.refuse('marks', 'Tick a gap where there is one: the middle first, then both ends, each from below.');
      return refused(read);
    }
    const chosen = gaps.findIndex((g) => g.row === read.text('main'));
    const found = gaps.map(({ row: _, ...gap }) => gap);
    return saveSurvey(read, locals, {
      id: read.text('id'),
      water: params.water,
      station: read.text('station') || null,
      note: read.text('note'),
      found: { kind: 'crossing', gaps: found, main: chosen >= 0 ? chosen : mainCrossing(found).main },
    });
  },
};
