import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { areaAt, levelOn, pondCourse, volumeBetween, type PondModel } from '#core/water/balance';
import { breakCourses, largestBreak, leavesAt, leaving, smallestBreak, type BreakPlan } from '#core/water/breakDesign';
import { breakFlow, criticalSpeed, pipeFlow, type BreakShape } from '#core/water/outflow';
import { inches } from '#core/units/factors';

const ACRE = 4046.8564224;
const near = (a: number, b: number, within: number) => assert.ok(Math.abs(a - b) <= within, `${a} is not ${b} within ${within}`);
const rectangle = (width: number): BreakShape => ({ kind: 'rectangle', width });
const pond = (area: number, shape: BreakShape, over: Partial<PondModel> = {}): PondModel => ({
  area: [{ level: 0, area }],
  inflow: 0,
  seepage: 0,
  tail: -10,
  breaks: [{ shape, sill: 0, from: 0, to: Infinity, cd: 1 }],
  pipes: [],
  ...over,
});
const after = (model: PondModel, start: number, hours: number): number => pondCourse(model, start, hours).at(-1)?.level ?? NaN;

describe('flow through a break (broad crest, Bos, from memory)', () => {
  it('a rectangle gives 1.7046·b·H^1.5', () => {
    near(breakFlow(rectangle(1), 1, -1), 1.7046, 5e-4);
    near(breakFlow(rectangle(0.6), 0.4, -1), 1.7046 * 0.6 * 0.4 ** 1.5, 2e-4);
  });
  it('a V of 90° gives 1.268·H^2.5', () => near(breakFlow({ kind: 'V', side: 1 }, 1, -1), 1.268, 5e-4));
  it('drowns beyond two thirds in a rectangle, four fifths in a V', () => {
    const shapes: [BreakShape, number][] = [
      [rectangle(1), 2 / 3],
      [{ kind: 'V', side: 1 }, 4 / 5],
    ];
    for (const [shape, limit] of shapes) {
      const free = breakFlow(shape, 1, -1);
      assert.equal(breakFlow(shape, 1, limit - 0.01), free);
      assert.ok(breakFlow(shape, 1, limit + 0.02) < free);
    }
  });
  it('nothing flows uphill, nor without a head', () => {
    assert.equal(breakFlow(rectangle(1), 0, -1), 0);
    assert.equal(breakFlow(rectangle(1), 0.5, 0.5), 0);
  });
  it('a trapezoid lies between its rectangle and that with both slopes as wide as they get', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (width, side, head) => {
          const flow = breakFlow({ kind: 'trapezoid', width, side }, head, -1);
          assert.ok(flow >= breakFlow(rectangle(width), head, -1) - 1e-9);
          assert.ok(flow <= breakFlow(rectangle(width + 2 * side * head), head, -1) + 1e-9);
        },
      ),
    ));
  it('never grows when the tailwater rises, nor shrinks when the pond does', () =>
    fc.assert(
      fc.property(
        fc.constantFrom<BreakShape>(rectangle(0.5), { kind: 'V', side: 0.7 }, { kind: 'trapezoid', width: 0.3, side: 0.5 }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: -0.2, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (shape, head, tail, more) => {
          assert.ok(breakFlow(shape, head, tail + more) <= breakFlow(shape, head, tail) + 1e-9);
          assert.ok(breakFlow(shape, head + more, tail) >= breakFlow(shape, head, tail) - 1e-9);
        },
      ),
    ));
  it('speed at the critical depth under 0.4 m is 1.617 m/s', () => near(criticalSpeed(rectangle(1), 0.4), 1.617, 1e-3));
  it('a full pipe runs as an orifice, a plugged one less, a drowned one by the difference of levels', () => {
    const pipe = { diameter: 0.3, plugged: 0 };
    near(pipeFlow(pipe, 1.15, -1), 0.6 * Math.PI * 0.15 ** 2 * Math.sqrt(2 * 9.81 * 1), 1e-4);
    near(pipeFlow({ ...pipe, plugged: 0.5 }, 1.15, -1), pipeFlow(pipe, 1.15, -1) / 2, 1e-9);
    near(pipeFlow(pipe, 1.15, 1.0), 0.6 * Math.PI * 0.15 ** 2 * Math.sqrt(2 * 9.81 * 0.15), 1e-4);
    assert.equal(pipeFlow(pipe, 0.1, 0.2), 0);
  });
  it('a pipe half full at its critical depth runs 0.2461·√g·D^2.5 under 0.6963 diameters (critical flow `Q² = g·A³/T` of a circular section, any handbook of hydraulics)', () => {
    const q = (Math.PI / 8) * Math.sqrt(9.81 * (Math.PI / 8));
    near(pipeFlow({ diameter: 0.2, plugged: 0 }, 0.2 * (0.5 + Math.PI / 16), -1), q * 0.2 ** 2.5, 1e-5);
  });
  it('a pipe runs down to its sill, and never more under a lower head', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.005, max: 3, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        (head, share, diameter, plugged) => {
          const [more, less] = [head, head * share].map((h) => pipeFlow({ diameter, plugged }, h, -1)) as [number, number];
          assert.ok(less > 0 && less <= more * (1 + 1e-9), `${less} under ${head * share}, ${more} under ${head}`);
        },
      ),
    ));
});

