import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { iceCourse } from '#core/ice/growth';
import { reachOf, sheetsOf } from '#core/ice/sheets';
import type { Ice } from '#core/record/kinds';
import type { WaterBody } from '#core/water/placed';
import { nextCheck, type RuleAt } from '#core/time/deadline';
import { inches } from '#core/units/factors';
import { plainFrame } from '#core/units/frame';
import { levelOn } from '#core/water/balance';
import { elevationOf, hungBelow } from '#core/water/gauge';
import { jumpText } from '#core/water/jump';
import { outlookText } from '#core/water/outlook';
import { outsideBand } from '#core/water/outsideBand';
import { hoursInBand, type Reading } from '#core/water/series';
import { deviceState, READING_LASTS, type Water } from '#core/water/state';
import { fitStream, streamForecast } from '#core/water/streamForecast';
import { riseText, stillToCome, withTold } from '#core/water/toldRise';
import { carriedOn, freezingDegreeDays, type WeatherHour } from '#core/weather/hours';
import { setTypeOf } from '#core/sets/catalogue';
import { usualDevices } from '#core/sets/standing';
import { layFrom } from '../support/lay';

/** What is said of the water ahead: by which check, how far, how sure. */

const HOUR = 3_600_000;
const NOW = new Date('2026-11-25T11:00:00Z');
const at = (hours: number): Date => new Date(NOW.getTime() + hours * HOUR);
const read = (hours: number, inch: number, over: Partial<Reading> = {}): Reading => ({
  at: at(hours),
  level: inches(inch),
  bound: 'exact',
  ...over,
});
const line = (hours: number): RuleAt => ({ rule: { kind: 'elapsed', hours }, zone: 'America/Chicago', lat: 45, lon: -90 });
const near = (is: number, wanted: number, by: number): void => assert.ok(Math.abs(is - wanted) <= by, `${is} is not ${wanted}`);

describe('the check that a forecast speaks of (F26, F38)', () => {
  it('is the next one by the rule of that line: a weekly one under ice looks a week ahead', () => {
    assert.deepEqual(nextCheck(null, NOW, line(168)), at(168));
    assert.deepEqual(nextCheck(at(30).toISOString(), NOW, line(168)), at(30));
  });
  it('of a check that is overdue it is the one after the look of today', () =>
    assert.deepEqual(nextCheck(at(-3).toISOString(), NOW, line(48)), at(48)));
  it('the ice is grown to the check after the next one, at least three days and at most sixteen', () => {
    assert.equal(reachOf(NOW, line(24)), at(72).getTime());
    assert.equal(reachOf(NOW, line(168)), at(336).getTime());
    assert.equal(reachOf(NOW, line(720)), at(16 * 24).getTime());
  });
  const frost = (hours: number): WeatherHour[] =>
    Array.from({ length: hours }, (_, n) => ({
      at: at(n).getTime(),
      temperature: n % 24 < 12 ? -4 : -8,
      wind: 1,
      from: 0,
      rain: 0,
      snow: 2,
    }));
  it('where the weather told ends its cold goes on, dry; seven days of frost grow more than three (F26)', () => {
    const told = frost(72);
    const week = carriedOn(told, at(168).getTime());
    assert.equal(week.length, 168);
    near(freezingDegreeDays(week, NOW.getTime(), at(168).getTime()), 42, 1e-9);
    assert.equal(week.at(-1)?.snow, 0);
    const growth = { low: 1.5, middle: 2, high: 2.5, from: 0 };
    const start = { at: NOW.getTime(), thickness: 0.2 };
    const ends = (until: number): number => iceCourse(start, growth, week, until).at(-1)?.middle ?? 0;
    assert.ok(ends(at(168).getTime()) > ends(at(72).getTime()) + 0.01);
  });
  it('of under a day of weather nothing is carried on', () => assert.equal(carriedOn(frost(20), at(168).getTime()).length, 20));
});

const falling = (perHour: number) => Array.from({ length: 73 }, (_, h) => ({ at: h * 3600, level: inches(40 - perHour * h), out: 0 }));
const asked = (over: object) => ({
  courses: { low: falling(1.2), middle: falling(1), high: falling(0.8) },
  band: { min: inches(36), max: inches(42) },
  now: 0,
  check: 6 * 3600,
  after: 10 * 3600,
  then: { min: 'dry', max: 'too deep' },
  say: { down: 'Lower it', up: 'Raise it' },
  room: null,
  clock: (s: number) => `hour ${Math.round(s / 3600)}`,
  ...over,
});

