import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { BUILDS } from '#core/animals/species';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { aimTexts } from '#core/sets/describe';
import { againstLive } from '#core/sets/fit';
import { draws, opening, ranged, type Above } from '#core/sets/pieces/range';
import { swingFinding } from '#core/sets/pieces/guides';
import { usualDevices } from '#core/sets/standing';
import { fixed } from '#core/water/linear';
import { inches } from '#core/units/factors';
import { endAt, ENDS, heightLimits, type End, type Need } from '#core/water/need';
import { endFact, endLabel } from '#core/words/ends';
import { layFrom } from '../support/lay';

const POND = inches(41);

/** A type at its usual place with some numbers in inches. */
function lay(id: string, numbers: Record<string, number> = {}, choices: Record<string, string> = {}) {
  const type = setTypeOf(id);
  const inMetres = Object.fromEntries(Object.entries(numbers).map(([key, n]) => [key, inches(n)]));
  const place = { kind: type.stations[0] ?? 'run', surface: 'pond' as const, bed: null };
  return layFrom(type, { numbers: inMetres, choices, pond: POND, tail: inches(10) }, place, usualDevices(type), 'us');
}

describe('what may go live', () => {
  const against = (design: ReturnType<typeof lay>, pond = POND) => {
    const { impossible, doubtful } = againstLive(design, { pond, tail: inches(10) }, 'us');
    return [impossible.map((f) => f.says), doubtful];
  };
  it('every type does as it is usually set', () => {
    for (const type of CATALOGUE) assert.deepEqual(against(lay(type.id)), [[], []], type.id);
  });
  it('a clip with a trigger from the bottom cannot be built', () =>
    assert.deepEqual(against(lay('log-crossing', {}, { trigger: 'low' })), [['clip'], []]));
  it('a trap that stands out of its range as it goes live wants a reason, named', () => {
    assert.deepEqual(against(lay('crossed-limbs', { topUnder: -6 })), [[], ['top of the jaws half dry']]);
    assert.deepEqual(against(lay('wall-blind', { panUnder: 4 })), [[], ['pan swum over']]);
    assert.deepEqual(against(lay('castor-stick-snare', { lowestUnder: 1 })), [
      [],
      ['loop below water', 'lowest point of the loop too shallow'],
    ]);
  });
  it('in doubt or out of reach it needs none', () => {
    assert.deepEqual(against(lay('bank-den-run', { topUnder: 40 })), [[], []]);
    assert.deepEqual(against(lay('slide-foothold', { panUnder: 11 })), [[], []]);
  });
  it('judges by the level at which it goes live, and not at all where none is known', () => {
    const design = lay('baited-bank', { panUnder: 3 });
    assert.deepEqual(against(design, POND + inches(8))[1], ['pan swum over']);
    assert.deepEqual(againstLive(design, {}, 'us').doubtful, []);
  });
});

describe('the aim as a note', () => {
  it('says where it is put, and that it is not so now', () => {
    const design = lay('dive-pole');
    assert.deepEqual(aimTexts(design, 'trap', { pond: POND }, 'us'), ['Aim: top of the jaws 2 in to 3 in below water.']);
    assert.deepEqual(aimTexts(design, 'trap', { pond: POND + inches(2) }, 'us'), [
      'Aim: top of the jaws 2 in to 3 in below water, not so now.',
    ]);
    assert.deepEqual(aimTexts(lay('slide-snare'), 'snare', { pond: POND }, 'metric'), ['Aim: loop 50% to 65% below water.']);
  });
  it('says both ends on the side of the water on which they lie', () => {
    assert.deepEqual(aimTexts(lay('undercut-bank'), 'trap', { pond: POND }, 'us'), ['Aim: top of the jaws 1½ in to 2 in above water.']);
    assert.deepEqual(aimTexts(lay('dam-break-breach'), 'trap', { pond: POND }, 'us').length, 1);
  });
  it('says nothing where no level is known, and of no other device', () => {
    assert.deepEqual(aimTexts(lay('dive-pole'), 'trap', {}, 'us'), []);
    assert.deepEqual(aimTexts(lay('dive-pole'), 'snare', { pond: POND }, 'us'), []);
  });
});

