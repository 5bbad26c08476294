import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { chanceOf, fearsBefore, learned, shyOf, statesBefore, worthOf } from '#core/colony/fears';
import { metAt } from '#core/colony/history';
import { FEARS, LESSONS, lessonOf, SAW, sawOf, STATES, type Fear, type LocalState, type Look, type SetHistory } from '#core/colony/looks';
import { statesThere, tellsMost, type Trial } from '#core/colony/next';
import { mostAPass, patienceOf } from '#core/colony/patience';
import { BY_PRACTICE, chanceIn, FEAR_PRIOR, fullRows, likelyBy, NIGHT_ROWS, NIGHT_SAWS, PASSING } from '#core/colony/practice';
import { scopesOf } from '#core/colony/scope';
import { metAtPlaces, storyOf, together, type Happened } from '#core/colony/story';
import { traitsOfType } from '#core/colony/traits';
import type { Felt } from '#core/record/checks';
import { setTypeOf } from '#core/sets/catalogue';
import { faultText, fearText, metWith, patienceText } from '#core/words/colony';

const look = (saw: Look['saw'], over: Partial<Look> = {}): Look => ({
  ...{ saw, nights: saw === 'untouched' ? 2 : 0.5, device: 'bodyGrip', at: new Date('2026-11-20T12:00:00Z') },
  ...over,
});
const set = (id: string, over: Partial<SetHistory> = {}): SetHistory => ({
  ...{ id, place: id, name: id, traits: ['bodyGrip'], looks: [], passes: [], inUse: 0.9 },
  ...over,
});
const near = (a: number, b: number, within = 1e-9): void => assert.ok(Math.abs(a - b) < within, `${a} is not ${b}`);

const looks = fc.array(
  fc.record({ saw: fc.constantFrom(...SAW), nights: fc.double({ min: 0.25, max: 4, noNaN: true }) }).map((l) => look(l.saw, l)),
  { maxLength: 5 },
);
const history = fc
  .record({
    looks,
    traits: fc.uniqueArray(fc.constantFrom(...FEARS.filter((f) => f !== 'nothing')), { maxLength: 3 }),
    inUse: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
    passes: fc.array(fc.constantFrom('passed' as const, 'turned' as const), { maxLength: 3 }),
  })
  .map(({ passes, ...own }) => set('s', { ...own, passes: passes.map((did) => ({ did, at: new Date(0) })) }));

describe('what a look tells', () => {
  const found = (outcome: Parameters<typeof sawOf>[0]['outcome'], cause = 'not asked', species = 'beaver') =>
    sawOf({ outcome, cause, catch: outcome === 'catch' ? { species } : null }, 'beaver');
  it('of its own animal is a catch, a contact or nothing; another animal, the current and a thief tell nothing', () => {
    assert.equal(found('catch'), 'caught');
    assert.equal(found('catch', 'not asked', 'otter'), null);
    assert.equal(found('miss'), 'touched');
    assert.equal(found('sprung empty'), 'sprung');
    assert.equal(found('sprung empty', 'animal'), 'touched');
    assert.equal(found('sprung empty', 'current or debris'), null);
    assert.equal(found('plugged'), 'meddled');
    const bait = (baitBy?: string) => sawOf({ outcome: 'bait taken', cause: '', catch: null, ...(baitBy && { baitBy }) }, 'beaver');
    assert.deepEqual([bait(), bait('its own animal'), bait('another animal'), bait('birds')], ['baitGone', 'baitGone', null, null]);
    assert.deepEqual(
      ['stolen', 'flooded', 'not reached', 'out of water'].map((o) => found(o as 'stolen')),
      [null, null, null, null],
    );
  });
  it('its chances add up to one, and grow with the nights', () => {
    for (const state of [...STATES, 'shy'] as const) {
      near(
        SAW.reduce((sum, saw) => sum + chanceOf({ saw, nights: 3 }, state), 0),
        1,
      );
      assert.ok(chanceOf({ saw: 'caught', nights: 4 }, state) > chanceOf({ saw: 'caught', nights: 1 }, state));
    }
  });
});

