import { redirect } from '@sveltejs/kit';
import { planImport, type Destination } from '#core/formats/importing';
import { GROUND_KINDS, type GroundKind } from '#core/record/scouting';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { sites, stations, waters } from '$lib/server/repositories/places';
import { grounds } from '$lib/server/repositories/scouting';
import type { Actions, PageServerLoad } from './$types';

async function here({ who }: App.Locals) {
  const [places, water, all, ground] = await Promise.all([
    sites(db(), who.crew),
    waters(db(), who.crew),
    stations(db(), who.crew),
    grounds(db(), who.crew),
  ]);
  return {
    places,
    water,
    here: { stations: all, ground: ground.map(({ entry: _, ...g }) => g), sites: places.map((s) => s.id), waters: water.map((w) => w.id) },
    free: Math.max(0, ...all.map((s) => s.number)) + 1,
  };
}

export const load: PageServerLoad = async ({ locals }) => {
  const { places, water, here: known, free } = await here(locals);
  return {
    sites: places.map((s) => ({ value: s.id, text: s.name })),
    waters: water.map((w) => ({ value: w.id, text: w.name })),
    here: known,
    free,
    kinds: GROUND_KINDS,
    form: newId(),
  };
};

const kindOf = (text: string, otherwise: GroundKind): GroundKind => GROUND_KINDS.find((k) => k === text) ?? otherwise;

function thingsIn(text: string): unknown[] | null {
  try {
    const parsed: unknown = JSON.parse(text);
    return Array.isArray(parsed) ? parsed : null;
  } catch {
    return null;
  }
}

export const actions: Actions = {
  /** Takes what is new in a file, all of it or nothing: it is validated here again, whatever the page showed. */
  default: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const things = thingsIn(read.text('things'));
    const { here: known, free } = await here(locals);
    const to: Destination = {
      site: read.text('site'),
      water: read.text('water') || null,
      points: read.text('points') === 'stations' ? 'stations' : 'ground',
      lines: kindOf(read.text('lines'), 'track'),
      areas: kindOf(read.text('areas'), 'boundary of permission'),
    };
    if (!things || things.length === 0) read.refuse('file', 'Choose a file first.');
    else if (things.length > 2000) read.refuse('file', 'At most 2000 things at once: split the file.');
    if (!known.sites.includes(to.site)) read.refuse('site', 'Choose the site to which it belongs.');
    if (!read.ok() || !things) return refused(read);
    const form = read.text('form');
    const rows = planImport(things, to, known, (nth) => idBeside(form, `thing ${nth}`), free);
    const common = { crew: locals.who.crew, occurredAt: locals.now, by: locals.who.person.id };
    const entries = rows.flatMap((row): NewEntry[] => {
      if (row.verdict !== 'new') return [];
      const id = idBeside(row.body.id, `import ${form}`);
      return row.as === 'station'
        ? [{ ...common, id, kind: 'station', body: row.body }]
        : [{ ...common, id, kind: 'ground', body: row.body }];
    });
    if (entries.length === 0) {
      read.refuse('file', 'Nothing in that file is new.');
      return refused(read, 'Nothing was taken.');
    }
    const result = await attempt(
      read,
      () => record(db(), ...entries),
      () => 'file',
    );
    if ('failure' in result) return result.failure;
    const count = (verdict: string): number => rows.filter((r) => r.verdict === verdict).length;
    redirect(303, `/waters/exchange?taken=${entries.length}&here=${count('here')}&refused=${count('refused')}`);
  },
};
