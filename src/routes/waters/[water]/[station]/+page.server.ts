import { error, redirect } from '@sveltejs/kit';
import { SPECIES } from '#core/animals/species';
import type { Sign } from '#core/record/kinds';
import { useOf } from '#core/sign/activity';
import { FRESHNESSES, signKind, SIGN_KINDS } from '#core/sign/kinds';
import { toField, whenText, wholeMinute } from '#core/time/localTime';
import { db } from '$lib/server/database';
import { attempt, reader, refused } from '$lib/server/form';
import { newId } from '$lib/server/newId';
import { record } from '$lib/server/record/write';
import { signs } from '$lib/server/repositories/sign';
import { loadSeason } from '$lib/server/season';
import type { Actions, PageServerLoad } from './$types';

async function find(locals: App.Locals, water: string, station: string) {
  const season = await loadSeason(locals);
  const place = season?.stations.find((s) => s.id === station && s.water === water);
  if (!season || !place) error(404, 'There is no such station in this record.');
  return { season, place };
}

export const load: PageServerLoad = async ({ locals, params }) => {
  const { season, place } = await find(locals, params.water, params.station);
  const found = await signs(db(), locals.who.crew, { station: place.id });
  const { now } = locals;
  return {
    station: place,
    water: season.waters.find((w) => w.id === place.water)?.name ?? '',
    levels: season.levels[place.water] ?? { known: {}, age: {}, atMost: {} },
    sets: season.views
      .filter((v) => v.station.id === place.id)
      .map((v) => ({ id: v.id, text: `${v.number} ${v.name}, ${v.typeName.toLowerCase()}, ${v.state}` })),
    use: useOf(
      found.map((s) => ({ ...s, at: new Date(s.at) })),
      now,
    ),
    signs: found.map((s) => ({
      id: s.id,
      entry: s.entry,
      when: whenText(new Date(s.at), now, season.line.zone),
      label: signKind(s.kind).label,
      tells: signKind(s.kind).tells,
      halfLife: signKind(s.kind).halfLife,
      species: s.species,
      freshness: s.freshness,
      count: s.count,
      direction: s.direction,
      note: s.note,
    })),
    kinds: SIGN_KINDS,
    species: SPECIES,
    freshnesses: FRESHNESSES,
    nowField: toField(now, season.line.zone),
    ids: { entry: newId(), id: newId() },
  };
};

export const actions: Actions = {
  default: async ({ request, locals, params }) => {
    const { season, place } = await find(locals, params.water, params.station);
    const read = reader(await request.formData(), locals.who);
    const at = read.text('at') === '' ? wholeMinute(locals.now) : read.instant('at', season.line.zone);
    const count = read.number('count');
    if (read.text('kind') === '') read.refuse('kind', 'Tap the sign that was found.');
    if (at && at > locals.now) read.refuse('at', 'A sign cannot be found in the future.');
    if (!at || !read.ok()) return refused(read);
    const body: Sign = {
      id: read.text('id'),
      station: place.id,
      at: at.toISOString(),
      kind: read.text('kind'),
      species: (read.text('species') || 'beaver') as Sign['species'],
      freshness: (read.text('freshness') || 'hours') as Sign['freshness'],
      count: count ?? null,
      direction: read.text('direction'),
      note: read.text('note'),
    };
    const result = await attempt(read, () =>
      record(db(), { id: read.text('entry'), crew: locals.who.crew, kind: 'sign', occurredAt: at, by: locals.who.person.id, body }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/${params.station}?noted=1`);
  },
};