/** Every fear with every state of every set, one by one. */
function byEnumeration(sets: readonly SetHistory[]): Record<string, number> {
  const prior = fearsBefore(
    sets.flatMap((s) => s.looks),
    [],
  );
  const weights: Record<string, number> = {};
  const walk = (fear: Fear, rest: readonly SetHistory[], weight: number): void => {
    const [first, ...others] = rest;
    if (!first) {
      weights[fear] = (weights[fear] ?? 0) + weight;
      return;
    }
    for (const state of STATES) {
      const row: LocalState | 'shy' = state === 'works' && fear !== 'nothing' && first.traits.includes(fear) ? 'shy' : state;
      const own =
        first.looks.reduce((product, l) => product * chanceOf(l, row), 1) *
        first.passes.reduce((product, p) => product * PASSING[row][p.did], 1);
      walk(fear, others, weight * statesBefore(first.inUse)[state] * own);
    }
  };
  for (const fear of FEARS) walk(fear, sets, prior[fear]);
  const total = Object.values(weights).reduce((a, b) => a + b, 0);
  return Object.fromEntries(Object.entries(weights).map(([fear, w]) => [fear, w / total]));
}

describe('what a colony has learned', () => {
  it('is what an enumeration of every fear and every state gives', () =>
    fc.assert(
      fc.property(fc.array(history, { maxLength: 3 }), (sets) => {
        const named = sets.map((s, n) => ({ ...s, id: `s${n}` }));
        const own = learned(named);
        const counted = byEnumeration(named);
        for (const fear of FEARS) near(own.fears[fear], counted[fear] ?? 0, 1e-6);
        for (const states of Object.values(own.sets))
          near(
            Object.values(states).reduce((a, b) => a + b, 0),
            1,
            1e-9,
          );
      }),
      { numRuns: 40 },
    ));
  it('a catch in a body-grip never makes shyness of body-grips likelier', () =>
    fc.assert(
      fc.property(looks, (before) => {
        const fears = (all: readonly Look[]) => learned([set('s', { looks: all })]).fears.bodyGrip;
        assert.ok(fears([...before, look('caught')]) <= fears(before) + 1e-9);
      }),
    ));
  it('misses and turning away at body-grips beside catches in footholds point at body-grips', () => {
    const missed = set('a', {
      looks: [look('touched'), look('meddled'), ...Array.from({ length: 5 }, () => look('untouched')), look('touched')],
      passes: [
        { did: 'turned', at: new Date(0) },
        { did: 'turned', at: new Date(0) },
        { did: 'turned', at: new Date(0) },
      ],
    });
    const foot = (saw: Look['saw']) => look(saw, { device: 'foothold' });
    const caught = set('b', { traits: ['foothold'], looks: [foot('caught'), foot('untouched'), foot('caught')] });
    const own = learned([missed, caught]);
    assert.ok(own.fears.bodyGrip > 0.8, String(own.fears.bodyGrip));
    assert.deepEqual(shyOf(own), ['bodyGrip']);
    assert.match(fearText(own.fears), /^They shy from body-grips, /);
    assert.equal(metWith('bodyGrip', [missed, caught]), '2 misses, 1 plugged or knocked in 12 nights in range, went round 3 times');
    assert.equal(metWith('fence', [missed, caught]), '');
  });
  it('a trap that fires empty again and again is first a faulty trap, and a dead place first a dead place', () => {
    const empty = learned([set('a', { looks: Array.from({ length: 4 }, () => look('sprung')) })]);
    assert.ok((empty.sets.a?.mechanical ?? 0) > 0.8);
    assert.match(faultText(empty.sets.a ?? statesBefore(1)), /^It does not fire as it should, /);
    const dead = learned([set('a', { inUse: 0.1, looks: Array.from({ length: 6 }, () => look('untouched')) })]);
    assert.ok((dead.sets.a?.notInUse ?? 0) > 0.9);
    // neither speaks for a fear beside what practice holds
    for (const own of [empty, dead]) assert.ok(own.fears.bodyGrip < 0.35, String(own.fears.bodyGrip));
    assert.equal(faultText(statesBefore(1)), '');
  });
  it('a brush teaches less than a pinch, and being held most (common practice)', () => {
    const after = (felt: Felt) => fearsBefore([look('touched', { felt, lesson: 'missed' })], []).bodyGrip;
    assert.ok(
      (['brushed it', 'chewed at it', 'not said', 'pinched', 'held, and got off'] as const).every(
        (felt, n, all) => n === 0 || after(all[n - 1] ?? felt) < after(felt),
      ),
    );
    assert.ok(after('brushed it') > fearsBefore([], []).bodyGrip);
    // of a snare that was brushed they take nothing along worth a word
    const snare = (felt: Felt) =>
      fearsBefore([look('meddled', { device: 'snare', felt, lesson: 'meddled' })], []).snareWater / fearsBefore([], []).snareWater;
    assert.ok(snare('brushed it') < 1.02);
  });
  it('a miss, an escape, a sprung trap, a bite and a brushed snare each teach their own (common practice)', () => {
    const by = (device: Look['device'], lesson: Look['lesson'], felt?: Felt): number =>
      fearsBefore([look('touched', { device, ...(lesson && { lesson }), ...(felt && { felt }) })], [])[
        device === 'snare' ? 'snareWater' : 'bodyGrip'
      ];
    const none = fearsBefore([], []);
    const grips = LESSONS.map((lesson) => by('bodyGrip', lesson));
    assert.equal(new Set(grips.filter((share) => share > none.bodyGrip)).size, 4);
    assert.ok(by('bodyGrip', 'escaped') > by('bodyGrip', 'missed') && by('bodyGrip', 'missed') > by('bodyGrip', 'sprung'));
    assert.ok(by('bodyGrip', 'bitten') > none.bodyGrip && by('bodyGrip', 'meddled') === none.bodyGrip);
    assert.ok(by('snare', 'meddled') / none.snareWater < 1.05 && by('snare', 'escaped') > by('snare', 'missed'));
    // what escaped was held, said or not
    near(by('bodyGrip', 'escaped', 'held, and got off'), by('bodyGrip', 'escaped'));
    const found = (saw: Look['saw'], outcome: Parameters<typeof lessonOf>[1]['outcome'], bites = '') =>
      lessonOf(saw, { outcome, catch: bites ? { bites } : null });
    assert.deepEqual(
      [found('touched', 'escaped'), found('touched', 'miss'), found('touched', 'sprung empty'), found('caught', 'catch', 'fresh')],
      ['escaped', 'missed', 'missed', 'bitten'],
    );
    assert.deepEqual(
      [found('caught', 'catch', 'healed'), found('untouched', 'untouched'), found('baitGone', 'bait taken')],
      Array(3).fill(undefined),
    );
  });
  it('earlier trapping that left shy ones weighs before anything was tried', () => {
    const before = (survivors: 'none' | 'some' | 'shy') => fearsBefore([], [{ devices: ['bodyGrip'], survivors }]).bodyGrip;
    assert.ok(before('shy') > before('some') && before('some') > before('none'));
    near(before('none'), fearsBefore([], []).bodyGrip);
    // what somebody holds stands in the place of practice
    const own = fearsBefore([], [], { bodyGrip: 0.5 });
    near(own.bodyGrip, 0.5);
    near(own.nothing / own.foothold, FEAR_PRIOR.nothing / FEAR_PRIOR.foothold);
    near(
      Object.values(FEAR_PRIOR).reduce((a, b) => a + b, 0),
      1,
    );
    near(
      Object.values(own).reduce((a, b) => a + b, 0),
      1,
    );
  });
});

