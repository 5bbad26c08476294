import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { startCluster, type Cluster } from '../support/cluster';
import { fill, startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** A copy of Debian's PostgreSQL that follows another by streaming answers the book, and nobody sees a moment that is gone. */
let cluster: Cluster;
let follower: ReturnType<Cluster['follow']>;
let program: Program;
let there: ReturnType<typeof connect>;

before(async () => {
  cluster = startCluster();
  const url = await fill(await cluster.database(), true);
  follower = cluster.follow();
  there = connect(follower.url(url));
  program = await startProgram({ demo: true, at: url, env: { DATABASE_REPLICA_URL: follower.url(url) } });
});
after(async () => {
  await program.end();
  await there.destroy();
  cluster.remove();
});
const { get, post, rows, uuid } = webOf(() => program);
/** Rows of the entries that the replica read for anybody. */
async function readThere(): Promise<number> {
  const { rows: found } = await there.raw<{ rows: { read: number }[] }>(
    `select (seq_tup_read + coalesce(idx_tup_fetch, 0))::int as read from pg_stat_user_tables where relname = 'entry'`,
  );
  return found[0]?.read ?? 0;
}
const word = async (text: string): Promise<void> => {
  const answer = await post('/people?/add', { entry: uuid(), id: uuid(), newName: text });
  assert.equal(answer.status, 303, answer.text);
};

describe('a replica', () => {
  it('answers the book, its pages and the files that go out, with what the record holds', async () => {
    const before = await readThere();
    const paths = ['/book', '/book/earns', '/book/forecasts', '/book/water', '/waters/export/zaprud.geojson', '/waters/export/zaprud.csv'];
    const [entry] = await rows('entry', { kind: 'check' });
    const theirs = [];
    for (const path of [...paths, `/book/${String(entry?.id)}`]) theirs.push(await get(path));
    // what was read is counted with a delay
    for (let n = 0; n < 100 && (await readThere()) === before; n += 1) await new Promise((wait) => setTimeout(wait, 100));
    assert.ok((await readThere()) > before, 'the replica was not asked');
    await there.raw('select pg_wal_replay_pause()');
    await word('Somebody of now');
    const own = [];
    for (const path of [...paths, `/book/${String(entry?.id)}`]) own.push(await get(path));
    await there.raw('select pg_wal_replay_resume()');
    // the clock goes on between the two
    const bare = (page: string): string =>
      page
        .replace(/<script.*?<\/script>|<[^>]*>/gs, ' ')
        .replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, 'id')
        .replace(/\d+/g, '#');
    for (const [n, path] of paths.entries()) if (path !== '/book') assert.ok(bare(theirs[n] ?? '') === bare(own[n] ?? ''), path);
  });
  it('is not asked for what it does not hold yet: what was just written stands in the book', async () => {
    await there.raw('select pg_wal_replay_pause()');
    await word('Somebody of later');
    assert.match(await get('/book'), /Somebody of later/);
    await there.raw('select pg_wal_replay_resume()');
    for (let n = 0; n < 5; n += 1) {
      await word(`Somebody number ${n}`);
      assert.match(await get('/book'), new RegExp(`Somebody number ${n}`));
    }
  });
  it('that is away harms no page', async () => {
    await get('/book');
    follower.stop();
    for (const path of ['/book', '/book/water', '/morning']) assert.ok((await get(path)).length > 1000, path);
  });
});
