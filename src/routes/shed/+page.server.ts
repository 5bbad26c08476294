import { redirect } from '@sveltejs/kit';
import { DEVICE_CLASSES, SIZES, sizeText, type DeviceClass } from '#core/devices/sizes';
import { db } from '$lib/server/database';
import { attempt, reader } from '$lib/server/form';
import { newId } from '$lib/server/newId';
import { record } from '$lib/server/record/write';
import { devices } from '$lib/server/repositories/gear';
import { latestEntries } from '$lib/server/repositories/entries';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const shed = await devices(db(), locals.who.crew);
  const entries = await latestEntries(db(), locals.who.crew, 'device');
  return {
    groups: DEVICE_CLASSES.map((kind) => ({
      kind,
      devices: shed.flatMap((d) => (d.class === kind ? [{ ...d, text: sizeText(d.class, d.size), entry: entries[d.id] ?? '' }] : [])),
    })),
    sizes: Object.entries(SIZES).flatMap(([kind, sizes]) =>
      sizes.map((size) => ({
        value: `${kind}:${size}`,
        text: sizeText(kind as DeviceClass, size) + (kind === 'bodyGrip' ? ' body-grip' : kind === 'foothold' ? ' foothold' : ''),
      })),
    ),
    ids: { entry: newId(), id: newId() },
  };
};

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const [kind, size = ''] = read.text('size').split(':');
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'device',
        occurredAt: locals.now,
        by: locals.who.person.id,
        body: { id: read.text('id'), tag: read.text('tag'), class: kind as DeviceClass, size, condition: 'good', note: read.text('note') },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/shed');
  },
};
