import { error, redirect, type RequestEvent } from '@sveltejs/kit';
import { DEVICE_CLASSES, SIZES } from '#core/devices/sizes';
import { STATION_KINDS } from '#core/stations/kinds';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { idBeside } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { loadSeason } from '$lib/server/season';

/** The first place of a water and the trap for it, on the way to the bench: two answers, everything else is asked there. */
export async function first({ request, locals, params }: RequestEvent<{ water: string }>) {
  const read = reader(await request.formData(), locals.who);
  const season = await loadSeason(locals);
  if (!season) error(404, 'No line was begun yet.');
  const kind = STATION_KINDS.find((k) => k === read.text('firstKind'));
  const form = read.text('firstEntry');
  const { shed } = season;
  const owned = shed.find((d) => d.id === read.text('firstTrap') && !d.set);
  const [wanted = '', size = ''] = read.text('firstTrap').split(':');
  const made = DEVICE_CLASSES.find((c) => c === wanted && SIZES[c].includes(size));
  if (!kind) read.refuse('firstKind', 'Choose what the place is: a lodge, a run, a dam.');
  if (!owned && !made) read.refuse('firstTrap', 'Choose the trap that stands there.');
  if (!kind || !read.ok()) return refused(read);
  const common = { crew: locals.who.crew, occurredAt: locals.now, by: locals.who.person.id };
  const station = idBeside(form, 'station');
  const device = owned?.id ?? idBeside(form, 'device');
  const tags = new Set(shed.map((d) => d.tag));
  let tag = 1;
  while (tags.has(String(tag))) tag += 1;
  const entries: NewEntry[] = [
    {
      ...common,
      id: form,
      kind: 'station',
      body: {
        ...{
          id: station,
          water: params.water,
          number: Math.max(0, ...season.stations.map((s) => s.number)) + 1,
          name: `first ${kind}`,
          kind,
        },
        ...{ surface: 'pond', along: 0, lat: null, lon: null, bed: null, crest: null, note: '' },
      },
    },
    ...(made
      ? [
          {
            ...common,
            id: idBeside(form, 'device entry'),
            kind: 'device' as const,
            body: { id: device, tag: String(tag), class: made, size, condition: 'good' as const, note: '' },
          },
        ]
      : []),
  ];
  const result = await attempt(
    read,
    () => record(db(), ...entries),
    (path) => (path === 'tag' ? 'firstTrap' : path),
  );
  if ('failure' in result) return result.failure;
  redirect(303, `/bench/new?station=${station}&device=${device}&state=live`);
}
