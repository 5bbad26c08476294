import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import type { Knex } from 'knex';
import { v7 } from 'uuid';
import { buildDemo } from '../../db/demo/build';
import { demoState, loadDemo } from '../../db/demo/load';
import { migrate, wipe } from '../../db/migrate';
import { connect } from '#server/database';
import { checks, askLastLooks } from '#server/repositories/checks';
import { answer } from '#server/repositories/asked';
import { entryOf, log, versionOf, type Entry } from '#server/repositories/entries';
import { devices } from '#server/repositories/gear';
import { gauges, stations, waters, whoIs } from '#server/repositories/places';
import { allReadings, recentReadings } from '#server/repositories/readings';
import { currentLine, setOf, sets } from '#server/repositories/sets';
import { Refusal } from '#server/record/refusal';
import { replay, TRUTH } from '#server/record/replay';
import { bodyOf } from '#core/record/written';
import { record } from '#server/record/write';
import type { NewEntry } from '#core/record/entry';
import { fieldsOf, withLeaf } from '#core/record/fields';
import { KINDS, type Check, type Kind, type Draft, type TrapSet } from '#core/record/kinds';
import { inches } from '#core/units/factors';
import { startCluster, type Cluster } from '../support/cluster';
import { AS_SET } from '../support/looked';

const NOW = new Date('2026-11-25T11:22:00Z');
let cluster: Cluster;
let db: Knex;
let crew: string;

before(async () => {
  cluster = startCluster();
  db = connect(await cluster.database());
  await migrate(db);
  await loadDemo(db, NOW);
  crew = buildDemo(NOW).crew;
});
after(async () => {
  await db.destroy();
  cluster.remove();
});

/** All rows of the tables of current truth, in one order. */
async function truth(on: Knex = db): Promise<Record<string, string[]>> {
  const tables = await Promise.all(
    TRUTH.map(async (table) => [table, (await on(table).select('*')).map((row: unknown) => JSON.stringify(row)).sort()] as const),
  );
  return Object.fromEntries(tables);
}

const entry = <K extends Kind>(kind: K, body: NewEntry<K>['body'], over: Partial<NewEntry> = {}): NewEntry =>
  ({ id: v7(), crew, kind, occurredAt: NOW, by: null, body, ...over }) as NewEntry;
const refusedWith = async (writing: Promise<unknown>, field: string, sentence: RegExp) => {
  const error = await writing.then(
    () => null,
    (e: unknown) => e,
  );
  assert.ok(error instanceof Refusal, `expected a refusal, got ${String(error)}`);
  assert.match(error.fields[field] ?? JSON.stringify(error.fields), sentence);
};
const bySetNumber = async (n: number): Promise<TrapSet> => {
  const found = (await sets(db, crew, {})).find((s) => s.number === n);
  assert.ok(found);
  return bodyOf(found);
};
/** A set written anew, as its form does that was opened just now. */
const anew = async (set: TrapSet): Promise<NewEntry> => entry('set', set, { opened: await versionOf(db, crew, set.id) });
const gaugeId = async (): Promise<string> => (await db('gauge').where({ surface: 'pond', crew_id: crew }).first('id')).id as string;
const reading = (gauge: string, level: number, over: Partial<Draft<'reading'>> = {}): Draft<'reading'> => ({
  id: v7(),
  gauge,
  at: '2026-11-25T11:20:00.000Z',
  level,
  bound: 'exact',
  source: 'gauge',
  set: null,
  note: '',
  ...over,
});
function untouched(set: TrapSet, at: string): Check {
  return {
    id: v7(),
    set: set.id,
    at,
    by: null,
    change: 'as it was',
    changeNote: '',
    asked: null,
    took: null,
    photo: null,
    note: '',
    devices: set.stays.map((stay) => ({
      id: v7(),
      stay: stay.id,
      ...AS_SET,
    })),
  };
}