describe('a pond that runs out', () => {
  it('of one acre under 0.6 m of break: 0.05382 m after 6 h, 0.02018 m after 12 h (exact solution)', () => {
    near(after(pond(ACRE, rectangle(0.6)), 0.4, 6), 0.05382, 2e-5);
    near(after(pond(ACRE, rectangle(0.6)), 0.4, 12), 0.02018, 2e-5);
  });
  it('falls from 0.40 to 0.30 m in 32.3 min (exact solution)', () => {
    const course = pondCourse(pond(ACRE, rectangle(0.6)), 0.4, 1, 30);
    near((leavesAt(course, { min: 0.3, max: 1 }) ?? 0) / 60, 32.3, 0.05);
  });
  it('12 in wide and deep: one acre falls 10.1 in in 12 h, a 7 in bed is dry after 4 h 18 min; three acres 6.7 in and 12 h 55 min', () => {
    const shape = rectangle(inches(12));
    const fall = (acres: number): number => (inches(12) - after(pond(acres * ACRE, shape), inches(12), 12)) / inches(1);
    const dry = (acres: number): number =>
      (leavesAt(pondCourse(pond(acres * ACRE, shape), inches(12), 20, 60), { min: inches(5), max: 1 }) ?? 0) / 60;
    near(fall(1), 10.1, 0.05);
    near(fall(3), 6.7, 0.05);
    near(dry(1), 258, 1);
    near(dry(3), 775, 1.5);
  });
  it('by a V follows its exact solution (H0^−3/2 + 3·K·t/2A)^−2/3', () => {
    const k = breakFlow({ kind: 'V', side: 1 }, 1, -1);
    near(after(pond(ACRE, { kind: 'V', side: 1 }), 0.5, 8), (0.5 ** -1.5 + (3 * k * 8 * 3600) / (2 * ACRE)) ** (-2 / 3), 1e-6);
  });
  const anyModel = fc.record({
    low: fc.double({ min: 300, max: 5000, noNaN: true }),
    more: fc.double({ min: 0, max: 8000, noNaN: true }),
    width: fc.double({ min: 0.05, max: 2, noNaN: true }),
    inflow: fc.double({ min: 0, max: 0.05, noNaN: true }),
    seepage: fc.double({ min: 0, max: 0.002, noNaN: true }),
    tail: fc.double({ min: -0.5, max: 0.3, noNaN: true }),
    mended: fc.double({ min: 0.2, max: 20, noNaN: true }),
  });
  const modelOf = (m: {
    low: number;
    more: number;
    width: number;
    inflow: number;
    seepage: number;
    tail: number;
    mended: number;
  }): PondModel => ({
    area: [
      { level: 0, area: m.low },
      { level: 1, area: m.low + m.more },
    ],
    inflow: m.inflow,
    seepage: m.seepage,
    tail: m.tail,
    breaks: [{ shape: rectangle(m.width), sill: 0, from: 0, to: m.mended * 3600, cd: 1 }],
    pipes: [{ diameter: 0.2, plugged: 0.3, sill: 0.1 }],
  });
  it('keeps its water: what went in less what ran out is what is stored', () =>
    fc.assert(
      fc.property(anyModel, (m) => {
        const model = modelOf(m);
        for (const { at, level, out } of pondCourse(model, 0.5, 12))
          near((m.inflow * at - out - volumeBetween(model.area, 0.5, level)) / Math.max(1, out + m.inflow * at), 0, 1e-9);
      }),
      { numRuns: 40 },
    ));
  it('lets run out what its openings draw at the levels of its course, until the tailwater all but stops them', () =>
    fc.assert(
      fc.property(anyModel, (m) => {
        const model = modelOf(m);
        const course = pondCourse(model, 0.5, 12, 10);
        const draws = (level: number, at: number): number =>
          m.seepage +
          (at < m.mended * 3600 ? breakFlow(rectangle(m.width), level, m.tail) : 0) +
          pipeFlow(model.pipes[0] as { diameter: number; plugged: number }, level - 0.1, m.tail - 0.1);
        let [drawn, ran] = [0, 0];
        for (let i = 1; i < course.length; i += 1) {
          const [a, b] = [course[i - 1], course[i]];
          assert.ok(a && b);
          // within a millimetre pond and tailwater are one surface, and the flow between them is eased
          if (Math.abs(b.level - m.tail) < 0.002 || Math.abs(a.level - m.tail) < 0.002) continue;
          drawn += (b.at - a.at) * draws((a.level + b.level) / 2, (a.at + b.at) / 2);
          ran += b.out - a.out;
        }
        assert.ok(Math.abs(ran - drawn) <= 0.02 * Math.max(1, drawn) + 1, `${ran} against ${drawn}`);
      }),
      { numRuns: 60 },
    ));
  it('comes to rest on a tailwater that drowns its break, and draws what comes in then', () => {
    const m = { low: 466, more: 892, width: 0.69, inflow: 0.0011, seepage: 0.00085, tail: 0.248, mended: 17 };
    const course = pondCourse(modelOf(m), 0.5, 12);
    const last = course.at(-1);
    assert.equal(course.length, 12 * 4 + 1);
    near(last?.level ?? 0, 0.248, 1e-3);
    near((last?.out ?? 0) - (course.at(-2)?.out ?? 0), m.inflow * 900, 0.02);
  });
  it('agrees with the classical Runge–Kutta method in steps of two seconds (any handbook of numerical methods)', () => {
    const model = { ...modelOf({ low: 2000, more: 3000, width: 0.4, inflow: 0.01, seepage: 0.001, tail: 0.1, mended: 30 }) };
    const out = (level: number): number =>
      model.seepage +
      breakFlow(rectangle(0.4), level, 0.1) +
      pipeFlow(model.pipes[0] as { diameter: number; plugged: number }, level - 0.1, 0);
    const slope = (level: number): number => (model.inflow - out(level)) / areaAt(model.area, level);
    const h = 2;
    let level = 0.5;
    for (let at = 0; at < 8 * 3600; at += h) {
      const a = slope(level);
      const b = slope(level + (h / 2) * a);
      const c = slope(level + (h / 2) * b);
      const d = slope(level + h * c);
      level += (h / 6) * (a + 2 * b + 2 * c + d);
    }
    near(after(model, 0.5, 8), level, 1e-7);
  });
  it('stops falling where the inflow meets the break: Q_in = C·b·X^1.5', () =>
    near(after(pond(800, rectangle(0.5), { inflow: 0.02 }), 0.5, 200), (0.02 / (1.7046 * 0.5)) ** (2 / 3), 1e-3));
  it('rises again once it is mended', () => {
    const model = pond(ACRE, rectangle(0.6), { inflow: 0.02, breaks: [{ shape: rectangle(0.6), sill: 0, from: 0, to: 4 * 3600, cd: 1 }] });
    const course = pondCourse(model, 0.4, 12);
    assert.ok(levelOn(course, 4 * 3600) < 0.2 && (course.at(-1)?.level ?? 0) > levelOn(course, 4 * 3600) + 0.1);
  });
  it('refuses an area of zero', () => assert.throws(() => pondCourse(pond(0, rectangle(1)), 0.4, 1), RangeError));
});

