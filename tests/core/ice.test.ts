import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { bearing, BEARING_TABLE, firstDays, ICE_CAUTION, iceShort } from '#core/ice/bearing';
import { bearingText, iceStanding } from '#core/words/ice';
import { alphaOf, freeboard, grown, growthOf, iceAt, iceCourse, ICE_WATERS, placeFactor, thawed } from '#core/ice/growth';
import { holdsPole, newIce, safetyPole } from '#core/ice/hole';
import { hangingClearance, hangingWire, loopSpan, poleMarks, shortBy, wireToCut, type PolePlan } from '#core/ice/pole';
import { INCH, inches } from '#core/units/factors';
import type { WeatherHour } from '#core/weather/hours';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const near = (is: number, wanted: number, within: number, say = ''): void =>
  assert.ok(Math.abs(is - wanted) <= within, `${say} ${is} is not ${wanted} within ${within}`);
const frost = (celsius: number, days: number, from = 0): WeatherHour[] =>
  Array.from({ length: days * 24 }, (_, n) => ({ at: from + n * HOUR, temperature: celsius, wind: 0, from: 0, rain: 0, snow: 0 }));

describe('growth of ice (Stefan; USACE EM 1110-2-1612, from memory)', () => {
  it('100 °C·days at 2.7 give 27 cm', () => near(grown(0, 2.7, 100), 0.27, 1e-9));
  it('8½ in after seven days at −12 °C: 8.87, 9.89, 10.48 and 12.13 in by alpha', () => {
    for (const [alpha, wanted] of [
      [0.7, 8.87],
      [1.4, 9.89],
      [1.7, 10.48],
      [2.4, 12.13],
    ] as const)
      near(grown(inches(8.5), alpha, 84) / INCH, wanted, 0.005, String(alpha));
  });
  it('refuses what is negative', () => {
    assert.throws(() => grown(-1, 2, 3), RangeError);
    assert.throws(() => grown(0, 2, -3), RangeError);
  });
  it('thaw never leaves less than nothing', () => {
    assert.equal(thawed(0.02, 1, 10), 0);
    near(thawed(0.2, 0.5, 10), 0.15, 1e-9);
  });
  it('two measurements tell the alpha that grew them, whatever it was', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        (h0, alpha, fdd) => near(alphaOf(h0, grown(h0, alpha, fdd), fdd) ?? 0, alpha, 1e-6),
      ),
    ));
  it('tells no alpha of ice that did not grow, or hardly froze', () => {
    assert.equal(alphaOf(0.1, 0.09, 30), null);
    assert.equal(alphaOf(0.1, 0.2, 1), null);
  });
  it('growing in hours or at once is the same, since it adds in squares', () => {
    const course = iceCourse({ at: 0, thickness: inches(8.5) }, { low: 1.4, middle: 1.4, high: 1.4, from: 1 }, frost(-12, 7), 7 * DAY);
    near((course.at(-1)?.middle ?? 0) / INCH, 9.89, 0.01);
  });
  it('a course lies within its band, grows in frost and shrinks in thaw', () =>
    fc.assert(
      fc.property(fc.integer({ min: -25, max: 12 }), fc.double({ min: 0, max: 0.5, noNaN: true }), (celsius, start) => {
        const { low, high } = ICE_WATERS.lake;
        const course = iceCourse({ at: 0, thickness: start }, { low, middle: (low + high) / 2, high, from: 0 }, frost(celsius, 3), 3 * DAY);
        for (const p of course) assert.ok(p.low <= p.middle + 1e-9 && p.middle <= p.high + 1e-9);
        const [first, last] = [course[0]?.middle ?? 0, course.at(-1)?.middle ?? 0];
        assert.ok(celsius < 0 ? last >= first - 1e-9 : last <= first + 1e-9);
      }),
    ));
  it('a measurement corrects the water’s own growth, and its band becomes narrower than that of its class', () => {
    const hours = frost(-8, 6);
    const measured = [
      { at: 0, thickness: 0.01 },
      { at: 5 * DAY, thickness: grown(0.01, 1.9, 40) },
    ];
    const growth = growthOf('lake', measured, hours);
    near(growth.middle, 1.9, 1e-6);
    assert.equal(growth.from, 1);
    assert.ok(growth.high - growth.low < ICE_WATERS.lake.high - ICE_WATERS.lake.low);
    assert.equal(growthOf('lake', measured.slice(0, 1), hours).from, 0);
  });
  it('between two points of a course it is straight, beyond them held; of none nothing', () => {
    const course = [
      { at: 0, low: 0, middle: 0.1, high: 0.2 },
      { at: 10, low: 0.1, middle: 0.2, high: 0.3 },
    ];
    near(iceAt(course, 5)?.middle ?? 0, 0.15, 1e-9);
    near(iceAt(course, 99)?.middle ?? 0, 0.2, 1e-9);
    assert.equal(iceAt([], 1), null);
  });
  it('runs, vents, springs and inlets are thinner, by practice; what was measured there goes first', () => {
    assert.ok(placeFactor({ kind: 'run', feeds: false }, null).factor < 1);
    assert.ok(placeFactor({ kind: 'point', feeds: true }, null).factor < 1);
    assert.equal(placeFactor({ kind: 'point', feeds: false }, null).factor, 1);
    const own = placeFactor({ kind: 'point', feeds: false }, { here: 0.05, sheet: 0.1 });
    assert.deepEqual([own.factor, own.origin], [0.5, 'measured']);
  });
  it('floats with 0.083 of its thickness dry; snow presses it under', () => {
    near(freeboard(0.2), 0.0166, 1e-9);
    assert.ok(freeboard(0.1, 0.2, 300) < 0);
  });
});

