import { redirect } from '@sveltejs/kit';
import { ICE_WATER_IDS, ICE_WATERS } from '#core/ice/growth';
import { onGauge } from '#core/units/frame';
import { printLength, printLevel } from '#core/units/length';
import { wholeMinute } from '#core/time/localTime';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { openedOn, reader, type Reader } from '#lib/form/reader';
import { drawnArea } from '#core/ahead/ponds';
import { newId } from '#lib/form/newId';
import { bodyOf } from '#core/record/written';
import { readPond, squareOf } from '$lib/server/pondForm';
import { record } from '$lib/server/record/write';
import { grounds } from '$lib/server/repositories/scouting';
import { waterOf } from '$lib/server/scouting';
import type { Actions, PageServerLoad } from './$types';

const ACRE = 4046.8564224;
const HECTARE = 10_000;
const PIPES = 3;
const AREAS = 5;

const landOf = (system: 'us' | 'metric'): number => (system === 'us' ? ACRE : HECTARE);
const said = (value: number | null, print: (n: number) => string): string => (value === null ? '' : print(value));

export const load: PageServerLoad = async ({ locals, params }) => {
  const { stored: water, stations } = await waterOf(locals, params.water);
  const { system } = locals.who.person;
  const drawn = drawnArea(await grounds(db(), locals.who.crew), water.id);
  const length = (m: number): string => printLength(m, system);
  return {
    water,
    system,
    drawn:
      drawn === null
        ? null
        : `${Math.round(drawn / squareOf(system)).toLocaleString('en')} ${system === 'us' ? 'square feet' : 'square meters'}`,
    crest: stations.find((s) => s.kind === 'dam' && s.crest !== null)?.name ?? null,
    ices: ICE_WATER_IDS.map((value) => ({ value, text: ICE_WATERS[value].words })),
    fields: {
      rise: said(water.rise, length),
      seep: said(water.seep, length),
      catchment: said(water.catchment, (m2) => String(Math.round((m2 / landOf(system)) * 100) / 100)),
      runoff: said(water.runoff, (r) => String(Math.round(r * 100))),
      spill: said(water.spill, length),
      ice: water.ice ?? '',
      ...Object.fromEntries(
        water.pipes.flatMap((p, n) => [
          [`pipe${n}.sill`, printLevel(p.sill, system)],
          [`pipe${n}.diameter`, length(p.diameter)],
          [`pipe${n}.plugged`, String(Math.round(p.plugged * 100))],
        ]),
      ),
      ...Object.fromEntries(
        water.areas.flatMap((a, n) => [
          [`area${n}.level`, printLevel(a.level, system)],
          [`area${n}.area`, String(Math.round(a.area / squareOf(system)))],
        ]),
      ),
    } as Record<string, string>,
    pipes: PIPES,
    areas: AREAS,
    entry: newId(),
    opened: water.entry,
  };
};

/** A number in a range, or its sentence at the field. */
function number(read: Reader, name: string, least: number, most: number, say: string): number | null {
  const value = read.text(name).replace(/[ ,]/g, '') === '' ? null : Number(read.text(name).replace(/[ ,]/g, ''));
  if (value !== null && !(value >= least && value <= most)) read.refuse(name, say);
  return value;
}

export const actions: Actions = {
  /** The two numbers that a forecast lacks, from wherever it says so. */
  pond: async ({ request, locals, params }) => {
    const { stored, levels, frame } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const at = wholeMinute(locals.now);
    const body = readPond(read, stored, at, onGauge(levels.known.pond ?? 0, frame));
    if (!body && read.ok()) read.refuse('area', 'Type what is known of the two: the area of the pond, its rise in a day.');
    if (!body || !read.ok()) return refused(read);
    const common = { crew: locals.who.crew, occurredAt: at, by: locals.who.person.id };
    const result = await attempt(read, () =>
      record(db(), { ...common, id: read.text('entry'), kind: 'water', opened: stored.entry, body }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}`);
  },

  /** Keeps what fills and drains a water: the forecast is calculated from it. */
  save: async ({ request, locals, params }) => {
    const { stored: water } = await waterOf(locals, params.water);
    const { system } = locals.who.person;
    const read = reader(await request.formData(), locals.who);
    const at = wholeMinute(locals.now).toISOString();
    const catchment = number(read, 'catchment', 0.001, 100_000, 'A catchment is above 0 and at most 100,000.');
    const runoff = number(read, 'runoff', 0, 100, 'The share that runs off is between 0 and 100%.');
    const pipes = Array.from({ length: PIPES }, (_, n) => {
      const [sill, diameter] = [read.length(`pipe${n}.sill`), read.length(`pipe${n}.diameter`)];
      const plugged = number(read, `pipe${n}.plugged`, 0, 100, 'The share plugged is between 0 and 100%.');
      if (sill === undefined && diameter === undefined) return null;
      if (sill === undefined) read.refuse(`pipe${n}.sill`, 'Type the level of its lowest point on the gauge.');
      if (diameter === undefined) read.refuse(`pipe${n}.diameter`, 'Type how wide it is.');
      return { sill: sill ?? 0, at, diameter: diameter ?? 0, plugged: (plugged ?? 0) / 100 };
    }).filter((p) => p !== null);
    const areas = Array.from({ length: AREAS }, (_, n) => {
      const level = read.length(`area${n}.level`);
      const area = number(read, `area${n}.area`, 1, 1e8, 'The area of a pond is above 0 and under 1000 hectares.');
      if (level === undefined && area === null) return null;
      if (level === undefined) read.refuse(`area${n}.level`, 'Type the level on the gauge at which it has this area.');
      if (area === null) read.refuse(`area${n}.area`, 'The area of a pond is above 0: type it, or leave the level empty too.');
      return { level: level ?? 0, at, area: (area ?? 1) * squareOf(system) };
    }).filter((a) => a !== null);
    const levels = [read.length('rise'), read.length('seep'), read.length('spill')];
    if (!read.ok()) return refused(read);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'water',
        occurredAt: new Date(at),
        ...openedOn(read, water),
        by: locals.who.person.id,
        body: {
          ...bodyOf(water),
          rise: levels[0] ?? null,
          seep: levels[1] ?? null,
          spill: levels[2] ?? null,
          catchment: catchment === null ? null : catchment * landOf(system),
          runoff: runoff === null ? null : runoff / 100,
          pipes,
          areas,
          ice: (read.text('ice') || null) as typeof water.ice,
        },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/fills?saved=1`);
  },
};
