import { redirect } from '@sveltejs/kit';
import { CLASS_WORDS, DEVICE_CLASSES, type DeviceClass } from '#core/devices/sizes';
import { SPECIES } from '#core/animals/species';
import type { Draft } from '#core/record/kinds';
import { stillToGo } from '#core/ledger/stillToGo';
import { yieldSentence } from '#core/ledger/yield';
import { wholeMinute } from '#core/time/localTime';
import { levelText } from '#core/units/frame';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { newId } from '#lib/form/newId';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import { sites } from '$lib/server/repositories/places';
import { stationName, waterOf } from '$lib/server/scouting';
import { yieldsOf } from '$lib/server/yields';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { season, water, stations, levels, frame } = await waterOf(locals, params.water);
  const earlier = season.earlier.filter((e) => e.water === water.id);
  const [yields, places] = await Promise.all([yieldsOf(locals), sites(db(), locals.who.crew)]);
  const names = Object.fromEntries(stations.map((s) => [s.id, stationName(s)]));
  const site = places.find((s) => s.id === water.site);
  return {
    water,
    site: site ? { name: site.name, endangered: site.endangered, users: site.users } : null,
    safe: water.safe
      ? {
          text: stillToGo(water.safe, levels.known.pond ?? null, frame),
          what: water.safe.what,
          level: levelText(water.safe.level, frame),
        }
      : null,
    earlier: earlier.map((e) => ({ ...e, at: e.station ? (names[e.station] ?? '') : '' })),
    gave: stations
      .map((s) => ({
        id: s.id,
        name: stationName(s),
        seasons: yields.filter((y) => y.station === s.id).map((y) => `${yieldSentence(y)} (${y.species})`),
      }))
      .filter((s) => s.seasons.length > 0),
    stations: stations.map((s) => ({ value: s.id, text: stationName(s) })),
    species: SPECIES,
    devices: DEVICE_CLASSES.map((value) => ({ value, text: CLASS_WORDS[value] })),
    ids: { entry: newId(), id: newId(), safe: newId() },
  };
};

export const actions: Actions = {
  earlier: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const body: Draft<'earlier'> = {
      id: read.text('id'),
      water: params.water,
      station: read.text('station') || null,
      who: read.text('who'),
      season: read.text('season'),
      used:
        read.text('used') ||
        read
          .many('devices')
          .map((d) => CLASS_WORDS[d as DeviceClass])
          .join(', '),
      devices: read.many('devices') as DeviceClass[],
      survivors: (read.text('survivors') || 'not known') as 'some',
      species: (read.text('species') || 'beaver') as 'beaver',
      caught: read.number('caught') ?? null,
      nights: read.number('nights') ?? null,
      note: read.text('note'),
    };
    if (!read.ok()) return refused(read);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'earlier',
        occurredAt: locals.now,
        by: locals.who.person.id,
        body,
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/ledger?saved=1`);
  },

  safe: async ({ request, locals, params }) => {
    const { stored } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const level = read.length('level');
    if (level === undefined && read.text('what') !== '')
      read.refuse('level', 'Type the level on the gauge at which it is safe, for example 30 in.');
    if (!read.ok()) return refused(read);
    const safe = level === undefined ? null : { level, at: wholeMinute(locals.now).toISOString(), what: read.text('what') };
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('safeEntry'),
          crew: locals.who.crew,
          kind: 'water',
          occurredAt: locals.now,
          by: locals.who.person.id,
          opened: stored.entry,
          body: { ...bodyOf(stored), safe },
        }),
      (path) => path.replace('safe.', ''),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/ledger?saved=1`);
  },
};
