import { error, redirect } from '@sveltejs/kit';
import { settingAt } from '#core/sets/standing';
import { setTypeOf } from '#core/sets/catalogue';
import { wholeMinute } from '#core/time/localTime';
import { printLength } from '#core/units/length';
import { bedOf } from '#core/stations/placed';
import { elevationAt } from '#core/water/levelAt';
import { boundariesOf } from '#core/ground/permission';
import type { Station } from '#core/stations/placed';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { barredOf } from '$lib/server/planning';
import { grounds } from '$lib/server/repositories/scouting';
import { habitsOf } from '#core/sets/habits';
import { numberFor } from '#core/sets/numbering';
import { setNumbers } from '$lib/server/repositories/sets';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';
import type { Actions, PageServerLoad } from './$types';
import { numberSpec } from '#core/sets/setType';

const ROWS = 8;

async function modelOf(locals: App.Locals, url: URL) {
  const season = await loadSeason(locals, ['planned', 'prepared', 'live', 'pulled']);
  const set = season?.sets.find((s) => s.id === url.searchParams.get('like'));
  const station = season?.stations.find((s) => s.id === set?.station);
  if (!season || !set || !station) error(404, 'There is no such set in this record.');
  return { season, set, station, type: setTypeOf(set.type), setting: settingAt(set, locals.now) };
}

/** The numbers that differ from place to place: what is measured there, and how high the device stands. */
const differing = (type: ReturnType<typeof setTypeOf>): string[] =>
  Object.keys(type.numbers)
    .filter((key) => numberSpec(type, key)?.withLevel !== undefined)
    .slice(0, 3);

export const load: PageServerLoad = async ({ locals, url }) => {
  const { season, set, station, type, setting } = await modelOf(locals, url);
  const { system } = locals.who.person;
  const taken = new Set(season.sets.filter((s) => s.state !== 'pulled').map((s) => s.station));
  const fitting = season.stations.filter((s) => s.id !== station.id && type.stations.includes(s.kind)).sort((a, b) => a.along - b.along);
  const leave = boundariesOf(await grounds(db(), locals.who.crew));
  const barred = Object.fromEntries(fitting.map((s) => [s.id, barredOf(locals, season, s, leave)]));
  const along = fitting.filter((s) => s.water === station.water && !taken.has(s.id) && !barred[s.id]);
  const others = fitting.filter((s) => !along.includes(s));
  const keys = differing(type);
  const habits = habitsOf(type, setting).numbers;
  return {
    model: `${set.number} ${set.name}`,
    id: set.id,
    type: type.name,
    columns: keys.map((key) => ({ key, label: numberSpec(type, key)?.label ?? key, help: numberSpec(type, key)?.help ?? '' })),
    stations: [...along, ...others].map((s) => ({
      value: s.id,
      text: `${s.number} ${s.name}, ${s.kind}${barred[s.id] ? ': not now' : ''}`,
    })),
    left: fitting.flatMap((s) =>
      barred[s.id] && !taken.has(s.id) && s.water === station.water ? [`${s.number} ${s.name}: ${barred[s.id] ?? ''}`] : [],
    ),
    rows: Array.from({ length: ROWS }, (_, i) => {
      const own: Record<string, number> = along[i] ? { ...habits, ...depthAt(season, along[i], locals.now) } : habits;
      return {
        station: along[i]?.id ?? '',
        numbers: Object.fromEntries(keys.map((key) => [key, own[key] === undefined ? '' : printLength(own[key], system)])),
      };
    }),
    entry: newId(),
  };
};

export const actions: Actions = {
  /** Writes the rows that have a station as planned sets of the same type; all or none. */
  default: async ({ request, locals, url }) => {
    const { season, set, type, setting } = await modelOf(locals, url);
    const read = reader(await request.formData(), locals.who);
    const at = wholeMinute(locals.now);
    const numbered = await setNumbers(db(), season.line.id);
    const places = season.stations.map((s) => s.number);
    const habits = habitsOf(type, setting);
    const form = read.text('entry');
    const entries: NewEntry[] = [];
    for (let i = 0; i < ROWS; i += 1) {
      const station = season.stations.find((s) => s.id === read.text(`station.${i}`));
      if (!station) continue;
      const numbers: Record<string, number> = { ...habits.numbers };
      for (const key of differing(type)) {
        const typed = read.length(`${key}.${i}`);
        if (typed === undefined) delete numbers[key];
        else numbers[key] = typed;
      }
      const number = numberFor(station.number, numbered, places);
      numbered.push(number);
      const which = read.text(`which.${i}`);
      entries.push({
        id: idBeside(form, `entry ${i}`),
        crew: locals.who.crew,
        kind: 'set',
        occurredAt: at,
        by: locals.who.person.id,
        body: {
          id: idBeside(form, `set ${i}`),
          line: season.line.id,
          number,
          name: which === '' ? station.name : `${station.name}, ${which}`,
          type: set.type,
          species: set.species,
          station: station.id,
          state: 'planned',
          opens: null,
          settings: [
            {
              id: idBeside(form, `setting ${i}`),
              at: at.toISOString(),
              numbers,
              choices: habits.choices,
              ...(habits.lures ? { lures: habits.lures } : {}),
            },
          ],
          stays: [],
          armed: null,
          anchor: '',
          by: null,
          leftBecause: '',
          overruled: {},
          note: `like ${set.number} ${set.name}`,
        },
      });
    }
    if (entries.length === 0) read.refuse('station.0', 'Choose a location for one row at least.');
    if (!read.ok()) return refused(read);
    const result = await attempt(read, () => record(db(), ...entries));
    if ('failure' in result) return result.failure;
    redirect(303, '/bench');
  },
};

/** The depth of a place at the level of now, where its bed was measured. */
function depthAt(season: Season, station: Station, at: Date): { depth?: number } {
  const gauge = season.gauges.find((g) => g.water === station.water && g.surface === station.surface);
  const level = gauge ? elevationAt(season.readings[gauge.id] ?? [], at) : null;
  const bed = bedOf(station);
  return bed === null || level === null ? {} : { depth: Math.max(0, level - bed) };
}
