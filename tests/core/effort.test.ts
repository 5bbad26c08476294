import { hoursInBand } from '#core/water/series';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import jstat from 'jstat';
import { exposureOf, nights, type Exposure } from '#core/effort/exposure';
import { poissonLimits } from '#core/effort/interval';
import { nightsSay, rateOf, rateSays } from '#core/effort/rate';

const near = (a: number, b: number, tolerance = 1e-9) => assert.ok(Math.abs(a - b) <= tolerance, `${a} is not ${b}`);
const HOUR = 3_600_000;
const at = (h: number) => new Date(h * HOUR);

/** So many traps for so many nights with looks every `interval` nights; the first of them sprang in their last interval, the first of those with a catch. */
function season(traps: number, nightsEach: number, interval: number, sprung: number, catches: number): Exposure {
  const end = nightsEach * 24;
  const sums = Array.from({ length: traps }, (_, i) =>
    exposureOf(
      [{ from: at(0), to: at(end), band: null }],
      i < sprung ? [{ before: at(end - interval * 24), at: at(end), caught: i < catches }] : [],
      [],
    ),
  );
  const of = (pick: (e: Exposure) => number): number => sums.reduce((n, e) => n + pick(e), 0);
  const lost = { sprung: of((e) => e.lost.sprung), spent: 0, outside: of((e) => e.lost.outside) };
  return { hoursSet: of((e) => e.hoursSet), inBand: { low: of((e) => e.inBand.low), high: of((e) => e.inBand.high) }, lost };
}

describe('catch per 100 corrected trap-nights (Nelson & Clark 1973, worked examples)', () => {
  it('100 nights, 20 sprung of which 8 catches: 8.889', () => near(rateOf(8, season(100, 1, 1, 20, 8).inBand)?.rate.low ?? 0, 8.889, 5e-4));
  it('4 traps, 7 nights, 3 sprung, 2 catches: 11.43', () => near(rateOf(2, season(4, 7, 7, 3, 2).inBand)?.rate.low ?? 0, 11.43, 5e-3));
  it('one night, 4 traps, 3 sprung, 2 catches: 2.5 nights (80.0 in their paper), which here are too few to tell', () => {
    const { inBand, lost } = season(4, 1, 1, 3, 2);
    near((100 * 2 * 24) / inBand.high, 80);
    near(lost.sprung, 36);
    assert.equal(rateOf(2, inBand), null);
    assert.equal(rateSays(2, inBand), 'under 10 nights: no rate yet');
  });
});

