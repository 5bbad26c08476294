import { redirect } from '@sveltejs/kit';
import { LIES } from '#core/record/places';
import type { Body } from '#core/record/kinds';
import { bodyOf, type Written } from '#core/record/written';
import { waysText } from '#core/stations/ways';
import { dayText } from '#core/time/clock';
import { wholeMinute } from '#core/time/localTime';
import { newId } from '#lib/form/newId';
import { openedOn, reader } from '#lib/form/reader';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { record } from '$lib/server/record/write';
import { stations } from '$lib/server/repositories/places';
import { stationName, stationOf } from '$lib/server/scouting';
import { yearsOf } from '$lib/server/years';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { season, water, station, stations: all } = await stationOf(locals, params.water, params.station);
  const live = season.views.filter((v) => v.state === 'live' && v.station.id === station.id).length;
  const earlier = season.earlier.filter((e) => e.station === station.id);
  const { entry } = await storedOf(locals, station.id);
  return {
    ...(await yearsOf(season, station, locals)),
    place: stationName(station),
    station: station.id,
    water: { id: water.id, name: water.name },
    opened: entry,
    ways: waysText(
      station,
      live + all.filter((s) => s.parent === station.id && season.views.some((v) => v.state === 'live' && v.station.id === s.id)).length,
    ),
    lies: station.lies.map(({ id, what, where, at, gone }) => ({
      id,
      text: `${what}${where ? `: ${where}` : ''}`,
      since: dayText(new Date(at), season.clock),
      gone: gone && dayText(new Date(gone), season.clock),
    })),
    earlier: earlier.map((e) => ({
      id: e.id,
      text: `${e.season}, ${e.who}: ${e.used}${e.caught === null ? '' : `, ${e.caught} caught`}${e.note ? `. ${e.note}` : ''}`,
    })),
    kinds: LIES,
    ids: { entry: newId(), id: newId() },
  };
};

async function storedOf(locals: App.Locals, id: string): Promise<Written<Body<'station'>>> {
  const found = (await stations(db(), locals.who.crew)).find((s) => s.id === id);
  if (!found) throw new Error('a place that was found is in the record');
  return found;
}

/** Writes what lies at a place anew. */
async function keep(
  { request, locals, params }: Parameters<Actions[string]>[0],
  change: (lies: Body<'station'>['lies'], read: ReturnType<typeof reader>) => Body<'station'>['lies'] | null,
) {
  const { station } = await stationOf(locals, params.water ?? '', params.station ?? '');
  const read = reader(await request.formData(), locals.who);
  const stored = await storedOf(locals, station.id);
  const lies = change(stored.lies, read);
  if (!lies || !read.ok()) return refused(read);
  const result = await attempt(
    read,
    () =>
      record(db(), {
        ...{ id: read.text('entry'), crew: locals.who.crew, kind: 'station' as const, occurredAt: locals.now, by: locals.who.person.id },
        ...openedOn(read, stored),
        body: { ...bodyOf(stored), lies },
      }),
    () => 'where',
  );
  if ('failure' in result) return result.failure;
  redirect(303, `/waters/${params.water}/${params.station}/years?saved=1`);
}

export const actions: Actions = {
  /** Something was built or left at it. */
  lay: (event) =>
    keep(event, (lies, read) => {
      const what = LIES.find((l) => l === read.text('what'));
      if (!what) read.refuse('what', 'Say what lies here: pick one of the list.');
      return what
        ? [...lies, { id: read.text('id'), what, where: read.text('where'), at: wholeMinute(event.locals.now).toISOString(), gone: null }]
        : null;
    }),
  /** It is not there any more. */
  gone: (event) =>
    keep(event, (lies, read) =>
      lies.map((l) => (l.id === read.text('lies') ? { ...l, gone: wholeMinute(event.locals.now).toISOString() } : l)),
    ),
};