describe('what closes the water over a body-grip', () => {
  const FRAME = inches(10);
  const anyAbove: fc.Arbitrary<Above> = fc.oneof(
    fc.constant<Above>({ by: 'nothing' }),
    fc.constant<Above>({ by: 'roof' }),
    fc.record({
      by: fc.constant('pole' as const),
      ahead: fc.double({ min: 0, max: 0.5, noNaN: true }),
      thick: fc.double({ min: 0.02, max: 0.2, noNaN: true }),
    }),
    fc.record({ by: fc.constant('wood' as const), over: fc.double({ min: 0, max: 0.3, noNaN: true }) }),
  );
  it('in open water they pass once their smallest gap stands over it (inferred from the animal table)', () => {
    assert.deepEqual(
      opening(FRAME, 'beaverAdult', { by: 'nothing' }).works.map((n) => Math.round((n ?? 0) * 10) / 10),
      [-6, 4],
    );
    assert.equal(opening(inches(6), 'mink', { by: 'nothing' }).works[0]?.toFixed(3), '-2.000');
    assert.equal(opening(FRAME, 'otter', { by: 'nothing' }, true).works[1]?.toFixed(3), '5.000');
  });
  it('a pole draws two thirds of its thickness (common practice)', () => assert.equal(draws(inches(4.5)).toFixed(6), inches(3).toFixed(6)));
  it('the young pass before the adults, whatever lies above; under a roof nobody does', () =>
    fc.assert(
      fc.property(anyAbove, fc.boolean(), (above, half) => {
        const { works, young } = opening(FRAME, 'beaverAdult', above, half);
        const gap = (BUILDS.beaverAdult.smallestGap - BUILDS.beaverKit.smallestGap) / inches(1);
        if (above.by === 'roof') return works[0] === null && young === undefined;
        return works[0] !== null && young !== undefined && Math.abs(young - works[0] - gap) < 1e-9;
      }),
    ));
  it('a pole farther ahead never leaves less', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.3, noNaN: true }), fc.double({ min: 0, max: 0.1, noNaN: true }), (ahead, more) => {
        const dry = (a: number): number => opening(FRAME, 'beaverAdult', { by: 'pole', ahead: a, thick: inches(3) }).works[1] ?? 0;
        return dry(ahead + more) >= dry(ahead) - 1e-9;
      }),
    ));
  it('a range as limits: nothing between its ends is over, everything beyond is', () =>
    fc.assert(
      fc.property(
        fc.tuple(fc.integer({ min: -20, max: 0 }), fc.integer({ min: 1, max: 20 })),
        fc.integer({ min: -160, max: 160 }),
        ([low, high], quarters) => {
          const at = quarters / 4 + 0.1;
          const range = ranged({ works: [low, high], perhaps: [low - 2, high], ends: ['swumOver', 'bare'] });
          const parts = [
            { id: 'pan', kind: 'pan' as const, bearer: 'bed' as const, x: 0, y: 0, z: { k: 0 }, height: 0, wide: 0, across: 0 },
          ];
          const need: Need = {
            id: 'n',
            device: 'd',
            of: { part: 'pan', spot: 'top' },
            from: 'pond',
            called: 'pan',
            origin: 'practice',
            ...range,
          };
          const ended = endAt(need, parts, inches(at));
          const limits = heightLimits(need, parts);
          if (inches(at) >= limits.min && inches(at) <= limits.max) return ended === null;
          return ended?.end === (at > high ? 'bare' : 'swumOver') && ended.sure === (at > high || at < low - 2 - 1e-7);
        },
      ),
    ));
});

describe('the words of an end', () => {
  it('every end has two words and a sentence, in both systems', () => {
    for (const end of Object.keys(ENDS) as End[])
      for (const height of [-0.1, 0, 0.1]) {
        assert.match(endLabel(end, height), /^[a-z][a-z ]+$/, end);
        for (const system of ['us', 'metric'] as const)
          assert.match(endFact(end, { called: 'pan', height }, system), /^[A-Z].*[a-z]\.$/, end);
      }
  });
  it('what is in doubt is not said as sure', () => {
    const where = { called: 'top of the jaws', height: -inches(8) };
    assert.equal(endFact('swumOver', where, 'us'), 'The top of the jaws is 8 in below the water: they swim over it.');
    assert.equal(endFact('swumOver', where, 'us', false), 'The top of the jaws is 8 in below the water: they may swim over it.');
  });
});

