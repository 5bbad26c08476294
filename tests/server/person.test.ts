import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { replayBeside } from '#server/record/beside';
import { erase, everythingAbout, GONE, personNamed } from '#server/record/aboutPerson';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** What the record holds about a person, and how he goes out of it. */
let program: Program;
let db: ReturnType<typeof connect>;
before(async () => {
  program = await startProgram({ demo: true });
  db = connect(program.url);
});
after(async () => {
  await db.destroy();
  await program.end();
});
const { get, rows } = webOf(() => program);

describe('a person', () => {
  it('is told all that is held about him, and nobody’s passphrase', async () => {
    const whom = await personNamed(db, 'Corin Vale');
    await db('account').insert({ crew_id: whom.crew, person_id: whom.person, role: 'helper', made_at: new Date(0) });
    const all = await everythingAbout(db, whom);
    assert.equal((all.known as { name: string }).name, 'Corin Vale');
    assert.equal((all.account as { role: string }).role, 'helper');
    assert.ok(all.written.length > 20);
    assert.ok(all.told.length > 0);
    assert.doesNotMatch(JSON.stringify(all), /passphrase|token_hash|recovery/);
  });
  it('goes out of the record with his name and measures; what he did stays, and a replay gives the same tables', async () => {
    const whom = await personNamed(db, 'Corin Vale');
    const count = async () => (await rows('entry')).length;
    const before_ = await count();
    const checks = (await rows('check_visit', { by: whom.person })).length;
    const left = await erase(db, whom);
    assert.equal(await count(), before_);
    assert.equal((await rows('check_visit', { by: whom.person })).length, checks);
    const [person] = await rows('person', { id: whom.person });
    assert.deepEqual([person?.name, person?.measures], [GONE, {}]);
    assert.ok(!JSON.stringify(await rows('entry', { kind: 'person' })).includes('Corin Vale'));
    assert.equal((await rows('account', { person_id: whom.person })).length, 0);
    const named = (await rows('entry')).filter(({ body }) => JSON.stringify(body).includes('Corin Vale')).length;
    assert.equal(
      left.reduce((sum, { count: n }) => sum + n, 0),
      named,
      'whatever else holds the name is told',
    );
    const { differing } = await replayBeside(db, (path) => connect(program.url, path));
    assert.deepEqual(differing, []);
    assert.match(await get('/people'), new RegExp(GONE));
    await assert.rejects(db('entry').update({ reason: 'again' }), /never rewritten/, 'the door that was opened for this is shut again');
  });
  it('that nobody is called is said', async () => {
    await assert.rejects(personNamed(db, 'Nobody Here'), /There is nobody called “Nobody Here”/);
  });
});
