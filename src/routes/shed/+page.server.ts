import { redirect } from '@sveltejs/kit';
import { DEVICE_CLASSES, SIZES, sizeText, type DeviceClass } from '#core/devices/sizes';
import { amountIn, stockText, unitWords } from '#core/gear/stock';
import { tagsOf } from '#core/gear/tags';
import { agree } from '#core/units/many';
import { MOVES, STOCK_KINDS, STOCK_UNITS } from '#core/record/gear';
import type { Draft } from '#core/record/kinds';
import { clockOf, whenText } from '#core/time/clock';
import { wholeMinute } from '#core/time/localTime';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader, type Reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { latestEntries } from '$lib/server/repositories/entries';
import { devices, kits, stock, stockMoves, toSalvage } from '$lib/server/repositories/gear';
import { lines, sets as setsWith } from '$lib/server/repositories/sets';
import type { Actions, PageServerLoad } from './$types';

/** Lures and baits are told for the season: what was used, and what it cost. */
const SEASON = 150 * 86_400_000;

export const load: PageServerLoad = async ({ locals }) => {
  const { crew, person } = locals.who;
  const [shed, entries, kept, moves, packed, salvage, seasons] = await Promise.all([
    devices(db(), crew),
    latestEntries(db(), crew, 'device'),
    stock(db(), crew, new Date(locals.now.getTime() - SEASON)),
    stockMoves(db(), crew, 12),
    kits(db(), crew),
    toSalvage(db(), crew),
    lines(db(), crew),
  ]);
  const waiting = await setsWith(db(), crew, { states: ['planned', 'prepared'] });
  const meant = Object.fromEntries(
    waiting.flatMap((s) => Object.values(s.reserved).map((device) => [device, { id: s.id, text: `${s.number} ${s.name}` }])),
  );
  const names = Object.fromEntries(kept.map((s) => [s.id, s]));
  const clock = clockOf(locals.who.person, seasons[0]?.zone ?? 'UTC');
  return {
    groups: DEVICE_CLASSES.map((kind) => ({
      kind,
      devices: shed.flatMap((d) =>
        d.class === kind
          ? [{ ...d, text: sizeText(d.class, d.size), entry: entries[d.id] ?? '', meant: d.set ? null : (meant[d.id] ?? null) }]
          : [],
      ),
    })),
    sizes: Object.entries(SIZES).flatMap(([kind, sizes]) =>
      sizes.map((size) => ({
        value: `${kind}:${size}`,
        text: sizeText(kind as DeviceClass, size) + (kind === 'bodyGrip' ? ' body-grip' : kind === 'foothold' ? ' foothold' : ''),
      })),
    ),
    stock: kept.map((s) => ({
      id: s.id,
      name: s.name,
      kind: s.kind,
      entry: s.entry,
      have: stockText(s.have, s.unit, person.system),
      low: s.low !== null && s.have < s.low ? stockText(s.low, s.unit, person.system) : '',
      used: s.used > 0 ? stockText(s.used, s.unit, person.system) : '',
      cost: s.cost !== null && s.used > 0 ? (s.used * s.cost).toFixed(2) : '',
      unit: unitWords(s.unit, person.system),
    })),
    moves: moves.map((m) => ({
      id: m.id,
      entry: m.entry,
      when: whenText(new Date(m.at), locals.now, clock),
      text: `${names[m.stock]?.name ?? ''}: ${m.why} ${stockText(m.count ?? Math.abs(m.amount), names[m.stock]?.unit ?? 'pieces', person.system)}${m.note ? `, ${m.note}` : ''}`,
    })),
    kits: packed.map((kit) => {
      const items = kit.items.flatMap(({ stock: id, amount }) => {
        const of = names[id];
        return of
          ? [
              {
                name: of.name,
                text: stockText(amount, of.unit, person.system),
                fits: amount > 0 ? Math.floor(of.have / amount + 1e-9) : Infinity,
              },
            ]
          : [];
      });
      return {
        id: kit.id,
        name: kit.name,
        entry: kit.entry,
        items,
        makes: Math.max(0, Math.min(...items.map((i) => i.fits))),
        least: [...items].sort((a, b) => a.fits - b.fits)[0]?.name ?? '',
      };
    }),
    salvage: salvage.map((s) => ({ ...s, when: whenText(s.at, locals.now, clock), entry: newId() })),
    kinds: STOCK_KINDS,
    units: STOCK_UNITS.map((unit) => ({ value: unit, text: unitWords(unit, person.system) })),
    whys: MOVES,
    ids: { entry: newId(), id: newId(), stockEntry: newId(), stock: newId(), move: newId(), kitEntry: newId() },
  };
};

