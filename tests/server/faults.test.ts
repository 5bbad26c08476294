import assert from 'node:assert/strict';
import { it } from 'node:test';
import { rig } from '../faults/rig';

const FAULTS = Number(process.env.ZAPRUD_FAULTS ?? 100);
const SEED = Number(process.env.ZAPRUD_SEED ?? 20261201);

it(`${FAULTS} faults under a stream of what devices send (seed ${SEED}): nothing that was acknowledged is lost, nothing doubled`, async (t) => {
  const { wrong, stumbled, ...told } = await rig({ faults: FAULTS, seed: SEED });
  t.diagnostic(JSON.stringify(told));
  assert.deepEqual(wrong.slice(0, 10), [], `${wrong.length} things wrong\n${stumbled.slice(-6).join('\n')}`);
  assert.ok(told.forms > 20, `${told.forms} forms`);
});
