import { error, redirect } from '@sveltejs/kit';
import { BREAK_KINDS } from '#core/record/places';
import { placedOpening, type Opening } from '#core/water/placed';
import { momentText } from '#core/time/clock';
import { toField, wholeMinute } from '#core/time/localTime';
import { levelText, onGauge } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { BREAK_CAUTION } from '#core/water/breakDesign';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader, type Reader } from '#lib/form/reader';
import { movingOf } from '#core/ahead/moving';
import { areasOf, pondModel } from '#core/ahead/ponds';
import { idBeside, newId } from '#lib/form/newId';
import { readPond } from '$lib/server/pondForm';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { openings } from '$lib/server/repositories/scouting';
import { waterOf } from '$lib/server/scouting';
import { answerOf } from './answer';
import { askedOf, BREAKING } from './asked';
import type { Actions, PageServerLoad } from './$types';

const HOURS = 24;

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const place = await waterOf(locals, params.water);
  const { water, season, frame, levels } = place;
  const { system, zone } = frame;
  const moving = movingOf(season, locals.now);
  const stored = season.openings.filter((o) => o.water === water.id);
  const all = stored.map((o) => ({ ...placedOpening(o, season.surfaces, locals.now), entry: o.entry }));
  const drawn = areasOf(water, moving.ground, levels.known.pond ?? 0);
  const asked = askedOf(url, place, drawn?.at(-1)?.area ?? null, all, locals);
  const text = (o: Opening): string =>
    `${o.count > 1 ? `${o.count} alike, ` : ''}${o.shape === 'V' ? 'V-shaped, ' : ''}${printLength(o.width, system)} wide, bottom at ${levelText(o.sill, frame)}, open since ${momentText(new Date(o.opened), frame)}, by ${o.by}${o.expect === 'mended after dusk' ? ', expected to be plugged after dusk' : ''}${o.widens ? ', widens in rain' : ''}`;
  const base = {
    running: all
      .filter((o) => !o.mended)
      .map((o) => ({
        id: o.id,
        entry: o.entry,
        text: text(o),
        width: printLength(o.width, system),
        bottom: levelText(o.sill, frame),
        seen: o.states.length - 1,
      })),
    past: all
      .filter((o) => o.mended)
      .slice(0, 3)
      .map((o) => ({ id: o.id, text: text(o).replace('open since', 'opened') })),
    breaking: BREAKING.map(({ id, name, words }) => ({ id, name, words })),
    ids: { entry: newId(), id: newId(), mend: newId(), changed: newId() },
    lacks: moving.waters[water.id]?.pond?.lacks ?? [],
    pond: { area: url.searchParams.get('area') ?? '', rise: url.searchParams.get('rise') ?? '' },
    lackingEntry: newId(),
    knows: { area: drawn !== null, rise: water.rise !== null },
    nowField: toField(locals.now, zone),
    water,
    typed: asked.typed,
    errors: asked.errors,
    kinds: BREAK_KINDS,
    caution: BREAK_CAUTION,
    areaFrom: asked.areaTyped
      ? 'as you typed it'
      : water.areas.length > 0
        ? 'by level, as typed'
        : drawn === null
          ? ''
          : 'the shore drawn on the map',
    system,
  };
  const why = whyNot(asked);
  const open = moving.open.filter((o) => o.water === water.id);
  const own =
    asked.areaTyped && asked.area !== null
      ? { ...water, areas: [{ level: asked.start ?? 0, at: locals.now.toISOString(), area: asked.area }] }
      : water;
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
  return { ...base, why: null, answer: answerOf(asked, place, { model, moving, hours: HOURS }, locals) };
};

function whyNot({ start, area, depth, errors }: ReturnType<typeof askedOf>): string | null {
  if (start === null) return 'The gauge was never read: save a reading of this water first.';
  if (area === null) return 'The area of the pond is not known: draw its shore on the map, or type the area.';
  if (depth <= 0) return 'The bottom of the break stands above the water: nothing would run out.';
  return errors.area || errors.sill || errors.count || errors.openAt || errors.mendedAt ? 'Look at the marked fields.' : null;
}