describe('what it is tied to', () => {
  const drawn = (id: string, anchorAs: string) => {
    const type = setTypeOf(id);
    const place = { kind: type.stations[0] ?? 'run', surface: 'pond' as const, bed: null };
    return layFrom(type, { numbers: {}, choices: { anchorAs }, pond: inches(41), tail: inches(10) }, place, usualDevices(type), 'us');
  };
  const tied = CATALOGUE.filter((t) => t.choices.anchorAs);
  it('stands in the picture and on the list as it was chosen: one stake, or none', () => {
    assert.ok(tied.length > 30);
    for (const type of tied) {
      const [staked, wooden] = [drawn(type.id, 'stake'), drawn(type.id, 'tree')];
      const anchor = (d: typeof staked) => d.parts.find((p) => /(^|-)(anchor|stake)$/.test(p.id));
      assert.deepEqual([anchor(staked)?.kind, anchor(wooden)?.kind], ['stake', 'tree'], type.id);
      assert.ok(anchor(staked)?.stock?.startsWith('stake '), type.id);
      assert.equal(anchor(wooden)?.stock, undefined, type.id);
    }
  });
  it('a stake of a foothold, a raft or a platform is judged once its depth and its ground are known (F17)', () => {
    for (const [id, key] of [
      ['castor-foothold', 'driven'],
      ['float', 'driven'],
      ['pole-platform', 'pushIn'],
    ] as const) {
      const type = setTypeOf(id);
      const place = { kind: type.stations[0] ?? 'run', surface: 'pond' as const, bed: null };
      const of = (numbers: Record<string, number>, bottom: string) =>
        layFrom(type, { numbers, choices: { bottom }, pond: inches(41) }, place, usualDevices(type), 'us').findings.find((f) =>
          f.says.startsWith('stake'),
        );
      assert.deepEqual([of({}, 'firm')?.says, of({ [key]: inches(30) }, 'unknown')?.says], ['stakeUnknown', 'stakeUnknown'], id);
      assert.equal(of({ [key]: inches(30) }, 'hard')?.says, 'stake', id);
      assert.equal(of({ [key]: inches(4) }, 'soft')?.verdict, 'fails', id);
    }
  });
  it('nothing is promised of a tree: nobody measured it', () => {
    const found = drawn('castor-grip', 'tree').findings;
    assert.equal(found.find((f) => f.says === 'woodHolds')?.verdict, 'unknown');
    assert.ok(!found.some((f) => f.says.startsWith('stake')));
  });
});

describe('a bag of fill (F18)', () => {
  const bag = (numbers: Record<string, number>) => {
    const type = setTypeOf('baited-bank');
    const place = { kind: 'bank den' as const, surface: 'pond' as const, bed: null };
    const laying = { numbers, choices: { hold: 'bag' }, pond: inches(41) };
    return layFrom(type, laying, place, usualDevices(type), 'us').findings.find((f) => f.says === 'bag')?.verdict;
  };
  it('is judged by its own weight and the depth over it, and by neither until they are typed', () => {
    assert.equal(bag({}), 'unknown');
    assert.equal(bag({ bag: 5 }), 'fails');
    assert.equal(bag({ bag: 50 }), 'unknown');
    assert.equal(bag({ bag: 50, stopDepth: inches(20) }), 'warns');
    assert.equal(bag({ bag: 50, stopDepth: inches(80) }), 'holds');
    assert.equal(bag({ bag: 250, stopDepth: inches(20) }), 'holds');
  });
});

describe('limbs crossed over a trap (F214)', () => {
  it('a limb that leans through the opening blocks, though its foot stands outside; ahead of the jaws it does not', () => {
    const frame = { y: 0, z: 0, across: inches(10), height: inches(10) };
    const limb = (x: number) => ({
      x,
      y: inches(9),
      z: fixed(-inches(6)),
      wide: inches(2),
      height: inches(30),
      look: { leansAcross: -inches(14) },
    });
    assert.equal(swingFinding([limb(0)], frame)[0]?.verdict, 'fails');
    assert.equal(swingFinding([limb(-inches(6.5))], frame)[0]?.verdict, 'holds');
    assert.equal(swingFinding([{ ...limb(0), look: {} }], frame)[0]?.verdict, 'holds');
  });
  it('as it is drawn the cross stands ahead, where its steps put it', () => {
    const limbs = lay('crossed-limbs').parts.filter((p) => p.id.startsWith('limb'));
    assert.ok(limbs.length === 2 && limbs.every((p) => p.x <= -inches(6.4)));
    assert.equal(lay('crossed-limbs').findings.find((f) => f.says === 'swing')?.verdict, 'holds');
  });
});
