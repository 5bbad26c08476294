import assert from 'node:assert/strict';
import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { gunzipSync, gzipSync } from 'node:zlib';
import { after, before, describe, it } from 'node:test';
import fc from 'fast-check';
import { migrate } from '../../db/migrate';
import { connect } from '#server/database';
import { digestOf, dump, headOfDump, readDump, Unusable } from '#server/record/dump';
import { goes, nameOf, timeOf } from '#server/record/keepDumps';
import { besideDump, restore } from '#server/record/restore';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** A copy of the record, made and put back while the program runs. */
let program: Program;
let folder: string;
let db: ReturnType<typeof connect>;
const steps = readdirSync(new URL('../../db/migrations', import.meta.url))
  .filter((n) => n.endsWith('.ts'))
  .sort();
const means = { connectTo: (searchPath: string[]) => connect(program.url, searchPath), migrate, steps };

before(async () => {
  program = await startProgram({ demo: true });
  db = connect(program.url);
  folder = mkdtempSync('/tmp/zbk');
});
after(async () => {
  await db.destroy();
  await program.end();
  rmSync(folder, { recursive: true, force: true });
});

const { get, rows } = webOf(() => program);
const file = (name: string): string => `${folder}/${name}`;
const sha = (lines: readonly string[]): string =>
  createHash('sha256')
    .update(lines.map((l) => `${l}\n`).join(''))
    .digest('hex');
/** The lines of a copy, changed and packed again. */
function changed(name: string, change: (lines: string[]) => string[]): string {
  const lines = gunzipSync(readFileSync(file('whole.gz')))
    .toString('utf8')
    .trimEnd()
    .split('\n');
  writeFileSync(file(name), gzipSync(`${change(lines).join('\n')}\n`));
  return file(name);
}
const refused = (work: Promise<unknown>, says: RegExp): Promise<void> =>
  assert.rejects(work, (error: unknown) => error instanceof Unusable && says.test(error.message));

describe('a copy of the record', () => {
  it('holds every entry once, in order, with a digest of what they say', async () => {
    const head = await dump(db, file('whole.gz'));
    assert.equal(head.digest, await digestOf(db));
    const ids: string[] = [];
    for await (const { table, row } of readDump(file('whole.gz'))) if (table === 'entry') ids.push((JSON.parse(row) as { id: string }).id);
    assert.equal(ids.length, head.entries);
    const kept = (await rows('entry')) as { id: string; seq: number }[];
    assert.deepEqual(
      ids,
      kept.sort((a, b) => a.seq - b.seq).map((e) => e.id),
    );
    assert.equal(statSync(file('whole.gz')).mode & 0o077, 0, 'nobody else reads it');
    assert.deepEqual(await besideDump(db, file('whole.gz')), { onlyHere: 0, onlyThere: 0, crews: ['Kettle Row'] });
  });
  it('of one crew names that crew alone, and of none holds no entry', async () => {
    const [crew] = await rows('crew');
    assert.equal((await dump(db, file('crew.gz'), String(crew?.id))).entries, (await rows('entry')).length);
    assert.equal((await dump(db, file('none.gz'), '01900000-0000-7000-8000-00000000dead')).entries, 0);
  });
  it('that cannot be written leaves no file behind', async () => {
    await assert.rejects(dump(db, `${folder}/nowhere/x.gz`), { code: 'ENOENT' });
    await assert.rejects(dump(db, folder));
    // a disk that is full: what is written goes to the device that always is
    symlinkSync('/dev/full', `${file('full.gz')}.part`);
    await assert.rejects(dump(db, file('full.gz')), { code: 'ENOSPC' });
    assert.ok(!existsSync(file('full.gz')) && !existsSync(`${file('full.gz')}.part`));
    assert.ok(!existsSync(`${folder}.part`) && !existsSync(`${folder}/nowhere`));
  });
  it('is refused when it is cut off, changed, mixed up, empty, something else, or newer', async () => {
    const packed = readFileSync(file('whole.gz'));
    writeFileSync(file('cut.gz'), packed.subarray(0, packed.length / 2));
    await refused(headOfDump(file('cut.gz'), steps), /broken/);
    await refused(
      headOfDump(
        changed('less.gz', (l) => [...l.slice(0, 5), ...l.slice(6)]),
        steps,
      ),
      /a part of it is missing or was changed/,
    );
    await refused(
      headOfDump(
        changed('other.gz', (l) => l.map((x, n) => (n === 3 ? x.replace('a', 'b') : x))),
        steps,
      ),
      /broken/,
    );
    await refused(
      headOfDump(
        changed('more.gz', (l) => [...l, l[4] ?? '']),
        steps,
      ),
      /goes on after its end/,
    );
    await refused(
      headOfDump(
        changed('unended.gz', (l) => l.slice(0, -1)),
        steps,
      ),
      /broken/,
    );
    writeFileSync(file('text.gz'), gzipSync('hello\n'));
    await refused(headOfDump(file('text.gz'), steps), /no copy made by/);
    writeFileSync(file('plain.gz'), 'hello');
    await refused(headOfDump(file('plain.gz'), steps), /broken/);
    writeFileSync(file('empty.gz'), gzipSync(''));
    await refused(headOfDump(file('empty.gz'), steps), /broken|empty/);
    await refused(headOfDump(file('nowhere.gz'), steps), /no such file/);
    await refused(headOfDump(file('whole.gz'), steps.slice(0, -1)), /newer Zaprud/);
  });
});