describe('the set that tells most', () => {
  const trial = (id: string, traits: Trial['traits']): Trial => ({ id, traits, states: statesBefore(1) });
  const uncertain = learned([
    set('a', { looks: Array.from({ length: 6 }, () => look('untouched')), passes: [{ did: 'turned', at: new Date(0) }] }),
  ]);
  it('is worth what its outcomes are expected to settle, never less than nothing: the same by the other form, H(o) − H(o | fear)', () => {
    const trials = [trial('grip', ['bodyGrip']), trial('foot', ['foothold']), trial('both', ['bodyGrip', 'scentBank']), trial('none', [])];
    const told = tellsMost(uncertain, trials);
    for (const { id, bits, outlooks } of told) {
      assert.ok(bits >= -1e-9, id);
      near(
        outlooks.reduce((sum, o) => sum + o.chance, 0),
        1,
      );
      const traits = trials.find((t) => t.id === id)?.traits ?? [];
      const row = (fear: Fear) =>
        outlooks.map((o) => {
          const isShy = fear !== 'nothing' && traits.includes(fear);
          return STATES.reduce(
            (sum, s) => sum + statesBefore(1)[s] * chanceOf({ saw: o.saw, nights: 4 }, s === 'works' && isShy ? 'shy' : s),
            0,
          );
        });
      const bitsOf = (list: readonly number[]): number => -list.reduce((sum, p) => sum + (p > 0 ? p * Math.log2(p) : 0), 0);
      const given = FEARS.reduce((sum, fear) => sum + uncertain.fears[fear] * bitsOf(row(fear)), 0);
      near(bits, bitsOf(outlooks.map((o) => o.chance)) - given, 1e-9);
    }
    assert.ok((told.find((t) => t.id === 'none')?.bits ?? 1) < 1e-9);
    assert.ok((told.find((t) => t.id === 'grip')?.bits ?? 0) > (told.find((t) => t.id === 'foot')?.bits ?? 1));
  });
  it('a fault of the trap stays behind, an unused place does not', () => {
    const [stiff, dead] = [
      { works: 0.1, notInUse: 0, mechanical: 0.9, disturbed: 0 },
      { works: 0.05, notInUse: 0.95, mechanical: 0, disturbed: 0 },
    ];
    assert.ok(statesThere([stiff], 0.9).works > 0.8);
    near(statesThere([dead], 0.9).notInUse, 0.95);
    near(
      Object.values(statesThere([dead, stiff], null)).reduce((a, b) => a + b, 0),
      1,
    );
  });
});

