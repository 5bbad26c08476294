import { mostlyMeant } from '#core/planning/mostlyMeant';
import { metOn, metText } from '#core/planning/met';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { minutesOf, WORK_MINUTES } from '#core/run/work';
import { crewMean, drawnRate, fitting, planOf, planSentence, withinSentence, type Candidate, type PlanInput } from '#core/planning/plan';
import { suggestionsFor } from '#core/planning/suggest';
import type { Offered } from '#core/sets/offer';

import { inches } from '#core/units/factors';
import { offeredAt } from '#core/stations/offered';
import type { Station } from '#core/stations/placed';
import { yieldSentence } from '#core/ledger/yield';
import { SPECIES, type Species } from '#core/animals/species';
import { CATALOGUE, findType } from '#core/sets/catalogue';
import { STATION_KINDS, type StationKind } from '#core/stations/kinds';

const place = (name: string, over: Partial<Candidate> = {}): Candidate => ({
  id: name,
  name,
  water: 'pond',
  activity: 0.8,
  caught: 4,
  nights: 20,
  suggestion: { type: 'Lodge run', built: 'lodge-run', first: true, why: 'hard underfoot' },
  barred: null,
  taken: null,
  ...over,
});
const INPUT: PlanInput = { wanted: 10, handled: 5, people: 1, traps: 20, minutes: 600, each: 5, nights: 1, mean: 0.1 };
const plan = (places: Candidate[], over: Partial<PlanInput> = {}) => planOf(places, { ...INPUT, ...over });
const left = (places: Candidate[], over: Partial<PlanInput> = {}) =>
  plan(places, over)
    .filter((r) => !r.take)
    .map((r) => r.why);

const WORDS = { day: '25 Nov', back: '26 Nov', nights: 1, until: '16:23' };

describe('the plan (weights of common practice)', () => {
  it('ranks by use times catch per night of such places', () => {
    const order = plan([place('poor', { activity: 0.2 }), place('rich', { caught: 12 }), place('fair')]).map((r) => r.id);
    assert.deepEqual(order, ['rich', 'fair', 'poor']);
  });
  it('few nights are drawn towards the crew’s mean', () => {
    assert.equal(drawnRate(0, 0, 0.1), 0.1);
    assert.ok(drawnRate(2, 2, 0.1) < 0.2);
    assert.ok(crewMean(1, 0.5) < 0.16 && crewMean(0, 0) === 0.1);
    assert.ok(Math.abs(drawnRate(200, 1000, 0.1) - 0.2) < 0.01);
  });
  for (const [why, places, over, say] of [
    ['it stands already', [place('a', { taken: 'A live set stands there: 12 a.' })], {}, /live set/],
    ['it cannot be stood at', [place('a', { barred: 'Sinks past the knee.' })], {}, /Sinks/],
    ['no set fits', [place('a', { suggestion: null })], {}, /^No set is tried for this animal/],
    ['it is not in use', [place('a', { activity: 0.05 })], {}, /Likely not in use/],
    ['no trap is left', [place('a'), place('b')], { traps: 1 }, /No free trap left/],
    ['no light is left', [place('a'), place('b')], { minutes: 5 }, /1 set fit before dark with 1 person/],
    [
      'more would come than can be handled',
      [place('a', { caught: 19 }), place('b', { caught: 18 })],
      { handled: 0.5 },
      /what you can handle/,
    ],
    ['enough is set', [place('a', { caught: 19 }), place('b', { caught: 18 })], { wanted: 1, nights: 7 }, /Rest it/],
  ] as const)
    it(`a place is left because ${why}, and says so`, () => assert.match(left([...places], over).join(' '), say));
  it('two people set twice as many before dark', () => {
    assert.equal(fitting(40, 1, 5), 8);
    assert.equal(fitting(40, 2, 5), 16);
    assert.equal(fitting(4, 1, 5), 0);
  });
  it('never takes more than traps, light and what can be handled allow; every place has its reason', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            activity: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
            caught: fc.integer({ min: 0, max: 20 }),
            nights: fc.integer({ min: 0, max: 60 }),
          }),
          { maxLength: 15 },
        ),
        fc.integer({ min: 0, max: 10 }),
        fc.integer({ min: 0, max: 120 }),
        fc.integer({ min: 1, max: 6 }),
        (list, traps, minutes, handled) => {
          const ranked = plan(
            list.map((p, i) => place(`p${i}`, p)),
            { traps, minutes, handled },
          );
          const take = ranked.filter((r) => r.take);
          assert.ok(take.length <= Math.min(traps, fitting(minutes, 1, 5)));
          assert.ok(take.length <= 1 || take.reduce((sum, r) => sum + r.perNight, 0) <= handled + 1e-9);
          assert.ok(ranked.every((r) => r.why.length > 10));
          assert.ok(ranked.every((r, i) => i === 0 || (ranked[i - 1]?.value ?? 0) >= r.value));
        },
      ),
    ));
});