describe('the demo', () => {
  it('holds what it promises', async () => {
    const all = await sets(db, crew, {});
    assert.ok((await waters(db, crew)).length >= 3);
    assert.ok((await stations(db, crew)).length >= 12);
    assert.ok(all.length >= 15);
    assert.ok(all.some((s) => s.type === 'dam-crossover-face'));
    assert.ok(all.some((s) => s.type === 'float'));
    assert.ok(all.some((s) => s.state === 'prepared' && s.opens !== null && s.opens > '2026-11-25'));
    assert.ok(all.some((s) => s.stays.length === 2));
    const visits = await checks(db, crew, {});
    const times = visits.map((v) => v.at);
    assert.ok(new Date(times[0] ?? '').getTime() - new Date(times.at(-1) ?? '').getTime() > 18 * 86_400_000);
    assert.ok(visits.some((v) => v.devices.some((d) => d.outcome === 'missing')));
    const caught = visits.flatMap((v) => v.devices.flatMap((d) => (d.catch ? [d.catch.species] : [])));
    for (const species of ['beaver', 'muskrat', 'mink', 'otter'] as const) assert.ok(caught.includes(species), species);
  });
  it('has a pond that dropped overnight', async () => {
    const all = await allReadings(db, await gauges(db, crew));
    const falls = Object.values(all).map((list) => (list.at(-2)?.level ?? 0) - (list.at(-1)?.level ?? 0));
    assert.ok(Math.max(...falls) > inches(9));
  });
  it('lies wholly in the past, at any hour it is started', () => {
    for (const now of [
      '2026-11-25T06:03:00Z',
      '2026-11-25T11:22:00Z',
      '2026-11-25T16:00:00Z',
      '2026-11-25T23:30:00Z',
      '2026-03-08T15:00:00Z',
    ]) {
      const { entries } = buildDemo(new Date(now));
      assert.ok(
        entries.every((e) => e.occurredAt <= new Date(now)),
        now,
      );
      assert.ok(entries.length > 400);
    }
  });
  it('is the same every time', () => assert.deepEqual(buildDemo(NOW), buildDemo(NOW)));
  it('knows whether it was touched and whether it is of today', async () => {
    const other = connect(await cluster.database());
    await migrate(other);
    assert.equal(await demoState(other, NOW), 'none');
    await loadDemo(other, NOW);
    assert.equal(await demoState(other, new Date(NOW.getTime() + 3_600_000)), 'fresh');
    assert.equal(await demoState(other, new Date(NOW.getTime() + 26 * 3_600_000)), 'old');
    await record(other, entry('device', { id: v7(), tag: 'own', class: 'foothold', size: '4', condition: 'good', note: '' }));
    assert.equal(await demoState(other, NOW), 'touched');
    await wipe(other);
    await migrate(other);
    assert.equal(await demoState(other, NOW), 'none');
    await other.destroy();
  });
});

describe('the book', () => {
  it('replaying the entries gives the same tables', async () => {
    const before = await truth();
    assert.ok(
      Object.values(before).every((rows) => rows.length > 0),
      'every table holds something',
    );
    await replay(db);
    assert.deepEqual(await truth(), before);
  });
  it('a double submission changes nothing', async () => {
    const one = entry('reading', reading(await gaugeId(), 0.7));
    assert.equal(await record(db, one), 'written');
    const before = await truth();
    assert.equal(await record(db, one), 'again');
    assert.deepEqual(await truth(), before);
    assert.equal(Number((await db('entry').where({ id: one.id }).count())[0]?.count), 1);
  });
  it('the same id with another body is offered as a correction, not taken', async () => {
    const body = reading(await gaugeId(), 0.7);
    const one = entry('reading', body);
    await record(db, one);
    await refusedWith(record(db, { ...one, body: { ...body, level: 0.8 } } as NewEntry), 'form', /correct it/);
  });
  it('an entry cannot be changed, deleted or emptied, not even in the database', async () => {
    await assert.rejects(db('entry').update({ reason: 'other' }), /never rewritten/);
    await assert.rejects(db('entry').delete(), /never rewritten/);
    await assert.rejects(db.raw('truncate entry cascade'), /never rewritten/);
  });
  it('a correction stands beside what it corrects, and the truth follows', async () => {
    const body = reading(await gaugeId(), inches(14));
    const wrong = entry('reading', body);
    await record(db, wrong);
    const right = entry('reading', { ...body, level: inches(41) }, { corrects: wrong.id, reason: 'figures swapped' });
    await record(db, right);
    assert.equal((await entryOf(db, crew, wrong.id))?.corrected_by, right.id);
    assert.equal((await db('reading').where({ id: body.id }).first()).level, inches(41));
    const { entries } = await log(db, crew, { subject: body.id });
    assert.deepEqual(
      entries.map((e) => e.id),
      [right.id, wrong.id],
    );
    await refusedWith(record(db, entry('reading', { ...body, level: 1 }, { corrects: wrong.id })), 'corrects', /corrected already/);
    await record(db, entry('reading', { ...body, level: inches(40) }, { corrects: right.id }));
    assert.equal((await db('reading').where({ id: body.id }).first()).level, inches(40));
  });
  it('correcting an old placing keeps what was done to the set since', async () => {
    const set = await bySetNumber(52);
    assert.equal(set.state, 'pulled');
    const { entries } = await log(db, crew, { subject: set.id, kinds: ['set'] });
    const placing = entries.at(-1);
    assert.ok(placing);
    await record(db, entry('set', { ...(placing.body as TrapSet), name: 'reed corner float' }, { corrects: placing.id }));
    const now = await setOf(db, crew, set.id);
    assert.equal(now?.name, 'reed corner float');
    assert.equal(now?.state, 'pulled');
    assert.ok(now?.stays.every((s) => s.to !== null));
  });
  it('an entry of every kind can be corrected, by a field that its form shows', async () => {
    for (const kind of KINDS) {
      const newest: Entry = await db('entry')
        .where({ crew_id: crew, kind, corrects: null })
        .whereNotExists(db('entry as c').whereRaw('c.corrects = entry.id'))
        .orderBy('seq', 'desc')
        .first();
      const field = fieldsOf(kind, newest.body, 'us', 'America/Chicago').find(
        (f) => f.kind === 'text' && typeof f.path.at(-1) === 'string',
      );
      assert.ok(field, kind);
      const body = withLeaf(newest.body, field.path, field.path.at(-1) === 'season' ? '3' : 'corrected') as NewEntry['body'];
      assert.equal(await record(db, entry(kind, body, { corrects: newest.id, occurredAt: newest.occurred_at })), 'written', kind);
    }
  });
  it('a withdrawn check is gone from the truth and stays in the book; a device cannot be withdrawn', async () => {
    const visit = untouched(await bySetNumber(15), '2026-11-25T11:10:00.000Z');
    const saved = entry('check', visit);
    await record(db, saved);
    const undo = { id: v7(), crew, withdraws: saved.id, by: null, reason: 'taken back' };
    assert.equal(await record(db, undo), 'written');
    assert.equal(await record(db, undo), 'again');
    assert.equal(await db('check_visit').where({ id: visit.id }).first(), undefined);
    assert.ok(await entryOf(db, crew, saved.id));
    const device = await db('entry').where({ kind: 'device' }).first();
    await refusedWith(record(db, { ...undo, id: v7(), withdraws: device.id }), 'corrects', /corrected, not withdrawn/);
  });
  it('and after all that a replay still gives the same tables', async () => {
    const before = await truth();
    await replay(db);
    assert.deepEqual(await truth(), before);
  });
});