describe('patience', () => {
  const begun = new Date('2026-11-10T12:00:00Z');
  const asked = { out: 0, states: statesBefore(0.9), inRange: true, isFeared: false, begun };
  const untouched = (n: number): Look[] =>
    Array.from({ length: n }, (_, i) => look('untouched', { nights: 1, at: new Date(begun.getTime() + (i + 1) * 864e5) }));
  const passes = (n: number) => untouched(n).map(({ at }) => ({ did: 'passed' as const, at }));
  const call = (nights: number, passed: number, over: Partial<typeof asked> = {}) =>
    patienceOf({ looks: untouched(nights), passes: passes(passed) }, { ...asked, ...over }).call;
  it('twenty passes without a touch: at most 17% a pass (from the trade’s own sheet, the exact limit at nothing of n)', () => {
    near(mostAPass(20) ?? 0, 0.168, 0.001);
    assert.equal(mostAPass(0), null);
  });
  it('a blind set waits its four to seven nights; with passes it is judged by them', () => {
    assert.deepEqual([call(2, 0), call(5, 0), call(9, 0)], ['wait', 'cannotTell', 'change']);
    assert.deepEqual([call(9, 3), call(20, 18)], ['cannotTell', 'change']);
    assert.match(
      patienceText(patienceOf({ looks: untouched(20), passes: passes(18) }, asked)).why,
      /^18 nights with one passing and no touch: at most 19% a pass/,
    );
  });
  it('out of its range, a stiff trigger and what they have learned come before waiting', () => {
    assert.equal(call(9, 0, { inRange: false }), 'putBack');
    assert.equal(call(2, 0, { states: { works: 0.4, notInUse: 0.1, mechanical: 0.5, disturbed: 0 } }), 'tryIt');
    assert.equal(call(2, 0, { isFeared: true }), 'known');
    assert.equal(call(5, 0, { states: statesBefore(0) }), 'notInUse');
  });
  it('begins anew with a catch', () => {
    const looks_ = [...untouched(6), look('caught', { at: new Date(begun.getTime() + 7 * 864e5) })];
    assert.equal(patienceOf({ looks: looks_, passes: passes(5) }, asked).call, 'wait');
  });
});

describe('whose place it is', () => {
  const colony = (id: string, waters: string[], stations: string[] = []) => ({
    ...{
      id,
      name: id,
      species: 'beaver' as const,
      waters,
      stations,
      first: null,
      why: '',
      clear: 0.95,
      beliefs: [],
      likely: [],
      done: null,
      note: '',
      entry: 'e',
    },
  });
  const places = [
    { id: 'p1', water: 'w1' },
    { id: 'p2', water: 'w1' },
    { id: 'p3', water: 'w2' },
  ];
  const waters = ['w1', 'w2'].map((id) => ({ id, name: id }));
  const own = (named: ReturnType<typeof colony>[]) => scopesOf(named, waters, places).map((s) => [s.id, [...s.places].sort()]);
  it('a water without a named colony is one; several share a water by their places, the rest is whose it is whole', () => {
    assert.deepEqual(own([]), [
      ['w1', ['p1', 'p2']],
      ['w2', ['p3']],
    ]);
    assert.deepEqual(own([colony('a', ['w1'], ['p1']), colony('b', ['w1', 'w2'])]), [
      ['a', ['p1']],
      ['b', ['p2', 'p3']],
    ]);
  });
});

