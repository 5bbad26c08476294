import { NO_REMEDY, remedySays } from '#core/water/remedy';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import type { Facts, Reader } from '#core/ahead/facts';
import { frameOf } from '#core/ahead/facts';
import { levelOn } from '#core/water/balance';
import { movingOf } from '#core/ahead/moving';
import { AHEAD, areasOf, drawnArea, dusk, MENDED_AFTER, rainFlow, shapeOf, wideningIn } from '#core/ahead/ponds';
import { clockFrom, outlookOf, reasonsText, standingOf } from '#core/ahead/setOutlook';
import { accidents, bySpecies, firstStay, setTotal, type SetTotal } from '#core/effort/totals';
import type { Body, TrapSet } from '#core/record/kinds';
import { setTypeOf } from '#core/sets/catalogue';
import { stateOf, usualDevices, type SetView } from '#core/sets/standing';
import type { Station } from '#core/stations/placed';
import { inches } from '#core/units/factors';
import type { DeviceState } from '#core/water/state';
import { layFrom } from '../support/lay';
import { plainFrame } from '#core/units/frame';
import type { Reading } from '#core/water/series';
import type { WeatherHour } from '#core/weather/hours';

/** What lies ahead of a whole season, from plain facts. */

const NOW = new Date('2026-11-25T11:22:00Z');
const HOUR = 3_600_000;
const ZONE = 'America/Chicago';
const near = (is: number, wanted: number, by: number): void => assert.ok(Math.abs(is - wanted) <= by, `${is} is not ${wanted}`);

const read = (hoursAgo: number, level: number): Reading => ({
  at: new Date(NOW.getTime() - hoursAgo * HOUR),
  level,
  bound: 'exact',
  by: null,
});
const water = (kind: 'pond' | 'stream', over: object = {}) => ({
  id: 'w',
  site: 's',
  name: 'Low Pond',
  kind,
  profile: [],
  safe: null,
  rise: null,
  catchment: null,
  runoff: null,
  seep: null,
  spill: null,
  areas: [],
  pipes: [],
  ice: null,
  note: '',
  ...over,
});
const opening = {
  id: 'o',
  water: 'w',
  shape: 'rectangle',
  opened: new Date(NOW.getTime() - 6 * HOUR).toISOString(),
  mended: null,
  by: 'us',
  set: null,
  count: 1,
  expect: 'open',
  widens: false,
  note: '',
  states: [{ id: 'a', at: NOW.toISOString(), width: 0.4, sill: 0.2 }],
};

/** A season of one water with what is given of it. */
function facts(own: ReturnType<typeof water>, readings: Reading[], over: object = {}): Facts {
  const last = readings.at(-1);
  return {
    clock: { zone: ZONE, hours: 12 },
    line: { zone: ZONE, lat: 45, lon: -90, rule: { kind: 'elapsed', hours: 24 } },
    sets: [],
    stations: [],
    waters: [own],
    gauges: [{ id: 'g', water: 'w', surface: 'pond', name: 'board', zero: 0, earlier: [] }],
    surfaces: { at: () => ({ how: 'unknown' }), elevation: (_w: string, _s: string, _at: string, shown: number) => shown },
    frames: {},
    readings: { g: readings },
    hours: [],
    sheets: {},
    ice: [],
    told: [],
    ground: [],
    openings: [],
    levels: { w: { known: last ? { pond: last.level } : {}, age: last ? { pond: NOW.getTime() - last.at.getTime() } : {}, atMost: {} } },
    ...over,
  } as unknown as Facts;
}

