import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import type { Body } from '#core/record/kinds';
import { momentsOf, placed } from '#core/stations/placed';
import { inches } from '#core/units/factors';
import { levelText, offGauge, onGauge } from '#core/units/frame';
import { changeOf } from '#core/water/change';
import { elevationOf, moved, shownBy, zeroAt, type Hung } from '#core/water/gauge';
import { elevationAt, knownAt, levelAt, UNKNOWN, type Surfaces } from '#core/water/levelAt';
import { levelAtText } from '#core/water/levelText';
import { placedOpening, placedWater } from '#core/water/placed';
import type { Reading } from '#core/water/series';
import { US } from '../support/lay';

const HOUR = 3_600_000;
const ID = '00000000-0000-7000-8000-000000000001';
const T0 = Date.parse('2026-11-20T12:00:00Z');
const read = (hours: number, level: number, bound: Reading['bound'] = 'exact'): Reading => ({
  at: new Date(T0 + hours * HOUR),
  level,
  bound,
});
const at = (hours: number): Date => new Date(T0 + hours * HOUR);
const iso = (hours: number): string => at(hours).toISOString();
const near = (a: number | null | undefined, b: number) =>
  assert.ok(a !== null && a !== undefined && Math.abs(a - b) < 1e-9, `${a} is not ${b}`);
/** Readings in any order, at different hours. */
const series = fc
  .uniqueArray(fc.integer({ min: -400, max: 400 }), { minLength: 1, maxLength: 12 })
  .chain((hours) => fc.tuple(...hours.map((h) => fc.double({ min: -1, max: 3, noNaN: true }).map((l) => read(h, l)))));

describe('the level at an instant', () => {
  it('is what was read, at the minute of a reading', () =>
    fc.assert(
      fc.property(series, (readings) =>
        readings.every((r) => {
          const found = levelAt(readings, r.at);
          return found.how === 'read' && found.level === r.level;
        }),
      ),
    ));
  it('lies between two readings, never outside them, and names both', () =>
    fc.assert(
      fc.property(series, fc.integer({ min: -450, max: 450 }), (readings, h) => {
        const found = levelAt(readings, at(h + 0.5));
        if (found.how !== 'between') return true;
        const { before, after, level } = found;
        const [low, high] = [Math.min(before.level, after.level), Math.max(before.level, after.level)];
        return before.at < at(h + 0.5) && after.at > at(h + 0.5) && level >= low - 1e-12 && level <= high + 1e-12;
      }),
    ));
  it('is the same whatever else is in hand: only the readings beside it count', () =>
    fc.assert(
      fc.property(series, fc.integer({ min: -450, max: 450 }), (readings, h) => {
        const when = at(h + 0.5);
        const sorted = [...readings].sort((a, b) => Number(a.at) - Number(b.at));
        const before = sorted.filter((r) => r.at <= when).slice(-1);
        const after = sorted.filter((r) => r.at > when).slice(0, 1);
        return elevationAt(readings, when) === elevationAt([...before, ...after], when);
      }),
    ));
  it('is unknown before the first reading, and no reading is made up', () => {
    assert.deepEqual(levelAt([read(0, 1)], at(-1)), UNKNOWN);
    assert.deepEqual(levelAt([], at(0)), UNKNOWN);
    assert.equal(elevationAt([], at(0)), null);
  });
  it('in a gap of over two days is carried from the reading before, with its age', () => {
    const found = levelAt([read(0, 1), read(60, 2)], at(50));
    assert.ok(found.how === 'carried' && found.level === 1 && found.age === 50 * HOUR);
    const close = levelAt([read(0, 1), read(48, 2)], at(24));
    assert.ok(close.how === 'between' && Math.abs(close.level - 1.5) < 1e-12);
  });
  it('of two readings in one minute is the one entered later', () => near(elevationAt([read(0, 1), read(0, 2)], at(0)), 2));
  it('is told as it is known: read, between two that are named, carried with its age, or not at all', () => {
    const frame = { ...US, zero: { pond: inches(2), tail: 0 } };
    const say = (readings: Reading[], h: number): string => levelAtText(levelAt(readings, at(h)), frame, 'pond', at(60));
    assert.equal(say([read(0, inches(26))], 0), 'gauge 24 in');
    assert.match(say([read(0, inches(26)), read(24, inches(38))], 12), /^gauge about 30 in, on the line from 24 in \(.*\) to 36 in \(/);
    assert.equal(say([read(0, inches(26))], 5), 'gauge 24 in, read 5 h before');
    assert.match(say([read(0, inches(26)), read(2, inches(20), 'atMost')], 5), /^gauge at most 18 in/);
    assert.equal(say([], 5), 'no level was read then');
  });
});

describe('what the last readings say of a change', () => {
  it('is from one reading to another, six hours apart at least', () => {
    assert.equal(changeOf([read(0, 1)], at(5)), null);
    assert.equal(changeOf([read(0, 1), read(3, 2)], at(5)), null);
    const change = changeOf([read(0, 1), read(10, 1.5), read(14, 2)], at(20));
    assert.deepEqual([change?.from.level, change?.to.level], [1, 2]);
  });
  it('looks at nothing that was read later', () => assert.equal(changeOf([read(0, 1), read(10, 2)], at(9)), null));
});

describe('a gauge', () => {
  const board: Hung = { zero: inches(3), earlier: [{ until: iso(0), zero: inches(1) }] };
  it('shows from the zero that held then', () => {
    near(zeroAt(board, T0 - HOUR), inches(1));
    near(zeroAt(board, T0), inches(3));
    near(elevationOf(board, inches(20), T0 - HOUR), inches(21));
    near(shownBy(board, inches(21), T0 + HOUR), inches(18));
    near(elevationOf(undefined, 1, T0), 1);
  });
  it('there and back is the same, at any time', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 5, noNaN: true }),
        fc.integer({ min: -100, max: 100 }),
        (level, h) => Math.abs(shownBy(board, elevationOf(board, level, T0 + h * HOUR), T0 + h * HOUR) - level) < 1e-12,
      ),
    ));
  it('moved, the water standing still: what was read before stays where it was, what is read since is shifted', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 2, noNaN: true }),
        fc.double({ min: -1, max: 2, noNaN: true }),
        fc.integer({ min: -50, max: 50 }),
        (before, after, h) => {
          const when = at(h);
          const now = moved(board, when, before, after);
          const still = elevationOf(board, before, when.getTime() - 1) - elevationOf(now, after, when.getTime());
          const past = zeroAt(now, when.getTime() - HOUR) - zeroAt(board, when.getTime() - HOUR);
          return (h === 0 || Math.abs(still) < 1e-9) && Math.abs(past) < 1e-9;
        },
      ),
    ));
});

