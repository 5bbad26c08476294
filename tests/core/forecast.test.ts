import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { shareLimits } from '#core/effort/interval';
import { seeded } from '#core/sim/random';
import { levelOn, pondCourse, type PondModel } from '#core/water/balance';
import { amongForecasts, pondForecast, PRACTICE_DOUBTS, widthAt, type Forecast } from '#core/water/pondForecast';
import { pairsOf, qualityOf } from '#core/water/quality';
import type { Reading } from '#core/water/series';
import { fitStream, halfGone, streamForecast, type RainHour } from '#core/water/streamForecast';
import { endOf, trackAt, trackOf } from '#core/water/track';

const HOUR = 3_600_000;
const pond = (over: Partial<PondModel> = {}): PondModel => ({
  area: [{ level: 0, area: 4000 }],
  inflow: 0.004,
  seepage: 0,
  tail: -1,
  pipes: [],
  breaks: [{ shape: { kind: 'rectangle', width: 0.3 }, sill: 0, from: 0, to: Infinity, cd: 1 }],
  ...over,
});
const last = (model: PondModel, start: number, hours: number): number => pondCourse(model, start, hours).at(-1)?.level ?? NaN;

describe('what else moves a pond', () => {
  it('rain on a shut pond lifts it by what fell: 36 m³ on 4000 m² are 9 mm', () => {
    const rain = [{ from: 3600, to: 7200, flow: 0.01 }];
    assert.ok(Math.abs(last(pond({ breaks: [], inflow: 0, rain }), 0.4, 6) - 0.409) < 1e-6);
  });
  it('a high pond runs over its crest and comes to rest where the inflow meets it: Q = C·b·X^1.5', () => {
    const level = last(pond({ breaks: [], inflow: 0.05, crest: { level: 0.5, length: 4 } }), 0.6, 400);
    assert.ok(Math.abs(level - 0.5 - (0.05 / (1.7046 * 4)) ** (2 / 3)) < 1e-3, String(level));
  });
  it('below its crest nothing runs over', () =>
    assert.ok(Math.abs(last(pond({ breaks: [], inflow: 0, crest: { level: 0.5, length: 4 } }), 0.4, 9) - 0.4) < 1e-9));
  it('a break that widens drains more than one that does not, and never less as it widens faster', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2e-5, noNaN: true }), fc.double({ min: 0, max: 2e-5, noNaN: true }), (a, b) => {
        const with_ = (by: number): number =>
          last(
            pond({
              breaks: [{ shape: { kind: 'V', side: 0.5 }, sill: 0, from: 0, to: Infinity, cd: 1, widens: { from: 3600, to: 20_000, by } }],
            }),
            0.4,
            12,
          );
        const [slow, fast] = [with_(Math.min(a, b)), with_(Math.max(a, b))];
        assert.ok(fast <= slow + 1e-6);
      }),
      { numRuns: 25 },
    ));
  it('two breaks alike drain as one of twice the width', () => {
    const one = { shape: { kind: 'rectangle', width: 0.2 } as const, sill: 0, from: 0, to: Infinity, cd: 1 };
    const wide = { ...one, shape: { kind: 'rectangle', width: 0.4 } as const };
    assert.ok(Math.abs(last(pond({ breaks: [one, one] }), 0.4, 12) - last(pond({ breaks: [wide] }), 0.4, 12)) < 1e-7);
  });
  it('keeps its water to a millionth with rain, pipe, crest and widening together', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 500, max: 9000, noNaN: true }),
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        fc.double({ min: 0, max: 1e-5, noNaN: true }),
        (area, flow, by) => {
          const model = pond({
            area: [{ level: 0, area }],
            rain: [{ from: 1000, to: 9000, flow }],
            crest: { level: 0.42, length: 2 },
            pipes: [{ diameter: 0.2, plugged: 0.3, sill: 0.1 }],
            breaks: [
              { shape: { kind: 'rectangle', width: 0.2 }, sill: 0.05, from: 1800, to: 30_000, cd: 1, widens: { from: 2000, to: 9000, by } },
            ],
          });
          const end = pondCourse(model, 0.4, 12).at(-1);
          const came = model.inflow * 12 * 3600 + flow * 8000;
          const stored = ((end?.level ?? 0) - 0.4) * area;
          assert.ok(Math.abs(came - (end?.out ?? 0) - stored) / Math.max(1, came) < 1e-6);
        },
      ),
      { numRuns: 30 },
    ));
  it('refuses what is not a number', () => assert.throws(() => pondCourse(pond({ inflow: NaN }), 0.4, 1), RangeError));
});

