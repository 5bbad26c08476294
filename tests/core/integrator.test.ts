import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { pondCourse, type PondModel } from '#core/water/balance';
import { integrate, type Rate } from '#core/water/integrator';
import { Solver } from '../support/odex.js';

const ALLOWED = 1e-9;
const silent = (): void => undefined;
const run = (rate: Rate, value: number, end: number): number =>
  integrate(rate, { start: 0, value, end }, { allowed: ALLOWED, first: 1, steady: false }, silent);

/** The same by the package odex: extrapolation of the midpoint rule (Hairer, Nørsett, Wanner). */
function byOdex(rate: Rate, value: number, end: number): number {
  const solver = new Solver(1);
  solver.absoluteTolerance = ALLOWED;
  solver.relativeTolerance = 0;
  return solver.solve((at, [v = NaN]) => [rate(at, v)], 0, [value], end).y[0] ?? NaN;
}

describe('the integrator', () => {
  it('an exponential comes out exact, as long as it is', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 3, noNaN: true }), fc.double({ min: 1, max: 12, noNaN: true }), (decay, end) =>
        assert.ok(Math.abs(run((_, v) => -decay * v, 1, end) - Math.exp(-decay * end)) < 1e-7),
      ),
    ));
  it('says what odex says of a tank that empties while it is filled now and then', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        (level, out, fill) => {
          const rate: Rate = (at, v) => 0.05 * fill * (1 + Math.sin(at / 7)) - out * Math.max(v, 0) ** 1.5;
          assert.ok(Math.abs(run(rate, level, 60) - byOdex(rate, level, 60)) < 1e-6);
        },
      ),
    ));
  it('between the ends of its steps it reads as exactly as at them', () => {
    let worst = 0;
    let last = 0;
    integrate(
      (at) => Math.cos(at),
      { start: 0, value: 0, end: 20 },
      { allowed: ALLOWED, first: 1, steady: false },
      (from, to, valueAt) => {
        assert.equal(from, last);
        last = to;
        for (const share of [0, 0.2, 0.5, 0.9, 1]) {
          const at = from + share * (to - from);
          worst = Math.max(worst, Math.abs(valueAt(at) - Math.sin(at)));
        }
      },
    );
    assert.equal(last, 20);
    assert.ok(worst < 1e-7, `off by ${worst}`);
  });
  it('a rate that is no number gives none, and one that runs away comes to no end', () => {
    assert.ok(Number.isNaN(run(() => NaN, 1, 10)));
    assert.ok(Number.isNaN(run((_, v) => v * v, 1, 10)));
  });
});

describe('a value that comes to rest', () => {
  it('is not followed in steps of its quick return, and rests where it should', () => {
    let steps = 0;
    const quick: Rate = (_, v) => 1 - 200 * v;
    const end = integrate(quick, { start: 0, value: 1, end: 10_000 }, { allowed: ALLOWED, first: 1, steady: true }, () => (steps += 1));
    assert.ok(Math.abs(end - 1 / 200) < 1e-8);
    assert.ok(steps < 300, `${steps} steps`);
  });
});

describe('a small pond behind a drowned break', () => {
  const model = (area: number, width: number): PondModel => ({
    area: [{ level: 0, area }],
    inflow: 0.005,
    seepage: 0,
    tail: 0.5,
    breaks: [{ shape: { kind: 'rectangle', width }, sill: 0.2, from: 0, to: Infinity, cd: 1 }],
    pipes: [],
  });
  it('comes to rest just over its tailwater, however small it is', () => {
    for (const [area, width] of [
      [500, 1],
      [200, 1.5],
      [50, 3],
    ] as const) {
      const course = pondCourse(model(area, width), 1, 48);
      const end = course.at(-1)?.level ?? NaN;
      assert.ok(end > 0.5 && end < 0.501, `${area} m² ends at ${end}`);
      course.slice(1).forEach((p, i) => assert.ok(p.level <= (course[i]?.level ?? 0) + 1e-6));
    }
  });
});
