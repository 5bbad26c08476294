import { v7 } from 'uuid';
import type { Check, Device, TrapSet } from '#core/record/kinds';
import { connect } from '#server/database';
import { Refusal } from '#server/record/refusal';
import { bodyOf } from '#core/record/written';
import { record } from '#server/record/write';
import type { NewEntry } from '#core/record/entry';
import { devices } from '#server/repositories/gear';
import { gauges } from '#server/repositories/places';
import { setOf, sets } from '#server/repositories/sets';
import { AS_SET } from './looked';

/**
 * A server process that writes to a database which others write to as well: readings, checks, changes and pulls of sets, tags, counts.
 * It counts what was acknowledged, so that a test can hold it against what is there.
 */
export interface Told {
  acknowledged: string[];
  refused: number;
  failed: string[];
}

const [url = '', crew = '', count = '0', seed = '1'] = process.argv.slice(2);
const db = connect(url);
let state = Number(seed) * 7919 + 17;
const random = (): number => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
const minute = (): string => new Date(Math.floor(Date.UTC(2026, 10, 25, 5, 0) / 60_000 + random() * 300) * 60_000).toISOString();
const told: Told = { acknowledged: [], refused: 0, failed: [] };
const entry = (kind: NewEntry['kind'], body: unknown, over: Partial<NewEntry> = {}): NewEntry =>
  ({ id: v7(), crew, kind, occurredAt: new Date('2026-11-25T11:00:00Z'), by: null, body, ...over }) as NewEntry;

const visit = (set: TrapSet, change: Check['change']): Check => ({
  id: v7(),
  set: set.id,
  at: '2026-11-25T10:30:00.000Z',
  by: null,
  took: null,
  photo: null,
  change,
  changeNote: '',
  asked: null,
  note: '',
  devices: set.stays
    .filter((stay) => stay.to === null)
    .map(({ id: stay }) => ({
      id: v7(),
      stay,
      ...AS_SET,
    })),
});

/** A change on the set as it is now; when it was changed meanwhile, once more on top, as one tap does. */
async function onTop(id: string, change: (set: TrapSet) => NewEntry[], kind: string): Promise<void> {
  const found = await setOf(db, crew, id);
  if (!found) return;
  const opened = found.entry;
  const entries = change(bodyOf(found)).map((e) => (e.kind === kind ? { ...e, opened } : e));
  try {
    await record(db, ...entries);
  } catch (error) {
    if (!(error instanceof Refusal) || !error.stale) throw error;
    const { latest } = error.stale;
    await record(db, ...entries.map((e) => (e.kind === kind ? { ...e, onto: latest.id } : e)));
  }
  told.acknowledged.push(...entries.map((e) => e.id));
}

async function one(own: { sets: string[]; tags: Device[]; gauges: string[]; stock: string }): Promise<void> {
  const what = random();
  if (what < 0.3) {
    const body = { id: v7(), gauge: pick(own.gauges), at: minute(), level: random(), bound: 'exact', source: 'gauge', set: null, note: '' };
    const e = entry('reading', body);
    await record(db, e);
    told.acknowledged.push(e.id);
  } else if (what < 0.6) {
    await onTop(pick(own.sets), (set) => (set.stays.some((s) => s.to === null) ? [entry('check', visit(set, 'as it was'))] : []), 'set');
  } else if (what < 0.85) {
    const note = `written ${v7()}`;
    await onTop(
      pick(own.sets),
      (set) => [entry('check', visit(set, 'remade')), entry('set', { ...set, note })].slice(set.stays.some((s) => s.to === null) ? 0 : 1),
      'set',
    );
  } else if (what < 0.88) {
    const to = '2026-11-25T10:40:00.000Z';
    await onTop(
      pick(own.sets),
      (set) => [entry('set', { ...set, state: 'pulled', stays: set.stays.map((s) => (s.to === null ? { ...s, to } : s)) })],
      'set',
    );
  } else if (what < 0.94) {
    const device = pick(await devices(db, crew));
    const { set: _, ...rest } = device;
    const e = entry('device', { ...bodyOf(rest), note: `seen ${v7()}` }, { opened: device.entry });
    await record(db, e);
    told.acknowledged.push(e.id);
  } else {
    const body = { id: v7(), stock: own.stock, at: minute(), why: 'used', amount: -1, set: null, note: '' };
    const e = entry('stockMove', body);
    await record(db, e);
    told.acknowledged.push(e.id);
  }
}

const own = {
  sets: (await sets(db, crew, { states: ['live'] })).map((s) => s.id),
  tags: await devices(db, crew),
  gauges: (await gauges(db, crew)).map((g) => g.id),
  stock: ((await db('stock').where({ crew_id: crew }).first('id')) as { id: string }).id,
};
const work = Array.from({ length: Number(count) }, (_, n) => n);
await Promise.all(
  Array.from({ length: 8 }, async () => {
    while (work.pop() !== undefined) {
      try {
        await one(own);
      } catch (error) {
        if (error instanceof Refusal) told.refused += 1;
        else told.failed.push(String(error));
      }
    }
  }),
);
await db.destroy();
console.log(JSON.stringify(told));
