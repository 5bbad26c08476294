import { error, redirect } from '@sveltejs/kit';
import type { Colony } from '#core/record/kinds';
import type { NewEntry } from '#core/record/entry';
import { bodyOf } from '#core/record/written';
import { openedOn, reader, type Reader } from '#lib/form/reader';
import { contactText } from '#core/counting/contacts';
import { catchText } from '#core/record/sentence';
import { whenText } from '#core/time/clock';
import { levelText, plainFrame } from '#core/units/frame';
import { loadColonies, readColony, type ColonyRead } from '$lib/server/colonies';
import { formOf, readColonyForm, readDone } from '$lib/server/colonyForm';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { record } from '$lib/server/record/write';
import { clearOf, fearsOf, headOf, heldOf, noneLeft, repairsOf, settlesFor, trialsOf, waitsOf, whoOf } from '$lib/server/colonyPage';
import { colonyStory } from '$lib/server/colonyStory';
import { frameOf } from '#core/ahead/facts';
import type { System } from '#core/units/factors';
import type { Season } from '#lib/season/season';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { season, scope, read } = await colonyOf(locals, params.colony);
  const { system } = locals.who.person;
  const frame = season.frames[scope.waters[0] ?? ''] ?? plainFrame(system);
  const { story, levels, gauge } = colonyStory(read, season, locals.now, system);
  const chance = noneLeft(read);
  return {
    id: scope.id,
    name: scope.name,
    species: scope.species,
    named: scope.colony !== null,
    note: scope.colony?.note ?? '',
    waters: season.waters.filter((w) => scope.waters.includes(w.id)).map(({ id, name }) => ({ id, name })),
    said: headOf(read),
    who: whoOf(read),
    chances: read.left?.chances ?? [],
    moved: read.left?.moved ?? 0,
    reasons: [...read.range.reasons, ...heldOf(read)],
    second: read.range.second,
    settles: settlesFor(read),
    clear: { at: clearOf(read), isClear: chance !== null && chance >= clearOf(read), chance },
    story,
    sections: sectionsOf(read, season, system),
    levels: levels.map(({ x, level }) => ({ x, level, text: levelText(level, frame) })),
    gauge,
    fears: fearsOf(read),
    waits: waitsOf(read, season, locals),
    trials: trialsOf(read, season, locals.now),
    repairs: repairsOf(read, season),
    earlier: season.earlier
      .filter((e) => scope.waters.includes(e.water) && e.species === scope.species)
      .map((e) => ({
        id: e.id,
        text: `${e.season}, ${e.who}: ${e.used}${e.caught === null ? '' : `, ${e.caught} caught`}${e.note ? `. ${e.note}` : ''}`,
      })),
    caught: read.worked
      .flatMap(({ visits }) => visits)
      .flatMap((v) => v.devices.flatMap((d) => (d.catch ? [{ at: v.at, animal: d.catch }] : [])))
      .sort((a, b) => b.at.localeCompare(a.at))
      .map(({ at, animal }) => ({
        id: animal.id,
        when: whenText(new Date(at), locals.now, season.clock),
        text: catchText(animal, system),
      })),
    met: contactText(read.worked.flatMap(({ visits }) => visits)),
    form: formOf(read, season, locals),
  };
};

/** Each water of a colony as its section draws it, with the places that are the colony's own. */
const sectionsOf = ({ scope, stations }: ColonyRead, season: Season, system: System) =>
  season.waters
    .filter((w) => scope.waters.includes(w.id))
    .map((water) => ({
      id: water.id,
      name: water.name,
      water: { profile: water.profile, kind: water.kind },
      stations: stations.filter((s) => s.water === water.id),
      views: season.views.filter((v) => v.station.water === water.id && v.state === 'live' && stations.some((s) => s.id === v.station.id)),
      levels: season.levels[water.id] ?? { known: {}, age: {}, atMost: {} },
      frame: frameOf(season, water.id, system),
    }));

/** The colony of an address, read; `or` of the form that named it, where it is sent again. */
async function colonyOf(locals: App.Locals, id: string, or = id) {
  const known = await loadColonies(locals);
  const scope = known?.scopes.find((s) => s.id === id) ?? known?.scopes.find((s) => s.id === or);
  if (!known || !scope) error(404, 'There is no such colony in this record.');
  return { season: known.season, scope, read: readColony(known, scope, locals) };
}

/** The field of a share that was refused: the list holds what was typed alone. */
function shareField(path: string, { beliefs, likely }: Pick<Colony, 'beliefs' | 'likely'>): string {
  const [, list, n] = /^(beliefs|likely)\.(\d+)\./.exec(path) ?? [];
  if (list === 'beliefs') return `belief.${beliefs[Number(n)]?.fear ?? ''}`;
  const own = likely[Number(n)];
  return own ? `likely.${own.row}.${own.saw}` : path;
}

/** Writes what was said of a colony being done; what is refused stands at the day to look again. */
async function keep(read: Reader, entry: NewEntry, colony: string) {
  const result = await attempt(
    read,
    () => record(db(), entry),
    () => 'lookBack',
  );
  if ('failure' in result) return result.failure;
  redirect(303, `/colonies/${colony}?saved=1`);
}

export const actions: Actions = {
  /** What it is called, what it uses and how many lived there. */
  save: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const { season, scope } = await colonyOf(locals, params.colony, read.text('colony'));
    const body = readColonyForm(read, scope.colony, season);
    if (!body) return refused(read);
    const id = scope.colony?.id ?? read.text('colony');
    const result = await attempt(
      read,
      () =>
        record(db(), {
          ...{ id: read.text('entry'), crew: locals.who.crew, kind: 'colony', occurredAt: locals.now, by: locals.who.person.id },
          body: { id, species: scope.species, ...body },
          ...(scope.colony ? openedOn(read, scope.colony) : {}),
        }),
      (path) => (path === 'first' ? 'low' : path === 'waters' ? 'water' : shareField(path, body)),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/colonies/${id}?saved=1`);
  },

  /** Nobody is left: said, with the day to look again. */
  done: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const { season, read: known } = await colonyOf(locals, params.colony);
    const entry = readDone(read, known, season, locals);
    if (!entry) return refused(read);
    return keep(read, entry, params.colony);
  },

  /** It is not done after all. */
  open: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const { scope } = await colonyOf(locals, params.colony);
    const { colony } = scope;
    if (!colony) error(404, 'There is no such colony in this record.');
    const entry: NewEntry = {
      ...{ id: read.text('doneEntry'), crew: locals.who.crew, kind: 'colony', occurredAt: locals.now, by: locals.who.person.id },
      body: { ...bodyOf(colony), done: null },
      ...openedOn(read, colony),
    };
    return keep(read, entry, params.colony);
  },
};
