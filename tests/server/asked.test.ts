import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import type { Knex } from 'knex';
import { connect } from '#server/database';
import { answer, together, type Asked } from '#server/repositories/asked';
import { startCluster, type Cluster } from '../support/cluster';

/** Several questions in one statement give what each gives alone. */
describe('questions asked together', () => {
  let cluster: Cluster;
  let db: Knex;
  before(async () => {
    cluster = startCluster();
    db = connect(await cluster.database());
    await db.raw('create table mark (id int, at timestamptz, day date, level double precision, big bigint, body jsonb, note text)');
    await db('mark').insert([
      {
        id: 2,
        at: '2026-11-25T11:22:00Z',
        day: '2026-11-25',
        level: 0.1 + 0.2,
        big: 7,
        body: { at: '2026-11-25T11:22:00Z' },
        note: 'it’s “deep” ?',
      },
      { id: 1, at: 'infinity', day: null, level: null, big: null, body: null, note: "'; drop table mark; --" },
    ]);
  });
  after(async () => {
    await db.destroy();
    cluster.remove();
  });

  interface Mark {
    id: number;
    at: Date | null;
    day: string | null;
    level: number | null;
    big: number | null;
    body: unknown;
    note: string;
  }
  const marks = (note?: string): Asked<Mark, Mark[]> => ({
    query: db('mark')
      .select('*')
      .where(note === undefined ? {} : { note })
      .orderBy('id'),
    times: ['at'],
    read: (rows) => rows,
  });

  it('have the rows of a plain query: instants, numbers to the last bit, days, JSON, no end as null', async () => {
    const plain: Mark[] = await db('mark').select('*').orderBy('id');
    assert.deepEqual(await answer(db, marks()), plain);
    assert.equal(plain[0]?.at, null);
    assert.ok(plain[1]?.at instanceof Date);
  });
  it('keep their order, their own parameters and their own way of reading', async () => {
    const one = "'; drop table mark; --";
    const found = await together(db, {
      all: marks(),
      one: marks(one),
      none: marks('nothing of the kind ?'),
      count: { query: db('mark').count('* as n'), read: ([row]: { n: number }[]) => row?.n } satisfies Asked<{ n: number }, unknown>,
      raw: { query: db.raw('select ?::int + 1 as n', [41]), read: ([row]: { n: number }[]) => row?.n } satisfies Asked<
        { n: number },
        unknown
      >,
    });
    assert.deepEqual(
      found.all.map((m) => m.id),
      [1, 2],
    );
    assert.deepEqual(
      found.one.map((m) => m.note),
      [one],
    );
    assert.deepEqual(found.none, []);
    assert.equal(found.count, 2);
    assert.equal(found.raw, 42);
  });
});
