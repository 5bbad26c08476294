import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { currentOnTrigger, currentText, drag, FIRING_FORCE } from '#core/devices/trigger';
import { afterNight, TURNED, type Counted } from '#core/morning/afterNight';
import { standingAhead, type Ahead } from '#core/stations/standingAhead';
import { wadingText } from '#core/words/wading';
import { inches } from '#core/units/factors';
import { leavesBy, largestBreak, smallestBreak, type BreakPlan } from '#core/water/breakDesign';
import { pondCourse, levelOn } from '#core/water/balance';
import { criticalSpeed } from '#core/water/outflow';
import { outlookText, stoneText } from '#core/water/outlook';
import type { Courses } from '#core/water/pondForecast';

const HOUR = 3600;
const line = (from: number, perHour: number, hours = 48) =>
  Array.from({ length: hours + 1 }, (_, h) => ({ at: h * HOUR, level: inches(from + perHour * h), out: 0 }));
const courses = (perHour: number, from = 40): Courses => ({
  low: line(from, perHour * 0.8),
  middle: line(from, perHour),
  high: line(from, perHour * 1.2),
});
const clock = (s: number): string => `${Math.floor(s / HOUR)} h`;

describe('current on a trigger (sizes and forces are practice)', () => {
  it('drag grows with the square of the speed (any handbook of fluid mechanics)', () =>
    assert.ok(Math.abs(drag(1, 2) / drag(1, 1) - 4) < 1e-9));
  it('on a mat it grows with the head: 8 to 12 in make it half as large again', () => {
    const at = (head: number): number => drag(0.01, criticalSpeed({ kind: 'rectangle', width: 1 }, inches(head)));
    assert.ok(Math.abs(at(12) / at(8) - 1.5) < 1e-9);
  });
  it('in a break under 16 in of head a light notch fires with a mat, a firm one holds clean', () => {
    const speed = criticalSpeed({ kind: 'rectangle', width: 1 }, 0.4);
    assert.equal(currentOnTrigger(speed, inches(10), 'light').verdict, 'holdsClean');
    assert.equal(currentOnTrigger(speed, inches(10), 'firm').verdict, 'holds');
    assert.equal(currentOnTrigger(3, inches(10), 'light').verdict, 'fires');
  });
  it('never holds better in faster water, nor on a lighter notch', () => {
    const rank = { holds: 0, holdsClean: 1, fires: 2 };
    fc.assert(
      fc.property(fc.double({ min: 0, max: 4, noNaN: true }), fc.double({ min: 0, max: 4, noNaN: true }), (a, b) => {
        const of = (v: number, notch: string): number => rank[currentOnTrigger(v, 0.25, notch).verdict];
        assert.ok(of(Math.max(a, b), 'middle') >= of(Math.min(a, b), 'middle'));
        assert.ok(of(a, 'light') >= of(a, 'middle') && of(a, 'middle') >= of(a, 'firm'));
      }),
    );
  });
  it('each verdict is a sentence with its figures, an unknown notch the middle one', () => {
    for (const speed of [0.2, 1.3, 4])
      assert.match(
        currentText(currentOnTrigger(speed, 0.25, 'middle'), speed, 'us'),
        /ft\/s: leaves pull .* lb; fires at 1.1 lb \(rule of thumb\)/,
      );
    assert.match(currentText(currentOnTrigger(1, 0.25, 'middle'), 1, 'metric'), /m\/s: leaves pull .* N; fires at 5.0 N/);
    assert.equal(currentOnTrigger(1, 0.25, 'odd').firing, FIRING_FORCE.middle);
  });
});

describe('what a set answers', () => {
  const asked = (over: object = {}) => ({
    courses: courses(1),
    band: { min: inches(30), max: inches(44) },
    now: 0,
    check: 12 * HOUR,
    after: 30 * HOUR,
    then: { min: 'dry', max: 'too deep' },
    say: { down: 'Set it', up: 'Raise it' },
    room: null,
    clock,
    ...over,
  });
  it('a rise is told by what it is over its upper end, a fall by its lower', () => {
    assert.match(outlookText(asked(), 'us').sentence, /Works until about 4 h.*, then too deep/);
    assert.match(outlookText(asked({ courses: courses(-3) }), 'us').sentence, /, then dry/);
  });
  it('leaves a band at the level of the end it leaves by', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }).filter((s) => Math.abs(s) > 0.05),
        (perHour) => {
          const band = { min: inches(35), max: inches(45) };
          const course = line(40, perHour, 200);
          const left = leavesBy(course, band);
          assert.ok(left);
          assert.equal(left.edge, perHour < 0 ? 'min' : 'max');
          assert.ok(Math.abs(levelOn(course, left.at) - band[left.edge]) < 1e-6);
        },
      ),
    ));
  it('with a stone under it: taken out, thinner, dug, or another one', () => {
    assert.equal(stoneText(-inches(2), inches(2), 'us'), ' (take the stone out)');
    assert.equal(stoneText(-inches(1), inches(2), 'us'), ' (a stone 1 in thinner)');
    assert.equal(stoneText(-inches(3), inches(2), 'us'), ' (take the 2 in stone out and dig 1 in)');
    assert.equal(stoneText(inches(1), inches(2), 'us'), ' (another flat stone under it)');
    assert.equal(stoneText(-inches(3), 0, 'us'), '');
  });
});

