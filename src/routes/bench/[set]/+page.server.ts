import { error, redirect } from '@sveltejs/kit';
import { setTypeOf } from '#core/sets/catalogue';
import { readBench } from '#lib/bench/readBench';
import { benchData } from '$lib/server/benchData';
import { saveBench } from '$lib/server/benchSave';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { openedOn, reader } from '#lib/form/reader';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import { movingOf } from '#core/ahead/moving';
import { currentOf, outlookOf, standingOf } from '#core/ahead/setOutlook';
import { stateOf } from '#core/sets/standing';
import { loadSeason } from '$lib/server/season';
import { surfacesAt } from '$lib/server/surfaces';
import type { Season } from '#lib/season/season';
import { frameOf } from '#core/ahead/facts';
import type { Actions, PageServerLoad } from './$types';

async function find(locals: App.Locals, id: string) {
  const season = await loadSeason(locals, ['planned', 'prepared', 'live', 'pulled']);
  const set = season?.sets.find((s) => s.id === id);
  const station = season?.stations.find((s) => s.id === set?.station);
  if (!season || !set || !station) error(404, 'There is no such set in this record.');
  return { season, set, station, type: setTypeOf(set.type) };
}

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { season, set, station, type } = await find(locals, params.set);
  return {
    bench: await benchData({ season, station, type, set, number: set.number }, locals),
    state: set.state,
    ahead: await aheadOf(season, set.id, locals),
    set: { id: set.id, number: set.number, name: set.name },
    saved: url.searchParams.has('saved'),
  };
};

/** What the forecast says of a live set: its level, ice, current, and whether its place can be stood at. */
async function aheadOf(season: Season, id: string, locals: App.Locals) {
  const view = season.views.find((v) => v.id === id);
  if (!view || view.state !== 'live') return null;
  const moving = movingOf(season, locals.now);
  const levels = season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} };
  const state = stateOf(view, levels, frameOf(season, view.station.water, locals.who.person.system));
  const said = outlookOf(view, state, season, moving, locals);
  const current = currentOf(view, season, { open: moving.open, levels, now: locals.now }, true);
  const standing = standingOf(view, moving, season, locals);
  return {
    remedy: said?.remedy ?? null,
    order: said?.remedy.order ?? '',
    why: [said?.sentence, said?.remedy.then, said?.sentence.includes(current) ? '' : current, standing?.sentence].filter(Boolean).join(' '),
    wading: standing?.short ? standing.sentence : '',
  };
}

export const actions: Actions = {
  save: async ({ request, locals, params }) => {
    const { season, set, station, type } = await find(locals, params.set);
    const read = reader(await request.formData(), locals.who);
    const written = await readBench(read, {
      season,
      station,
      type,
      before: set,
      now: locals.now,
      by: locals.who.person.id,
      system: locals.who.person.system,
      surfacesAt: (moments) => surfacesAt(season.gauges, moments),
    });
    if (!written) return refused(read);
    const failure = await saveBench(read, written, season, locals);
    if (failure) return failure;
    redirect(303, `/bench/${set.id}?saved=1`);
  },

  pull: async ({ request, locals, params }) => {
    const { season, set } = await find(locals, params.set);
    const read = reader(await request.formData(), locals.who);
    const at = read.instant('pulledAt', season.line.zone);
    if (at && at > locals.now) read.refuse('pulledAt', 'A set cannot be pulled in the future.');
    if (!at || !read.ok()) return refused(read);
    const stays = set.stays.map((stay) => (stay.to === null ? { ...stay, to: at.toISOString() } : stay));
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('pullEntry'),
          crew: locals.who.crew,
          kind: 'set',
          occurredAt: at,
          by: locals.who.person.id,
          ...openedOn(read, set),
          body: { ...bodyOf(set), state: 'pulled', stays },
        }),
      () => 'pulledAt',
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/bench/${set.id}?saved=1`);
  },
};
