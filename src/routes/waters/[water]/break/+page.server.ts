import { error, redirect } from '@sveltejs/kit';
import { BREAK_KINDS } from '#core/record/places';
import type { Opening } from '#core/record/kinds';
import { clockText, dayText, toField, wholeMinute } from '#core/time/localTime';
import { printLength, printLevel } from '#core/units/length';
import { BREAK_CAUTION } from '#core/water/breakDesign';
import { db } from '$lib/server/database';
import { attempt, reader, refused } from '$lib/server/form';
import { areasOf, loadMoving, pondModel } from '$lib/server/moving';
import { newId } from '$lib/server/newId';
import { record } from '$lib/server/record/write';
import { openings } from '$lib/server/repositories/scouting';
import { waterOf } from '$lib/server/scouting';
import { answerOf } from './answer';
import { askedOf, BREAKING } from './asked';
import type { Actions, PageServerLoad } from './$types';

const HOURS = 24;

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const place = await waterOf(locals, params.water);
  const { water, season, zero, levels } = place;
  const { system } = locals.who.person;
  const { zone } = season.line;
  const [moving, all] = await Promise.all([loadMoving(locals, season), openings(db(), locals.who.crew, water.id)]);
  const drawn = areasOf(water, moving.ground, levels.known.pond ?? 0);
  const asked = askedOf(url, place, drawn?.at(-1)?.area ?? null, all, locals);
  const text = (o: Opening): string =>
    `${o.count > 1 ? `${o.count} alike, ` : ''}${o.shape === 'V' ? 'V-shaped, ' : ''}${printLength(o.width, system)} wide, sill at ${printLevel(o.sill - zero, system)}, open since ${dayText(new Date(o.opened), zone)} ${clockText(new Date(o.opened), zone)}, by ${o.by}${o.expect === 'mended after dusk' ? ', expected to be mended after dusk' : ''}${o.widens ? ', widens in rain' : ''}`;
  const base = {
    running: all.filter((o) => !o.mended).map((o) => ({ id: o.id, entry: o.entry, text: text(o) })),
    past: all
      .filter((o) => o.mended)
      .slice(0, 3)
      .map((o) => ({ id: o.id, text: text(o).replace('open since', 'opened') })),
    breaking: BREAKING.map(({ id, name, words }) => ({ id, name, words })),
    ids: { entry: newId(), id: newId(), mend: newId() },
    nowField: toField(locals.now, zone),
    water,
    typed: asked.typed,
    errors: asked.errors,
    kinds: BREAK_KINDS,
    caution: BREAK_CAUTION,
    areaFrom: asked.areaTyped
      ? 'yours'
      : water.areas.length > 0
        ? 'by level, as typed'
        : drawn === null
          ? ''
          : 'the shore drawn on the map',
    system,
  };
  const why = whyNot(asked);
  const open = moving.open.filter((o) => o.water === water.id);
  const own = asked.areaTyped && asked.area !== null ? { ...water, areas: [{ level: asked.start ?? 0, area: asked.area }] } : water;
  const model =
    why === null && asked.start !== null
      ? pondModel({ ...own, rise: asked.rise }, asked.start, locals.now, {
          ground: moving.ground,
          open,
          hours: moving.hours,
          season,
          tail: levels.known.tail,
        })
      : null;
  if (!model)
    return { ...base, answer: null, why: why ?? 'The area of the pond is not known: draw its shore on the map, or type the area.' };
  return { ...base, why: null, answer: answerOf(asked, place, model, moving, HOURS, locals) };
};

function whyNot({ start, area, depth, errors }: ReturnType<typeof askedOf>): string | null {
  if (start === null) return 'The gauge was never read: save a reading of this water first.';
  if (area === null) return 'The area of the pond is not known: draw its shore on the map, or type the area.';
  if (depth <= 0) return 'The sill stands over the water: nothing would run out.';
  return errors.area || errors.sill || errors.count || errors.openAt || errors.mendedAt ? 'Look at the marked fields.' : null;
}

export const actions: Actions = {
  /** Keeps a break that was opened, or found open: the forecast of every set on this pond begins with it. */
  open: async ({ request, locals, params }) => {
    const { season, zero } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const at = read.instant('opened', season.line.zone);
    const width = read.length('openWidth');
    const sill = read.length('openSill');
    const count = read.number('openCount') ?? 1;
    if (width === undefined) read.refuse('openWidth', 'Type how wide it is at the water, for example 12 in.');
    if (sill === undefined) read.refuse('openSill', 'Type the level of its lowest point on the gauge.');
    if (at && at > locals.now) read.refuse('opened', 'A break that is not open yet is a what-if: work it out above.');
    if (!at || width === undefined || sill === undefined || !read.ok()) return refused(read);
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('entry'),
          crew: locals.who.crew,
          kind: 'opening',
          occurredAt: at,
          by: locals.who.person.id,
          body: {
            id: read.text('id'),
            water: params.water,
            shape: (read.text('openShape') || 'rectangle') as 'V',
            width,
            sill: sill + zero,
            opened: at.toISOString(),
            by: (read.text('openedBy') || 'us') as 'us',
            count,
            expect: read.text('expect') === 'mended after dusk' ? 'mended after dusk' : 'not mended',
            widens: read.text('openWidens') === 'yes',
            note: read.text('note'),
          },
        }),
      (path) => ({ width: 'openWidth', sill: 'openSill', count: 'openCount' })[path] ?? path,
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/break?saved=1`);
  },

  /** A break that was found mended: what runs out ends there. */
  mend: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const open = (await openings(db(), locals.who.crew, params.water)).find((o) => o.id === read.text('opening'));
    if (!open) error(404, 'There is no such break in this record.');
    const { entry: _, ...body } = open;
    const at = wholeMinute(locals.now);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('mendEntry'),
        crew: locals.who.crew,
        kind: 'opening',
        occurredAt: at,
        by: locals.who.person.id,
        body: { ...body, mended: at.toISOString() },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/break?closed=1`);
  },
};