describe('what cannot have been is refused by the record', () => {
  it('a trap already in another set', async () => {
    const [one, two] = [await bySetNumber(12), await bySetNumber(15)];
    const taken = one.stays[0];
    assert.ok(taken);
    const stolen = {
      ...two,
      stays: [
        ...two.stays.map((s) => ({ ...s, to: '2026-11-25T11:00:00.000Z' })),
        { id: v7(), position: 'outer', device: taken.device, from: '2026-11-25T11:00:00.000Z', to: null },
      ],
    };
    await refusedWith(record(db, await anew(stolen)), 'devices', /already stands in another set/);
  });
  it('a check before placement', async () => {
    const set = await bySetNumber(12);
    await refusedWith(record(db, entry('check', untouched(set, '2026-10-01T12:00:00.000Z'))), 'at', /after it was placed/);
  });
  it('a pull before its last check', async () => {
    const set = await bySetNumber(12);
    const early = {
      ...set,
      state: 'pulled' as const,
      stays: set.stays.map((s) => ({ ...s, to: new Date(new Date(s.from).getTime() + 3_600_000).toISOString() })),
    };
    await refusedWith(record(db, await anew(early)), 'at', /does not fit/);
  });
  it('a check moved by a correction out of the life of its trap', async () => {
    const set = await bySetNumber(12);
    const { entries } = await log(db, crew, { set: set.id, kinds: ['check'] });
    const last = entries[0];
    assert.ok(last);
    await refusedWith(
      record(db, entry('check', { ...(last.body as Check), at: '2026-10-01T12:00:00.000Z' }, { corrects: last.id })),
      'at',
      /does not fit/,
    );
  });
  it('a device of another set in a visit', async () => {
    const [one, two] = [await bySetNumber(12), await bySetNumber(15)];
    const crossed = { ...untouched(one, '2026-11-25T11:12:00.000Z'), devices: untouched(two, '2026-11-25T11:12:00.000Z').devices };
    await refusedWith(record(db, entry('check', crossed)), 'devices', /another set/);
  });
  it('a tag used twice, a set number used twice, an unknown station', async () => {
    await refusedWith(
      record(db, entry('device', { id: v7(), tag: 'K-07', class: 'bodyGrip', size: '330', condition: 'good', note: '' })),
      'tag',
      /already/,
    );
    const set = await bySetNumber(36);
    await refusedWith(record(db, await anew({ ...set, number: 12 })), 'number', /has that number/);
    await refusedWith(record(db, await anew({ ...set, station: v7() })), 'station', /no such location/);
  });
  it('a refused entry leaves nothing behind, nor do those written with it', async () => {
    const before = Number((await db('entry').count())[0]?.count);
    const good = entry('reading', reading(await gaugeId(), 0.5));
    await assert.rejects(
      record(db, good, entry('device', { id: v7(), tag: 'K-07', class: 'bodyGrip', size: '330', condition: 'good', note: '' })),
    );
    assert.equal(Number((await db('entry').count())[0]?.count), before);
  });
  it('a schema’s sentence stands at the path of its field', async () => {
    const set = await bySetNumber(36);
    const settings = set.settings.map((s) => ({ ...s, numbers: { depth: 99 } }));
    await refusedWith(record(db, await anew({ ...set, settings })), 'settings.0.numbers.depth', /lies between/);
  });
});