/** Writes one entry of the shed, or gives back the refusal. */
async function write(read: Reader, locals: App.Locals, ...entries: Pick<NewEntry, 'id' | 'kind' | 'body' | 'opened'>[]) {
  const common = { crew: locals.who.crew, occurredAt: locals.now, by: locals.who.person.id };
  const result = await attempt(read, () => record(db(), ...entries.map((entry) => ({ ...common, ...entry }) as NewEntry)));
  if ('failure' in result) return result.failure;
  redirect(303, '/shed?saved=1');
}

/** A lock or a swivel that comes back to its stock, which begins with it where none was kept. */
function savedPiece(
  entry: string,
  kind: 'lock' | 'swivel',
  kept: string | undefined,
  { at, set, tag }: { at: string; set: string; tag: string },
): Pick<NewEntry, 'id' | 'kind' | 'body'>[] {
  const stock = kept ?? idBeside(entry, kind);
  const move = {
    id: idBeside(entry, `move ${kind}`),
    stock,
    at,
    why: 'salvaged' as const,
    amount: 1,
    count: null,
    set,
    note: `from ${tag}`,
  };
  return [
    ...(kept
      ? []
      : [
          {
            id: idBeside(entry, `stock ${kind}`),
            kind: 'stock' as const,
            body: { id: stock, name: `${kind}s`, kind, unit: 'pieces' as const, low: null, cost: null, note: '' },
          },
        ]),
    { id: idBeside(entry, `${kind} back`), kind: 'stockMove', body: move },
  ];
}