describe('the band of a pond', () => {
  it('holds its middle, opens with time, and names what makes it wide, the largest first', () => {
    const forecast = pondForecast(pond({ rain: [{ from: 3600, to: 20_000, flow: 0.02 }] }), 0.4, 48);
    forecast.middle.forEach((p, i) => assert.ok((forecast.low[i]?.level ?? 9) <= p.level && p.level <= (forecast.high[i]?.level ?? 0)));
    const named = widthAt(forecast, 12 * 3600);
    assert.ok(named.some((d) => d.called === 'how well the break runs') && named.some((d) => d.called === 'the rain'));
    named.slice(1).forEach((d, i) => assert.ok(d.by <= (named[i]?.by ?? 0)));
  });
  it('is as wide as its reading at the start and wider for every doubt that is added', () => {
    const only = { ...PRACTICE_DOUBTS, coefficient: 0, inflow: 0, rain: 0, area: 0, tail: 0 };
    const width = (doubts: typeof only | typeof PRACTICE_DOUBTS): number => {
      const f = pondForecast(pond(), 0.4, 24, doubts);
      return levelOn(f.high, 6 * 3600) - levelOn(f.low, 6 * 3600);
    };
    const start = pondForecast(pond(), 0.4, 24, only);
    assert.ok(Math.abs((start.high[0]?.level ?? 0) - 0.4 - only.reading) < 1e-9);
    assert.ok(width({ ...only, coefficient: 0.2 }) > width(only));
    assert.ok(width(PRACTICE_DOUBTS) > width({ ...only, coefficient: 0.2 }));
  });
  it('holds about eight cases of ten when the doubts are what they say (10 000 draws would; 200 do within limits)', () => {
    const random = seeded(5);
    const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const forecast = pondForecast(pond(), 0.4, 12);
    const [low, high] = [levelOn(forecast.low, 43_200), levelOn(forecast.high, 43_200)];
    let inside = 0;
    for (let n = 0; n < 200; n += 1) {
      const off = (share: number): number => 1 + (normal() * share) / 1.2816;
      const [cd, inflow, area] = [off(0.2), off(0.5), off(0.1)];
      const level = last(
        pond({ inflow: 0.004 * inflow, area: [{ level: 0, area: 4000 * area }], breaks: pond().breaks.map((b) => ({ ...b, cd })) }),
        0.4 + (normal() * PRACTICE_DOUBTS.reading) / 1.2816,
        12,
      );
      if (level >= low && level <= high) inside += 1;
    }
    const [least, most] = shareLimits(inside, 200);
    assert.ok(least < 0.86 && most > 0.74, `${inside} of 200`);
  });
});

/** A stream made by its own law, with noise, read every so often. */
function made(seed: number, { k, base, r, noise }: { k: number; base: number; r: number; noise: number }, days: number, every = 12) {
  const random = seeded(seed);
  const rain: RainHour[] = Array.from({ length: days * 24 }, (_, n) => ({ at: n * HOUR, rain: n % 90 > 80 ? 2 : 0 }));
  const readings: Reading[] = [];
  let level = base + 0.1;
  for (let n = 0; n < days * 24; n += 1) {
    if (n % every === 0) readings.push({ at: new Date(n * HOUR), level: level + (random() - 0.5) * noise, bound: 'exact' });
    level = base + (level - base) * Math.exp(-k) + r * (rain[n]?.rain ?? 0) * Math.exp(-k);
  }
  return { rain, readings };
}

