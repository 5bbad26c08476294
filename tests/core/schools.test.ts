import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { planOf, type Candidate } from '#core/planning/plan';
import { suggestionsFor } from '#core/planning/suggest';
import { againstSchool, beginsWith, sideOf, sidesOf, tallies, towards, type Built } from '#core/schools/sides';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { inches } from '#core/units/factors';
import { otherSide, SCHOOL_IDS, SCHOOLS, SIDES } from '#core/words/schools';

/** Where practitioners differ (trade.md §12): both sides are common practice without a source. */

const built = (id: string, over: Partial<Built> = {}): Built => ({
  type: setTypeOf(id),
  species: 'beaver',
  choices: {},
  devices: [setTypeOf(id).usual],
  sticks: 0,
  tie: null,
  ...over,
});
const grip = (size: string) => [{ class: 'bodyGrip' as const, size }];

describe('the side on which a set stands', () => {
  for (const [matter, one, other] of [
    ['hold', built('castor-foothold', { choices: { hold: 'live' } }), built('castor-foothold', { choices: { hold: 'slide' } })],
    ['device', built('lodge-run'), built('castor-foothold')],
    ['break', built('dam-break-breach'), built('dam-break-shoulder')],
    ['fence', built('lodge-run', { sticks: 3 }), built('lodge-run', { sticks: 2 })],
    [
      'lure',
      built('lure-pole', { lures: [{ what: 'sac oil', where: 'on the bank', amount: 1, stock: null }] }),
      built('lure-pole', { lures: [{ what: 'sac oil', where: 'on the bank', amount: 2, stock: null }] }),
    ],
    ['foot', built('slide-foothold', { choices: { foot: 'front' } }), built('slide-foothold', { choices: { foot: 'hind' } })],
    [
      'minkSize',
      built('bottom-edge', { species: 'mink', devices: grip('120') }),
      built('bottom-edge', { species: 'mink', devices: grip('160') }),
    ],
    [
      'notch',
      built('box', { species: 'mink', choices: { notch: 'light' } }),
      built('box', { species: 'mink', choices: { notch: 'middle' } }),
    ],
    ['trigger', built('box', { choices: { trigger: 'v' } }), built('box', { choices: { trigger: 'low' } })],
    ['catch', built('lodge-run', { tie: inches(18) }), built('lodge-run', { tie: inches(72) })],
  ] as const)
    it(matter, () => {
      assert.equal(sideOf(matter, one), 'one');
      assert.equal(sideOf(matter, other), 'other');
    });
  it('is none where the matter does not touch it', () => {
    assert.deepEqual(
      sidesOf(built('castor-foothold')).map((s) => s.matter),
      ['device'],
    );
    assert.equal(sideOf('notch', built('lodge-run', { choices: { notch: 'light' } })), null);
    assert.equal(sideOf('lure', built('lure-pole')), null, 'nobody said how much');
  });
});

describe('what is picked', () => {
  it('is what a new set begins with, and what brings a set to that side', () => {
    for (const type of CATALOGUE)
      for (const side of SIDES) {
        const begins = beginsWith({ hold: side, foot: side, notch: side, trigger: side }, type, type.species[0] ?? 'beaver');
        const own = built(type.id, { species: type.species[0] ?? 'beaver', choices: begins });
        for (const matter of ['hold', 'foot', 'notch'] as const) {
          const got = sideOf(matter, own);
          assert.ok(got === null || got === side, `${type.id} ${matter}`);
        }
      }
  });
  it('never begins a set with a choice that its type does not offer', () => {
    for (const type of CATALOGUE)
      for (const [key, value] of Object.entries(beginsWith({ hold: 'one', foot: 'one', notch: 'one', trigger: 'one' }, type, 'mink')))
        assert.ok(value in (type.choices[key as never] as { options: object }).options, `${type.id} ${key}`);
  });
  it('orders what is tried: foothold and snare before the body-grip, the channel before the break', () => {
    const first = (schools: object, kind: 'lodge' | 'dam') => suggestionsFor('beaver', { kind, schools }, 11)[0]?.built;
    assert.equal(setTypeOf(first({ device: 'one' }, 'lodge') ?? '').usual.class, 'bodyGrip');
    assert.notEqual(setTypeOf(first({ device: 'other' }, 'lodge') ?? '').usual.class, 'bodyGrip');
    assert.notEqual(first({ break: 'other' }, 'dam'), 'dam-break-breach');
    const against = suggestionsFor('beaver', { kind: 'dam', schools: { break: 'other' } }, 11).find((s) => s.built === 'dam-break-breach');
    assert.match(against?.why ?? '', /not the school that your line picked/);
    assert.ok(!againstSchool({}, setTypeOf('dam-break-breach'), 'beaver'), 'nothing is picked');
  });
  it('paces the plan: one set a water, the rest kept unspoiled', () => {
    const place = (id: string, water: string): Candidate => ({
      ...{ id, name: id, water, activity: 0.9, caught: 3, nights: 20, barred: null, taken: null },
      suggestion: { type: 'Lodge run', built: 'lodge-run', first: true, why: 'hard underfoot' },
    });
    const input = { wanted: 50, handled: 50, people: 1, traps: 9, minutes: 600, each: 5, nights: 1, mean: 0.1 };
    const rows = (isPaced: boolean) => planOf([place('a', 'pond'), place('b', 'pond'), place('c', 'creek')], { ...input, isPaced });
    assert.deepEqual(
      rows(true).map((r) => [r.id, r.take, r.left]),
      [
        ['a', true, null],
        ['b', false, 'rested'],
        ['c', true, null],
      ],
    );
    assert.ok(rows(false).every((r) => r.take));
  });
  it('is told with what speaks for both sides', () => {
    for (const id of SCHOOL_IDS)
      for (const side of SIDES) assert.ok(SCHOOLS[id][side].why.length > 8 && otherSide(otherSide(side)) === side, id);
    assert.deepEqual(towards('catch', 'one', setTypeOf('lodge-run')), { field: 'n.tie', value: inches(18) });
    assert.equal(towards('break', 'one', setTypeOf('dam-break-channel')), null, 'that is another set');
  });
});

describe('what both sides came to', () => {
  it('counts every set once a matter, on one side alone, and loses nothing', () => {
    const any = fc.record({
      built: fc.constantFrom(...CATALOGUE).map((t) => built(t.id, { species: t.species[0] ?? 'beaver' })),
      nights: fc.integer({ min: 0, max: 90 }),
      caught: fc.integer({ min: 0, max: 9 }),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 30 }), (all) => {
        const found = tallies(all);
        for (const id of SCHOOL_IDS) {
          const touched = all.filter((s) => sideOf(id, s.built) !== null);
          const { one, other } = found[id];
          assert.equal(one.sets + other.sets, touched.length);
          assert.equal(
            one.caught + other.caught,
            touched.reduce((n, s) => n + s.caught, 0),
          );
          assert.equal(
            one.nights + other.nights,
            touched.reduce((n, s) => n + s.nights, 0),
          );
        }
      }),
    );
  });
});