describe('how far a forecast reaches', () => {
  it('a check beyond its end is not promised: where it ends is said, and nothing is ordered for then', () => {
    const said = outlookText(asked({ band: { min: inches(-99), max: inches(99) }, check: 168 * 3600, after: 336 * 3600 }), 'us');
    assert.equal(said.sentence, 'Should work until hour 72, as far as the forecast reaches; the check is hour 168.');
    assert.equal(said.remedy.order, '');
  });
  it('what ends within an hour and a half is told in minutes', () =>
    assert.match(
      outlookText(asked({ band: { min: inches(39), max: inches(42) } }), 'us').sentence,
      /^Works for about 60 min more, until hour 1 \(/,
    ));
});

describe('few readings (F32)', () => {
  const day = 24 * 3600;
  it('a steady fall goes on, easing, and its band is wider the further it looks', () => {
    const fit = fitStream([read(-48, 42), read(-24, 41), read(0, 40)], []);
    const f = streamForecast(fit, inches(40), NOW.getTime(), 72, []);
    const fell = (h: number): number => inches(40) - levelOn(f.middle, h * 3600);
    assert.ok(fell(24) > inches(0.7) && fell(24) < inches(1), String(fell(24)));
    assert.ok(fell(48) > fell(24) && fell(48) < 2 * fell(24));
    const wide = (s: number): number => levelOn(f.high, s) - levelOn(f.low, s);
    assert.ok(wide(2 * day) > wide(day) && wide(day) > wide(day / 4));
  });
  it('after a rise of feet a day from now is not known to two inches', () => {
    const fit = fitStream([read(-48, 20), read(-24, 21), read(0, 60)], []);
    const f = streamForecast(fit, inches(60), NOW.getTime(), 72, []);
    assert.ok(levelOn(f.high, day) - levelOn(f.low, day) > inches(24));
    assert.ok(f.doubts.some((d) => /the rise goes on or ends/.test(d.called)));
  });
});

describe('a level typed far from all that was read (F39)', () => {
  const frame = plainFrame('us');
  const past = [read(-48, 30), read(-24, 35)];
  it('is asked about, with how far and from what', () =>
    assert.equal(
      jumpText(inches(350), past, frame, 'pond'),
      '26 ft 3 in above all that was read (30 in to 35 in). Is it right? Then save once more; else correct it.',
    ));
  it('within a foot of what was read nothing is asked, nor before the first reading', () => {
    assert.equal(jumpText(inches(46.9), past, frame, 'pond'), null);
    assert.equal(jumpText(inches(350), [], frame, 'pond'), null);
    assert.match(jumpText(inches(14), [read(-1, 41)], frame, 'pond') ?? '', /^27 in below the 41 in read before/);
  });
});

describe('a mark that high water left (F33)', () => {
  const readings = [read(-48, 30), read(0, 32), read(0, 60, { bound: 'crest', since: at(-24) })];
  const band = { min: inches(20), max: inches(40) };
  it('takes the certainty from the hours between its two times, for a band under it only', () => {
    assert.deepEqual(hoursInBand(readings, at(-48), at(0), band), { low: 24, high: 48 });
    assert.deepEqual(hoursInBand(readings, at(-48), at(0), { min: inches(20), max: inches(70) }), { low: 48, high: 48 });
  });
  it('counts by its upper end where it is not sure', () => {
    const unsure = (doubt: number | null) => [...readings.slice(0, 2), read(0, 38, { bound: 'crest', since: at(-24), doubt })];
    assert.deepEqual(hoursInBand(unsure(null), at(-48), at(0), band), { low: 48, high: 48 });
    assert.deepEqual(hoursInBand(unsure(inches(3)), at(-48), at(0), band), { low: 24, high: 48 });
  });
  it('is told as a time in which it stood over its band, sometime', () =>
    assert.deepEqual(outsideBand(readings, at(-48), at(0), band), [{ from: at(-24), to: at(0), side: 'over', sometime: true }]));
});

describe('an old reading (F35)', () => {
  const type = setTypeOf('dive-pole');
  const layout = layFrom(
    type,
    { numbers: {}, choices: {}, pond: inches(41) },
    { kind: 'run', surface: 'pond', bed: null },
    usualDevices(type),
    'us',
  );
  const water = (foretold?: [number, number, number]): Water => ({
    known: { pond: inches(41) },
    age: { pond: READING_LASTS + HOUR },
    atMost: {},
    ...(foretold ? { foretold: { pond: { low: inches(foretold[0]), middle: inches(foretold[1]), high: inches(foretold[2]) } } } : {}),
  });
  const state = (w: Water) => deviceState(layout, 'trap', w, plainFrame('us'));
  it('without a forecast says nothing of how it stands', () => assert.equal(state(water()).verdict, 'unknown'));
  it('with one whose whole band keeps it in it works, by the forecast', () => {
    const told = state(water([40.9, 41, 41.1]));
    assert.deepEqual([told.verdict, told.label], ['fine', 'working, by the forecast']);
    assert.match(told.sentence, /^The last reading is 25 h old; by the forecast 41 in to 41 in now\./);
  });
  it('with one that may leave it it is in doubt, and asks for the gauge', () => {
    const told = state(water([10, 41, 60]));
    assert.equal(told.verdict, 'perhaps');
    assert.match(told.sentence, /Read the gauge\.$/);
  });
});

describe('a rise that somebody told', () => {
  const told = (over: object = {}) => ({
    ...{ id: 'a', gauge: 'g', at: NOW.toISOString(), until: at(10).toISOString() },
    ...{ rise: 0.5, doubt: 0.2, who: 'radio', note: '', ...over },
  });
  const still = streamForecast({ k: 0.01, base: 1, r: 0, spread: 0.01, step: 24, steps: 9, trend: 0 }, 1, NOW.getTime(), 48, []);
  it('lifts the forecast evenly until it is all there, and widens it by its doubt', () => {
    const moved = withTold(still, [told()], NOW.getTime());
    near(levelOn(moved.middle, 5 * 3600) - levelOn(still.middle, 5 * 3600), 0.25, 1e-9);
    near(levelOn(moved.middle, 24 * 3600) - levelOn(still.middle, 24 * 3600), 0.5, 1e-9);
    assert.ok(levelOn(moved.high, 24 * 3600) - levelOn(moved.middle, 24 * 3600) >= 0.2);
    assert.equal(moved.doubts.at(-1)?.called, 'what radio told');
  });
  it('is spent once the gauge was read after it came; read half-way, half of it is still to come', () => {
    assert.equal(withTold(still, [told()], at(10).getTime()), still);
    assert.deepEqual(stillToCome([told()], at(11).getTime()), []);
    const half = withTold(still, [told()], at(5).getTime());
    near(levelOn(half.middle, 24 * 3600) - levelOn(still.middle, 24 * 3600), 0.25, 1e-9);
  });
  it('never brings more than was told, whenever the gauge was read', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 600 }), fc.integer({ min: 0, max: 48 }), (readAfter, hour) => {
        const moved = withTold(still, [told()], NOW.getTime() + readAfter * 60_000);
        const by = levelOn(moved.middle, hour * 3600) - levelOn(still.middle, hour * 3600);
        return by >= -1e-9 && by <= 0.5 * (1 - readAfter / 600) + 1e-9;
      }),
    ));
  it('is said with its doubt, and a fall as a fall', () => {
    assert.equal(riseText({ rise: inches(24), doubt: inches(6) }, 'us'), 'a rise of 24 in, give or take 6 in');
    assert.equal(riseText({ rise: -inches(3), doubt: 0 }, 'us'), 'a fall of 3 in');
  });
});

