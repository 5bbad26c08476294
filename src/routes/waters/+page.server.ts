import { spanText } from '#core/time/localTime';
import { stateOf } from '#core/sets/standing';
import { printLevel } from '#core/units/length';
import { db } from '$lib/server/database';
import { attempt, reader, refused } from '$lib/server/form';
import { newId } from '$lib/server/newId';
import { record } from '$lib/server/record/write';
import { sites } from '$lib/server/repositories/places';
import { loadSeason } from '$lib/server/season';
import { redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const [season, places] = await Promise.all([loadSeason(locals), sites(db(), locals.who.crew)]);
  const { system } = locals.who.person;
  return {
    ids: { entry: newId(), water: newId(), gaugeEntry: newId(), gauge: newId() },
    sites: places.map((site) => ({
      ...site,
      waters: (season?.waters ?? [])
        .filter((w) => w.site === site.id)
        .map((water) => {
          const levels = season?.levels[water.id];
          const views = (season?.views ?? []).filter((v) => v.station.water === water.id);
          const verdicts = views
            .filter((v) => v.state === 'live')
            .map((v) => stateOf(v, levels ?? { known: {}, age: {}, atMost: {} }, system)?.verdict ?? 'unknown');
          const level = levels?.known.pond;
          return {
            id: water.id,
            name: water.name,
            kind: water.kind,
            note: water.note,
            stations: (season?.stations ?? []).filter((s) => s.water === water.id).length,
            live: verdicts.length,
            out: verdicts.filter((v) => !['fine', 'nearEdge', 'unknown'].includes(v)).length,
            level: level === undefined ? 'never read' : `${printLevel(level, system)}, read ${spanText(levels?.age.pond ?? 0)} ago`,
          };
        }),
    })),
  };
};

export const actions: Actions = {
  water: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const id = read.text('water');
    const common = { crew: locals.who.crew, occurredAt: locals.now, by: locals.who.person.id };
    if (read.text('site') === '') read.refuse('site', 'Choose the site on which the water lies.');
    if (!read.ok()) return refused(read);
    const result = await attempt(read, () =>
      record(
        db(),
        {
          ...common,
          id: read.text('entry'),
          kind: 'water',
          body: {
            id,
            site: read.text('site'),
            name: read.text('name'),
            kind: read.text('kind') as 'pond',
            profile: [],
            note: read.text('note'),
          },
        },
        {
          ...common,
          id: read.text('gaugeEntry'),
          kind: 'gauge',
          body: { id: read.text('gauge'), water: id, name: 'gauge', surface: 'pond', zero: 0 },
        },
      ),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${id}`);
  },
};