describe('courses of every water', () => {
  it('a stream that was read within two days has one, of 72 h, from its last reading on', () => {
    const { waters } = movingOf(facts(water('stream'), [read(30, 0.5), read(6, 0.6)]), NOW);
    const course = waters.w?.pond;
    assert.ok(course);
    assert.equal(course.from.getTime(), NOW.getTime() - 6 * HOUR);
    near(course.courses.middle[0]?.level ?? 0, 0.6, 1e-9);
    assert.equal(course.courses.middle.at(-1)?.at, AHEAD * 3600);
  });
  it('a reading older than two days begins none, and one that is only an upper bound neither', () => {
    assert.equal(movingOf(facts(water('stream'), [read(50, 0.5)]), NOW).waters.w?.pond, null);
    assert.equal(movingOf(facts(water('stream'), [{ ...read(3, 0.5), bound: 'atMost' }]), NOW).waters.w?.pond, null);
    assert.equal(movingOf(facts(water('stream'), []), NOW).waters.w?.pond, null);
  });
  it('a drained pond of unknown size is run as all that it may be, and says what it lacks', () => {
    const { waters, open } = movingOf(facts(water('pond'), [read(1, 0.6)], { openings: [opening] }), NOW);
    assert.equal(open.length, 1);
    assert.deepEqual(waters.w?.pond?.lacks, ['area', 'rise']);
    const { from, courses } = waters.w.pond;
    const [low = 0, high = 0] = [courses.low, courses.high].map((c) => levelOn(c, (NOW.getTime() + 24 * HOUR - from.getTime()) / 1000));
    assert.ok(high - low > 0.1);
  });
  it('the same pond with its area and its rise has a narrow course, and lacks nothing', () => {
    const known = water('pond', { areas: [{ level: 0, at: NOW.toISOString(), area: 4000 }], rise: 0 });
    const { waters } = movingOf(facts(known, [read(1, 0.6)], { openings: [opening] }), NOW);
    const course = waters.w?.pond;
    assert.ok(course);
    assert.deepEqual(course.lacks, []);
    assert.ok((course.courses.middle.at(-1)?.level ?? 1) < 0.35);
    assert.match(reasonsText(course, NOW, 'us'), /^Based on the water balance of the pond\. 8 in 10 readings/);
  });
  it('a break that was mended before now is not open', () => {
    const mended = { ...opening, mended: new Date(NOW.getTime() - HOUR).toISOString() };
    assert.equal(movingOf(facts(water('pond'), [read(0.5, 0.6)], { openings: [mended] }), NOW).open.length, 0);
  });
  it('seasons of one request share their courses', () => {
    const season = facts(water('stream'), [read(30, 0.5), read(6, 0.6)]);
    assert.equal(movingOf(season, NOW), movingOf({ ...season }, NOW));
  });
});

describe('what fills and drains a pond', () => {
  it('a break stands in the water as deep as the level is over its sill', () => {
    assert.deepEqual(shapeOf({ shape: 'rectangle', width: 0.4, sill: 0.2 }, 0.6), { kind: 'rectangle', width: 0.4 });
    const v = shapeOf({ shape: 'V', width: 0.4, sill: 0.2 }, 0.6);
    assert.ok(v.kind === 'V');
    near(v.side, 0.5, 1e-9);
  });
  it('its area is as typed, else as drawn, else not known', () => {
    const square = [
      [-90, 45],
      [-89.999, 45],
      [-89.999, 45.001],
      [-90, 45.001],
      [-90, 45],
    ];
    const shore = [{ water: 'w', kind: 'shore', shape: { type: 'Polygon', coordinates: [square] } }] as unknown as Body<'ground'>[];
    // 0.001° each way at 45° N: 78.8 m by 111.1 m (any table of degrees)
    near(drawnArea(shore, 'w') ?? 0, 78.8 * 111.1, 40);
    assert.equal(drawnArea(shore, 'x'), null);
    assert.equal(areasOf(water('pond') as never, [], 1), null);
    assert.equal(areasOf(water('pond', { areas: [{ level: 0, at: '', area: 5 }] }) as never, shore, 1)?.[0]?.area, 5);
  });
  it('rain falls on it and on what drains to it, and widens a soft break', () => {
    const wet = [1, 2].map((h): WeatherHour => ({ at: NOW.getTime() + h * HOUR, temperature: 2, wind: 0, from: 0, rain: 3.6, snow: 0 }));
    const [first] = rainFlow(wet, NOW.getTime(), 1000, water('pond', { catchment: 9000, runoff: 0.5 }) as never);
    near(first?.flow ?? 0, (0.0036 * 5500) / 3600, 1e-12);
    const widens = wideningIn(wet, NOW.getTime());
    near(widens?.by ?? 0, (7.2 * 0.0025) / 7200, 1e-12);
    assert.equal(wideningIn([], NOW.getTime()), undefined);
  });
  it('mending begins two hours after sunset by practice: that of today, or tomorrow’s where it is past', () => {
    const place = { lat: 45, lon: -90 };
    const first = dusk(NOW, ZONE, place);
    assert.ok(first > NOW && first.getTime() - NOW.getTime() < 24 * HOUR);
    const next = dusk(new Date(first.getTime() + 1), ZONE, place);
    near((next.getTime() - first.getTime()) / HOUR, 24, 0.1);
    assert.equal(MENDED_AFTER, 2 * HOUR);
  });
});

