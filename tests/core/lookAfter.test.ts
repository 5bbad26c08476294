import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { lookAfter } from '#core/check/lookAfter';
import { OUTCOMES, type Outcome } from '#core/record/checks';
import type { Check } from '#core/record/kinds';

const STAY = '01900000-0000-7000-8000-000000000001';
const visit = (hour: number, outcome: Outcome, change: Check['change'] = 'as it was'): Check => ({
  ...{ id: `visit ${hour}`, set: 'set', at: new Date(Date.UTC(2026, 10, 25, hour)).toISOString(), by: null, change, changeNote: '' },
  ...{ asked: null, took: null, photo: null, note: '' },
  devices: [
    {
      id: `look ${hour}`,
      stay: STAY,
      outcome,
      cause: 'not asked',
      flags: [],
      felt: 'not said',
      baitBy: 'not said',
      searched: outcome === 'not reached' ? 'flood' : '',
      catch: null,
    },
  ],
});
const after = (...visits: Check[]) =>
  visits.reduce<ReturnType<typeof lookAfter> | undefined>((look, v) => lookAfter(look, v, STAY), undefined);

describe('what is known of a device after one more visit', () => {
  it('a look is a look, and what it found spent lies spent until somebody sets it again', () => {
    assert.equal(after(visit(6, 'catch'))?.spent?.outcome, 'catch');
    assert.equal(after(visit(6, 'catch'), visit(8, 'untouched'))?.spent?.outcome, 'catch');
    assert.equal(after(visit(6, 'catch'), visit(8, 'untouched', 'remade'))?.spent, null);
  });
  it('a way there that ended before it is no look, and is over with the next one', () => {
    const missed = after(visit(6, 'untouched'), visit(8, 'not reached'));
    assert.equal(missed?.at?.getUTCHours(), 6);
    assert.equal(missed?.missed?.why, 'flood');
    assert.equal(after(visit(6, 'untouched'), visit(8, 'not reached'), visit(9, 'untouched'))?.missed, null);
  });
  it('a visit to another device of the set says nothing of this one', () => {
    const other = { ...visit(9, 'catch'), devices: [] };
    assert.deepEqual(after(visit(6, 'untouched'), other), after(visit(6, 'untouched')));
  });
  it('the last look is the latest, in whatever order visits arrive', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 23 }), { minLength: 1, maxLength: 6 }),
        fc.constantFrom(...OUTCOMES),
        (hours, outcome) => {
          const looks = hours.map((hour) => visit(hour, outcome));
          const at = after(...looks)?.at?.getUTCHours();
          assert.equal(at, outcome === 'not reached' ? undefined : Math.max(...hours));
        },
      ),
    ));
});
