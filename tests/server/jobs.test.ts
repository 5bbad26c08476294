import assert from 'node:assert/strict';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { after, before, describe, it } from 'node:test';
import { gunzipSync } from 'node:zlib';
import { migrate } from '../../db/migrate';
import { connect } from '#server/database';
import { digestOf, readDump } from '#server/record/dump';
import { restore } from '#server/record/restore';
import { askFor, jobsOf } from '#server/repositories/jobs';
import { workOnce } from '#server/work';
import { newId } from '#lib/form/newId';
import { NOW, startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** Long work: a copy of a crew, in steps that any server does, and that another goes on with. */
let program: Program;
let db: ReturnType<typeof connect>;
let crew: string;
let person: string;
let folder: string;
const now = new Date(NOW);
const steps = readdirSync(new URL('../../db/migrations', import.meta.url))
  .filter((n) => n.endsWith('.ts'))
  .sort();

before(async () => {
  program = await startProgram({ demo: true });
  db = connect(program.url);
  folder = mkdtempSync('/tmp/zjob');
  const [found] = await rows('person', { name: 'Wren Ostby' });
  [crew, person] = [String(found?.crew_id), String(found?.id)];
});
after(async () => {
  await db.destroy();
  await program.end();
  rmSync(folder, { recursive: true, force: true });
});
const { post, rows } = webOf(() => program);

const asked = async (at = now): Promise<string> => {
  const id = newId();
  await askFor(db, { crew_id: crew, id, person_id: person, asked_at: at, ends_at: new Date(at.getTime() + 86_400_000) });
  return id;
};
const job = async (id: string) => (await jobsOf(db, crew)).find((j) => j.id === id);

/** Until a copy is ready, whoever makes it. */
async function ready(id: string): Promise<void> {
  for (let n = 0; n < 300; n += 1) {
    if ((await job(id))?.state === 'done') return;
    await new Promise((wait) => setTimeout(wait, 100));
  }
  assert.fail('the copy was not ready in half a minute');
}

describe('a copy that is asked for on a page', () => {
  it('is made beside the pages, and the file gives the same record on an empty machine', async () => {
    const id = newId();
    for (const _ of [1, 2]) assert.equal((await post('/people/copies?/ask', { id })).status, 303);
    assert.equal((await jobsOf(db, crew)).length, 1, 'sent twice it is asked for once');
    await ready(id);
    const answer = await fetch(`${program.base}/people/copies/${id}`);
    const file = Buffer.from(await answer.arrayBuffer());
    assert.equal(answer.headers.get('content-type'), 'application/gzip');
    assert.equal(file.length, (await job(id))?.bytes);
    writeFileSync(`${folder}/crew.gz`, file);
    const entries = [];
    for await (const { table, row } of readDump(`${folder}/crew.gz`))
      if (table === 'entry') entries.push((JSON.parse(row) as { id: string }).id);
    const kept = (await rows('entry')) as { id: string; seq: number }[];
    assert.deepEqual(
      entries,
      kept.sort((a, b) => a.seq - b.seq).map((e) => e.id),
    );
    const empty = await startProgram({ demo: false });
    const other = connect(empty.url);
    const means = { connectTo: (searchPath: string[]) => connect(empty.url, searchPath), migrate, steps };
    try {
      assert.equal((await restore(other, `${folder}/crew.gz`, means)).digest, await digestOf(db));
    } finally {
      await other.destroy();
      await empty.end();
    }
  });

  it('goes on where a server died, and a step that was begun is not in it twice', async () => {
    await program.stop();
    const id = await asked();
    assert.equal(await workOnce(db, now), 'done');
    // a server takes the next step, and dies with its transaction
    const dying = await db.transaction();
    await dying('job').where({ id }).forUpdate().first();
    await dying('job_part').insert({ crew_id: crew, job_id: id, part: 1, bytes: Buffer.from('half') });
    assert.equal(await workOnce(db, now), 'nothing', 'nobody else takes what one has in hand');
    await dying.rollback();
    await program.start();
    await ready(id);
    const { bytes } = (await job(id)) ?? { bytes: 0 };
    const file = Buffer.from(await (await fetch(`${program.base}/people/copies/${id}`)).arrayBuffer());
    assert.equal(file.length, bytes);
    const lines = gunzipSync(file).toString('utf8').trimEnd().split('\n');
    assert.equal((JSON.parse(lines.at(-1) ?? '') as { end: { lines: number } }).end.lines, lines.length - 1);
  });

  it('waits for whoever was writing as it began: an entry gets its number before it can be seen', async () => {
    await program.stop();
    const id = await asked();
    const [some] = (await rows('entry')) as Record<string, unknown>[];
    const writing = await db.transaction();
    const late = { ...some, id: newId(), seq: undefined, batch: null, withdrawn: false, body: JSON.stringify(some?.body) };
    delete late.seq;
    await writing('entry').insert(late);
    assert.equal(await workOnce(db, now), 'done');
    // longer than any number of tries
    for (let n = 0; n < 20; n += 1) assert.equal(await workOnce(db, now), 'later');
    await writing.rollback();
    await program.start();
    await ready(id);
  });

  it('is given up where every server that takes it dies, and goes when its days are over', async () => {
    await program.stop();
    const id = await asked();
    await db('job').where({ id }).update({ tried: 12 });
    assert.equal(await workOnce(db, now), 'nothing');
    assert.equal((await job(id))?.state, 'failed');
    await workOnce(db, new Date(now.getTime() + 9 * 86_400_000));
    assert.deepEqual([await rows('job'), await rows('job_part')], [[], []]);
    await program.start();
  });

  it('lies beside two others at most', async () => {
    const ids = [];
    for (let n = 0; n < 4; n += 1) ids.push(await asked(new Date(now.getTime() + n * 1000)));
    assert.deepEqual(
      (await jobsOf(db, crew)).map((j) => j.id),
      ids.slice(1).toReversed(),
    );
  });

  it('is none for an id that no copy has', async () => {
    assert.equal((await fetch(`${program.base}/people/copies/${newId()}`)).status, 404);
    assert.equal((await fetch(`${program.base}/people/copies/x`)).status, 404);
  });
});

describe('all about me', () => {
  it('is a file with what was told of one, and what he wrote', async () => {
    const answer = await fetch(`${program.base}/people/me`, { headers: { cookie: `person=${person}` } });
    const about = (await answer.json()) as { known: { name: string }; written: unknown[] };
    assert.match(answer.headers.get('content-disposition') ?? '', /attachment/);
    assert.equal(about.known.name, 'Wren Ostby');
    assert.equal(about.written.length, (await rows('entry', { by: person })).length);
  });
});