describe('two crews', () => {
  const other = v7();
  it('cannot touch each other’s things', async () => {
    await record(db, { ...entry('crew', { id: other, name: 'Other' }), crew: other });
    const mine = (await devices(db, crew))[0];
    assert.ok(mine);
    const { set: _, entry: __, ...body } = mine;
    await record(db, { ...entry('device', { ...body, tag: 'Y', note: 'stolen' }), crew: other });
    assert.equal((await devices(db, crew))[0]?.note, mine.note, 'an id is its crew’s own: the same in another is another thing');
    const set = await bySetNumber(12);
    await assert.rejects(record(db, { ...entry('set', { ...set, id: v7(), stays: [], state: 'planned' }), crew: other }), Refusal);
    assert.equal((await sets(db, other, {})).length, 0);
    const foreign = await db('entry').where({ crew_id: crew }).first();
    await refusedWith(record(db, { id: v7(), crew: other, withdraws: foreign.id, by: null, reason: '' }), 'corrects', /no such entry/);
  });
  it('the same tag in two crews is no conflict', async () => {
    assert.equal(
      await record(db, {
        ...entry('device', { id: v7(), tag: 'K-07', class: 'bodyGrip', size: '330', condition: 'good', note: '' }),
        crew: other,
      }),
      'written',
    );
  });
  it('an entry of another crew with the same id is another entry', async () => {
    const taken = await db('entry').where({ crew_id: crew, kind: 'device' }).first();
    const body = { id: v7(), tag: 'Z', class: 'foothold', size: '4', condition: 'good', note: '' } as const;
    assert.equal(await record(db, { ...entry('device', body), id: taken.id, crew: other }), 'written');
    assert.deepEqual(await db('entry').where({ crew_id: crew, id: taken.id }).first(), taken);
  });
});

describe('what the rooms read', () => {
  it('the last look at a live trap, beside it the one that did not reach it (F34)', async () => {
    const line = await currentLine(db, crew);
    const set = await bySetNumber(27);
    const visit = untouched(set, '2026-11-25T11:15:00.000Z');
    visit.devices = visit.devices.map((d) => ({ ...d, outcome: 'not reached', searched: 'water over the waders' }));
    const before = await answer(db, askLastLooks(db, crew, line?.id ?? '', NOW));
    await record(db, entry('check', visit));
    const after = await answer(db, askLastLooks(db, crew, line?.id ?? '', NOW));
    const missed = { at: visit.at, why: 'water over the waders' };
    const stays = visit.devices.map((d) => d.stay);
    assert.deepEqual(after, {
      ...before,
      ...Object.fromEntries(stays.map((stay) => [stay, { at: null, spent: null, ...before[stay], missed }])),
    });
  });
  it('a set with its settings and stays as it was written', async () => {
    const set = await bySetNumber(22);
    const { entries } = await log(db, crew, { subject: set.id });
    assert.deepEqual(set, entries[0]?.body);
  });
  it('the readings of the last days, and the one before them', async () => {
    const since = new Date(NOW.getTime() - 2 * 86_400_000);
    const recent = Object.values(await recentReadings(db, await gauges(db, crew), since, NOW));
    assert.ok(recent.flat().length > 8 && recent.flat().every((r) => r.at <= NOW));
    assert.ok(recent.every((own) => own.filter((r) => r.at < since).length <= 1));
  });
  it('the person that was picked, else the first of the record', async () => {
    const first = await whoIs(db, undefined);
    assert.equal(first?.person.name, 'Wren Ostby');
    const second = await db('person').where({ system: 'metric' }).first();
    assert.equal((await whoIs(db, second.id))?.person.system, 'metric');
    assert.equal((await whoIs(db, v7()))?.person.name, 'Wren Ostby');
  });
});