describe('“I have 40 minutes and 8 traps here”', () => {
  const alike = (count: number) => Array.from({ length: count }, (_, i) => ({ name: `p${i + 1}`, minutes: 5 }));
  const names = alike(12);
  it('is answered with how many, which, and what ends it', () => {
    assert.match(
      withinSentence(40, 8, 1, 5, names),
      /^In 40 minutes with 8 traps: set 8, in this order: p1, .*p8\. That takes about 40 minutes\. Time is what ends it\.$/,
    );
    assert.match(withinSentence(90, 8, 1, 5, names), /Traps are what ends it/);
    assert.match(withinSentence(40, 8, 1, 5, names.slice(0, 2)), /set 2, .*No more places here are worth a trap/);
  });
  it('a set through ice takes its own minutes: fewer fit, and a quick one still does', () => {
    const places = [
      { name: 'ice', minutes: 30 },
      { name: 'run', minutes: 5 },
      { name: 'ice too', minutes: 30 },
    ];
    assert.match(
      withinSentence(40, 8, 1, 5, places),
      /set 2, in this order: ice, run\. That takes about 35 minutes\. Time is what ends it\./,
    );
    const mixed = [place('a', { minutes: 30 }), place('b'), place('c', { minutes: 30 })];
    const ranked = plan(mixed, { minutes: 36, wanted: 1000, handled: 1000 });
    assert.deepEqual(
      ranked.map((r) => [r.id, r.take]),
      [
        ['b', true],
        ['a', true],
        ['c', false],
      ],
    );
  });
  it('says so when nothing fits', () => {
    assert.match(withinSentence(4, 8, 1, 5, names), /no set fits: one takes 5/);
    assert.match(withinSentence(40, 0, 1, 5, names), /Without a trap/);
    assert.match(withinSentence(40, 8, 1, 5, []), /No place here is worth a trap/);
  });
  it('the plan’s sentence has its minutes, and the light', () => {
    assert.match(
      planSentence(alike(7), WORDS, { people: 1, each: 5, minutes: 545 }),
      /about 35 min for one person; daylight to 16:23 allows 109, with two people 218\. Back on 26 Nov, after 1 night/,
    );
    assert.match(planSentence([], WORDS, INPUT), /Nothing worth setting/);
  });
});

