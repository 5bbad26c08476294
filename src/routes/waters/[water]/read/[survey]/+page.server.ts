import { tell } from '#core/words/finding';
import { error, redirect } from '@sveltejs/kit';
import { compass } from '#core/ground/geodesic';
import { foundPlace } from '#core/scouting/asStation';
import { chosenMarks, rankMarks } from '#core/scouting/brook';
import { GAP_MARKS, mainCrossing, rankGaps } from '#core/scouting/crossing';
import { afterHole, HOLE_FEELS, ICE_CAUTION, lodgeLife, type HoleFeel, type LodgeSign } from '#core/scouting/lodge';
import { brookStrip, damGaps, lodgePlan } from '#core/scene/surveyMaps';
import { dayText } from '#core/time/clock';
import { wholeMinute } from '#core/time/localTime';
import { printLength, printWay } from '#core/units/length';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { iceInHoles } from '$lib/server/survey';
import { placeOn } from '$lib/server/placeOn';
import { surveys } from '$lib/server/repositories/scouting';
import { stationName, waterOf } from '$lib/server/scouting';
import type { Actions, PageServerLoad } from './$types';

/** Three to five sets along a walk. [practice] */
const MOST = 5;

async function find(locals: App.Locals, params: { water: string; survey: string }) {
  const found = await waterOf(locals, params.water);
  const [survey] = await surveys(db(), locals.who.crew, { water: params.water, id: params.survey });
  if (!survey) error(404, 'There is no such reading in this record.');
  return { ...found, survey };
}

export const load: PageServerLoad = async ({ locals, params }) => {
  const { survey, water, stations, season } = await find(locals, params);
  const { system } = locals.who.person;
  const { found } = survey;
  const station = stations.find((s) => s.id === survey.station);
  return {
    water,
    entry: survey.entry,
    when: dayText(new Date(survey.at), season.clock),
    note: survey.note,
    station: station ? { id: station.id, text: stationName(station) } : null,
    crossing:
      found.kind === 'crossing'
        ? {
            sentence: mainCrossing(found.gaps).sentence,
            main: found.main,
            gaps: rankGaps(found.gaps).map(({ index }) => ({
              n: index + 1,
              place: found.gaps[index]?.place ?? '',
              marks: GAP_MARKS.map(([key]) => found.gaps[index]?.[key] === true),
              width: found.gaps[index]?.width === null ? '' : printLength(found.gaps[index]?.width ?? 0, system),
            })),
            drawn: damGaps(found.gaps),
            columns: GAP_MARKS.map(([, label]) => label),
          }
        : null,
    lodge:
      found.kind === 'lodge'
        ? {
            caution: ICE_CAUTION,
            life: tell(lodgeLife(found.seen as LodgeSign[], new Date(survey.at)), system),
            plan: lodgePlan(found, 420, system),
            feels: HOLE_FEELS,
            holes: found.holes.map((h, i) => ({
              n: i + 1,
              felt: h.felt,
              distance: printLength(h.distance, system),
              bearing: `${Math.round(h.bearing)}° (${compass(h.bearing)})`,
              ice: h.ice === null ? '' : printLength(h.ice, system),
              next: afterHole(h, found.holes, system),
            })),
          }
        : null,
    brook:
      found.kind === 'brook'
        ? {
            strip: brookStrip(found.marks, 1100, system),
            take: chosenMarks(found.marks, MOST, system).map((m) => m.index + 1),
            marks: rankMarks(found.marks, system).map(({ index, reason }) => ({
              n: index + 1,
              mark: found.marks[index]?.mark ?? '',
              along: printWay(found.marks[index]?.along ?? 0, system),
              reason,
            })),
          }
        : null,
    ids: { entry: newId(), hole: newId() },
  };
};

export const actions: Actions = {
  /** Adds a probe hole to the lodge that is being felt out. */
  hole: async ({ request, locals, params }) => {
    const { survey } = await find(locals, params);
    const read = reader(await request.formData(), locals.who);
    const distance = read.length('distance', locals.who.person.system === 'us' ? 'ft' : 'm');
    const bearing = read.number('bearing');
    if (distance === undefined) read.refuse('distance', 'How far from the peak, for example 7 ft.');
    if (bearing === undefined) read.refuse('bearing', 'The bearing from the peak, in degrees.');
    if (survey.found.kind !== 'lodge' || distance === undefined || bearing === undefined || !read.ok()) return refused(read);
    const { entry: _, ...body } = survey;
    const hole = { felt: (read.text('felt') || 'sticks') as HoleFeel, distance, bearing, ice: read.length('ice') ?? null };
    const result = await attempt(
      read,
      () =>
        record(
          db(),
          {
            id: read.text('entry'),
            crew: locals.who.crew,
            kind: 'survey',
            occurredAt: locals.now,
            by: locals.who.person.id,
            opened: survey.entry,
            body: {
              ...body,
              found: { ...survey.found, holes: [...(survey.found.kind === 'lodge' ? survey.found.holes : []), hole] } as typeof body.found,
            },
          },
          ...iceInHoles([hole], survey, read.text('entry'), wholeMinute(locals.now), locals),
        ),
      (path) => path.replace(/^found\.holes\.\d+\./, ''),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/read/${params.survey}`);
  },

  /** Makes what was found a station, whole: a gap of a dam, a mark of the brook, a likely run of the lodge. */
  station: async ({ request, locals, params }) => {
    const { survey, season, stations } = await find(locals, params);
    const read = reader(await request.formData(), locals.who);
    const made = foundPlace(survey.found, Number(read.text('nth')) - 1);
    const owner = stations.find((s) => s.id === survey.station);
    if (!made) read.refuse('form', 'There is no such mark.');
    if (!made || !read.ok()) return refused(read);
    const form = read.text('entry');
    const station = idBeside(form, 'station');
    const along = made.along ?? owner?.along ?? 0;
    const place = await placeOn(locals, params.water, along);
    const hasTail = season.gauges.some((g) => g.water === params.water && g.surface === 'tail');
    const common = { crew: locals.who.crew, occurredAt: wholeMinute(locals.now), by: locals.who.person.id };
    const entries: NewEntry[] = [
      {
        ...common,
        id: form,
        kind: 'station',
        body: {
          id: station,
          water: params.water,
          number: Math.max(0, ...season.stations.map((s) => s.number)) + 1,
          name: made.name,
          kind: made.kind,
          surface: made.kind === 'crossover' && hasTail ? 'tail' : 'pond',
          along,
          lon: place?.[0] ?? null,
          lat: place?.[1] ?? null,
          parent: made.child ? (owner?.id ?? null) : null,
          bed: made.depth === null ? null : { depth: made.depth, at: survey.at },
          measures: made.measures.map((m) => ({ ...m, at: survey.at })),
          note: 'from a guided reading',
        },
      },
      ...made.signs.map((kind): NewEntry => ({
        ...common,
        id: idBeside(form, `sign entry ${kind}`),
        kind: 'sign',
        body: {
          ...{ id: idBeside(form, `sign ${kind}`), station, at: survey.at, kind, species: 'beaver', freshness: 'hours' },
          ...{ direction: '', note: 'from a guided reading' },
        },
      })),
    ];
    const result = await attempt(read, () => record(db(), ...entries));
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/${station}`);
  },
};
