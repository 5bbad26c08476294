import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { choicesFor, costOf, firstThree, type DesignAsked } from '#core/guide/designs';
import { rankSpots, type Spot } from '#core/guide/places';
import { SPECIES } from '#core/animals/species';
import { STATION_KINDS } from '#core/stations/kinds';
import { feet, inches } from '#core/units/factors';

/** Which place and which design an old hand would choose: weights are common practice without a source. */

const spot = (id: string, over: Partial<Spot> = {}): Spot => ({
  ...{ id, number: 1, name: id, offered: { kind: 'run' }, use: { verdict: 'unknown', said: 'No sign recorded.' }, seen: ['beaver'] },
  ...{ sink: null, bend: null, pool: null, passages: null, live: 0, nearest: null, caught: 0, nights: 0 },
  ...over,
});
const order = (spots: Spot[], species: 'beaver' | 'mink' = 'beaver') => rankSpots(spots, species, 11, 'us').map((s) => s.id);

describe('the places of a water', () => {
  for (const [why, better, worse] of [
    ['in use before not in use', { use: { verdict: 'holds', said: 'In use.' } }, { use: { verdict: 'fails', said: 'Not in use.' } }],
    ['sign of the animal before sign of another', { seen: ['beaver'] }, { seen: ['muskrat'] }],
    ['narrow before wide', { offered: { kind: 'run', width: inches(20) } }, { offered: { kind: 'run', width: feet(12) } }],
    ['firm before soft', { sink: inches(2) }, { sink: inches(30) }],
    ['where it gave before where it gave nothing', { caught: 3, nights: 20 }, { caught: 0, nights: 20 }],
    ['far from the next set before close to it', { nearest: feet(200) }, { nearest: feet(5) }],
    [
      'a free place before one that has a set, however good that is',
      {},
      { live: 1, caught: 9, nights: 9, use: { verdict: 'holds', said: 'In use.' } },
    ],
    [
      'a bridge with a wall left before one with a set at every wall',
      { live: 1, passages: { count: 3, set: 1 } },
      { live: 3, passages: { count: 3, set: 3 } },
    ],
  ] as [string, Partial<Spot>, Partial<Spot>][])
    it(why, () => assert.deepEqual(order([spot('worse', worse), spot('better', better)]), ['better', 'worse']));
  it('says of each what speaks for and against it, with figures in the reader’s units', () => {
    const [own] = rankSpots(
      [spot('a', { sink: inches(2), nearest: feet(5), offered: { kind: 'run', width: inches(20) } })],
      'beaver',
      11,
      'metric',
    );
    const told = own?.reasons.map((r) => r.text).join('; ') ?? '';
    assert.match(told, /51 cm wide: they must pass through it/);
    assert.doesNotMatch(told, /\d (in|ft)\b/);
    assert.ok(own?.reasons.some((r) => r.weight < 0 && /next set/.test(r.text)));
  });
  it('a pool counts for mink and not for beaver', () => {
    const pool = spot('pool', { pool: inches(20), offered: { kind: 'undercut' }, seen: ['mink', 'beaver'] });
    const told = (species: 'beaver' | 'mink') => rankSpots([pool], species, 11, 'us')[0]?.reasons.some((r) => /pool/.test(r.text));
    assert.equal(told('mink'), true);
    assert.equal(told('beaver'), false);
  });
  it('its score is the sum of its reasons, and nothing is lost in ranking', () => {
    const any = fc.record({
      kind: fc.constantFrom(...STATION_KINDS),
      live: fc.integer({ min: 0, max: 2 }),
      caught: fc.integer({ min: 0, max: 5 }),
      nights: fc.integer({ min: 0, max: 40 }),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), fc.constantFrom(...SPECIES), (list, species) => {
        const spots = list.map(({ kind, ...own }, n) => spot(String(n), { ...own, offered: { kind } }));
        const ranked = rankSpots(spots, species, 11, 'us');
        assert.deepEqual(ranked.map((r) => r.id).sort(), spots.map((s) => s.id).sort());
        for (const r of ranked) assert.ok(Math.abs(r.score - r.reasons.reduce((n, x) => n + x.weight, 0)) < 1e-9);
      }),
    );
  });
});

const asked = (over: Partial<DesignAsked> = {}): DesignAsked => ({
  ...{ species: 'beaver', offered: { kind: 'run' }, month: 11, tried: [] },
  owned: [
    { class: 'bodyGrip', size: '330' },
    { class: 'snare', size: '7×7 3/32' },
    { class: 'foothold', size: '4' },
  ],
  ...over,
});

describe('the designs to choose from', () => {
  it('are three at most, each after the one before it with its reason, and say why not the next', () => {
    const { first, next } = firstThree(asked());
    assert.equal(first.length, 3);
    assert.equal(first[0]?.after, '');
    for (const choice of first.slice(1)) assert.match(choice.after, /^after /);
    assert.ok(next && next.after !== '');
    assert.equal(first[0]?.type, 'lodge-run');
  });
  it('what the shed cannot build comes last, and says so', () => {
    const all = choicesFor(asked({ owned: [{ class: 'snare', size: '7×7 3/32' }] }));
    const cannot = all.findIndex((c) => c.device === null);
    assert.ok(cannot > 0 && all.slice(cannot).every((c) => c.device === null));
    assert.ok(all[cannot]?.against.includes('no free trap of its kind in the shed'));
  });
  it('what stood there without a catch comes after what was not tried, and what caught there says so', () => {
    const failed = choicesFor(asked({ tried: [{ type: 'lodge-run', looks: 9, caught: 0 }] }));
    assert.notEqual(failed[0]?.type, 'lodge-run');
    assert.ok(failed.find((c) => c.type === 'lodge-run')?.against.some((a) => /9 looks without a catch/.test(a)));
    const gave = choicesFor(asked({ tried: [{ type: 'lodge-run', looks: 9, caught: 2 }] }));
    assert.equal(gave[0]?.gave, 'it caught 2 here in 9 looks');
  });
  it('every choice is a type that fits the place, for every animal and kind of place', () => {
    for (const species of SPECIES)
      for (const kind of STATION_KINDS) {
        const all = choicesFor(asked({ species, offered: { kind } }));
        assert.equal(new Set(all.map((c) => c.type)).size, all.length);
      }
  });
});

describe('what a design costs and gives', () => {
  const cost = (over: Partial<Parameters<typeof costOf>[0]> = {}) =>
    costOf({
      ...{ name: 'x', sets: 1, traps: 1, underIce: false, minutes: { place: 5, ice: 30, look: 2 }, pieces: 3, cable: 1.8 },
      ...{ caught: 6, nights: 40, mean: 0.1 },
      ...over,
    });
  it('takes the minutes of the person, through ice those of ice', () => {
    assert.equal(cost({ sets: 3 }).minutes, 15);
    assert.equal(cost({ underIce: true }).minutes, 30);
  });
  it('gives what such sets gave, drawn towards the mean: (6 + 20 × 0.1) / (40 + 20) a night', () => {
    assert.ok(Math.abs(cost().perNight - 8 / 60) < 1e-12);
    assert.match(cost({ nights: 0, caught: 0 }).rests, /none of these yet/);
  });
});
