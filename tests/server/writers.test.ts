import assert from 'node:assert/strict';
import { execFile } from 'node:child_process';
import { after, before, describe, it } from 'node:test';
import { promisify } from 'node:util';
import type { Knex } from 'knex';
import { v7 } from 'uuid';
import { buildDemo } from '../../db/demo/build';
import { loadDemo } from '../../db/demo/load';
import { migrate } from '../../db/migrate';
import { connect } from '#server/database';
import { replayBeside } from '#server/record/beside';
import { Refusal } from '#server/record/refusal';
import { digests, replay } from '#server/record/replay';
import { takeBack } from '#server/record/takeBack';
import { bodyOf } from '#core/record/written';
import { record } from '#server/record/write';
import type { NewEntry } from '#core/record/entry';
import { stock } from '#server/repositories/gear';
import { sets, setOf } from '#server/repositories/sets';
import type { TrapSet } from '#core/record/kinds';
import { startCluster, type Cluster } from '../support/cluster';
import type { Told } from '../support/writer';
import { AS_SET } from '../support/looked';

const NOW = new Date('2026-11-25T11:22:00Z');
const run = promisify(execFile);
let cluster: Cluster;
let db: Knex;
let url: string;
let crew: string;

before(async () => {
  cluster = startCluster();
  url = await cluster.database();
  db = connect(url);
  await migrate(db);
  await loadDemo(db, NOW);
  crew = buildDemo(NOW).crew;
});
after(async () => {
  await db.destroy();
  cluster.remove();
});

const entry = (kind: NewEntry['kind'], body: unknown, over: Partial<NewEntry> = {}): NewEntry =>
  ({ id: v7(), crew, kind, occurredAt: NOW, by: null, body, ...over }) as NewEntry;
const numbered = async (n: number) => {
  const found = (await sets(db, crew, {})).find((s) => s.number === n);
  assert.ok(found);
  return found;
};
const staleOf = async (writing: Promise<unknown>): Promise<Refusal> => {
  const error = await writing.then(
    () => null,
    (e: unknown) => e,
  );
  assert.ok(error instanceof Refusal && error.code === 'stale', `expected a stale refusal, got ${String(error)}`);
  return error;
};

describe('two who change one thing', () => {
  it('the second is told what the first changed, and both changes stand after one tap', async () => {
    const opened = await numbered(12);
    const body = bodyOf(opened);
    await record(db, entry('set', { ...body, anchor: 'the stump' }, { opened: opened.entry }));
    const mine = entry('set', { ...body, note: 'ice at the edge' }, { opened: opened.entry });
    const { stale } = await staleOf(record(db, mine));
    assert.equal((stale?.is as TrapSet).anchor, 'the stump');
    assert.equal((stale?.was as TrapSet).anchor, body.anchor);
    await record(db, { ...mine, onto: stale?.latest.id ?? '' });
    const now = await numbered(12);
    assert.deepEqual([now.anchor, now.note], ['the stump', 'ice at the edge']);
  });
  it('on top of an entry that is not the newest any more it is told again', async () => {
    const opened = await numbered(15);
    const body = bodyOf(opened);
    const first = entry('set', { ...body, anchor: 'one' }, { opened: opened.entry });
    await record(db, first);
    await record(db, entry('set', { ...body, anchor: 'two' }, { opened: first.id }));
    await staleOf(record(db, entry('set', { ...body, note: 'late' }, { opened: opened.entry, onto: first.id })));
  });
  it('of pairs sent at the same moment none is lost', async () => {
    for (let n = 0; n < 12; n += 1) {
      const opened = await numbered(20);
      const body = bodyOf(opened);
      const pair = [
        entry('set', { ...body, anchor: `anchor ${n}` }, { opened: opened.entry }),
        entry('set', { ...body, note: `note ${n}` }, { opened: opened.entry }),
      ];
      const answers = await Promise.allSettled(pair.map((e) => record(db, e)));
      const late = answers.findIndex((a) => a.status === 'rejected');
      assert.notEqual(late, -1, 'one of two has to be told');
      const reason = (answers[late] as PromiseRejectedResult).reason as Refusal;
      await record(db, { ...(pair[late] as NewEntry), onto: reason.stale?.latest.id ?? '' });
      const now = await numbered(20);
      assert.deepEqual([now.anchor, now.note], [`anchor ${n}`, `note ${n}`]);
    }
  });
  it('two who count one stock to twenty leave twenty', async () => {
    const [one] = await stock(db, crew, NOW);
    assert.ok(one);
    const counted = () =>
      entry('stockMove', {
        id: v7(),
        stock: one.id,
        at: '2026-11-25T11:00:00.000Z',
        why: 'counted',
        amount: 0,
        count: 20,
        set: null,
        note: '',
      });
    await Promise.all([record(db, counted()), record(db, counted())]);
    assert.equal((await stock(db, crew, NOW)).find((s) => s.id === one.id)?.have, 20);
  });
});

