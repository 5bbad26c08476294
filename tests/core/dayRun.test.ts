import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { wordState } from '#core/run/leftWord';
import { isCloseTo } from '#core/run/stops';
import { DETOUR, MODES, PARKING, travelMatrix, TRUCK_KMH, UNPLACED, type Access, type Ends } from '#core/run/travel';
import { bandOf, visitOf } from '#core/run/visit';
import { partsOf } from '#core/run/whose';
import { shareSchema } from '#core/record/share';
import { minutesOf, placedOften, placingOf, share, taskOf, TASKS, WORK_MINUTES, type Time } from '#core/run/work';

/** Minutes of work and of ways (speeds and minutes are common practice, no source). */

const times = (task: Time['task'], ...minutes: number[]): Time[] => minutes.map((m) => ({ task, minutes: m }));

describe('minutes of work', () => {
  it('are practice until three were written, then the middle of what was written, with its spread', () => {
    assert.deepEqual(minutesOf({}, times('look', 1, 3)).look, { minutes: 2, low: 1.2, high: 2.8, times: 0, from: 'practice' });
    const { minutes, times: n, from } = minutesOf({}, times('look', 1, 3, 4)).look;
    assert.deepEqual([minutes, n, from], [3, 3, 'written']);
  });
  it('that somebody typed stand before both', () => {
    const { minutes, from } = minutesOf({ look: 7 }, times('look', 1, 3, 4)).look;
    assert.deepEqual([minutes, from], [7, 'typed']);
  });
  it('of one work say nothing of another', () =>
    assert.equal(minutesOf({}, times('look', 9, 9, 9)).remake.minutes, WORK_MINUTES.remake.minutes));
  it('of placing one type stand for that type once three were written, unless a time was typed', () => {
    const placed = (type: string, ...own: number[]): Time[] => own.map((minutes) => ({ task: 'place', minutes, type }));
    const written = [...placed('lodge-run', 20, 30, 25), ...placed('float', 4, 5), ...times('look', 2)];
    const any = minutesOf({}, written);
    assert.equal(placingOf('lodge-run', any.place, written).minutes, 25);
    assert.deepEqual(placingOf('float', any.place, written), any.place);
    assert.equal(placingOf('lodge-run', minutesOf({ place: 7 }, written).place, written).minutes, 7);
    assert.deepEqual(placedOften(written), ['lodge-run']);
  });
  it('lie between their low and their high, whatever was written', () =>
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.5, max: 600, noNaN: true }), { maxLength: 12 }), (own) => {
        const takes = minutesOf({}, times('remake', ...own)).remake;
        assert.ok(takes.low <= takes.minutes && takes.minutes <= takes.high);
      }),
    ));
  it('a quarter of 1, 2, 3, 4 lies under 1.75 (Hyndman and Fan 1996, definition 7)', () => {
    assert.equal(share([4, 1, 3, 2], 0.25), 1.75);
    assert.throws(() => share([], 0.5), RangeError);
  });
});

describe('what a check was, as work', () => {
  const task = (
    outcomes: Parameters<typeof taskOf>[0]['outcomes'],
    change: Parameters<typeof taskOf>[0]['change'] = 'as it was',
    isAlive = false,
  ) => taskOf({ outcomes, change, isAlive });
  it('goes by the heaviest thing that was found', () => {
    assert.equal(task(['untouched', 'untouched']), 'look');
    assert.equal(task(['untouched'], 'remade'), 'remake');
    assert.equal(task(['untouched', 'catch'], 'remade'), 'catch');
    assert.equal(task(['catch'], 'remade', true), 'live');
    assert.equal(task(['missing', 'catch']), 'missing');
  });
  it('is none where nobody got there, or the set was moved or pulled', () => {
    assert.equal(task(['not reached']), null);
    assert.equal(task(['untouched'], 'pulled'), null);
    assert.equal(task(['untouched'], 'moved'), null);
    assert.equal(task([]), null);
  });
});

describe('a visit ahead', () => {
  const takes = minutesOf({});
  it('is a look, a remake or a search; through ice a hole is opened first', () => {
    const minutes = (isRemade: boolean, isMissing: boolean, underIce: boolean) => visitOf({ isRemade, isMissing, underIce }, takes).minutes;
    assert.deepEqual([minutes(false, false, false), minutes(true, false, false), minutes(true, true, false)], [2, 6, 15]);
    assert.equal(minutes(false, false, true), 12);
  });
  it('ten looks with a catch in ten: 10 minutes more, and the band is that of the sum', () => {
    const looks = Array.from({ length: 10 }, () => visitOf({ isRemade: false, isMissing: false, underIce: false }, takes));
    const { usual, later, sooner } = bandOf(looks, 0.1, takes);
    assert.ok(Math.abs(usual - 10) < 1e-9);
    // by hand: each look 2 ± 0.8 (9 of 10), so 0.8 / 1.645 squared, times 10; catches 10 · 0.1 · 0.9 · 10²
    const spread = Math.sqrt(10 * (0.8 / 1.645) ** 2 + 10 * 0.1 * 0.9 * 100);
    assert.ok(Math.abs(later - 1.645 * spread) < 1e-9);
    assert.ok(sooner <= usual + 8 + 1e-9, 'nobody is back before every look was at its quickest');
  });
  it('without visits there is no band', () => assert.deepEqual(bandOf([], 0.3, takes), { usual: 0, sooner: 0, later: 0 }));
  it('has minutes for every work', () => assert.equal(new Set(TASKS).size, 8));
});