describe('a stream', () => {
  const truth = { k: 0.03, base: 0.3, r: 0.012, noise: 0.002 };
  it('its recession, base and answer to rain are found again from its readings', () => {
    const { rain, readings } = made(1, truth, 30);
    const fit = fitStream(readings, rain);
    assert.ok(Math.abs(fit.k / truth.k - 1) < 0.15, String(fit.k));
    assert.ok(Math.abs(fit.base - truth.base) < 0.01 && Math.abs(fit.r / truth.r - 1) < 0.2, `${fit.base} ${fit.r}`);
    assert.ok(Math.abs(halfGone(fit) - Math.LN2 / fit.k) < 1e-12);
  });
  it('a logger’s quarter hours teach as well as two readings a day', () => {
    const { rain, readings } = made(2, { ...truth, noise: 0.0005 }, 14, 1);
    const fit = fitStream(readings, rain);
    assert.ok(fit.steps > 300 && Math.abs(fit.k / truth.k - 1) < 0.2, `${fit.steps} ${fit.k}`);
    const quarter = readings.slice(0, 40).map((r, n) => ({ ...r, at: new Date(n * 900_000) }));
    assert.equal(fitStream(quarter, []).steps, 39);
  });
  it('read too seldom it keeps the practice figures and says so', () => {
    const fit = fitStream(made(1, truth, 2).readings, []);
    assert.equal(fit.steps, 0);
    const forecast = streamForecast(fit, 0.4, 0, 24, []);
    assert.match(forecast.doubts[0]?.called ?? '', /few readings so far/);
  });
  it('falls back to its base without rain (exact: e^−kt), rises with it, and its band opens and then holds', () => {
    const fit = { k: 0.05, base: 0.2, r: 0.01, spread: 0.01, step: 12, steps: 40, trend: 0 };
    const dry = streamForecast(fit, 0.5, 0, 72, []);
    assert.ok(Math.abs(levelOn(dry.middle, 24 * 3600) - (0.2 + 0.3 * Math.exp(-1.2))) < 1e-9);
    const wet = streamForecast(
      fit,
      0.5,
      0,
      72,
      Array.from({ length: 10 }, (_, n) => ({ at: n * HOUR, rain: 2 })),
    );
    assert.ok(levelOn(wet.middle, 10 * 3600) > levelOn(dry.middle, 10 * 3600) + 0.1);
    const width = (h: number): number => levelOn(dry.high, h * 3600) - levelOn(dry.low, h * 3600);
    assert.ok(width(2) < width(12) && width(12) < width(48));
    assert.ok(width(72) / width(60) < 1.02);
  });
  it('its band holds about eight in ten of what comes (a stream of its own law, 160 forecasts)', () => {
    const { rain, readings } = made(4, { ...truth, noise: 0.03 }, 100);
    let [inside, all] = [0, 0];
    for (let n = 40; n + 2 < readings.length; n += 1) {
      const known = readings.slice(0, n + 1);
      const from = readings[n]?.at.getTime() ?? 0;
      const f = streamForecast(fitStream(known, rain), readings[n]?.level ?? 0, from, 30, rain);
      const came = readings[n + 2];
      if (!came) continue;
      const at = (came.at.getTime() - from) / 1000;
      all += 1;
      if (came.level >= levelOn(f.low, at) && came.level <= levelOn(f.high, at)) inside += 1;
    }
    const [least, most] = shareLimits(inside, all);
    assert.ok(least < 0.95 && most > 0.75, `${inside} of ${all}`);
  });
});

describe('a track', () => {
  it('is the course at equal steps, and ends where it ends', () => {
    const f = pondForecast(pond(), 0.4, 24);
    const track = trackOf(f, 5000);
    for (const hours of [0, 3.3, 11.9, 24])
      assert.ok(Math.abs(trackAt(track, 5000 + hours * HOUR).middle - levelOn(f.middle, hours * 3600)) < 2e-3);
    assert.equal(endOf(track), 5000 + 24 * HOUR);
    assert.equal(trackAt(track, 9e12).high, track.high.at(-1));
  });
});

