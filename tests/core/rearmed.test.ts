import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { rearmed, type FoundAt } from '#core/check/rearmed';
import { CHANGES, FLAGS, OUTCOMES } from '#core/record/checks';

const at = (stay: string, outcome: string, more: Partial<FoundAt> = {}): FoundAt => ({ stay, outcome, flags: [], isSpent: false, ...more });

describe('what is armed again at a remake', () => {
  it('the trap that fired, and not the one that stood untouched or was not looked at beside it', () => {
    assert.deepEqual(rearmed([at('near', 'catch'), at('far', 'untouched'), at('third', '')], 'remade', false), ['near']);
  });
  it('all of them where the set was moved, or put lower', () => {
    const found = [at('near', 'catch'), at('far', 'untouched')];
    assert.deepEqual(rearmed(found, 'moved', false), ['near', 'far']);
    assert.deepEqual(rearmed(found, 'remade', true), ['near', 'far']);
  });
  it('one that lay sprung since an earlier look, or whose trigger was found bent', () => {
    assert.deepEqual(rearmed([at('near', 'untouched', { isSpent: true }), at('far', 'untouched')], 'remade', false), ['near']);
    assert.deepEqual(rearmed([at('near', 'untouched'), at('far', 'untouched', { flags: ['trigger bent'] })], 'remade', false), ['far']);
  });
  it('nobody remakes nothing: where all stood untouched, all are asked about', () =>
    assert.deepEqual(rearmed([at('near', 'untouched'), at('far', 'untouched')], 'remade', false), ['near', 'far']));
  it('whatever was found: a remake asks about one trap at least and about every one that fired, a look without one about none', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            stay: fc.uuid(),
            outcome: fc.constantFrom('', ...OUTCOMES),
            flags: fc.subarray([...FLAGS], { maxLength: 2 }),
            isSpent: fc.boolean(),
          }),
          { selector: (f) => f.stay, minLength: 1, maxLength: 5 },
        ),
        fc.constantFrom(...CHANGES),
        fc.boolean(),
        (found, change, isShifted) => {
          const asked = rearmed(found, change, isShifted);
          const isArmed = change === 'remade' || change === 'moved';
          assert.equal(asked.length > 0, isArmed);
          const fired = found.filter((f) => f.outcome === 'catch' || f.isSpent).map((f) => f.stay);
          if (isArmed) assert.ok(fired.every((stay) => asked.includes(stay)));
        },
      ),
    ));
});