describe('can I stand there', () => {
  const at = (perHour: number, from = 40, knee = inches(20)) =>
    standingAhead({ bed: inches(10), sink: inches(3) }, { waders: inches(46), knee, own: true }, courses(perHour, from), {
      ...{ now: 0, check: 12 * HOUR },
    });
  const said = (ahead: Ahead): string => wadingText(ahead, clock, 'us').sentence;
  it('30 in of water and 3 of sink leave more than 6 in of 46: now and at the check of a steady water', () =>
    assert.deepEqual([at(0).now, at(0).surely], [true, true]));
  it('a rise cuts it off before the check, and it says so', () => {
    const ahead = at(1);
    assert.deepEqual([ahead.now, ahead.atCheck], [true, false]);
    assert.match(said(ahead), /Too deep to wade by the check/);
  });
  it('after a flood it says from when it can be stood at again', () => {
    const ahead = at(-1, 60);
    assert.equal(ahead.now, false);
    // 60 − 13 = 47 on the gauge, 37 of water and 3 of sink: 40 of 46, with 6 to spare
    assert.equal(Math.round((ahead.again ?? 0) / HOUR), 13);
    assert.match(said(ahead), /Wadable again about 13 h/);
  });
  it('perhaps not, when only the upper end of the band cuts it off', () => {
    const ahead = at(0.55);
    assert.deepEqual([ahead.atCheck, ahead.surely], [true, false]);
  });
  it('no water makes up for a sink past the knee', () => assert.equal(at(0, 12, inches(2)).now, false));
});

describe('after the night', () => {
  const set = (id: string, verdict: Counted['verdict'], more: Partial<Counted> = {}): Counted => ({
    id,
    verdict,
    beyond: false,
    idleThen: false,
    cutOff: false,
    ...more,
  });
  it('what still fishes out of reach is not idle, and what cannot be waded to is told beside it', () => {
    const groups = afterNight([
      set('a', 'outOfWater', { cutOff: true }),
      set('b', 'fine', { beyond: true }),
      set('c', 'fine', { idleThen: true }),
      set('d', 'frozen', { idleThen: true }),
      set('e', 'fine'),
    ]);
    assert.deepEqual(
      groups.map((g) => [g.id, g.sets.join()]),
      [
        ['idle', 'a'],
        ['will', 'c'],
        ['fishing', 'b'],
        ['frozen', 'd'],
        ['cutOff', 'a'],
      ],
    );
    assert.match(groups[2]?.sentence ?? '', /Pull with a hook/);
  });
  it('several frozen in: the season turned, with the gear that needs', () => {
    const [frozen] = afterNight([set('a', 'frozen'), set('b', 'frozen')]);
    assert.equal(frozen?.sentence, TURNED);
    assert.match(TURNED, /log and under-ice sets.*sled, chisel/);
  });
  it('a quiet night has no group', () => assert.deepEqual(afterNight([set('a', 'fine')]), []));
});

describe('the designer with several breaks', () => {
  const plan = (over: Partial<BreakPlan> = {}): BreakPlan => ({
    start: 0.4,
    model: { area: [{ level: 0, area: 4000 }], inflow: 0, seepage: 0, tail: -1, pipes: [] },
    shape: { kind: 'rectangle', width: 0.3 },
    sill: 0,
    count: 1,
    opened: 0,
    running: [],
    mended: null,
    hours: 24,
    ...over,
  });
  it('two alike may each be half as wide as one', () => {
    const [one, two] = [largestBreak(plan(), 0.2, 8 * HOUR), largestBreak(plan({ count: 2 }), 0.2, 8 * HOUR)];
    assert.ok(Math.abs(one / two - 2) < 5e-3, `${one} ${two}`);
  });
  it('opened later it has to be wider for the same goal', () =>
    assert.ok((smallestBreak(plan({ opened: 4 * HOUR }), 0.2, 8 * HOUR) ?? 0) > (smallestBreak(plan(), 0.2, 8 * HOUR) ?? 0)));
  it('the largest break keeps the level, a little more does not (any goal)', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.35, noNaN: true }), fc.integer({ min: 2, max: 20 }), (goal, hours) => {
        const width = largestBreak(plan(), goal, hours * HOUR);
        const level = (w: number): number =>
          levelOn(
            pondCourse(
              { ...plan().model, breaks: [{ shape: { kind: 'rectangle', width: w }, sill: 0, from: 0, to: Infinity, cd: 1 }] },
              0.4,
              24,
            ),
            hours * HOUR,
          );
        assert.ok(level(width) >= goal - 1e-6 && level(width + 0.01) < goal + 1e-3);
      }),
      { numRuns: 25 },
    ));
});