describe('set types for a species, a place and a month', () => {
  it('scent in spring, peeled sticks in autumn (common practice)', () => {
    assert.equal(suggestionsFor('beaver', { kind: 'castor mound' }, 3)[0]?.built, 'castor-foothold');
    assert.match(suggestionsFor('beaver', { kind: 'castor mound' }, 11)[0]?.type ?? '', /Baited bank/);
  });
  it('a built type is one that the bench has; every one says why', () => {
    for (const kind of STATION_KINDS)
      for (const species of ['beaver', 'muskrat', 'mink', 'otter'] as const)
        for (let month = 1; month <= 12; month += 1)
          for (const { built, why, type } of suggestionsFor(species, { kind }, month)) {
            assert.ok(findType(built), type);
            assert.ok(why.length > 10 && type.length > 3);
          }
  });
  it('every type is proposed somewhere in the year, and none against its own stations, animals or months', () => {
    const proposed = new Set<string>();
    for (const place of STATION_KINDS)
      for (const species of SPECIES)
        for (let month = 1; month <= 12; month += 1)
          for (const { built } of suggestionsFor(species, { kind: place }, month)) {
            proposed.add(built);
            const type = findType(built);
            assert.ok(type?.stations.includes(place) && type.species.includes(species) && (type.months ?? [month]).includes(month), built);
          }
    assert.deepEqual(
      CATALOGUE.map((t) => t.id).filter((id) => !proposed.has(id)),
      [],
    );
  });
  /** Which type is tried first where, for whom; all of it common practice. Depths, widths and roofs in inches. */
  const FIRST: [species: Species, kind: StationKind, type: string, place?: Partial<Offered>, month?: number][] = [
    ['beaver', 'dam', 'dam-break-channel'],
    ['beaver', 'dam', 'dam-break-shoulder', { soft: true }],
    ['otter', 'dam', 'dam-crossover-face'],
    ['beaver', 'crossover', 'dam-crossover-face'],
    ['otter', 'crossover', 'otter-crossover'],
    ['beaver', 'lodge', 'lodge-run'],
    ['beaver', 'lodge', 'ice-hanging', { ice: true }, 1],
    ['beaver', 'lodge', 'lodge-run', { ice: true }, 11],
    ['beaver', 'bank den', 'bank-den-run'],
    ['muskrat', 'bank den', 'den-run'],
    ['mink', 'bank den', 'den-run'],
    ['otter', 'bank den', 'bank-den-run'],
    ['beaver', 'run', 'lodge-run'],
    ['muskrat', 'run', 'den-run'],
    ['beaver', 'channel', 'channel-snare', { width: 20 }],
    ['beaver', 'channel', 'dive-pole', { depth: 13, width: 60 }],
    ['beaver', 'channel', 'crossed-limbs', { depth: 12, width: 60 }],
    ['muskrat', 'channel', 'pocket'],
    ['mink', 'channel', 'bottom-edge', { depth: 8 }],
    ['mink', 'channel', 'pocket', { depth: 7 }],
    ['otter', 'channel', 'bottom-edge', { depth: 12 }],
    ['beaver', 'slide', 'slide-grip', { depth: 10 }],
    ['beaver', 'slide', 'trail-waterline', { depth: 9 }],
    ['beaver', 'castor mound', 'castor-foothold', {}, 3],
    ['beaver', 'castor mound', 'baited-bank', {}, 11],
    ['beaver', 'feed bed', 'dive-pole', { depth: 20 }],
    ['beaver', 'feed bed', 'crossed-limbs', { depth: 10 }],
    ['beaver', 'feed bed', 'ice-hanging', { depth: 40, ice: true }, 1],
    ['muskrat', 'feed bed', 'float'],
    ['beaver', 'point', 'castor-foothold', {}, 4],
    ['beaver', 'point', 'baited-bank', {}, 10],
    ['muskrat', 'point', 'pocket'],
    ['mink', 'point', 'pocket'],
    ['otter', 'point', 'bottom-edge'],
    ['beaver', 'culvert', 'channel-snare'],
    ['muskrat', 'culvert', 'wall-hanging'],
    ['mink', 'culvert', 'wall-blind'],
    ['mink', 'bridge', 'wall-hanging', { depth: 9 }],
    ['otter', 'bridge', 'bottom-edge'],
    ['raccoon', 'bridge', 'enclosed-foot'],
    ['mink', 'undercut', 'undercut-bank', { depth: 5, roof: 10 }],
    ['mink', 'undercut', 'wall-blind', { depth: 5, roof: 7 }],
    ['otter', 'undercut', 'bottom-edge'],
    ['muskrat', 'log crossing', 'log-notch'],
    ['mink', 'log crossing', 'log-crossing'],
    ['otter', 'latrine', 'latrine-approach'],
    ['raccoon', 'latrine', 'enclosed-foot'],
    ['muskrat', 'muskrat place', 'den-run'],
    ['muskrat', 'muskrat place', 'float', { moving: true }],
    ['mink', 'muskrat place', 'pocket'],
  ];
  for (const [species, kind, type, place = {}, month = 11] of FIRST)
    it(`${species} at a ${kind}${Object.keys(place).length > 0 ? ` (${JSON.stringify(place)})` : ''} in month ${month}: ${type} first`, () => {
      const inMetres = Object.fromEntries(Object.entries(place).map(([key, v]) => [key, typeof v === 'number' ? inches(v) : v]));
      const [first] = suggestionsFor(species, { kind, ...inMetres }, month);
      assert.deepEqual([first?.built, first?.first], [type, true]);
    });
  it('a place that nobody measured gets no type that wants a measure', () =>
    assert.doesNotMatch(suggestionsFor('beaver', { kind: 'slide' }, 11)[0]?.why ?? '', /shallow at the toe/));
  it('otter are proposed nowhere without the word of the rulebook', () =>
    assert.ok(STATION_KINDS.flatMap((k) => suggestionsFor('otter', { kind: k }, 11)).every((s) => /rulebook/.test(s.why))));
});