export const actions: Actions = {
  device: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const [kind, size = ''] = read.text('size').split(':');
    const tags = tagsOf(read.text('tag'));
    if (!tags.ok) {
      read.refuse('tag', tags.sentence);
      return refused(read);
    }
    const [entry, id] = [read.text('entry'), read.text('id')];
    const own = await devices(db(), locals.who.crew);
    const taken = tags.tags.filter((tag) => own.some((d) => d.tag === tag && d.id !== id));
    if (tags.tags.length > 1 && taken.length > 0) {
      read.refuse(
        'tag',
        `${taken.slice(0, 6).join(', ')} ${agree(taken.length, 'stands', 'stand')} in the shed already: none of them was added.`,
      );
      return refused(read);
    }
    const entries = tags.tags.map((tag, n) => ({
      id: n === 0 ? entry : idBeside(entry, tag),
      kind: 'device' as const,
      body: {
        ...{ id: n === 0 ? id : idBeside(id, tag), tag, class: kind as DeviceClass, size },
        ...{ condition: 'good' as const, note: read.text('note') },
      },
    }));
    return write(read, locals, ...entries);
  },

  /** a new kind of stock with what is there of it */
  stock: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const unit = read.text('unit') as Draft<'stock'>['unit'];
    const amount = amountIn(read.text('amount'), unit, locals.who.person.system);
    const cost = read.number('cost');
    const low = amountIn(read.text('low'), unit, locals.who.person.system);
    if (amount === null)
      read.refuse('amount', `How much is there is a number of ${unitWords(unit, locals.who.person.system)}: write it like 12.`);
    if (amount === null || !read.ok()) return refused(read);
    const id = read.text('id');
    const entry = read.text('entry');
    const first: Pick<NewEntry, 'id' | 'kind' | 'body'>[] =
      amount > 0
        ? [
            {
              id: idBeside(entry, 'first'),
              kind: 'stockMove',
              body: {
                id: idBeside(entry, 'move'),
                stock: id,
                at: wholeMinute(locals.now).toISOString(),
                why: 'counted',
                amount: 0,
                count: amount,
                set: null,
                note: '',
              },
            },
          ]
        : [];
    return write(
      read,
      locals,
      {
        id: entry,
        kind: 'stock',
        body: { id, name: read.text('name'), kind: read.text('kind') as Draft<'stock'>['kind'], unit, low, cost: cost ?? null, note: '' },
      },
      ...first,
    );
  },

  /** stock that came or went */
  move: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const kept = await stock(db(), locals.who.crew, locals.now);
    const of = kept.find((s) => s.id === read.text('stock'));
    if (!of) read.refuse('stock', 'Choose what came or went.');
    const why = read.text('why') as Draft<'stockMove'>['why'];
    const typed = of ? amountIn(read.text('moved'), of.unit, locals.who.person.system) : null;
    if (of && typed === null)
      read.refuse('moved', `How much is a number of ${unitWords(of.unit, locals.who.person.system)}: write it like 12.`);
    if (!of || typed === null || !read.ok()) return refused(read);
    const amount = why === 'counted' ? 0 : why === 'used' || why === 'scrapped' ? -Math.abs(typed) : typed;
    if (amount === 0 && why !== 'counted') read.refuse('moved', 'Nothing came or went: that much was there already.');
    if (!read.ok()) return refused(read);
    const entry = read.text('entry');
    return write(read, locals, {
      id: entry,
      kind: 'stockMove',
      body: {
        id: idBeside(entry, 'move'),
        stock: of.id,
        at: wholeMinute(locals.now).toISOString(),
        why,
        amount,
        count: why === 'counted' ? typed : null,
        set: null,
        note: read.text('note'),
      },
    });
  },

  kit: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const kept = await stock(db(), locals.who.crew, locals.now);
    const items = kept.flatMap((s) => {
      const text = read.text(`kit.${s.id}`);
      if (text === '') return [];
      const amount = amountIn(text, s.unit, locals.who.person.system);
      if (amount === null || amount <= 0)
        read.refuse(`kit.${s.id}`, `“${text.slice(0, 20)}” is not an amount of ${unitWords(s.unit, locals.who.person.system)}.`);
      return amount === null ? [] : [{ stock: s.id, amount }];
    });
    if (items.length === 0) read.refuse('kitName', 'A kit holds one thing at least: write how much of what.');
    if (!read.ok()) return refused(read);
    const entry = read.text('entry');
    return write(read, locals, {
      id: entry,
      kind: 'kit',
      body: { id: idBeside(entry, 'kit'), name: read.text('kitName'), items, note: '' },
    });
  },

  /** after a catch the cable is scrap; lock and swivel come back */
  salvage: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const [all, shed, kept] = await Promise.all([
      toSalvage(db(), locals.who.crew),
      devices(db(), locals.who.crew),
      stock(db(), locals.who.crew, locals.now),
    ]);
    const one = all.find((s) => s.device === read.text('device'));
    const device = shed.find((d) => d.id === one?.device);
    if (!one || !device) read.refuse('device', 'That snare was booked already.');
    if (!one || !device || !read.ok()) return refused(read);
    const entry = read.text('entry');
    const { set: _, entry: opened, ...body } = device;
    const at = wholeMinute(locals.now).toISOString();
    return write(
      read,
      locals,
      {
        id: entry,
        kind: 'device',
        opened,
        body: { ...body, condition: 'broken', note: `cable scrapped after the catch in ${one.set.number} ${one.set.name}` },
      },
      ...(['lock', 'swivel'] as const)
        .filter((kind) => read.text(kind) === 'yes')
        .flatMap((kind) => savedPiece(entry, kind, kept.find((s) => s.kind === kind)?.id, { at, set: one.set.id, tag: device.tag })),
    );
  },
};