describe('the break designer', () => {
  const plan = (over: Partial<BreakPlan> = {}): BreakPlan => ({
    start: 0.4,
    model: { area: [{ level: 0, area: ACRE }], inflow: 0, seepage: 0, tail: -10, pipes: [] },
    shape: rectangle(0.6),
    sill: 0,
    running: [],
    count: 1,
    opened: 0,
    mended: null,
    hours: 24,
    ...over,
  });
  it('the largest width with level X at T is 2A(X^−½ − H0^−½)/(C·T) without inflow (exact)', () => {
    const [goal, hours] = [0.2, 8];
    const exact = (2 * ACRE * (goal ** -0.5 - 0.4 ** -0.5)) / (1.70455 * hours * 3600);
    near(largestBreak(plan(), goal, hours * 3600) / exact, 1, 2e-3);
    near((smallestBreak(plan(), goal, hours * 3600) ?? 0) / exact, 1, 2e-3);
  });
  it('leaves less to a new break when one runs already', () => {
    const running = [{ shape: rectangle(0.05), sill: 0, from: 0, to: Infinity }];
    near(largestBreak(plan({ running }), 0.2, 8 * 3600), largestBreak(plan(), 0.2, 8 * 3600) - 0.05, 1e-3);
  });
  it('says when no break will do, and when any does', () => {
    assert.equal(largestBreak(plan(), 0.5, 3600), 0);
    assert.equal(largestBreak(plan({ sill: 0.35 }), 0.1, 3600), Infinity);
    assert.equal(smallestBreak(plan({ sill: 0.35 }), 0.1, 3600), null);
  });
  it('a band is left early on the low course and late on the high one', () => {
    const { earliest, middle, latest } = leaving(breakCourses(plan({ model: { ...plan().model, inflow: 0.005 } })), {
      min: 0.25,
      max: 0.6,
    });
    assert.ok(earliest !== null && middle !== null && latest !== null && earliest < middle && middle < latest);
  });
  it('a band that is never left has no time, and one that was never held is left at once', () => {
    const courses = breakCourses(plan());
    assert.deepEqual(leaving(courses, { min: -1, max: 1 }), { middle: null, earliest: null, latest: null });
    assert.equal(leavesAt(courses.middle, { min: 0.5, max: 1 }), 0);
  });
});