describe('a gauge below the dam', () => {
  it('hangs so that what it shows lies the measured drop under the pond', () => {
    const gauge = hungBelow(inches(41), inches(30), inches(4));
    near(elevationOf(gauge, inches(4), NOW.getTime()), inches(11), 1e-12);
  });
});

describe('ice in probe holes (F52)', () => {
  const surfaces = {
    at: () => ({ how: 'unknown' as const }),
    elevation: (_w: string, _s: string, _a: string | Date, shown: number) => shown,
  };
  const water = { id: 'w', ice: 'lake' } as unknown as WaterBody;
  const ice = (station: string | null, thickness: number): Ice => ({
    ...{ id: 'i', water: 'w', station, at: at(-24).toISOString(), seen: 'measured', thickness },
    ...{ white: false, snow: 0, by: null, note: '' },
  });
  const sheet = (...seen: Ice[]) => sheetsOf(seen, [water], [], surfaces, { now: NOW, until: at(72).getTime() }).w;
  it('is the sheet’s where nobody measured the open ice, and stands back where somebody did', () => {
    near(sheet(ice('lodge', 0.2))?.course[0]?.middle ?? 0, 0.2, 1e-12);
    near(sheet(ice(null, 0.3), ice('lodge', 0.2))?.last.thickness ?? 0, 0.3, 1e-12);
    assert.equal(sheet(), undefined);
    // several holes at one place: its thinnest, and no other place beside it
    const holes = sheet(ice('run', 0.05), ice('lodge', 0.2), ice('lodge', 0.15));
    near(holes?.last.thickness ?? 0, 0.15, 1e-12);
    assert.equal(holes?.growth.from, 0);
  });
});