describe('who was met where and when', () => {
  const happened: Happened[] = [
    { place: 'p1', night: '2026-11-20', mark: 'passed', count: 1, said: 'camera: 1 at once' },
    { place: 'p1', night: '2026-11-20', mark: 'passed', count: 1, said: 'camera: 2 at once' },
    { place: 'p1', night: '2026-11-20', mark: 'caught', count: 1, said: 'beaver' },
    { place: 'p2', night: '2026-11-21', mark: 'other', count: 1, said: 'muskrat' },
  ];
  const story = storyOf({
    nights: ['2026-11-20', '2026-11-21'],
    places: ['p1', 'p2', 'p3'].map((id) => ({ id, name: id })),
    happened,
    worked: [{ place: 'p1', effort: [1, 0.5], stood: [true, true] }],
  });
  it('a row for each place at which something was, alike marks counted', () => {
    assert.deepEqual(
      story.rows.map((r) => r.place),
      ['p1', 'p2'],
    );
    assert.deepEqual(
      story.rows[0]?.cells[0]?.marks.map((m) => [m.mark, m.count]),
      [
        ['caught', 1],
        ['passed', 2],
      ],
    );
    assert.deepEqual(story.effort, [1, 0.5]);
  });
  it('together it is one row, of its own animals', () => {
    const [row] = together(story, 'Everywhere').rows;
    assert.deepEqual(
      row?.cells.map((c) => c.marks.map((m) => m.mark)),
      [['caught', 'passed'], []],
    );
  });
});

describe('what of a type is shied from', () => {
  const traits = (id: Parameters<typeof setTypeOf>[0]) => traitsOfType(setTypeOf(id));
  it('its device, a snare by whether it stands under water, scent where the type has some', () => {
    assert.ok(traits('lodge-run').includes('bodyGrip'));
    assert.ok(traits('slide-snare').includes('snareLand'));
    assert.ok(traits('ice-snare-pole').includes('snareWater'));
    assert.ok(traits('castor-foothold').includes('scentBank') && !traits('lodge-run').includes('scentBank'));
  });
});

describe('what a night brings, as somebody holds it', () => {
  it('stands in the place of practice, and nowhere else', () => {
    const own = likelyBy([
      { row: 'works', saw: 'caught', share: 0.25 },
      { row: 'shy', saw: 'turned', share: 0.6 },
    ]);
    for (const row of NIGHT_ROWS)
      for (const saw of NIGHT_SAWS) {
        const held = row === 'works' && saw === 'caught' ? 0.25 : row === 'shy' && saw === 'turned' ? 0.6 : null;
        assert.equal(chanceIn(own, row, saw), held ?? chanceIn(BY_PRACTICE, row, saw));
      }
    assert.equal(likelyBy([]), BY_PRACTICE);
    assert.deepEqual(fullRows(likelyBy([{ row: 'works', saw: 'caught', share: 0.9 }])), ['works']);
  });
  it('moves what they learned: where a set that works mostly catches, an untouched one speaks louder against it', () => {
    const sets = [set('a', { looks: [look('untouched', { nights: 4 })] })];
    const shy = (caught: number) => learned(sets, [], {}, likelyBy([{ row: 'works', saw: 'caught', share: caught }])).fears.bodyGrip;
    assert.ok(shy(0.4) > shy(0.1));
    near(
      learned(sets).fears.bodyGrip,
      learned(sets, [], {}, likelyBy([{ row: 'works', saw: 'caught', share: 0.1 }])).fears.bodyGrip,
      1e-12,
    );
  });
});

describe('what of a set can be shied from', () => {
  it('its weight, its place and whether it stands on land are told apart', () => {
    const of = (id: string, place?: Parameters<typeof traitsOfType>[1]) => traitsOfType(setTypeOf(id), place);
    assert.ok(of('lodge-run', 'lodge').includes('heavy') && of('lodge-run', 'lodge').includes('atLodge'));
    assert.ok(!of('lodge-run', 'channel').includes('atLodge'));
    assert.ok(of('dam-crossover-foothold', 'crossover').includes('atDam'));
    assert.ok(!of('lodge-run', 'lodge').includes('onLand'));
    assert.ok(!of('lodge-run-snare', 'lodge').includes('heavy'));
    // a loop in the gap stands against the sky, a trap in a run does not
    assert.ok(of('dam-crossover-snare', 'crossover').includes('skyline'));
    assert.ok(!of('lodge-run', 'lodge').includes('skyline'));
  });
});