describe('three seasons, calculated by hand', () => {
  const days = (list: [day: number, level: number][]) => list.map(([day, level]) => ({ at: at(day * 24), level, bound: 'exact' as const }));
  const sprang = (day: number, caught: boolean) => ({ before: at((day - 1) * 24), at: at(day * 24), caught });
  const nightsOf = ({ hoursSet, inBand, lost }: Exposure) =>
    [hoursSet, inBand.low, inBand.high, lost.sprung, lost.spent, lost.outside].map((h) => Math.round((h / 24) * 1000) / 1000);
  const band = { min: 0.5, max: 2 };

  it('20 nights that no level moves, two catches and one sprung empty: 18.5 count, 2 in them are 10.8 per 100', () => {
    const sum = exposureOf([{ from: at(0), to: at(480), band: null }], [sprang(5, true), sprang(11, true), sprang(15, false)], []);
    assert.deepEqual(nightsOf(sum), [20, 18.5, 18.5, 1.5, 0, 0]);
    near(rateOf(2, sum.inBand)?.rate.low ?? 0, 10.81, 5e-3);
  });
  it('30 nights, dry from noon of the 11th to noon of the 15th, three catches: 24.5 count, 12.2 per 100', () => {
    const level = (day: number): number => (day > 10 && day < 15 ? 0 : 1);
    const readings = days(Array.from({ length: 31 }, (_, day) => [day, level(day)]));
    const sum = exposureOf(
      [{ from: at(0), to: at(720), band }],
      [3, 20, 25].map((day) => sprang(day, true)),
      readings,
    );
    assert.deepEqual(nightsOf(sum), [30, 24.5, 24.5, 1.5, 0, 4]);
    near(rateOf(3, sum.inBand)?.rate.low ?? 0, 12.24, 5e-3);
  });
  it('30 nights, six of them unread with a catch on the 12th, found sprung on the 20th and left so for two: 22 to 27 count, 3.7 to 4.5 per 100', () => {
    const readings = days(Array.from({ length: 31 }, (_, day): [number, number] => [day, 1]).filter(([day]) => day <= 10 || day >= 16));
    const left = [{ from: at(20 * 24), to: at(22 * 24) }];
    const sum = exposureOf([{ from: at(0), to: at(720), band }], [sprang(12, true), sprang(20, false)], readings, left);
    assert.deepEqual(nightsOf(sum), [30, 22, 27, 1, 2, 0]);
    const { rate } = rateOf(1, sum.inBand) ?? assert.fail();
    near(rate.low, 3.7, 5e-3);
    near(rate.high, 4.55, 5e-3);
    assert.equal(nightsSay(sum.inBand), '22 to 27 working nights');
  });
  it('a catch counts its own exposure where the water was read outside the range all night', () => {
    const sum = exposureOf(
      [{ from: at(0), to: at(24), band }],
      [sprang(1, true)],
      days([
        [0, 0],
        [1, 0],
      ]),
    );
    assert.deepEqual(nightsOf(sum), [1, 0.5, 0.5, 0.5, 0, 0]);
  });
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
  it('a rate carries them: 10 in 50 nights are 20, likely 9.6 to 36.8', () => {
    const hours = { low: 1200, high: 1200 };
    assert.equal(rateSays(10, hours), '20 per 100 nights (9.6 to 37)');
    near(rateOf(10, hours)?.limits.high ?? 0, 36.78, 5e-3);
  });
  it('what bounds it on one side only says so', () => {
    assert.equal(rateSays(0, { low: 1200, high: 1200 }), 'at most 7.4 per 100 nights');
    assert.equal(rateSays(3, { low: 0, high: 1200 }), 'at least 6.0 per 100 nights');
    assert.equal(rateSays(0, { low: 0, high: 1200 }), 'no night counts for sure: no rate');
    assert.equal(rateSays(1, { low: 20, high: 20 }), 'under one night: no rate');
    assert.equal(rateSays(5, { low: 480, high: 1200 }, ''), '10 to 25 (3.2 to 58)');
  });
  it('more catch is a higher rate, more nights a lower one, and its ends never cross', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 80 }),
        fc.double({ min: 0, max: 3000, noNaN: true }),
        fc.double({ min: 240, max: 3000, noNaN: true }),
        (n, a, b) => {
          const hours = { low: Math.min(a, b), high: Math.max(a, b) };
          const [one, more] = [rateOf(n, hours), rateOf(n + 1, hours)];
          if (!one || !more) return false;
          return (
            one.limits.low <= one.rate.low + 1e-9 &&
            one.rate.low <= one.rate.high + 1e-9 &&
            one.rate.high <= one.limits.high + 1e-6 &&
            more.rate.low > one.rate.low
          );
        },
      ),
    );
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
  it('every hour set is in band at most, or has its reason, with any springs', () => {
    const span = fc.integer({ min: 0, max: 200 });
    fc.assert(
      fc.property(span, span, fc.array(fc.tuple(span, span), { maxLength: 5 }), (from, length, springs) => {
        const sprung = springs.map(([a, b], i) => ({ before: at(Math.min(a, b)), at: at(Math.max(a, b)), caught: i % 2 === 0 }));
        const { hoursSet, inBand, lost } = exposureOf(
          [{ from: at(from), to: at(from + length), band: { min: 0.5, max: 2 } }],
          sprung,
          readings,
        );
        const all = inBand.high + lost.sprung + lost.spent + lost.outside;
        return inBand.low >= 0 && inBand.low <= inBand.high + 1e-9 && Math.abs(all - hoursSet) < 1e-6;
      }),
    );
  });
  it('hours are spoken as nights', () => assert.equal(nights(36), 1.5));
});

describe('hours inside a range, a stretch at a time', () => {
  const DAY = 86_400_000;
  const begin = Date.parse('2026-11-01T00:00:00Z');
  const reading = fc.record({ hours: fc.integer({ min: 0, max: 600 }), level: fc.double({ min: 0, max: 2, noNaN: true }) });
  it('add up: what is cut in two gives what the whole gives, wherever it is cut and however many readings there are', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(reading, { maxLength: 30, selector: (r) => r.hours }),
        fc.integer({ min: -2, max: 30 }),
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (read, day, days, cut) => {
          const readings = read.map(({ hours, level }) => ({ at: new Date(begin + hours * 3_600_000), level, bound: 'exact' as const }));
          const [from, to] = [begin + day * DAY, begin + (day + days) * DAY];
          const middle = from + Math.round((to - from) * cut);
          const of = (a: number, b: number) => hoursInBand(readings, new Date(a), new Date(b), { min: 0.5, max: 1.2 });
          const [whole, first, second] = [of(from, to), of(from, middle), of(middle, to)];
          assert.ok(Math.abs(whole.low - first.low - second.low) < 1e-6);
          assert.ok(Math.abs(whole.high - first.high - second.high) < 1e-6);
          assert.ok(whole.low <= whole.high + 1e-9 && whole.high <= 24 * days + 1e-9);
        },
      ),
    ));
});