describe('standing at a place', () => {
  const reader: Reader = { now: NOW, who: { person: { system: 'us' }, words: { waders: 1.2, knee: 0.5 } } };
  const station = {
    id: 'p',
    water: 'w',
    kind: 'run',
    surface: 'pond',
    bed: { depth: 0.3, level: 0.6, at: '' },
    sounded: null,
    measures: [],
  } as unknown as Station;
  const view = { station, follows: null, deadline: null };
  it('is reckoned with the course of its water', () => {
    const season = facts(water('stream'), [read(30, 0.6), read(1, 0.6)]);
    assert.match(standingOf(view, movingOf(season, NOW), season, reader)?.sentence ?? '', /^Wadable now/);
  });
  it('is the ice’s to say where ice is, and never wading (F11)', () => {
    const at = NOW.getTime();
    const sheet = {
      course: [
        { at: at - HOUR, low: 0.04, middle: 0.05, high: 0.06 },
        { at: at + HOUR, low: 0.04, middle: 0.05, high: 0.06 },
      ],
      last: { white: false },
      fell: 0,
      frozen: '',
    };
    const season = facts(water('pond'), [read(30, 0.6), read(1, 0.6)], { sheets: { w: sheet } });
    const ahead = standingOf(view, movingOf(season, NOW), season, reader);
    assert.equal(ahead?.now, false);
    assert.match(ahead?.sentence ?? '', /^Ice: maybe only .* Stay off\.$/);
    const tail = { ...view, station: { ...station, surface: 'tail' as const } };
    assert.equal(standingOf(tail, movingOf(season, NOW), season, reader), null);
  });
  it('a frame that the season does not know is a plain one, in the zone of the line', () => {
    const season = facts(water('pond'), []);
    assert.deepEqual(frameOf(season, 'x', 'metric'), plainFrame('metric', { zone: ZONE, hours: 12 }));
  });
  it('a time is told by the clock alone when it is today', () => {
    const clock = clockFrom(NOW, { zone: ZONE, hours: 12 });
    assert.equal(clock(NOW), '5:22 am');
    assert.equal(clock(new Date(NOW.getTime() + 24 * HOUR)), 'Nov 26 5:22 am');
  });
});

describe('what lies ahead of a set', () => {
  const reader: Reader = { now: NOW, who: { person: { system: 'us' }, words: {} } };
  const place = { kind: 'run' as const, surface: 'pond' as const, bed: null };
  const known = { pond: 0.6, sheet: 0.05 };
  const station = { id: 'p', water: 'w', kind: 'run', surface: 'pond', bed: null, sounded: null, measures: [] } as unknown as Station;
  /** A set as Morning asks it, laid out by its type at the levels of now. */
  function viewOf(id: string, numbers: Record<string, number>): { view: SetView; state: DeviceState | null } {
    const type = setTypeOf(id);
    const layout = layFrom(type, { numbers, choices: {}, ...known }, place, usualDevices(type), 'us');
    const deadline = new Date(NOW.getTime() + 24 * HOUR).toISOString();
    const view = {
      id: 'x',
      type: id,
      station,
      layout,
      devices: [],
      follows: null,
      iceFactor: 1,
      deadline,
      every: { kind: 'elapsed', hours: 24 },
    } as unknown as SetView;
    return { view, state: stateOf(view, { known, age: { pond: HOUR }, atMost: {} }, plainFrame('us', { zone: ZONE, hours: 12 })) };
  }
  /** Ice that grows evenly from an hour ago on, m at its end. */
  const growing = (end: number) => ({
    course: Array.from({ length: 50 }, (_, h) => {
      const middle = 0.05 + ((end - 0.05) * h) / 49;
      return { at: NOW.getTime() + (h - 1) * HOUR, low: middle - 0.005, middle, high: middle + 0.005 };
    }),
    last: { white: false },
    fell: 0,
    frozen: '',
  });
  const iced = (end: number) => {
    const season = facts(water('pond'), [read(30, 0.6), read(1, 0.6)], { sheets: { w: growing(end) } });
    return { ...season, levels: { w: { known, age: { pond: HOUR }, atMost: {} } } } as Facts;
  };
  it('when it freezes in is told once, with its earliest hour, and what to do at the check', () => {
    const { view, state } = viewOf('ice-hanging', { drop: inches(4), ice: 0.05 });
    const season = iced(0.25);
    const ahead = outlookOf(view, state, season, movingOf(season, NOW), reader);
    assert.equal(ahead?.sentence.match(/rozen in/g)?.length, 1);
    assert.match(ahead?.sentence ?? '', /^Frozen in by about .*, at the earliest /);
    assert.match(remedySays(ahead?.remedy ?? NO_REMEDY), /^Lower it .* at the check\. The ice may reach /);
    assert.equal(ahead?.idle, true);
  });
  it('ice that stays clear of it is told with its thickness', () => {
    const { view, state } = viewOf('ice-hanging', { drop: inches(14), ice: 0.05 });
    const season = iced(0.07);
    const ahead = outlookOf(view, state, season, movingOf(season, NOW), reader);
    assert.match(ahead?.sentence ?? '', /The ice there may be .* it stays clear of it\./);
    assert.equal(ahead?.idle, false);
  });
  it('of what lies sprung nothing is foretold', () => {
    const { view, state } = viewOf('dive-pole', {});
    const season = facts(water('stream'), [read(30, 0.6), read(1, 0.6)]);
    const moving = movingOf(season, NOW);
    assert.match(outlookOf(view, state, season, moving, reader)?.sentence ?? '', /Should work|keeps working|Works until/);
    assert.equal(outlookOf(view, state && { ...state, verdict: 'spent' }, season, moving, reader), null);
  });
  it('a fixed board is told of the float where the level runs farther than it works over (F103)', () => {
    const board = viewOf('pole-platform', { panUnder: inches(1) });
    const sloping = facts(water('stream'), [read(60, 0.9), read(36, 0.8), read(12, 0.7), read(1, 0.6)]);
    const said = outlookOf(board.view, board.state, sloping, movingOf(sloping, NOW), reader)?.sentence ?? '';
    assert.match(said, /The level moves .* until the check and it works over .*: a float set rides with it\./);
    const flat = facts(water('stream'), [read(60, 0.6), read(36, 0.6), read(12, 0.6), read(1, 0.6)]);
    assert.doesNotMatch(outlookOf(board.view, board.state, flat, movingOf(flat, NOW), reader)?.sentence ?? '', /float/);
  });
  it('a falling pond takes a set out at an hour, with the change that keeps it in', () => {
    const { view, state } = viewOf('baited-bank', { panUnder: inches(5) });
    const own = water('pond', {
      areas: [
        { level: 0, area: 2000 },
        { level: 1, area: 3000 },
      ],
      rise: 0,
    });
    const season = facts(own, [read(30, 0.7), read(1, 0.6)], {
      openings: [{ ...opening, states: [{ id: 'a', at: NOW.toISOString(), width: 0.1, sill: 0.2 }] }],
    });
    const ahead = outlookOf(view, state, season, movingOf(season, NOW), reader);
    assert.match(ahead?.sentence ?? '', /^Works until about \d+:\d\d am.*then dry\.$/);
    assert.equal(ahead?.idle, true);
  });
});