describe('a copy put back', () => {
  it('gives the record that it was made of, while pages are read, and what came since is known to be lost', async () => {
    const before_ = await digestOf(db);
    const [water] = await rows('water');
    // something that the copy does not hold
    await db('entry').insert({
      ...{
        id: '01900000-0000-7000-8000-00000000beef',
        crew_id: water?.crew_id,
        kind: 'site',
        subject: '01900000-0000-7000-8000-00000000feed',
      },
      ...{ occurred_at: new Date(0), recorded_at: new Date(0), body: '{}', body_hash: 'x', version: 2, state: 'held' },
    });
    assert.deepEqual((await besideDump(db, file('whole.gz'))).onlyHere, 1);
    const reading = Array.from({ length: 12 }, () => get('/morning').then((page) => page.includes('Zaprud')));
    const { digest, head } = await restore(db, file('whole.gz'), means);
    assert.deepEqual([digest, head.digest], [before_, before_]);
    assert.equal(await digestOf(db), before_);
    await Promise.all(reading);
    assert.match(await get('/colonies'), /Header families/);
    assert.equal((await rows('entry')).length, head.entries);
    // what comes next is counted on from there
    const next = await db.raw<{ rows: { n: number }[] }>(`select nextval(pg_get_serial_sequence('entry', 'seq')) as n`);
    const [last] = await db('entry').max('seq as seq');
    assert.ok(Number(next.rows[0]?.n) > Number(last?.seq));
  });
  it('keeps who may come in at this machine, and two at once are told of each other', async () => {
    const [person] = await rows('person', { name: 'Wren Ostby' });
    await db('account').insert({ crew_id: person?.crew_id, person_id: person?.id, role: 'owner', made_at: new Date(0) });
    const both = await Promise.allSettled([1, 2].map(() => restore(db, file('whole.gz'), means)));
    assert.deepEqual(both.map(({ status }) => status).sort(), ['fulfilled', 'rejected']);
    assert.match(
      String((both.find(({ status }) => status === 'rejected') as PromiseRejectedResult).reason),
      /Another copy is being put back/,
    );
    assert.equal((await rows('account', { role: 'owner' })).length, 1);
    assert.match(await get('/people/door'), /owner/);
  });
  it('that says another thing than it was made of changes nothing, nor does one that is broken', async () => {
    const before_ = await digestOf(db);
    // whole by its end, but of another record
    const lies = changed('lies.gz', (lines) => {
      const [head = '', ...rest] = lines.slice(0, -1);
      const body = [head.replace(/"digest":"[0-9a-f]+"/, '"digest":"0000000000000000"'), ...rest];
      return [...body, JSON.stringify({ end: { lines: body.length, sha256: sha(body) } })];
    });
    await refused(restore(db, lies, means), /gives another record/);
    await refused(restore(db, file('cut.gz'), means), /broken/);
    assert.equal(await digestOf(db), before_);
    const left = await db.raw<{ rows: unknown[] }>(`select 1 from pg_namespace where nspname = 'restored'`);
    assert.equal(left.rows.length, 0);
    assert.match(await get('/colonies'), /Header families/);
  });
});

describe('which copies stay', () => {
  const now = new Date('2026-12-01T12:00:00Z');
  const day = (n: number): string => nameOf(new Date(now.getTime() - n * 86_400_000));
  it('a name is its moment, and any other file is left alone', () => {
    assert.equal(nameOf(new Date('2026-12-01T04:20:59Z')), 'zaprud-20261201-0420.gz');
    assert.deepEqual(timeOf('zaprud-20261201-0420.gz'), new Date('2026-12-01T04:20:00Z'));
    assert.equal(timeOf('notes.gz'), null);
    assert.deepEqual(goes(['notes.gz', 'before-zaprud-20200101-0000.gz'], now), []);
  });
  it('of two years of days seven days, and of older ones a week’s and a month’s newest stay', () => {
    const all = Array.from({ length: 730 }, (_, n) => day(n));
    const stay = all.filter((name) => !goes(all, now).includes(name));
    for (let n = 0; n < 7; n += 1) assert.ok(stay.includes(day(n)), `day ${n}`);
    assert.ok(stay.length >= 7 + 3 + 10 && stay.length <= 7 + 5 + 12, String(stay.length));
  });
  it('the newest is never let go, and letting go twice lets go no more', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 60 }), (days) => {
        const names = days.map(day);
        const gone = new Set(goes(names, now));
        assert.ok(!gone.has(day(Math.min(...days))));
        const rest = names.filter((n) => !gone.has(n));
        assert.deepEqual(goes(rest, now), []);
      }),
    );
  });
});

describe('what a machine that watches asks', () => {
  const asked = async (path: string): Promise<[number, string]> => {
    const answer = await fetch(`${program.base}${path}`);
    return [answer.status, (await answer.text()).trim()];
  };
  it('the process answers, and the record in the shape that the program is made for', async () => {
    assert.deepEqual(await asked('/health'), [200, 'ok']);
    assert.deepEqual(await asked('/ready'), [200, 'ready']);
  });
  it('an older record and none are told apart, and the process is well all the same', async () => {
    const [newest] = (await db('knex_migrations').orderBy('id', 'desc').limit(1)) as { id: number; name: string }[];
    await db('knex_migrations').where({ id: newest?.id }).update({ name: '0001_entries.ts' });
    assert.deepEqual(await asked('/ready'), [503, `the record is at 0001_entries.ts, this program is made for ${newest?.name ?? ''}`]);
    await db('knex_migrations').where({ id: newest?.id }).update({ name: newest?.name });
    await db.raw('alter table knex_migrations rename to elsewhere');
    assert.deepEqual(await asked('/ready'), [503, 'there is no record in the database yet']);
    assert.deepEqual(await asked('/health'), [200, 'ok']);
    await db.raw('alter table elsewhere rename to knex_migrations');
    assert.deepEqual(await asked('/ready'), [200, 'ready']);
  });
});