describe('how good a forecast was', () => {
  const kept = [{ made: 0, points: [0, 12, 24, 36].map((h) => ({ at: h * HOUR, low: 0.9, middle: 1, high: 1.1 })) }];
  const read = (hours: number, level: number): Reading => ({ at: new Date(hours * HOUR), level, bound: 'exact' });
  it('counts what came inside, with its bias and its distance, by hours ahead', () => {
    const pairs = pairsOf(kept, [read(1, 9), read(12, 1.05), read(24, 1.3), read(40, 1)]);
    assert.equal(pairs.length, 2);
    const [first, second] = qualityOf(pairs, shareLimits);
    assert.deepEqual([first?.pairs, first?.inside], [1, 1]);
    assert.ok(Math.abs((second?.bias ?? 0) + 0.3) < 1e-9 && second?.inside === 0);
  });
  it('an upper bound is no reading to be held against', () => assert.equal(pairsOf(kept, [{ ...read(12, 1), bound: 'atMost' }]).length, 0));
  it('exact limits of a share: 0 of 10 to 0.3085, 10 of 10 from 0.6915, 9 of 60 from 0.071 (Clopper & Pearson 1934, from memory)', () => {
    assert.ok(Math.abs(shareLimits(0, 10)[1] - 0.3085) < 1e-4);
    assert.ok(Math.abs(shareLimits(10, 10)[0] - 0.6915) < 1e-4);
    assert.ok(Math.abs(shareLimits(9, 60)[0] - 0.071) < 5e-4);
    assert.throws(() => shareLimits(4, 3), RangeError);
  });
});

describe('a pond of unknown size', () => {
  const of = (area: number, inflow: number) => pondForecast(pond({ area: [{ level: 0, area }], inflow }), 0.4, 48);
  const all = [of(800, 0), of(4000, 0.001), of(20_000, 0.002)];
  const among = amongForecasts('the area of the pond, not measured', all, 1);
  it('is forecast by the middle one, its band from the lowest to the highest of all it may be', () => {
    assert.deepEqual(among.middle, all[1]?.middle);
    for (const f of all)
      f.middle.forEach((p) => {
        assert.ok(levelOn(among.low, p.at) <= levelOn(f.low, p.at) + 1e-9, 'no pond of them ends lower');
        assert.ok(levelOn(among.high, p.at) >= levelOn(f.high, p.at) - 1e-9, 'no pond of them ends higher');
      });
  });
  it('names the doubt that makes the band so wide, before all others', () =>
    assert.equal(widthAt(among, 24 * 3600)[0]?.called, 'the area of the pond, not measured'));
  it('of one pond alone is that pond’s own', () => {
    const alone = amongForecasts('nothing', [all[0] as Forecast], 0);
    alone.low.forEach((p, i) => assert.ok(Math.abs(p.level - (all[0]?.low[i]?.level ?? NaN)) < 1e-9));
    assert.throws(() => amongForecasts('nothing', [], 0), RangeError);
  });
  it('a course is read off alike however often it is asked for', () =>
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 7200 }), fc.double({ min: 0.05, max: 1, noNaN: true }), (every, start) => {
        const model = pond({ area: [{ level: 0, area: 3000 }], inflow: 0.002 });
        const [fine, coarse] = [pondCourse(model, start, 12, every), pondCourse(model, start, 12, 3600)];
        return (
          Math.abs((fine.at(-1)?.level ?? 0) - (coarse.at(-1)?.level ?? 1)) < 1e-6 &&
          fine.every((p, i) => i === 0 || p.at > (fine[i - 1]?.at ?? 0))
        );
      }),
      { numRuns: 30 },
    ));
  it('a course has its last point at its end, and one at every opening and shower', () => {
    const model = pond({ rain: [{ from: 5000, to: 9000, flow: 0.01 }] });
    const times = pondCourse(model, 0.4, 6, 1800).map((p) => p.at);
    assert.deepEqual(
      times.filter((t) => t === 5000 || t === 9000),
      [5000, 9000],
    );
    assert.equal(times.at(-1), 6 * 3600);
    assert.ok(Array.from({ length: 12 }, (_, n) => (n + 1) * 1800).every((t) => times.includes(t)));
  });
});
