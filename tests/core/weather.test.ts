import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { simulateExpected, simulateHours } from '#core/sim/weather';
import {
  coldest,
  daysOf,
  freezingDegreeDays,
  merged,
  observed,
  rainOf,
  thawingDegreeDays,
  unknownHours,
  type WeatherHour,
} from '#core/weather/hours';
import { planWeather } from '#core/weather/table';
import { tonight } from '#core/weather/tonight';

const HOUR = 3_600_000;
const hour = (n: number, over: Partial<WeatherHour> = {}): WeatherHour => ({
  at: n * HOUR,
  temperature: 2,
  wind: 1,
  from: 270,
  rain: 0,
  snow: 0,
  ...over,
});
const hours = (count: number, over: (n: number) => Partial<WeatherHour> = () => ({})): WeatherHour[] =>
  Array.from({ length: count }, (_, n) => hour(n, over(n)));

describe('hours of weather', () => {
  it('seven days at −12 °C are 84 °C·days of frost and none of thaw', () => {
    const week = hours(168, () => ({ temperature: -12 }));
    assert.ok(Math.abs(freezingDegreeDays(week, 0, 168 * HOUR) - 84) < 1e-9);
    assert.equal(thawingDegreeDays(week, 0, 168 * HOUR), 0);
  });
  it('a time in halves adds up to the whole, wherever it is cut', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 48, noNaN: true }),
        fc.array(fc.double({ min: -20, max: 15, noNaN: true }), { minLength: 48, maxLength: 48 }),
        (cut, temperatures) => {
          const own = hours(48, (n) => ({ temperature: temperatures[n] ?? 0, rain: n % 5 }));
          for (const of of [freezingDegreeDays, thawingDegreeDays, rainOf])
            assert.ok(Math.abs(of(own, 0, cut * HOUR) + of(own, cut * HOUR, 48 * HOUR) - of(own, 0, 48 * HOUR)) < 1e-9);
        },
      ),
    ));
  it('what was told later stands, and what nobody told is counted as unknown', () => {
    const list = merged([
      { made: 2, hours: [hour(1, { rain: 4 })] },
      { made: 1, hours: [hour(1, { rain: 9 }), hour(2)] },
    ]);
    assert.deepEqual(
      list.map((h) => h.rain),
      [4, 0],
    );
    assert.equal(unknownHours(list, 0, 5 * HOUR), 3);
    assert.equal(coldest([], 0, 1), null);
  });
  it('an hour that was only expected may be told anew, one that was seen may not', () => {
    const told = observed([{ made: 2 * HOUR, hours: [hour(0), hour(1), hour(2)] }]);
    assert.deepEqual([...told], [0, HOUR]);
  });
  it('days of which nothing is known are left out', () => assert.equal(daysOf(hours(24), 0, 3).length, 1));
});

describe('what the weather asks of tonight', () => {
  const [now, dusk, dawn] = [36 * HOUR, 44 * HOUR, 58 * HOUR];
  const said = (over: (n: number) => Partial<WeatherHour>): string[] => tonight(hours(60, over), { now, dusk, dawn }).map((f) => f.id);
  it('rain before dark, and rain in the night', () => {
    assert.deepEqual(
      said((n) => ({ rain: n === 40 ? 6 : 0 })),
      ['rainBeforeDark'],
    );
    assert.deepEqual(
      said((n) => ({ rain: n === 50 ? 6 : 0 })),
      ['rainAtNight'],
    );
  });
  it('triggers freeze in the cold', () =>
    assert.deepEqual(
      said((n) => ({ temperature: n > 48 ? -9 : 1 })),
      ['frozenTriggers'],
    ));
  it('scent marking is renewed after a wet day that turns dry', () =>
    assert.deepEqual(
      said((n) => ({ rain: n > 6 && n < 20 ? 1 : 0 })),
      ['scentMarking'],
    ));
  it('neither rain nor frost is a quiet night; hours nobody told are unknown', () => {
    assert.deepEqual(
      said(() => ({})),
      ['quietNight'],
    );
    assert.equal(tonight([], { now, dusk, dawn })[0]?.verdict, 'unknown');
  });
});

describe('a table of hours', () => {
  const rows = (temperature: string, cells: string[]): Record<string, string>[] =>
    cells.map((c, n) => ({ time: `2026-11-20 0${n}:00`, [temperature]: c, 'rain (in)': '0.1' }));
  const plan = (list: Record<string, string>[]) => planWeather(list, new Set(), 'America/Chicago');
  it('reads degrees Fahrenheit and inches where its header says so', () => {
    const read = plan(rows('temperature (f)', ['32', '14']));
    assert.deepEqual(
      read.hours.map((h) => Math.round(h.temperature)),
      [0, -10],
    );
    assert.ok(Math.abs((read.hours[0]?.rain ?? 0) - 2.54) < 1e-9);
  });
  it('an hour twice is one, an hour known already is here', () => {
    const twice = [...rows('temperature', ['1']), ...rows('temperature', ['2'])];
    assert.equal(plan(twice).hours.length, 1);
    assert.equal(planWeather(twice, new Set([Date.parse('2026-11-20T06:00Z')]), 'America/Chicago').here, 1);
  });
  it('refuses each row in words, and the whole file without its columns', () => {
    const read = plan(rows('temperature', ['cold', '', '90']));
    assert.equal(read.refused.length, 3);
    assert.match(read.refused[2]?.reason ?? '', /no air temperature: is the column in °F/);
    assert.match(plan([{ date: '1' }]).problem ?? '', /column “temperature”/);
    assert.match(plan([]).problem ?? '', /no rows/);
  });
  it('says when it looks like the other unit, and names its gaps', () => {
    assert.match(plan(rows('temperature', ['28', '30'])).warnings.join(), /is the column in °F/);
    const gap = [
      { time: '2026-11-20T00:00Z', temperature: '1' },
      { time: '2026-11-20T09:00Z', temperature: '1' },
    ];
    assert.match(plan(gap).warnings.join(), /1 gap/);
  });
});

describe('the simulated station', () => {
  it('is the same for the same seed, brings the rain it was given, and snow when it is cold', () => {
    const days = [
      { mean: 8, rain: 12 },
      { mean: -9, rain: 5 },
    ];
    const told = simulateHours(3, 0, days);
    assert.deepEqual(told, simulateHours(3, 0, days));
    assert.ok(Math.abs(rainOf(told, 0, 24 * HOUR) - 12) < 0.3);
    assert.ok(told.slice(30).some((h) => h.snow > 0));
  });
  it('expects what has not come yet with an error, and knows what has', () => {
    const told = simulateHours(
      3,
      0,
      Array.from({ length: 4 }, () => ({ mean: 5, rain: 10 })),
    );
    const expected = simulateExpected(8, told, 24 * HOUR);
    assert.notDeepEqual(expected.slice(30), told.slice(30));
    assert.equal(expected[3]?.temperature, told[3]?.temperature);
  });
});