describe('what a place knows of itself when a type is looked for', () => {
  const taken = (what: Station['measures'][number]['what'], value: number, level: number | null, at = '2026-11-01T00:00:00Z') => ({
    what,
    value,
    level,
    at,
  });
  const BARE = { id: 's', kind: 'channel', surface: 'pond', bed: null, sounded: null, measures: [] };
  const station = (over: Partial<Station>) => ({ ...BARE, ...over }) as Station;
  it('its depth is the water over its bed now', () =>
    assert.equal(offeredAt(station({ bed: { depth: 0.5, level: 1, at: '' } }), { pond: 1.2 }, false).depth?.toFixed(3), '0.700'));
  it('or what was measured there, moved with the level since', () => {
    const measured = station({ measures: [taken('channelDepth', 0.4, 1)] });
    assert.equal(offeredAt(measured, { pond: 0.9 }, false).depth?.toFixed(3), '0.300');
    assert.equal(offeredAt(measured, {}, false).depth, 0.4);
    assert.equal(offeredAt(station({}), { pond: 1 }, false).depth, undefined);
  });
  it('a boot that sinks past the knee is soft, a level that is not steady moves, and what nobody measured is neither', () => {
    const all = station({
      measures: [taken('sink', inches(19), 1), taken('steady', 0, 1), taken('roof', 0.3, 1), taken('widthSurface', 0.6, 1)],
    });
    assert.deepEqual(offeredAt(all, {}, true), {
      kind: 'channel',
      met: [],
      depth: undefined,
      width: 0.6,
      roof: 0.3,
      ice: true,
      soft: true,
      moving: true,
    });
    const { soft, moving } = offeredAt(station({}), {}, false);
    assert.deepEqual([soft, moving], [undefined, undefined]);
  });
});

describe('minutes and yields', () => {
  it('a person’s own minutes stand before the practice', () => {
    assert.equal(minutesOf({}).place.minutes, WORK_MINUTES.place.minutes);
    assert.equal(minutesOf({ place: 8 }).place.minutes, 8);
  });
  it('what a place gave is said with its exact limits (Garwood 1936: 10 → 4.795 to 18.390)', () => {
    const gave = (caught: number, high: number, low = high) =>
      yieldSentence({ season: '2', hours: { low: low * 24, high: high * 24 }, caught });
    assert.equal(gave(10, 100), 'Season 2: 10 in 100 working nights, 10 per 100 nights (4.8 to 18).');
    assert.equal(gave(0, 100), 'Season 2: nothing in 100 working nights, at most 3.7 per 100 nights.');
    assert.equal(gave(1, 5, 0), 'Season 2: 1 in 0 to 5 working nights.');
    assert.match(gave(0, 0), /no working night/);
    assert.match(gave(1, 0), /1, in no night that counts/);
  });
});

describe('what others used here (F54)', () => {
  const used = (over: object = {}) => ({
    water: 'w',
    devices: ['bodyGrip' as const],
    survivors: 'some' as const,
    season: 'last winter',
    who: 'a neighbor',
    ...over,
  });
  it('is known to those left alive, on that water only', () => {
    assert.deepEqual(metOn('w', [used()]), ['bodyGrip']);
    assert.deepEqual(metOn('w', [used({ survivors: 'none' })]), []);
    assert.deepEqual(metOn('x', [used()]), []);
    assert.equal(
      metText('w', 'bodyGrip', [used({ survivors: 'shy' })]),
      'A body-grip was used here before (last winter, a neighbor): those left are shy of it.',
    );
    assert.equal(metText('w', 'snare', [used()]), '');
  });
  it('comes after what is new to them: at a lodge the bare loop before the body-grip, with the reason', () => {
    const first = (met: ('bodyGrip' | 'snare')[]) => suggestionsFor('beaver', { kind: 'lodge', met }, 11)[0];
    assert.equal(first([])?.built, 'lodge-run');
    assert.equal(first(['bodyGrip'])?.built, 'lodge-run-snare');
    const grip = suggestionsFor('beaver', { kind: 'lodge', met: ['bodyGrip'] }, 11).find((s) => s.built === 'lodge-run');
    assert.match(grip?.why ?? '', /those left here may know a body-grip$/);
  });
  it('nothing tried first at a place is dropped behind what only fits there', () => {
    for (const kind of STATION_KINDS) {
      const all = suggestionsFor('beaver', { kind, met: ['bodyGrip', 'snare', 'foothold', 'enclosed'] }, 11);
      const lastFirst = all.map((s) => s.first).lastIndexOf(true);
      assert.ok(
        all.slice(0, lastFirst + 1).every((s) => s.first),
        kind,
      );
    }
  });
});

describe('the animal that a plan begins with', () => {
  it('is the one that most sets are meant for, and beaver on a line without a set', () => {
    const meant = (...species: Species[]) => mostlyMeant(species.map((s) => ({ species: s })));
    assert.deepEqual([meant(), meant('muskrat'), meant('mink', 'muskrat', 'mink')], ['beaver', 'muskrat', 'mink']);
    assert.equal(meant('muskrat', 'beaver'), 'beaver', 'equals: the first of the list');
  });
});