describe('an opened hole (alphas are practice)', () => {
  it('84 °C·d at 1.7 would be 6.13 in; 6 °C·d under snow 0.96 in: the pole is not held', () => {
    near(grown(0, 1.7, 84) / INCH, 6.13, 0.005);
    const ice = newIce(1, 'snow', 6, 'high');
    near(ice / INCH, 0.96, 0.005);
    assert.equal(holdsPole(ice), false);
  });
  it('never becomes thicker than the sheet around it', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 400, noNaN: true }), (sheet, fdd) => {
        for (const end of ['low', 'high'] as const)
          assert.ok(newIce(sheet, 'open', fdd, end) <= sheet && newIce(sheet, 'snow', fdd, end) <= newIce(sheet, 'open', fdd, end) + 1e-12);
        assert.ok(newIce(sheet, 'open', fdd, 'low') <= newIce(sheet, 'open', fdd, 'high'));
      }),
    ));
  it('its thin end decides what it carries: 5 °C·d in an open hole are 1½ to 2.1 in, and the pole is not held', () => {
    const [thin, thick] = [newIce(1, 'open', 5, 'low'), newIce(1, 'open', 5, 'high')];
    near(thin / INCH, 1.5, 0.005);
    near(thick / INCH, 2.11, 0.005);
    assert.deepEqual([holdsPole(thin), holdsPole(thick)], [false, true]);
  });
  it('a safety pole bears on both sides of the hole', () => assert.ok(safetyPole(0.4) > 0.4 + 0.8));
});

const plan = (over: Partial<PolePlan> = {}): PolePlan => ({
  pushIn: inches(12),
  depth: inches(84),
  ice: inches(8),
  iceNext: inches(8),
  loop: inches(10),
  tiers: 3,
  overlap: inches(1),
  clearance: inches(6),
  overBed: inches(6),
  ...over,
});

describe('a snare pole', () => {
  it('push 12 in, 84 in of water, 8 in of ice: underside 88.66, loops 82.66 to 54.66, ice top 96.66 in', () => {
    const marks = poleMarks(plan());
    near(marks.underside / INCH, 88.66, 0.01);
    near((marks.loops[0]?.top ?? 0) / INCH, 82.66, 0.01);
    near((marks.loops.at(-1)?.bottom ?? 0) / INCH, 54.66, 0.01);
    near(marks.iceTop / INCH, 96.66, 0.01);
  });
  it('is refused when ice, clearances and loops want more water than there is', () => {
    assert.ok(shortBy(plan({ depth: inches(30) })) > 0);
    assert.ok(shortBy(plan()) < 0);
  });
  it('its loops never stand in the ice of the next check nor, where it fits, in the bed', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        fc.integer({ min: 1, max: 3 }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        (iceNext, tiers, depth) => {
          const p = plan({ iceNext, tiers, depth });
          const marks = poleMarks(p);
          assert.ok((marks.loops[0]?.top ?? 0) < marks.undersideNext);
          if (shortBy(p) <= 0) assert.ok((marks.loops.at(-1)?.bottom ?? 0) >= p.pushIn + p.overBed - 1e-9);
          near((marks.loops[0]?.top ?? 0) - (marks.loops.at(-1)?.bottom ?? 0), loopSpan(p), 1e-9);
        },
      ),
    ));
});