describe('what a season adds up to', () => {
  const total = (species: SetTotal['species'], caught: Record<string, number>, high: number): SetTotal => ({
    ...{ id: '1', number: 1, name: 'run', station: 's', species, hoursSet: 480, caught },
    inBand: { low: high / 2, high },
    lost: { sprung: 10, spent: 0, outside: 480 - 10 - high },
  });
  const all = [
    total('beaver', { beaver: 2 }, 240),
    total('mink', { mink: 1, beaver: 1 }, 120),
    total('beaver', { beaver: 1, muskrat: 2 }, 240),
  ];
  it('an animal at a time: its catch over the nights of the sets meant for it', () => {
    assert.deepEqual(
      bySpecies(all).map((s) => [s.species, s.count, s.sets, s.hoursSet, s.inBand.high]),
      [
        ['beaver', 3, 2, 960, 480],
        ['mink', 1, 1, 480, 120],
      ],
    );
    assert.deepEqual(bySpecies(all)[0]?.lost, { sprung: 20, spent: 0, outside: 460 });
    assert.deepEqual(bySpecies([]), []);
  });
  it('what a set for another animal caught stands apart', () => assert.deepEqual(accidents(all), { beaver: 1, muskrat: 2 }));
  it('readings are asked from three days before the first trap stood', () => {
    const stays = (from: string) => [{ stays: [{ from }] }] as unknown as TrapSet[];
    assert.equal(firstStay(stays('2026-11-10T12:00:00Z')).toISOString(), '2026-11-07T12:00:00.000Z');
    assert.ok(firstStay([]).getTime() > NOW.getTime());
  });
  it('a set whose place is gone still counts its catch', () => {
    const set = {
      id: 'a',
      number: 3,
      name: 'x',
      station: 'gone',
      species: 'mink',
      stays: [],
      settings: [],
      type: 'box',
    } as unknown as TrapSet;
    const visit = { at: '2026-11-20T12:00:00Z', devices: [{ outcome: 'catch', catch: { species: 'mink' } }] } as unknown as Body<'check'>;
    const own = setTotal(set, [visit], { ground: null, gauges: [], readings: {}, now: NOW });
    assert.deepEqual([own.caught, own.hoursSet, own.inBand.high], [{ mink: 1 }, 0, 0]);
  });
});
