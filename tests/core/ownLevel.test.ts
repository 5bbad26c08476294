import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { seenAsLevel } from '#core/check/seenAsLevel';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { stateOf, statesOf, usualDevices } from '#core/sets/standing';
import { followsOf } from '#core/stations/relation';
import { inches } from '#core/units/factors';
import { bandNear, levelBands } from '#core/water/band';
import { axisOf } from '#core/water/layout';
import { surfaceAt, type Follows } from '#core/water/ownLevel';
import { US, layFrom } from '../support/lay';

const near = (a: number, b: number, within = 1e-9) => assert.ok(Math.abs(a - b) <= within, `${a} is not ${b}`);
const lay = (id: string, follows: Follows | null, numbers: Record<string, number> = {}, pond = 0.5) => {
  const type = setTypeOf(id);
  return layFrom(
    type,
    { numbers, choices: {}, pond, tail: null },
    { kind: 'run', surface: 'pond', bed: -0.2, follows },
    usualDevices(type),
    'us',
  );
};
const water = (pond: number) => ({ known: { pond }, age: { pond: 0 }, atMost: {} });
const anyFollows = fc.record({ k: fc.double({ min: -0.5, max: 0.5, noNaN: true }), slope: fc.double({ min: 0.2, max: 2, noNaN: true }) });

describe('a set at a place with its own relation to the gauge', () => {
  it('half an inch for an inch: its band is twice as wide on the gauge', () => {
    const type = 'castor-foothold';
    const width = (follows: Follows | null) => {
      const layout = lay(type, follows, { panUnder: inches(4) });
      const band = bandNear(levelBands(layout.needs, layout.parts, axisOf(layout, 'trap'), {}) ?? [], 0.5);
      return band ? band.max - band.min : NaN;
    };
    near(width({ k: 0.2, slope: 0.5 }) / width(null), 2);
  });
  it('stands the same at the gauge’s level L as without a relation at the level of its own surface', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...CATALOGUE.map((t) => t.id).filter((id) => id !== 'dam-crossover-face')),
        anyFollows,
        fc.double({ min: -0.5, max: 1.5, noNaN: true }),
        (id, follows, level) => {
          const own = surfaceAt(follows, level);
          const plain = layFrom(
            setTypeOf(id),
            { numbers: {}, choices: {}, pond: surfaceAt(follows, 0.5), tail: null },
            { kind: 'run', surface: 'pond', bed: -0.2 },
            usualDevices(setTypeOf(id)),
            'us',
          );
          const through = statesOf({ layout: lay(id, follows), devices: [] }, water(level), US).map((s) =>
            s.verdict === 'nearEdge' ? 'fine' : s.verdict,
          );
          const direct = statesOf({ layout: plain, devices: [] }, water(own), US).map((s) =>
            s.verdict === 'nearEdge' ? 'fine' : s.verdict,
          );
          const edge = statesOf({ layout: plain, devices: [] }, water(own), US).some((s) => s.spare !== null && Math.abs(s.spare) < 1e-6);
          assert.ok(edge || JSON.stringify(through) === JSON.stringify(direct), `${through.join()} is not ${direct.join()}`);
        },
      ),
    ));
  it('as a gauge it tells the gauge’s level, not its own surface', () => {
    const follows = { k: 0.1, slope: 0.5 };
    const layout = lay('castor-foothold', follows, { panUnder: inches(4) });
    const seen = seenAsLevel('pan 4 in under', { layout, device: 'trap', known: {} }, 'in');
    assert.ok(seen.ok);
    near(seen.level, 0.5);
    const lower = seenAsLevel('pan 2 in under', { layout, device: 'trap', known: {} }, 'in');
    assert.ok(lower.ok);
    near(lower.level, 0.5 - inches(4));
  });
  it('keeps the axis that judges it', () => assert.equal(axisOf(lay('float', { k: 0.1, slope: 0.7 }), 'left'), 'pond'));
  it('a pond that rises still drowns it', () => {
    const layout = lay('castor-foothold', { k: 0, slope: 0.5 }, { panUnder: inches(4) });
    assert.equal(stateOf({ layout, devices: [] }, water(1.5), US)?.verdict, 'tooDeep');
  });
});

describe('what a station’s own readings say of its surface', () => {
  const bed = { depth: inches(22), level: inches(19) };
  it('nothing with one reading', () => assert.equal(followsOf(bed, []), null));
  it('nothing without a bed', () => assert.equal(followsOf(null, [bed, { depth: 1, level: 1 }]), null));
  it('by two: the surface lies the depth over the bed, at both levels', () => {
    const follows = followsOf(bed, [{ depth: inches(27), level: inches(29) }]);
    assert.ok(follows);
    const z = bed.level - bed.depth;
    near(surfaceAt(follows, inches(19)) - z, inches(22));
    near(surfaceAt(follows, inches(29)) - z, inches(27));
  });
});
