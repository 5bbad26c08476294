import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import jstat from 'jstat';
import { exposureOf, nights } from '#core/effort/exposure';
import { poissonLimits } from '#core/effort/interval';
import { catchPer100, rateWithLimits } from '#core/effort/rate';

const near = (a: number, b: number, tolerance = 1e-9) => assert.ok(Math.abs(a - b) <= tolerance, `${a} is not ${b}`);
const HOUR = 3_600_000;
const at = (h: number) => new Date(h * HOUR);

describe('catch per 100 corrected trap-nights (Nelson & Clark 1973, worked examples)', () => {
  it('100 nights, 20 sprung of which 8 catches: 8.889', () => near(catchPer100(8, 100, 20, 1), 8.889, 5e-4));
  it('4 traps, 7 nights, 3 sprung, 2 catches: 11.43', () => near(catchPer100(2, 28, 3, 7), 11.43, 5e-3));
  it('one night, 4 traps, 3 sprung, 2 catches: 80.0', () => near(catchPer100(2, 4, 3, 1), 80, 1e-9));
  it('nothing left to divide by is refused', () => assert.throws(() => catchPer100(1, 1, 2, 1), RangeError));
});

describe('exact Poisson limits (Garwood 1936)', () => {
  it('0 is 0 to 3.689; 10 is 4.795 to 18.390 (published)', () => {
    near(poissonLimits(0).low, 0);
    near(poissonLimits(0).high, 3.689, 5e-4);
    near(poissonLimits(10).low, 4.795, 5e-4);
    near(poissonLimits(10).high, 18.39, 5e-4);
  });
  it('agree with half the chi-square quantiles of jstat', () => {
    for (const n of [1, 2, 5, 20, 60, 150]) {
      near(poissonLimits(n).low, jstat.chisquare.inv(0.025, 2 * n) / 2, 1e-5);
      near(poissonLimits(n).high, jstat.chisquare.inv(0.975, 2 * n + 2) / 2, 1e-5);
    }
  });
  it('hold the count between them and grow with it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), (n) => {
        const [a, b] = [poissonLimits(n), poissonLimits(n + 1)];
        return a.low <= n && n <= a.high && b.low > a.low && b.high > a.high;
      }),
    );
  });
  it('a count that is none is refused', () => assert.throws(() => poissonLimits(1.5), /whole number/));
  it('a rate carries them, and is nothing without exposure', () => {
    const rate = rateWithLimits(10, 50);
    near(rate?.rate ?? 0, 20);
    near(rate?.high ?? 0, 36.78, 5e-3);
    assert.equal(rateWithLimits(3, 0), null);
  });
});

describe('exposure', () => {
  const readings = [0, 24, 48].map((h) => ({ at: at(h), level: h === 48 ? 0 : 1, bound: 'exact' as const }));
  it('says hours set and hours in band, both', () => {
    const exposure = exposureOf([{ from: at(0), to: at(48), band: { min: 0.5, max: 2 } }], [], readings);
    assert.equal(exposure.hoursSet, 48);
    near(exposure.inBand.low, 36);
    near(exposure.inBand.high, 36);
  });
  it('a device that sprang loses half of the interval before it was found', () => {
    const exposure = exposureOf([{ from: at(0), to: at(24), band: { min: 0.5, max: 2 } }], [{ at: at(24), before: at(0) }], readings);
    assert.equal(exposure.hoursSet, 24);
    near(exposure.inBand.low, 12);
  });
  it('a device that no level moves counts every hour', () =>
    near(exposureOf([{ from: at(0), to: at(10), band: null }], [], []).inBand.low, 10));
  it('two heights of one device count each in its own band', () => {
    const exposure = exposureOf(
      [
        { from: at(0), to: at(24), band: { min: 2, max: 3 } },
        { from: at(24), to: at(48), band: { min: -1, max: 3 } },
      ],
      [],
      readings,
    );
    near(exposure.inBand.low, 24);
  });
  it('in band is never more than set, with any springs', () => {
    const span = fc.integer({ min: 0, max: 200 });
    fc.assert(
      fc.property(span, span, fc.array(fc.tuple(span, span), { maxLength: 5 }), (from, length, springs) => {
        const sprung = springs.map(([a, b]) => ({ before: at(Math.min(a, b)), at: at(Math.max(a, b)) }));
        const { hoursSet, inBand } = exposureOf([{ from: at(from), to: at(from + length), band: { min: 0.5, max: 2 } }], sprung, readings);
        return inBand.low >= 0 && inBand.low <= inBand.high + 1e-9 && inBand.high <= hoursSet + 1e-9;
      }),
    );
  });
  it('hours are spoken as nights', () => assert.equal(nights(36), 1.5));
});