describe('who was met where', () => {
  it('counts each mark of a place over all nights, and leaves mere sign out', () => {
    const at = (place: string, night: string, mark: Happened['mark'], count = 1): Happened => ({ place, night, mark, count, said: mark });
    const story = storyOf({
      nights: ['2026-11-01', '2026-11-02'],
      places: ['a', 'b'].map((id) => ({ id, name: id })),
      happened: [
        at('a', '2026-11-01', 'caught'),
        at('a', '2026-11-02', 'caught', 2),
        at('a', '2026-11-02', 'passed', 4),
        at('b', '2026-11-01', 'sign'),
      ],
      worked: [],
    });
    assert.deepEqual(metAtPlaces(story), {
      a: [
        { mark: 'caught', count: 3 },
        { mark: 'passed', count: 4 },
      ],
    });
  });
});

describe('what was met at a set', () => {
  const device = (outcome: string, flags: string[] = []) => ({
    ...{ id: 'd', stay: 'y', outcome, cause: 'not asked', flags, searched: '', felt: 'not said', baitBy: 'not said' },
    catch: outcome === 'catch' ? { species: 'beaver' } : null,
  });
  const visit = (at: string, outcome: string, flags: string[] = []) => ({
    id: at,
    at,
    change: 'as it was',
    devices: [device(outcome, flags)],
  });
  const met = (visits: unknown[], seen: { at: string; did: string; species?: string }[]) =>
    metAt({
      set: {
        id: 's',
        stays: [{ id: 'y', position: 'outer', device: 'k', from: '2026-11-10T18:00:00Z', to: null }],
        settings: [],
        armed: null,
      } as never,
      visits: visits as never,
      // where its place is not in the record any more no hour counts, and what was found stays found
      asked: { ground: null, gauges: [], readings: {}, now: new Date('2026-11-25T12:00:00Z') },
      seen: seen.map((s) => ({ species: 'beaver', ...s, at: new Date(s.at) })) as never,
      species: 'beaver',
      zone: 'America/Chicago',
      classOf: () => 'foothold',
    });
  it('its looks in order, those that nobody reached left out; a contact was at least a part of a night', () => {
    const { looks } = met(
      [visit('2026-11-13T15:00:00Z', 'miss'), visit('2026-11-11T15:00:00Z', 'untouched'), visit('2026-11-12T15:00:00Z', 'not reached')],
      [],
    );
    assert.deepEqual(
      looks.map((l) => [l.saw, l.nights, l.device]),
      [
        ['untouched', 0, 'foothold'],
        ['touched', 0.25, 'foothold'],
      ],
    );
  });
  it('who passed: one a night, turning before passing, none of a night that caught, none before it stood', () => {
    const { passes } = met(
      [visit('2026-11-12T15:00:00Z', 'catch'), visit('2026-11-14T15:00:00Z', 'untouched', ['went round'])],
      [
        { at: '2026-11-09T03:00:00Z', did: 'passed' },
        { at: '2026-11-12T03:00:00Z', did: 'passed' },
        { at: '2026-11-13T02:00:00Z', did: 'passed' },
        { at: '2026-11-13T03:00:00Z', did: 'over it' },
        { at: '2026-11-13T04:00:00Z', did: 'at the set' },
        { at: '2026-11-16T04:00:00Z', did: 'passed', species: 'otter' },
        { at: '2026-11-17T04:00:00Z', did: 'not seen' },
      ],
    );
    assert.deepEqual(
      passes.map((p) => [p.did, p.at.toISOString().slice(0, 10)]),
      [
        ['turned', '2026-11-13'],
        ['turned', '2026-11-14'],
        ['passed', '2026-11-17'],
      ],
    );
  });
  it('what a set is worth: all of it where nobody shies from it, little where they do, next to nothing where nobody comes', () => {
    const own = [set('a'), set('b', { traits: ['foothold'] })];
    const all = { works: 1, notInUse: 0, mechanical: 0, disturbed: 0 };
    const fears = { ...learned(own).fears, nothing: 0, bodyGrip: 1, foothold: 0 };
    const worth = worthOf(own, { fears, likely: BY_PRACTICE, sets: { a: all, b: all } });
    near(worth('a'), 0.1);
    near(worth('b'), 1);
    near(worth('elsewhere'), 1);
    near(worthOf(own, { fears, likely: BY_PRACTICE, sets: { b: { ...all, works: 0, notInUse: 1 } } })('b'), 0.02);
  });
});