describe('taking back what a form wrote', () => {
  const check = (set: TrapSet): Record<string, unknown> => ({
    id: v7(),
    set: set.id,
    at: '2026-11-25T11:10:00.000Z',
    by: null,
    change: 'pulled',
    changeNote: '',
    asked: null,
    note: '',
    devices: set.stays.map(({ id: stay }) => ({
      id: v7(),
      stay,
      ...AS_SET,
    })),
  });
  const pulled = (set: TrapSet): TrapSet => ({
    ...set,
    state: 'pulled',
    stays: set.stays.map((s) => ({ ...s, to: '2026-11-25T11:10:00.000Z' })),
  });

  it('a check that also pulled the set: the set stands live again', async () => {
    const before = await numbered(31);
    const visit = entry('check', check(before));
    await record(db, visit, entry('set', pulled(bodyOf(before)), { opened: before.entry }));
    assert.equal((await setOf(db, crew, before.id))?.state, 'pulled');
    await takeBack(db, { id: v7(), crew, entry: visit.id, by: null, reason: 'taken back at once' });
    const after = await setOf(db, crew, before.id);
    assert.deepEqual(after && bodyOf(after), bodyOf(before));
    assert.equal(
      await db('check_visit')
        .where({ id: (visit.body as { id: string }).id })
        .first(),
      undefined,
    );
  });
  it('what another changed since stays', async () => {
    const before = await numbered(35);
    const visit = entry('check', check(before));
    const pull = entry('set', pulled(bodyOf(before)), { opened: before.entry });
    await record(db, visit, pull);
    await record(db, entry('set', { ...pulled(bodyOf(before)), note: 'the bank slid' }, { opened: pull.id }));
    await takeBack(db, { id: v7(), crew, entry: visit.id, by: null, reason: '' });
    const after = await setOf(db, crew, before.id);
    assert.deepEqual(after && bodyOf(after), { ...bodyOf(before), note: 'the bank slid' });
  });
  it('once more changes nothing, and no entry of another crew is taken back', async () => {
    const [last] = (await db('entry').where({ crew_id: crew, kind: 'check' }).orderBy('seq', 'desc').limit(1)) as { id: string }[];
    const undo = { id: v7(), crew, entry: last?.id ?? '', by: null, reason: '' };
    await takeBack(db, undo).catch(() => undefined);
    await assert.rejects(takeBack(db, { ...undo, id: v7(), crew: v7() }), Refusal);
    await assert.rejects(takeBack(db, { ...undo, entry: 'x'.repeat(36) }), Refusal);
  });
});

describe('two server processes on one record', () => {
  it('1,000 writes of every kind: none lost, none doubled, no failure, and a replay gives the same tables', async () => {
    const process_ = (seed: number) =>
      run(process.execPath, ['--import', 'tsx', 'tests/support/writer.ts', url, crew, '500', String(seed)], { maxBuffer: 1 << 26 });
    const told = (await Promise.all([process_(1), process_(2)])).map(({ stdout }) => JSON.parse(stdout) as Told);
    assert.deepEqual(
      told.flatMap((t) => t.failed),
      [],
    );
    const ids = told.flatMap((t) => t.acknowledged);
    assert.ok(ids.length > 700, `${ids.length} were acknowledged`);
    const there: { id: string }[] = await db('entry').whereIn('id', ids).select('id');
    assert.equal(new Set(there.map((e) => e.id)).size, new Set(ids).size);
    assert.equal(there.length, ids.length);
    for (const set of await sets(db, crew, {})) {
      if (set.state === 'pulled')
        assert.ok(
          set.stays.every((s) => s.to !== null),
          `${set.number} is pulled and stands live`,
        );
    }
    const beside = await replayBeside(db, (searchPath) => connect(url, searchPath));
    assert.deepEqual(beside.differing, []);
    assert.match(beside.digest, /^[0-9a-f]{16}$/);
    const before = await digests(db);
    assert.equal(await replay(db), beside.entries);
    assert.deepEqual(await digests(db), before);
  });
});

describe('a replay beside the present tables', () => {
  it('finds a table that says something else than the entries, and leaves everything as it was', async () => {
    const connectTo = (searchPath: string[]) => connect(url, searchPath);
    const [one] = await db('device').where({ crew_id: crew }).limit(1);
    await db('device').where({ id: one.id }).update({ note: 'written past the book' });
    const { differing } = await replayBeside(db, connectTo);
    assert.deepEqual(differing, ['device']);
    assert.equal((await db('device').where({ id: one.id }).first()).note, 'written past the book');
    await db('device').where({ id: one.id }).update({ note: one.note });
    assert.deepEqual((await replayBeside(db, connectTo)).differing, []);
    const { rows } = await db.raw(`select 1 from information_schema.schemata where schema_name = 'replayed'`);
    assert.equal(rows.length, 0);
  });
});
