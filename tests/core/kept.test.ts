import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { DateTime } from 'luxon';
import { remembered } from '#core/remembered';
import { CATALOGUE } from '#core/sets/catalogue';
import { layOut, usualDevices } from '#core/sets/standing';
import { clockText } from '#core/time/clock';
import { localDate } from '#core/time/localTime';
import { levelBands, bandNear, type Interval } from '#core/water/band';
import { levelOn, type CoursePoint } from '#core/water/balance';
import { judged, keptBands } from '#core/water/keptBands';
import { bestShift, shareInBand } from '#core/water/outlook';
import { raised } from '#core/water/part';
import { freezingDegreeDays, rainOf, unknownHours, type WeatherHour } from '#core/weather/hours';

/** Whatever is kept or found by halving must say what the plain way says. */

const HOUR = 3_600_000;
const metres = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('what is remembered', () => {
  it('is asked once for the same question, and anew for another', () => {
    let asked = 0;
    const double = remembered((n: number, of: { by: number }) => ((asked += 1), n * of.by));
    assert.equal(double(3, { by: 2 }), 6);
    assert.equal(double(3, { by: 2 }), 6);
    assert.equal(asked, 1);
    assert.equal(double(3, { by: 5 }), 15);
    assert.equal(asked, 2);
  });
  it('forgets what was asked longest ago', () => {
    const asked: number[] = [];
    const half = remembered((n: number) => (asked.push(n), n / 2), 2);
    for (const n of [1, 2, 1, 3, 1, 2]) half(n);
    assert.deepEqual(asked, [1, 2, 3, 2]);
  });
  it('keeps an answer of undefined', () => {
    let asked = 0;
    const none = remembered((): undefined => void (asked += 1));
    none();
    none();
    assert.equal(asked, 1);
  });
});

describe('bands that are kept with a layout', () => {
  const layouts = CATALOGUE.map((type) => {
    const laid = {
      numbers: {},
      choices: {},
      then: { pond: 1, tail: 0.2, sheet: 0.1 },
      place: { kind: type.stations[0] ?? ('run' as const), surface: 'pond' as const, bed: 0.2 },
      devices: usualDevices(type),
    };
    return layOut(type, laid, 'us');
  });
  for (const [i, type] of CATALOGUE.entries())
    it(`are those of the needs themselves, as it stands and moved: ${type.id}`, () => {
      const layout = layouts[i];
      assert.ok(layout);
      for (const device of new Set(layout.needs.map((n) => n.device)))
        fc.assert(
          fc.property(metres(-0.6, 0.6), metres(0.2, 1.5), metres(0, 0.6), (by, tail, sheet) => {
            const known = { pond: 1, tail, sheet };
            const own = judged(layout, device);
            const parts = layout.parts.map((p) => (p.device === device ? raised(p, by) : p));
            const plain = levelBands(own.needs, parts, own.axis, known);
            const kept = keptBands(own, known, by);
            assert.deepEqual(near(kept), near(plain));
            assert.equal(keptBands(own, { ...known }, by), kept);
          }),
          { numRuns: 12 },
        );
    });
  it('of several the one that holds the level is nearest, the first of two as near', () => {
    const bands = [
      { min: 0, max: 1 },
      { min: 2, max: 3 },
    ];
    assert.deepEqual(bandNear(bands, 2.5), { min: 2, max: 3 });
    assert.deepEqual(bandNear(bands, 1.5), { min: 0, max: 1 });
    assert.equal(bandNear([], 1), null);
  });
});

const near = (bands: Interval[] | null) => bands?.map(({ min, max }) => [Math.round(min * 1e7), Math.round(max * 1e7)]) ?? null;

describe('the change that keeps a device in longest', () => {
  const course = fc
    .array(metres(-0.3, 0.3), { minLength: 12, maxLength: 40 })
    .map((levels): CoursePoint[] => levels.map((level, i) => ({ at: i * 3600, level, out: 0 })));
  it('gives the share that looking at every ten minutes gives', () => {
    fc.assert(
      fc.property(course, metres(-0.2, 0), metres(0.02, 0.3), (own, min, wide) => {
        const band = { min, max: min + wide };
        const end = own.at(-1)?.at ?? 0;
        const looks = Array.from({ length: end / 600 + 1 }, (_, i) => levelOn(own, i * 600));
        const inside = looks.filter((l) => l >= band.min - 1e-9 && l <= band.max + 1e-9).length / looks.length;
        assert.ok(Math.abs(shareInBand(own, band, 0, end) - inside) < 1e-12);
        const best = bestShift({ low: own, middle: own, high: own }, band, { from: 0, to: end, room: null });
        assert.ok(best.share >= inside - 1e-12);
        const moved = { min: band.min + best.by, max: band.max + best.by };
        assert.ok(Math.abs(shareInBand(own, moved, 0, end) - best.share) < 1e-12);
      }),
    );
  });
  it('never goes further down than the bed', () => {
    const falling = Array.from({ length: 25 }, (_, i): CoursePoint => ({ at: i * 3600, level: -i * 0.02, out: 0 }));
    const { by } = bestShift(
      { low: falling, middle: falling, high: falling },
      { min: -0.05, max: 0.05 },
      { from: 0, to: 24 * 3600, room: 0.1 },
    );
    assert.ok(by >= -0.1 - 1e-9 && by < 0);
  });
});

describe('hours found by halving', () => {
  const hours = Array.from({ length: 60 }, (_, i): WeatherHour => ({
    at: i * HOUR,
    temperature: -i % 7,
    wind: 0,
    from: 0,
    rain: i % 5,
    snow: 0,
  }));
  it('are those that touch the time, each with its share', () => {
    fc.assert(
      fc.property(metres(-5, 70), metres(0, 30), (from, long) => {
        const [a, b] = [from * HOUR, (from + long) * HOUR];
        const share = (h: WeatherHour): number => Math.max(0, Math.min(h.at + HOUR, b) - Math.max(h.at, a)) / HOUR;
        const sum = (of: (h: WeatherHour) => number): number => hours.reduce((all, h) => all + of(h) * share(h), 0);
        assert.ok(Math.abs(rainOf(hours, a, b) - sum((h) => h.rain)) < 1e-9);
        assert.ok(Math.abs(freezingDegreeDays(hours, a, b) - sum((h) => Math.max(0, -h.temperature)) / 24) < 1e-9);
        assert.ok(Math.abs(unknownHours(hours, a, b) - (long - sum(() => 1))) < 1e-6);
      }),
    );
  });
});

describe('a wall clock read by quarters of an hour', () => {
  for (const zone of ['America/Chicago', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'America/St_Johns', 'UTC'])
    it(`shows what luxon shows, in ${zone}`, () => {
      fc.assert(
        fc.property(fc.integer({ min: Date.UTC(2025, 0, 1) / 1000, max: Date.UTC(2027, 0, 1) / 1000 }), (second) => {
          const at = new Date(second * 1000);
          const luxon = DateTime.fromJSDate(at, { zone });
          assert.equal(clockText(at, { zone, hours: 24 }), luxon.toFormat('HH:mm'));
          assert.equal(localDate(at, zone), luxon.toFormat('yyyy-MM-dd'));
        }),
      );
    });
});
