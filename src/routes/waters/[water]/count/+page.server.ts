import { redirect } from '@sveltejs/kit';
import { eventKey, planEvents, type FileEvent } from '#core/counting/importEvents';
import type { CameraRoll } from '#core/record/kinds';
import { simulateNight } from '#core/sim/camera';
import { dayText, momentText } from '#core/time/clock';
import { addDays, localDate, wholeMinute, instantOf } from '#core/time/localTime';
import { sunOf } from '#core/time/sun';
import { SPECIES, type Species } from '#core/animals/species';
import { loadColonies, readColony, type ColonyRecord } from '$lib/server/colonies';
import { headOf } from '$lib/server/colonyPage';
import { cameraPlaces, waterCount } from '$lib/server/counting';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader, type Reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import type { Station } from '#core/stations/placed';
import type { Season } from '#lib/season/season';
import { loadScouted, stationName, waterOf } from '$lib/server/scouting';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { water, season, stations } = await waterOf(locals, params.water);
  const scouted = await loadScouted(locals, water.id);
  const asked = url.searchParams.get('species') as Species;
  const species: Species = SPECIES.includes(asked) ? asked : 'beaver';
  const { zone } = season.line;
  const count = waterCount(scouted, species, zone);
  const names = Object.fromEntries(stations.map((s) => [s.id, stationName(s)]));
  const advice = await cameraPlaces(locals, season, scouted, stations);
  return {
    water,
    species,
    speciesList: SPECIES,
    count: {
      ...count,
      most: count.most && { count: count.most.count, when: momentText(count.most.at, season.clock) },
    },
    families: await familiesOf(locals, water.id, species),
    points: scouted.cameras.flatMap((c) =>
      c.events
        .filter((e) => e.species === species)
        .map((e) => ({ at: e.at.toISOString(), count: e.count, size: e.size, station: names[c.station] ?? '' })),
    ),
    suns: count.nights.map(({ date }) => {
      const [evening, morning] = [sunOf(date, zone, season.line), sunOf(addDays(date, 1), zone, season.line)];
      const iso = (at: Date | null): string | null => at && at.toISOString();
      return { date, sunset: iso(evening.sunset), dusk: iso(evening.dusk), dawn: iso(morning.dawn), sunrise: iso(morning.sunrise) };
    }),
    tonight: advice.slice(0, 3),
    rolls: scouted.cameras.map((c) => ({
      id: c.id,
      entry: c.entry,
      text: `${c.camera} at ${names[c.station] ?? ''}, ${dayText(new Date(c.from), season.clock)} to ${dayText(new Date(c.to), season.clock)}: ${c.events.length} events${c.source === 'simulated' ? ' (simulated)' : ''}`,
    })),
    known: Object.fromEntries(stations.map((s) => [s.id, knownAt(scouted.cameras, s.id)])),
    stations: hungAt(stations, season),
    ids: { form: newId(), sim: newId(), typed: newId() },
  };
};

/** Where a camera can hang: at a place, or, where several sets stand at it, before one of them. */
const hungAt = (stations: readonly Station[], { sets }: Season) =>
  stations.flatMap((s) => {
    const own = sets.filter((set) => set.station === s.id && set.state === 'live');
    const before =
      own.length < 2
        ? []
        : own.map(({ id, number, name }) => ({ value: `${s.id} ${id}`, text: `${stationName(s)}, before ${number} ${name}` }));
    return [{ value: s.id, text: stationName(s) }, ...before];
  });

/** The place, and the set that stands at it, as they were chosen in a form. */
function hungIn(
  read: Reader,
  field: string,
  stations: readonly Station[],
  { sets }: Season,
): { station: Station; set: string | null } | null {
  const [id, set = null] = read.text(field).split(' ');
  const station = stations.find((s) => s.id === id);
  if (station && (set === null || sets.some((own) => own.id === set && own.station === id))) return { station, set };
  read.refuse(field, 'Choose where the camera hung.');
  return null;
}

/** The colonies that use this water, each with who is left of it. */
async function familiesOf(locals: App.Locals, water: string, species: Species) {
  const known = await loadColonies(locals);
  const own = (known?.scopes ?? []).filter((s) => s.species === species && s.waters.includes(water));
  return own.map((scope) => ({ id: scope.id, name: scope.name, said: headOf(readColony(known as ColonyRecord, scope, locals)) }));
}

const knownAt = (
  cameras: { station: string; events: { at: Date; species: Species; count: number; size: CameraRoll['events'][number]['size'] }[] }[],
  station: string,
): string[] => cameras.filter((c) => c.station === station).flatMap((c) => c.events.map((e) => eventKey({ ...e, at: e.at.toISOString() })));

function rowsIn(read: Reader): Record<string, unknown>[] {
  try {
    const parsed: unknown = JSON.parse(read.text('rows'));
    if (Array.isArray(parsed)) return parsed.filter((row): row is Record<string, unknown> => typeof row === 'object' && row !== null);
  } catch {
    // said below, in words
  }
  read.refuse('file', 'Choose a table of camera events first.');
  return [];
}