describe('whether a check is a stop of the day', () => {
  const zone = 'America/Chicago';
  const start = new Date('2026-11-25T11:22:00Z');
  const stop = (deadline: string | null, lastLook: string | null = '2026-11-24T15:00:00Z') =>
    isCloseTo({ deadline, lastLook }, start, zone);
  it('owed on its date, or within a day where nobody looked yet', () => {
    assert.ok(stop('2026-11-25T15:00:00Z'));
    assert.ok(stop('2026-11-26T06:00:00Z'), 'the end of the date');
    assert.ok(stop('2026-11-26T10:00:00Z'), 'within 24 hours');
    assert.ok(!stop('2026-11-26T12:00:00Z'), 'more than a day ahead');
  });
  it('not where it was looked at that morning, and not where nothing is live', () => {
    assert.ok(!stop('2026-11-26T11:00:00Z', '2026-11-25T11:10:00Z'));
    assert.ok(!stop(null));
  });
});

describe('minutes between places', () => {
  const at = (east: number, north: number): [number, number] => [-90 + east / 78_850, 45 + north / 111_130];
  const place = (east: number, north: number, ground = 'a'): Ends => ({ at: at(east, north), ground });
  const truck = (east: number, ground = 'a'): Access => ({ at: at(east, 0), ground, name: `${east}` });
  const walk = (metres: number): number => (metres * DETOUR * 60) / (MODES.foot.kmh * 1000);
  const close = (a: number | undefined, b: number) => assert.ok(Math.abs((a ?? NaN) - b) < 0.02 * b + 0.01, `${a} against ${b}`);

  it('a thousand metres on foot take 19.5 minutes: 1,300 m at 4 km/h', () => {
    const m = travelMatrix([place(0, 0), place(0, 1000)], [truck(0)], 'foot');
    close(m[0]?.[1], 19.5);
    close(m[1]?.[0], 19.5);
    assert.equal(m[0]?.[0], 0);
  });
  it('to other access points one walks back, drives, parks and walks', () => {
    const m = travelMatrix([place(0, 100), place(5000, 100)], [truck(0), truck(5000)], 'foot');
    close(m[0]?.[1], walk(100) + (5000 * DETOUR * 60) / (TRUCK_KMH * 1000) + PARKING + walk(100));
  });
  it('an access point of other ground serves nobody', () => {
    const m = travelMatrix([place(0, 0), place(0, 1000, 'b')], [truck(0, 'a'), { at: at(0, 1000), ground: 'c', name: 'c' }], 'foot');
    close(m[0]?.[1], 19.5);
  });
  it('a place that lies nowhere is five minutes off', () =>
    assert.equal(travelMatrix([place(0, 0), { at: null, ground: 'a' }], [truck(0)], 'foot')[0]?.[1], UNPLACED));
  it('is as long both ways, and quicker by sled', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 9000 }), fc.integer({ min: 0, max: 900 })), { minLength: 2, maxLength: 6 }),
        (spots) => {
          const places = spots.map(([east, north]) => place(east, north));
          const [foot, sled] = [
            travelMatrix(places, [truck(0), truck(4000)], 'foot'),
            travelMatrix(places, [truck(0), truck(4000)], 'sled'),
          ];
          for (const [i, row] of foot.entries())
            for (const [j, m] of row.entries()) {
              assert.ok(Math.abs(m - (foot[j]?.[i] ?? NaN)) < 1e-9);
              assert.ok((sled[i]?.[j] ?? Infinity) <= m + 1e-9);
            }
        },
      ),
      { numRuns: 40 },
    ));
});

describe('word left at home', () => {
  const backBy = '2026-11-25T18:00:00Z';
  const now = (clock: string): Date => new Date(`2026-11-25T${clock}:00Z`);
  it('is overdue from the minute after, and never once somebody is back', () => {
    assert.equal(wordState({ backBy, back: null }, now('18:00')), 'out');
    assert.equal(wordState({ backBy, back: null }, now('18:01')), 'overdue');
    assert.equal(wordState({ backBy, back: '2026-11-25T19:30:00Z' }, now('20:00')), 'back');
  });
});

describe('who goes where', () => {
  const [wren, corin] = ['01900000-0000-7000-8000-00000000000a', '01900000-0000-7000-8000-00000000000b'];
  const set = (n: number): string => `01900000-0000-7000-8000-0000000001${String(n).padStart(2, '0')}`;
  const day = (parts: { person: string; stops: string[] }[]) => ({ id: set(90), line: set(91), day: '2026-11-25', parts, note: '' });
  const said = day([
    { person: wren, stops: [set(1), set(2)] },
    { person: corin, stops: [set(3)] },
  ]);
  it('a set that anybody looked at leaves its list, whoever did', () => {
    const parts = partsOf([said], '2026-11-25', [set(2), set(9)]);
    assert.deepEqual(
      parts.map(({ person, left }) => [person, left]),
      [
        [wren, [set(2)]],
        [corin, []],
      ],
    );
    assert.deepEqual(partsOf([said], '2026-11-26', [set(2)]), []);
  });
  it('a set is on one list alone, and each list is another person’s', () => {
    assert.ok(shareSchema.safeParse(said).success);
    const twice = shareSchema.safeParse(day([...said.parts.slice(0, 1), { person: corin, stops: [set(1)] }]));
    assert.match(twice.error?.issues[0]?.message ?? '', /on one list alone/);
    const same = shareSchema.safeParse(day(said.parts.map((p) => ({ ...p, person: wren }))));
    assert.match(same.error?.issues[0]?.message ?? '', /another person/);
  });
});
