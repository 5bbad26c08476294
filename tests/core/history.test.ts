import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import type { TrapSet } from '#core/record/kinds';
import { bandIn, designAt, stretchesOf } from '#core/sets/history';
import { devicesAt, justBefore, laidAt, settingAt, thenOf, type Ground } from '#core/sets/standing';
import type { Station } from '#core/stations/placed';
import { inches } from '#core/units/factors';
import { heightAt } from '#core/water/need';
import { levelAt, UNKNOWN, type Surfaces } from '#core/water/levelAt';
import type { Reading } from '#core/water/series';

const ID = (n: number): string => `00000000-0000-7000-8000-00000000000${n}`;
const HOUR = 3_600_000;
const T0 = Date.parse('2026-11-20T12:00:00Z');
const at = (hours: number): Date => new Date(T0 + hours * HOUR);
const iso = (hours: number): string => at(hours).toISOString();
const READINGS: Reading[] = [
  { at: at(0), level: inches(40), bound: 'exact' },
  { at: at(24), level: inches(34), bound: 'exact' },
  { at: at(48), level: inches(30), bound: 'exact' },
];
const surfaces: Surfaces = {
  at: (_, s, when) => (s === 'pond' ? levelAt(READINGS, new Date(when)) : UNKNOWN),
  elevation: (_, __, ___, shown) => shown,
};
const station = {
  id: ID(1),
  water: ID(2),
  kind: 'run',
  surface: 'pond',
  bed: null,
  measures: [],
  across: null,
  crest: null,
} as unknown as Station;
const ground: Ground = {
  station,
  follows: null,
  surfaces,
  shed: { [ID(3)]: { class: 'bodyGrip', size: '330' }, [ID(4)]: { class: 'bodyGrip', size: '220' } },
};
const setting = (n: number, hours: number, topUnder: number) => ({
  id: ID(n),
  at: iso(hours),
  numbers: { topUnder: inches(topUnder) },
  choices: {},
});
/** Placed 3 in under at 40 in, remade 9 in under two days later. */
const set = {
  id: ID(5),
  type: 'lodge-run',
  station: ID(1),
  settings: [setting(6, 0, 3), setting(7, 48, 9)],
  stays: [
    { id: ID(8), position: 'inner', device: ID(4), from: iso(0), to: null },
    { id: ID(9), position: 'outer', device: ID(3), from: iso(0), to: iso(60) },
  ],
} as unknown as TrapSet;
const depthAt = (when: Date, level: number): number => {
  const design = designAt(set, when, ground, 'us');
  const need = design.needs.find((n) => n.device === 'outer' && !('share' in n.of) && n.from === 'pond');
  assert.ok(need);
  return -(heightAt(need, design.parts, { pond: inches(level) }) ?? NaN) / inches(1);
};

describe('how a set stood at any moment', () => {
  it('is by the setting that was true then: what a check changed begins with it, and is not what it found', () => {
    assert.equal(settingAt(set, at(10)).id, ID(6));
    assert.equal(settingAt(set, at(48)).id, ID(7));
    assert.equal(settingAt(set, justBefore(at(48))).id, ID(6));
    assert.equal(settingAt(set, at(-5)).id, ID(6), 'before the first the first');
    assert.throws(() => settingAt({ settings: [] }, at(0)), RangeError);
  });
  it('settings entered out of their order are read in the order of time', () =>
    assert.equal(settingAt({ settings: [...set.settings].reverse() }, at(10)).id, ID(6)));
  it('is measured from the levels of that moment', () => {
    assert.deepEqual(laidAt(set, at(10), ground).then, { pond: inches(40) });
    assert.deepEqual(laidAt(set, at(50), ground).then, { pond: inches(30) });
    const noted = { ...setting(6, -24, 3), noted: { pond: inches(38), tail: inches(9) } };
    assert.deepEqual(thenOf(noted, station, { ...surfaces, elevation: (_, __, ___, shown) => shown + 0.1 }), {
      pond: inches(38) + 0.1,
      tail: inches(9) + 0.1,
    });
  });
  it('gives the depth of the trap by the placing, as the water falls, and by the remake after', () => {
    assert.ok(Math.abs(depthAt(at(10), 40) - 3) < 1e-6);
    assert.ok(Math.abs(depthAt(justBefore(at(48)), 30) + 7) < 1e-6, 'seven inches dry when it was found');
    assert.ok(Math.abs(depthAt(at(48), 30) - 9) < 1e-6);
  });
  it('knows the devices that stood in it, in the order of its type', () => {
    assert.deepEqual(Object.keys(devicesAt(set, at(10), ground.shed)), ['outer', 'inner']);
    assert.deepEqual(Object.keys(devicesAt(set, at(70), ground.shed)), ['inner']);
    assert.deepEqual(Object.keys(devicesAt({ ...set, stays: [] }, at(0), ground.shed)), ['outer'], 'the usual one where none stands');
    assert.deepEqual(devicesAt(set, at(10), {}), devicesAt({ ...set, stays: [] }, at(0), {}), 'a device that is in no shed');
  });
});

describe('the stretches between its changes', () => {
  it('are as many as its settings, and meet without a gap', () => {
    const found = stretchesOf(set, at(0), at(72), ground);
    assert.deepEqual(
      found.map((s) => [s.from, s.to]),
      [
        [at(0), at(48)],
        [at(48), at(72)],
      ],
    );
  });
  it('cover every time asked for, wherever it begins and ends', () =>
    fc.assert(
      fc.property(fc.integer({ min: -100, max: 100 }), fc.integer({ min: 0, max: 100 }), (from, long) => {
        const found = stretchesOf(set, at(from), at(from + long), ground);
        const covered = found.reduce((sum, s) => sum + (s.to.getTime() - s.from.getTime()), 0);
        return covered === long * HOUR && found.every((s, i) => i === 0 || s.from.getTime() === found[i - 1]?.to.getTime());
      }),
    ));
  it('each have the band of the setting that was true then', () => {
    const [first, second] = stretchesOf(set, at(0), at(72), ground);
    assert.ok(first && second);
    const [before, after] = [bandIn(set, first, 'outer', {}), bandIn(set, second, 'outer', {})];
    assert.equal(before.axis, 'pond');
    assert.ok(Math.abs((before.band?.min ?? 0) - (after.band?.min ?? 0) - inches(16)) < 1e-9, 'placed at 37 in, remade to 21 in');
    assert.equal(bandIn(set, first, 'no such device', {}).band, null);
  });
});
