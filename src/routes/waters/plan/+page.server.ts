import { error, redirect } from '@sveltejs/kit';
import { findType } from '#core/sets/catalogue';
import { SPECIES } from '#core/animals/species';
import { wholeMinute } from '#core/time/localTime';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { loadPlan, WEEKDAYS } from '$lib/server/planning';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { numberFor } from '#core/sets/numbering';
import { setNumbers } from '$lib/server/repositories/sets';
import { loadSeason } from '$lib/server/season';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const plan = await loadPlan(locals, url.searchParams);
  if (!plan) error(404, 'No line was begun yet: begin one first.');
  const { season, ...rest } = plan;
  return {
    plan: rest,
    firstWater: season.stations.length === 0 ? (season.waters[0] ?? null) : null,
    species: SPECIES,
    weekdays: WEEKDAYS,
    search: url.search,
    rows: rest.rows.map((row) => ({ ...row, entry: newId() })),
  };
};

export const actions: Actions = {
  /** Takes a place into the plan: a set of the bench where its type is built, plain words where it is not; or leaves it, with the reason. */
  default: async ({ request, locals, url }) => {
    const read = reader(await request.formData(), locals.who);
    const season = await loadSeason(locals);
    const station = season?.stations.find((s) => s.id === read.text('station'));
    if (!season || !station) error(404, 'There is no such location in this record.');
    const doing = ['planned', 'prepared', 'left'].includes(read.text('doing'))
      ? (read.text('doing') as 'planned' | 'prepared' | 'left')
      : 'planned';
    const type = findType(read.text('type'));
    const at = wholeMinute(locals.now);
    const form = read.text('entry');
    const common = { id: form, crew: locals.who.crew, occurredAt: at, by: locals.who.person.id };
    const opens = read.text('opens') || null;
    const entry: NewEntry =
      doing !== 'left' && type
        ? {
            ...common,
            kind: 'set',
            body: {
              id: idBeside(form, 'set'),
              line: season.line.id,
              number: numberFor(
                station.number,
                await setNumbers(db(), season.line.id),
                season.stations.map((s) => s.number),
              ),
              name: station.name,
              type: type.id as 'lodge-run',
              species: (read.text('species') || type.species[0]) as 'beaver',
              station: station.id,
              state: doing,
              opens: doing === 'prepared' ? opens : null,
              settings: [
                {
                  id: idBeside(form, 'setting'),
                  at: at.toISOString(),
                  numbers: {},
                  choices: {},
                },
              ],
              stays: [],
              armed: null,
              anchor: '',
              by: locals.who.person.id,
            },
          }
        : {
            ...common,
            kind: 'intent',
            body: {
              id: idBeside(form, 'intent'),
              line: season.line.id,
              station: station.id,
              doing,
              type: doing === 'left' ? '' : read.text('type'),
              opens: doing === 'prepared' ? opens : null,
              because: read.text('because'),
            },
          };
    const result = await attempt(read, () => record(db(), entry));
    if ('failure' in result) return refused(read, Object.values(read.errors)[0], result.failure.status);
    const back = new URLSearchParams(url.search);
    back.set('taken', station.name);
    redirect(303, `/waters/plan?${back.toString()}`);
  },
};
