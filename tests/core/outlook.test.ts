import { NO_REMEDY, remedySays } from '#core/water/remedy';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import type { Courses } from '#core/water/pondForecast';
import { bestShift, outlookText, shareInBand } from '#core/water/outlook';
import { INCH, inches } from '#core/units/factors';

/** A level that falls evenly, an inch an hour; the low course a fifth faster, the high one slower. */
const falling = (perHour: number) => Array.from({ length: 49 }, (_, h) => ({ at: h * 3600, level: inches(40 - perHour * h), out: 0 }));
const COURSES: Courses = { low: falling(1.2), middle: falling(1), high: falling(0.8) };
const HOUR = 3600;
const band = (min: number, max: number) => ({ min: inches(min), max: inches(max) });
const asked = (over: object = {}) => ({
  courses: COURSES,
  band: band(36, 42),
  now: 0,
  check: 6 * HOUR,
  after: 10 * HOUR,
  then: { min: 'dry', max: 'too deep' },
  say: { down: 'Lower it', up: 'Raise it' },
  room: null,
  clock: (s: number) => `${Math.floor(s / HOUR)}:${String(Math.round((s % HOUR) / 60)).padStart(2, '0')}`,
  ...over,
});

describe('what the forecast says of a set', () => {
  it('until when it is fine, with its range, and what then', () => {
    const { sentence } = outlookText(asked(), 'us');
    assert.equal(sentence, 'Works until about 4:00 (3:20 to 5:00), then dry.');
  });
  it('the change at the check that keeps it in until the one after, in quarter inches', () => {
    // on the middle course from 34 in at the check to 30 in at the one after
    const { by, share } = bestShift(COURSES, band(36, 42), { from: 6 * HOUR, to: 10 * HOUR, room: null });
    assert.equal(share, 1);
    assert.ok(by <= -inches(6) + 1e-9 && by >= -inches(8) - 1e-9, String(by / INCH));
    assert.ok(Math.abs(by / (INCH / 4) - Math.round(by / (INCH / 4))) < 1e-9);
    const { remedy } = outlookText(asked(), 'us');
    assert.match(remedySays(remedy), /^Lower it [678][¼½¾]? in\. Then it should work until 10:00\.$/);
    assert.ok(Math.abs(remedy.by - by) < 1e-9);
  });
  it('of those that do, the one that suits the low and the high course as well', () => {
    const { by } = bestShift(COURSES, band(36, 42), { from: 6 * HOUR, to: 10 * HOUR, room: null });
    const sides = (shift: number): number =>
      [COURSES.low, COURSES.high].reduce(
        (sum, c) => sum + shareInBand(c, { min: inches(36) + shift, max: inches(42) + shift }, 6 * HOUR, 10 * HOUR),
        0,
      );
    for (const other of [-6, -6.5, -7, -7.5, -8]) assert.ok(sides(by) >= sides(inches(other)) - 1e-9, String(other));
  });
  it('goes up no farther than what is over it (F95)', () => {
    const still: Courses = { low: falling(0), middle: falling(0), high: falling(0) };
    const free = bestShift(still, band(30, 34), { from: 0, to: 10 * HOUR, room: null });
    const roofed = bestShift(still, band(30, 34), { from: 0, to: 10 * HOUR, room: null, above: inches(2) });
    assert.ok(free.by > inches(2) && roofed.by <= inches(2) + 1e-9, `${free.by} ${roofed.by}`);
  });
  it('stays within the room there is under it, and says how much of the time it then holds', () => {
    const { by, share } = bestShift(COURSES, band(36, 42), { from: 3 * HOUR, to: 12 * HOUR, room: inches(1) });
    assert.ok(by >= -inches(1) - 1e-9 && share > 0 && share < 1);
    assert.match(outlookText(asked({ check: 3 * HOUR, after: 12 * HOUR, room: inches(1) }), 'us').remedy.then, /% of the time until 12:00/);
  });
  it('says so when no change helps: the bed is too near', () =>
    assert.deepEqual(outlookText(asked({ band: band(39, 45), room: inches(1) }), 'us').remedy, {
      order: 'Move it to another depth',
      then: 'No adjustment lasts until 10:00.',
      by: 0,
    }));
  it('nothing is to be done when it stays', () => {
    assert.deepEqual(outlookText(asked({ band: band(20, 60) }), 'us'), {
      certain: true,
      sentence: 'Should work until the check at 6:00.',
      remedy: NO_REMEDY,
    });
  });
  it('of a set that is out already only the way back is told', () => {
    const said = outlookText(asked({ band: band(41, 45) }), 'us');
    assert.equal(said.sentence, '');
    assert.match(said.remedy.order, /^Lower it .* in$/);
  });
  it('where nothing can be moved at the water nothing is ordered', () =>
    assert.equal(outlookText(asked({ say: null }), 'us').remedy, NO_REMEDY));
  it('perhaps, when only the faster course leaves the band', () =>
    assert.match(
      outlookText(asked({ band: band(33.5, 42), check: 6 * HOUR }), 'us').sentence,
      /^Likely keeps working; at the earliest 5:25: dry\.$/,
    ));
});

describe('the best change', () => {
  it('is never worse than none, whatever the band', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 45, noNaN: true }),
        fc.double({ min: 0.5, max: 10, noNaN: true }),
        fc.integer({ min: 1, max: 24 }),
        (low, width, hours) => {
          const own = band(low, low + width);
          const { by, share } = bestShift(COURSES, own, { from: 0, to: hours * HOUR, room: null });
          assert.ok(share >= shareInBand(COURSES.middle, own, 0, hours * HOUR) - 1e-9);
          assert.ok(Math.abs(share - shareInBand(COURSES.middle, { min: own.min + by, max: own.max + by }, 0, hours * HOUR)) < 1e-9);
        },
      ),
    ));
});