async function planned(locals: App.Locals, water: string, station: string, rows: Record<string, unknown>[], zone: string) {
  const scouted = await loadScouted(locals, water);
  return planEvents(rows, new Set(knownAt(scouted.cameras, station)), zone);
}

/** The events of each camera as one stretch of watching. */
function rollsOf(
  fresh: FileEvent[],
  { station, set, source, form }: NonNullable<ReturnType<typeof hungIn>> & { source: 'file' | 'typed'; form: string },
  { who }: App.Locals,
): NewEntry[] {
  return [...new Set(fresh.map((e) => e.camera))].map((camera): NewEntry => {
    const events = fresh.filter((e) => e.camera === camera).map(({ camera: _, ...event }) => event);
    const times = events.map((e) => Date.parse(e.at));
    const to = wholeMinute(new Date(Math.max(...times) + 60_000));
    const from = wholeMinute(new Date(Math.min(...times))).toISOString();
    const body = { id: idBeside(form, camera), station: station.id, set, camera, from, to: to.toISOString(), source, events, note: '' };
    return { id: idBeside(form, `entry ${camera}`), crew: who.crew, kind: 'camera', occurredAt: to, by: who.person.id, body };
  });
}

export const actions: Actions = {
  /** Takes the events of a table, each camera's as one stretch of watching; decided here again by the same rules as the preview. */
  file: async ({ request, locals, params }) => {
    const { season, stations } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const hung = hungIn(read, 'station', stations, season);
    const rows = rowsIn(read);
    if (!read.ok() || !hung) return refused(read);
    const plan = await planned(locals, params.water, hung.station.id, rows, season.line.zone);
    if (plan.fresh.length === 0)
      read.refuse('file', plan.here > 0 ? 'Every event of that table is in the record already.' : 'No row of that table is an event.');
    if (!read.ok()) return refused(read);
    const result = await attempt(
      read,
      () => record(db(), ...rollsOf(plan.fresh, { ...hung, source: 'file', form: read.text('form') }, locals)),
      () => 'file',
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/count?taken=${plan.fresh.length}&here=${plan.here}&refused=${plan.refused.length}`);
  },

  /** One event as somebody saw it on the camera's own screen, by the same rules as a row of a table. */
  typed: async ({ request, locals, params }) => {
    const { season, stations } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const hung = hungIn(read, 'eventStation', stations, season);
    const at = read.text('eventAt') === '' ? undefined : read.instant('eventAt', season.line.zone);
    if (read.text('eventAt') === '') read.refuse('eventAt', 'Say when it came.');
    if (read.text('eventCount') === '') read.refuse('eventCount', 'Say how many were in the picture at once: 1.');
    if (at && at > locals.now) read.refuse('eventAt', 'An event cannot lie in the future.');
    if (!read.ok() || !hung || !at) return refused(read);
    const row = {
      ...{ time: at.toISOString(), camera: read.text('eventCamera'), species: read.text('eventSpecies') },
      ...{ count: read.text('eventCount'), size: read.text('eventSize'), did: read.text('eventDid') },
    };
    const plan = await planned(locals, params.water, hung.station.id, [row], season.line.zone);
    if (plan.here > 0) read.refuse('eventAt', 'That event is in the record already.');
    for (const { reason } of plan.refused) read.refuse('eventCount', reason);
    if (!read.ok()) return refused(read);
    const result = await attempt(
      read,
      () => record(db(), ...rollsOf(plan.fresh, { ...hung, source: 'typed', form: read.text('typedForm') }, locals)),
      () => 'eventAt',
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/count?taken=1`);
  },

  /** Reads last night off the simulated camera. */
  simulated: async ({ request, locals, params }) => {
    const { season, stations } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const hung = hungIn(read, 'simStation', stations, season);
    if (!hung || !read.ok()) return refused(read);
    const { station, set } = hung;
    const { zone } = season.line;
    const evening = addDays(localDate(locals.now, zone), -1);
    const sunset = sunOf(evening, zone, season.line).sunset ?? instantOf(evening, '18:00', zone);
    const scouted = await loadScouted(locals, params.water);
    const use = scouted.activity(station.id) ?? 0.3;
    const seed = [...(station.id + evening)].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 1_000_003, 7);
    const family = { species: 'beaver', large: 2, middle: 1, small: 1, passes: Math.round(7 * use) };
    const until = new Date(
      Math.min(
        Date.parse(String(sunOf(localDate(locals.now, zone), zone, season.line).sunrise?.toISOString())) || Infinity,
        locals.now.getTime(),
      ),
    );
    const events = simulateNight(seed, sunset, until, family).map((e) => ({
      at: e.at.toISOString(),
      species: 'beaver' as const,
      count: e.count,
      size: e.size,
    }));
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: idBeside(read.text('sim'), 'entry'),
          crew: locals.who.crew,
          kind: 'camera',
          occurredAt: wholeMinute(locals.now),
          by: locals.who.person.id,
          body: {
            id: read.text('sim'),
            station: station.id,
            set,
            camera: 'simulated',
            from: wholeMinute(sunset).toISOString(),
            to: wholeMinute(until).toISOString(),
            source: 'simulated',
            events,
            note: '',
          },
        }),
      () => 'simStation',
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/count?taken=${events.length}`);
  },
};
