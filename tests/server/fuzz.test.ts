import assert from 'node:assert/strict';
import { after, before, it } from 'node:test';
import { connect } from '#server/database';
import { replayBeside } from '#server/record/beside';
import { fuzz } from '../faults/fuzz';
import { startProgram, type Program } from '../support/server';

const REQUESTS = Number(process.env.ZAPRUD_FUZZ ?? 1000);
const SEED = Number(process.env.ZAPRUD_SEED ?? 20261201);

let program: Program;
before(async () => {
  program = await startProgram({ demo: true });
});
after(() => program.end());

it(`${REQUESTS} requests that nobody means (seed ${SEED}): each is answered in words, and the tables stay what the entries say`, async () => {
  const db = connect(program.url);
  const who = (await db('person').where({ name: 'Wren Ostby' }).first('id')) as { id: string };
  const faults = await fuzz(program, { requests: REQUESTS, seed: SEED, person: who.id });
  const { differing } = await replayBeside(db, (searchPath) => connect(program.url, searchPath));
  await db.destroy();
  assert.deepEqual(faults.slice(0, 8), [], `${faults.length} faults\n${program.output.slice(-12).join('')}`);
  assert.deepEqual(differing, []);
  assert.equal((await fetch(`${program.base}/ready`)).status, 200);
});