describe('a hanging trap', () => {
  it('jaws 9 in down under 8½ in of ice are frozen in within a week at −12 °C for alphas of 0.82 and more', () => {
    const after = (alpha: number): number => hangingClearance(inches(9), grown(inches(8.5), alpha, 84));
    assert.ok(after(0.8) > 0 && after(0.82) <= 0.0005 && after(1.4) < 0);
  });
  it('the wire to a lower eye is longer, and two turns of the stick are added', () => {
    near(hangingWire(inches(10), inches(2), -inches(4)), inches(16), 1e-9);
    near(wireToCut(1, 0.05, 0.2), 1.2 + 2 * Math.PI * 0.05, 1e-9);
  });
});

describe('bearing', () => {
  const told = (ice: number, white: boolean, fell: number) => bearingText(bearing(ice, white, fell), 'us');
  it('asks 4, 5, 8 and 12 in of clear ice (common agency table, from memory), of white ice double', () => {
    assert.deepEqual(
      BEARING_TABLE.map((r) => Math.round(r.clear / INCH)),
      [4, 5, 8, 12],
    );
    assert.match(told(0.1, true, 0).rows[0]?.asks ?? '', /^8 in/);
  });
  it('gives no figure at all when the water fell under the sheet', () => {
    const hollow = told(0.4, false, 0.2);
    assert.deepEqual([bearing(0.4, false, 0.2).hollow, hollow.rows.length], [true, 0]);
    assert.match(hollow.sentence, /may hang hollow .* No figure holds/);
    assert.doesNotMatch(hollow.sentence, /lb|kg/);
  });
  it('never says that ice is safe, whatever the thickness', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1.5, noNaN: true }), fc.boolean(), (ice, white) => {
        const said = JSON.stringify(bearingText(bearing(ice, white, 0), 'metric'));
        assert.doesNotMatch(said, /safe/i);
      }),
    ));
  it('names no load that a sheet would carry', () => {
    for (const ice of [0.05, 0.1, 0.3]) assert.doesNotMatch(told(ice, false, 0).sentence, /lb|kg|carr|holds/);
    assert.match(told(0.05, false, 0).sentence, /the table asks 4 in for one person on foot: 2 in short/);
    assert.match(told(0.2, true, 0).sentence, /8 in for one person on foot: .*(short|no promise)/);
  });
  it('says of standing what is short, whom to ask, and never that it can be done (F11)', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.boolean(),
        fc.option(fc.double({ min: 0, max: 0.5, noNaN: true })),
        fc.constantFrom('us' as const, 'metric' as const),
        (thin, white, fell, system) => {
          const here = { thin, white, fell };
          const said = iceStanding(here, system);
          assert.doesNotMatch(said.replace('no ice is safe', ''), /safe|can be stood|wadable|fine|holds/i);
          assert.equal(/Stay off\.$/.test(said), iceShort(here));
          if (!iceShort(here)) assert.match(said, /Ask someone who did/);
        },
      ),
    ));
  it('white ice is asked for double, and a sheet over fallen water for nothing but to stay off', () => {
    assert.equal(iceShort({ thin: 0.15, white: false, fell: 0 }), false);
    assert.equal(iceShort({ thin: 0.15, white: true, fell: 0 }), true);
    assert.equal(iceShort({ thin: 0.5, white: false, fell: 0.2 }), true);
    assert.match(iceStanding({ thin: 0.5, white: false, fell: 0.2 }, 'us'), /hang hollow\. Stay off/);
  });
  it('the caution says that none is', () => assert.match(ICE_CAUTION, /^No ice is safe/));
  it('a first day is a range between the thick and the thin end, or not at all', () => {
    const course = [0, 1, 2, 3].map((n) => ({ at: n * DAY, low: n * 0.02, high: n * 0.05 }));
    assert.deepEqual(firstDays(course, 0, 0.06), { earliest: 2 * DAY, latest: 3 * DAY });
    assert.deepEqual(firstDays(course, 0, 1), { earliest: null, latest: null });
  });
});
