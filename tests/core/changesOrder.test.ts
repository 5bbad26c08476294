import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { changesOf } from '#core/record/changes';
import type { TrapSet } from '#core/record/kinds';
import { v7 as newId } from 'uuid';

const stays = ['outer', 'inner', 'third'].map((position) => ({
  ...{ id: newId(), position, device: newId(), from: '2026-11-20T08:00:00.000Z', to: null },
}));
const set = { id: newId(), name: 'east lodge run', stays } as unknown as TrapSet;

describe('what a person sees changed', () => {
  it('where the things of a list lie in it is no change; what changed of one of them is', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray(stays, { minLength: 3 }), (shuffled) => {
        const clock = { zone: 'UTC', hours: 12 } as const;
        assert.deepEqual(changesOf('set', set, { ...set, stays: shuffled }, 'us', clock), []);
        const [first] = stays;
        const moved = shuffled.map((s) => (s.id === first?.id ? { ...s, position: 'new' } : s));
        assert.deepEqual(
          changesOf('set', set, { ...set, stays: moved }, 'us', clock).map(({ from, to }) => [from, to]),
          [['outer', 'new']],
        );
      }),
    ));
});
