import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { tagsOf } from '#core/gear/tags';
import { setTypeOf } from '#core/sets/catalogue';
import { keptAs } from '#core/sets/fills';
import { habitsOf } from '#core/sets/habits';
import { numberFor } from '#core/sets/numbering';

/** Names and numbers that are given, and what goes along to another place. */

describe('tags of several devices at once', () => {
  it('one, or a row of them with the zeros of the first', () => {
    assert.deepEqual(tagsOf('K-01'), { ok: true, tags: ['K-01'] });
    assert.deepEqual(tagsOf('K-09 to K-12'), { ok: true, tags: ['K-09', 'K-10', 'K-11', 'K-12'] });
    assert.deepEqual(tagsOf('7–9'), { ok: true, tags: ['7', '8', '9'] });
    assert.deepEqual(tagsOf('left wall'), { ok: true, tags: ['left wall'] });
  });
  const refused: [string, RegExp][] = [
    ['', /for example K-01; several at once as K-01 to K-12/],
    ['K-05 to K-02', /has to come after 05/],
    ['K-01 to M-05', /begins with two names/],
    ['K-1 to K-500', /At most 100 at once; that would be 500/],
  ];
  for (const [text, says] of refused)
    it(`“${text}” is refused in words`, () => {
      const found = tagsOf(text);
      assert.match(found.ok ? '' : found.sentence, says);
    });
  it('are as many as were counted, and all different', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 1, max: 99 }), (from, more) => {
        const found = tagsOf(`T${from} to T${from + more}`);
        return found.ok && found.tags.length === more + 1 && new Set(found.tags).size === more + 1;
      }),
    ));
});

describe('one number for a set and its station (F73)', () => {
  it('is the station’s, and the next that nobody carries where that place has a set', () => {
    assert.equal(numberFor(27, [1, 2], [27, 30]), 27);
    assert.equal(numberFor(27, [27, 3], [27, 30]), 31);
  });
  it('is never one that a set carries', () =>
    fc.assert(
      fc.property(
        fc.nat(50),
        fc.array(fc.nat(50)),
        fc.array(fc.nat(50)),
        (station, sets, stations) => !sets.includes(numberFor(station, sets, stations)),
      ),
    ));
});

describe('what goes along from the last set of a type (F68)', () => {
  const type = setTypeOf('bank-den-run');
  const setting = {
    ...{ id: 'a', at: '2026-11-20T12:00:00Z', noted: undefined },
    numbers: { depth: 0.5, width: 0.4, tie: 1.5, driven: 0.6, frameOverBed: 0.03 },
    choices: { anchorAs: 'stake', bottom: 'firm', notch: 'light' },
  };
  it('is how it is built; what it stands in and what it is tied to stay where they are', () => {
    const { numbers, choices } = habitsOf(type, setting);
    assert.deepEqual(numbers, { tie: 1.5, frameOverBed: 0.03 });
    assert.deepEqual(choices, { notch: 'light' });
  });
});

describe('a number that is kept at its place', () => {
  const { numbers } = setTypeOf('bank-den-run');
  it('is kept as the measure that its kind of place asks for, else as the first it may be', () => {
    assert.equal(keptAs(numbers.width ?? {}, 'run'), 'widthBed');
    assert.equal(keptAs({ from: ['toeDepth', 'depth'] }, 'run'), 'depth');
    assert.equal(keptAs({ from: ['toeDepth'] }, 'run'), 'toeDepth');
  });
  it('is none of the place’s where nothing measures it there', () => assert.equal(keptAs(numbers.tie ?? {}, 'run'), null));
});