export const actions: Actions = {
  /** Saves a break that was opened, or found open, with what was typed of the pond: the forecast of every set on it begins with it. */
  open: async ({ request, locals, params }) => {
    const { season, stored, levels, frame } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const at = read.instant('opened', season.line.zone);
    const width = read.length('openWidth');
    const sill = read.length('openSill');
    const count = read.number('openCount') ?? 1;
    const pond = readPond(read, stored, wholeMinute(locals.now), onGauge(levels.known.pond ?? 0, frame));
    if (width === undefined) read.refuse('openWidth', 'Type how wide it is at the water, for example 12 in.');
    if (sill === undefined) read.refuse('openSill', 'Type the level of its lowest point on the gauge.');
    if (at && at > locals.now) read.refuse('opened', 'A break that is not open yet is a what-if: work it out above.');
    if (!at || width === undefined || sill === undefined || !read.ok()) return refused(read);
    const common = { crew: locals.who.crew, occurredAt: at, by: locals.who.person.id };
    const id = read.text('id');
    const entries: NewEntry[] = [
      {
        ...common,
        id: read.text('entry'),
        kind: 'opening',
        body: {
          id,
          water: params.water,
          shape: (read.text('openShape') || 'rectangle') as 'V',
          states: [{ id: idBeside(id, 'state'), at: at.toISOString(), width, sill }],
          opened: at.toISOString(),
          by: (read.text('openedBy') || 'us') as 'us',
          count,
          expect: read.text('expect') === 'mended after dusk' ? 'mended after dusk' : 'not mended',
          widens: read.text('openWidens') === 'yes',
          note: read.text('note'),
        },
      },
      ...(pond ? [{ ...common, id: idBeside(id, 'pond'), kind: 'water' as const, opened: stored.entry, body: pond }] : []),
    ];
    const fields: Record<string, string> = { count: 'openCount' };
    const result = await attempt(
      read,
      () => record(db(), ...entries),
      (path) => (path.endsWith('width') ? 'openWidth' : path.endsWith('sill') ? 'openSill' : (fields[path] ?? path)),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/break?saved=1`);
  },

  /** A break that was found wider, deeper or shallower: a new state of the same break. */
  changed: async ({ request, locals, params }) => {
    const { season } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const open = await openOf(read, locals, params.water);
    const at = read.instant('seenAt', season.line.zone);
    const [width, sill] = [read.length('nowWidth'), read.length('nowSill')];
    if (width === undefined) read.refuse('nowWidth', 'Type how wide it is now at the water, for example 12 in.');
    if (sill === undefined) read.refuse('nowSill', 'Type the level of its lowest point on the gauge.');
    if (at && at > locals.now) read.refuse('seenAt', 'It cannot have been seen in the future.');
    if (at && at.toISOString() < open.opened) read.refuse('seenAt', 'That was before it was opened.');
    if (!at || width === undefined || sill === undefined || !read.ok()) return refused(read);
    const entry = read.text('changeEntry');
    const states = [
      ...open.states.filter((s) => s.at !== at.toISOString()),
      { id: idBeside(entry, 'state'), at: at.toISOString(), width, sill },
    ];
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: entry,
          crew: locals.who.crew,
          kind: 'opening',
          occurredAt: at,
          by: locals.who.person.id,
          opened: open.entry,
          body: { ...bodyOf(open), states: states.sort((a, b) => a.at.localeCompare(b.at)) },
        }),
      (path) => (path.endsWith('width') ? 'nowWidth' : path.endsWith('sill') ? 'nowSill' : path),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/break?saved=1`);
  },

  /** A break that was found plugged: what runs out ends there. */
  mend: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const open = await openOf(read, locals, params.water);
    const at = wholeMinute(locals.now);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('mendEntry'),
        crew: locals.who.crew,
        kind: 'opening',
        occurredAt: at,
        by: locals.who.person.id,
        opened: open.entry,
        body: { ...bodyOf(open), mended: at.toISOString() },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/break?closed=1`);
  },
};

async function openOf(read: Reader, locals: App.Locals, water: string) {
  const open = (await openings(db(), locals.who.crew, water)).find((o) => o.id === read.text('opening'));
  if (!open) error(404, 'There is no such break in this record.');
  return open;
}