describe('a frame', () => {
  const frame = { ...US, zero: { pond: inches(10), tail: inches(-4) } };
  it('prints a level as its own gauge shows it, and reads it back', () => {
    assert.equal(levelText(inches(41), frame), '31 in');
    assert.equal(levelText(inches(41), frame, 'tail'), '45 in');
    assert.equal(levelText(inches(6), frame, 'sheet'), '6 in', 'ice has no gauge');
    near(offGauge(onGauge(1.23, frame), frame), 1.23);
  });
});

/** Surfaces of one gauge whose readings and zero can be changed. */
const surfacesOf = (readings: Reading[], zero = 0): Surfaces => ({
  at: (_, surface, when) => (surface === 'pond' ? levelAt(readings, new Date(when)) : UNKNOWN),
  elevation: (_, __, ___, shown) => shown + zero,
});

describe('what was measured from a surface', () => {
  const station: Body<'station'> = {
    id: ID,
    water: ID,
    number: 1,
    name: 'run',
    kind: 'run',
    surface: 'pond',
    along: 0,
    lat: null,
    lon: null,
    parent: null,
    bed: { depth: inches(20), at: iso(0) },
    crest: { height: inches(40), at: iso(0) },
    measures: [{ what: 'depth', value: inches(20), at: iso(1) }],
    lies: [],
    photo: null,
    across: { points: [], at: iso(2) },
    note: '',
  };
  it('follows a corrected reading by just what was wrong', () =>
    fc.assert(
      fc.property(fc.double({ min: -1, max: 1, noNaN: true }), (wrong) => {
        const right = placed(station, surfacesOf([read(0, 1)]));
        const was = placed(station, surfacesOf([read(0, 1 + wrong)]));
        return Math.abs((was.bed?.level ?? NaN) - (right.bed?.level ?? NaN) - wrong) < 1e-9 && was.crest === right.crest;
      }),
    ));
  it('follows a corrected zero, its crest too', () => {
    near(placed(station, surfacesOf([read(0, 1)], 0.2)).crest, inches(40) + 0.2);
  });
  it('lies nowhere while no level is known, and keeps what was sounded', () => {
    const lost = placed(station, surfacesOf([]));
    assert.equal(lost.bed, null);
    near(lost.sounded?.depth, inches(20));
    assert.equal(lost.across?.level, null);
    const noted = { ...station, bed: { depth: inches(20), at: iso(0), noted: 0.8 } };
    near(placed(noted, surfacesOf([], 0.1)).bed?.level, 0.9);
  });
  it('asks for the moments it rests on', () => assert.deepEqual(momentsOf(station), [iso(0), iso(1), iso(2)]));
  it('is known on the surfaces that were read only', () => assert.deepEqual(knownAt(surfacesOf([read(0, 1)]), ID, at(0)), { pond: 1 }));
  it('a water’s own levels and the sill of a break hang on the gauge as it hung when they were read off', () => {
    const water = placedWater(
      {
        id: ID,
        safe: { level: inches(30), at: iso(0), what: 'Bed drain' },
        areas: [{ level: 1, at: iso(0), area: 4000 }],
        pipes: [{ sill: 0.5, at: iso(0), diameter: 0.2, plugged: 0 }],
      } as unknown as Body<'water'>,
      surfacesOf([], 0.1),
    );
    near(water.safe?.level, inches(30) + 0.1);
    near(water.areas[0]?.level, 1.1);
    near(water.pipes[0]?.sill, 0.6);
  });
  it('a break stands as it was last seen until then, its first state before that', () => {
    const state = (h: number, width: number) => ({ id: ID, at: iso(h), width, sill: 0.4 });
    const opening = { id: ID, water: ID, opened: iso(0), states: [state(5, 0.6), state(0, 0.3)] } as unknown as Body<'opening'>;
    near(placedOpening(opening, surfacesOf([], 0.1), at(-3)).width, 0.3);
    near(placedOpening(opening, surfacesOf([], 0.1), at(4)).width, 0.3);
    near(placedOpening(opening, surfacesOf([], 0.1), at(6)).width, 0.6);
    near(placedOpening(opening, surfacesOf([], 0.1), at(6)).sill, 0.5);
    const board: Hung = { zero: inches(3), earlier: [{ until: iso(4), zero: inches(1) }] };
    const hung: Surfaces = { ...surfacesOf([]), elevation: (_, __, when, shown) => elevationOf(board, shown, new Date(when).getTime()) };
    near(placedOpening(opening, hung, at(4)).sill, 0.4 + inches(1));
    near(placedOpening(opening, hung, at(6)).sill, 0.4 + inches(3));
    assert.throws(() => placedOpening({ ...opening, states: [] }, surfacesOf([]), at(0)), RangeError);
  });
});
