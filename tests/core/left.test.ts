import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import jstat from 'jstat';
import { adultsLeft, agesMet, drawnOf, likelyAges, NO_AGES } from '#core/counting/ages';
import { takesBeside } from '#core/counting/bySort';
import { howManyLeft, removal, shortestRun, SILENT, type LeftEvidence, type TrapNight } from '#core/counting/left';
import { calibrate } from '#core/counting/calibration';
import { simulateRemoval } from '#core/sim/removal';
import { seeded } from '#core/sim/random';
import { settles } from '#core/counting/decide';
import { agesText, leftText, sortsText, settlesText } from '#core/words/left';

const passes = (...caught: number[]): TrapNight[] => caught.map((n) => ({ caught: n, effort: 1 }));

function logLikelihood(animals: number, taken: number, nights: readonly TrapNight[]): number {
  const { ways, at } = removal(nights);
  return ways(animals) + at(taken)(animals);
}

/** Where the likelihood is greatest, over whole animals and a fine grid of chances. */
function likeliest(nights: TrapNight[], most: number): { animals: number; taken: number } {
  let best = { animals: 0, taken: 0, at: -Infinity };
  for (let animals = 0; animals <= most; animals += 1)
    for (let taken = 0.005; taken < 1; taken += 0.001) {
      const at = logLikelihood(animals, taken, nights);
      if (at > best.at) best = { animals, taken, at };
    }
  return best;
}

const base: LeftEvidence = { ...SILENT, nights: [], expected: 6, most: 15 };
const colony = { ...base, floor: 4, nights: [3, 1, 1].map((caught) => ({ caught, effort: 6 })) };

describe('removal (Zippin 1956 and its followers)', () => {
  it('38, 26 and 12 come from 92 at 0.437 a pass; 4, 2 and 1 from seven', () => {
    const large = likeliest(passes(38, 26, 12), 140);
    assert.equal(large.animals, 92);
    assert.ok(Math.abs(large.taken - 0.437) < 0.002, String(large.taken));
    assert.equal(likeliest(passes(4, 2, 1), 40).animals, 7);
  });
  it('two passes of 30 and 12 come from 48: the approximate form c1² / (c1 − c2) gives 50', () =>
    assert.equal(likeliest(passes(30, 12), 90).animals, 48));
  it('of one night is the binomial of an independent library (jstat)', () => {
    for (const [animals, caught, taken, effort] of [
      [6, 2, 0.1, 3],
      [9, 0, 0.25, 2],
      [4, 4, 0.4, 1],
    ] as const) {
      const share = 1 - (1 - taken) ** effort;
      const p = jstat.binomial.pdf(caught, animals, share);
      assert.ok(Math.abs(Math.exp(logLikelihood(animals, taken, [{ caught, effort }])) - p) < 1e-10);
    }
    assert.equal(logLikelihood(2, 0.5, passes(3)), -Infinity);
  });
});

describe('how many are left', () => {
  it('three, one and one by six devices, six expected and four seen: nobody left two times in five (0.405, from the trade’s own sheet)', () => {
    const { chances, caught } = howManyLeft(colony);
    assert.equal(caught, 5);
    assert.ok(Math.abs((chances[0] ?? 0) - 0.405) < 0.005, String(chances[0]));
    assert.ok(Math.abs(chances.reduce((a, b) => a + b, 0) - 1) < 1e-9);
  });
  it('who mended after the last catch is left; a break that stays open and a silent camera speak for nobody', () => {
    const chance = (more: Partial<LeftEvidence>): number => howManyLeft({ ...colony, ...more }).chances[0] ?? 0;
    assert.equal(chance({ mended: true }), 0);
    assert.ok(chance({ unmended: 2 }) > chance({}) && chance({ quiet: 3 }) > chance({}));
    assert.ok(chance({ bitten: true }) < chance({}));
  });
  it('a season of many traps and many nights still adds up to one', () => {
    const nights = Array.from({ length: 120 }, (_, n) => ({ caught: n % 20 === 0 ? 2 : 0, effort: 400 }));
    const { chances } = howManyLeft({ ...base, expected: 8, most: 40, nights });
    assert.ok(Math.abs(chances.reduce((a, b) => a + b, 0) - 1) < 1e-9);
  });
  it('what cannot be is said: more caught than are thought of', () =>
    assert.throws(() => howManyLeft({ ...base, nights: passes(9, 9) }), RangeError));
  it('a catch never raises how many were left before it; silence never goes below the floor', () => {
    const mean = (e: LeftEvidence): number => howManyLeft(e).chances.reduce((sum, c, n) => sum + c * n, 0);
    fc.assert(
      fc.property(
        fc.array(fc.record({ caught: fc.nat(2), effort: fc.integer({ min: 1, max: 8 }) }), { minLength: 1, maxLength: 6 }),
        fc.nat(6),
        fc.nat(9),
        (nights, floor, quiet) => {
          const evidence = { ...base, most: 30, nights, floor, quiet };
          const { chances, caught } = howManyLeft(evidence);
          chances.forEach((chance, left) => assert.ok(caught + left >= floor || chance === 0));
          const last = nights.at(-1) ?? { caught: 0, effort: 1 };
          const idle = { ...evidence, nights: [...nights.slice(0, -1), { ...last, caught: 0 }] };
          if (last.caught > 0 && caught >= floor) assert.ok(caught + mean(evidence) >= caught - last.caught + mean(idle) - 1e-9);
          // what was thought possible before a catch is never more afterwards
          const possible = (e: LeftEvidence): number => howManyLeft(e).chances.findLastIndex((chance) => chance > 0);
          assert.ok(last.caught === 0 || possible(evidence) < possible(idle));
          const none = (e: LeftEvidence): number => howManyLeft(e).chances[0] ?? 0;
          assert.ok(none({ ...evidence, quiet: quiet + 1 }) >= none(evidence) - 1e-9);
          // who left the water is one more way to have none there, and never a catch
          const away = howManyLeft({ ...evidence, moved: 0.3, present: nights.length });
          assert.ok((away.chances[0] ?? 0) >= none(evidence) - 1e-9 && away.caught === caught);
          assert.ok(away.moved >= 0 && away.moved <= (away.chances[0] ?? 0) + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('who left the water', () => {
  const empty = { ...base, expected: 4, nights: [] };
  it('is told from who hides by what a camera would have shown: five silent nights before an old lodge', () => {
    const none = (quiet: number, moved: number): number => howManyLeft({ ...empty, quiet, moved }).chances[0] ?? 0;
    // by hand: e^-4 when nobody moved; of them that moved all are gone
    assert.ok(Math.abs(none(0, 0) - Math.exp(-4)) < 1e-4);
    assert.ok(none(0, 0.5) > 0.49 && none(0, 0.5) < 0.52);
    assert.ok(none(5, 0.5) > 0.85 && none(5, 0.5) < none(5, 0.8));
  });
  it('is not held of those that mended', () => assert.equal(howManyLeft({ ...colony, moved: 0.5, mended: true }).moved, 0));
});

describe('adults and young apart', () => {
  const met = { ...NO_AGES, adults: 2, young: 1, leastAdults: 2, leastYoung: 2 };
  it('of a draw without putting back is the hypergeometric chance of an independent library (jstat)', () => {
    for (const [all, own, drawn, of] of [
      [8, 2, 3, 2],
      [10, 4, 5, 1],
      [6, 6, 2, 2],
    ] as const)
      assert.ok(Math.abs(drawnOf(all, own, drawn, of) - jstat.hypgeom.pdf(of, all, own, drawn)) < 1e-10);
    assert.equal(drawnOf(6, 2, 3, 3), 0);
  });
  it('is the share of every order in which a family of six could have been met: counted one by one', () => {
    // each family of six, by how usual it is, in each order: the first three are caught with their age told, of the others two are left
    const usual = [0.02, 0.13, 0.65, 0.14, 0.14 * 0.3, 0.14 * 0.09, 0.14 * 0.027];
    const tally = [0, 0, 0];
    for (let adults = 0; adults <= 6; adults += 1) {
      const orders = Array.from({ length: 64 }, (_, bits) => [...bits.toString(2).padStart(6, '0')].map(Number)).filter(
        (order) => order.reduce((a, b) => a + b, 0) === adults,
      );
      for (const order of orders) {
        const caught = order.slice(0, 3).reduce((a, b) => a + b, 0);
        if (caught !== 2 || 6 - adults < 2 || adults < 2) continue;
        const left = (order[4] ?? 0) + (order[5] ?? 0);
        tally[left] = (tally[left] ?? 0) + (usual[adults] ?? 0) / orders.length;
      }
    }
    const total = tally.reduce((a, b) => a + b, 0);
    adultsLeft(6, 2, met).forEach((chance, n) => assert.ok(Math.abs(chance - (tally[n] ?? 0) / total) < 1e-9, String(n)));
    const all = usual.reduce((a, b) => a + b, 0);
    // of the orders met, each stands for three in which the same were caught
    assert.ok(Math.abs(likelyAges(6, met) - total / all) < 1e-9);
  });
  it('a pair that was caught leaves young; where no age was told it says nothing of them, and nothing moves', () => {
    const pair = howManyLeft({ ...colony, ages: { adults: 2, young: 0, leastAdults: 2, leastYoung: 2 } });
    assert.ok((pair.ages?.adults[0] ?? 0) > 0.7, String(pair.ages?.adults[0]));
    assert.match(agesText({ ...pair, chances: [0.3, 0.7] }), /^Adults left: none, .*; young: /);
    assert.equal(agesText(howManyLeft(colony)), '');
    const kits = howManyLeft({ ...colony, ages: { adults: 0, young: 5, leastAdults: 0, leastYoung: 5 } });
    // five young and no adult among the caught: their parents are out there yet
    assert.ok((kits.chances[0] ?? 1) < (howManyLeft(colony).chances[0] ?? 0));
    assert.ok((kits.ages?.adults[0] ?? 1) < 0.5);
  });
  it('adds up to who is left, whatever was met; young that were seen and not caught are left', () =>
    fc.assert(
      fc.property(fc.nat(3), fc.nat(2), fc.nat(2), fc.nat(3), (adults, young, moreAdults, moreYoung) => {
        const ages = { adults, young, leastAdults: adults + moreAdults, leastYoung: young + moreYoung };
        const nights = [{ caught: adults + young, effort: 5 }];
        const own = howManyLeft({ ...base, floor: ages.leastAdults + ages.leastYoung, nights, ages });
        const mean = (chances: readonly number[]): number => chances.reduce((sum, c, n) => sum + c * n, 0);
        const apart = own.ages ?? { adults: own.chances, young: [] };
        assert.ok(Math.abs(mean(apart.adults) + mean(apart.young) - mean(own.chances)) < 1e-9);
        if (own.ages) assert.ok(own.ages.young.slice(0, moreYoung).every((chance) => chance < 1e-12));
        if (own.ages) assert.ok(own.ages.adults.slice(0, moreAdults).every((chance) => chance < 1e-12));
      }),
      { numRuns: 40 },
    ));
  it('eight that were all called adults are rare, and never more than can be', () => {
    const ages = { adults: 8, young: 0, leastAdults: 8, leastYoung: 0 };
    const own = howManyLeft({ ...base, nights: [{ caught: 8, effort: 6 }], most: 17, ages });
    assert.ok((own.chances[0] ?? 0) > 0.001 && Math.abs(own.chances.reduce((a, b) => a + b, 0) - 1) < 1e-9);
  });
  it('a kit in the trap is none of the two large ones; one of no age told may be any of those seen', () => {
    const sizes = { large: 2, small: 2 };
    assert.deepEqual(agesMet({ sizes }, ['kit', 'adult'], ['kit']), { adults: 1, young: 1, leastAdults: 3, leastYoung: 2 });
    assert.deepEqual(agesMet({ sizes }, ['unknown'], ['unknown']), { adults: 0, young: 0, leastAdults: 1, leastYoung: 1 });
    assert.deepEqual(agesMet({ sizes: {} }, [], []), NO_AGES);
  });
});

describe('sorts of trap beside each other', () => {
  it('are the mean of a gamma that is drawn by what was caught and expected (Clayton and Kaldor 1987, jstat)', () => {
    const takes = takesBeside([
      { device: 'bodyGrip', caught: 18, nights: 100 },
      { device: 'foothold', caught: 2, nights: 100 },
    ]);
    // ten were to be expected of each
    assert.ok(Math.abs((takes.bodyGrip ?? 0) - jstat.gamma.mean(4 + 18, 1 / (4 + 10))) < 1e-12);
    assert.ok(Math.abs((takes.foothold ?? 0) - 6 / 14) < 1e-12);
  });
  it('are alike where nothing was caught, and one that stood alone is all there is', () => {
    assert.deepEqual(takesBeside([{ device: 'snare', caught: 0, nights: 40 }]), { snare: 1 });
    assert.deepEqual(takesBeside([]), {});
    assert.match(sortsText([{ device: 'snare', caught: 9, nights: 40 }]), /alike/);
  });
  it('few catches move them little, many much; never below nothing', () =>
    fc.assert(
      fc.property(fc.nat(30), fc.nat(30), fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 400 }), (a, b, m, n) => {
        const takes = takesBeside([
          { device: 'bodyGrip', caught: a, nights: m },
          { device: 'snare', caught: b, nights: n },
        ]);
        const [grip = 0, snare = 0] = [takes.bodyGrip, takes.snare];
        assert.ok(grip > 0 && snare > 0);
        if (a + b <= 2) assert.ok(Math.abs(grip - 1) <= 0.5 && Math.abs(snare - 1) <= 0.5);
        if (a / m > b / n) assert.ok(grip >= 1 && snare <= 1);
      }),
    ));
  it('are said with what they rest on', () =>
    assert.match(
      sortsText([
        { device: 'bodyGrip', caught: 18, nights: 100 },
        { device: 'foothold', caught: 2, nights: 100 },
      ]),
      /body-grip 1\.6 \(18 in 100 nights\), foothold 0\.4 \(2 in 100 nights\)$/,
    ));
});

describe('what would settle it', () => {
  it('is the silence after which none is as sure as wanted, the soonest first; nothing where it is sure, or somebody mended', () => {
    const ways = settles({ ...colony, quiet: 0 }, 0.95, 6);
    assert.deepEqual(
      ways.map((w) => w.by).sort(),
      ['break', 'camera', 'traps'].filter((by) => ways.some((w) => w.by === by)),
    );
    for (const { by, nights } of ways) {
      const after = (n: number): number =>
        howManyLeft({
          ...colony,
          ...(by === 'camera' ? { quiet: n } : by === 'break' ? { unmended: n } : {}),
          nights: by === 'traps' ? [...colony.nights, ...Array.from({ length: n }, () => ({ caught: 0, effort: 6 }))] : colony.nights,
        }).chances[0] ?? 0;
      assert.ok(after(nights) >= 0.95 && after(nights - 1) < 0.95, by);
    }
    assert.ok(ways.length > 0 && ways.every((w, n) => w.nights >= (ways[n - 1]?.nights ?? 0)));
    assert.deepEqual(settles({ ...colony, mended: true }, 0.95, 6), []);
    assert.deepEqual(settles({ ...colony, unmended: 9 }, 0.9, 6), []);
    assert.match(settlesText(ways, 0.95), /^To be nineteen in twenty sure that none is left: \d/);
  });
});

describe('odds that are stated', () => {
  const { ranges, none } = calibrate(2000, 11);
  // what is drawn 2,000 times lies within three of its own deviations
  const within = (chance: number, of: number): number => 3 * Math.sqrt((chance * (1 - chance)) / of);
  it('hold as often as they say, over 2,000 colonies that live by the same rules: four in five and its fellows', () => {
    for (const { said, held, right, of } of ranges) {
      assert.ok(held >= said && of === 2000);
      assert.ok(Math.abs(right / of - held) < within(held, of), `${said}: ${right / of} of ${held}`);
    }
  });
  it('"none is left" is as true as it is sure', () => {
    assert.ok(none.length >= 4);
    for (const { held, right, of } of none) assert.ok(Math.abs(right / of - held) < within(held, of) + 1e-9, `${held}: ${right} of ${of}`);
  });
  it('the colony is drawn by seed, each animal caught once', () => {
    const drawn = (seed: number) => simulateRemoval(seeded(seed), { lived: 6, nights: 8, devices: 3, watched: 4 });
    assert.deepEqual(drawn(3), drawn(3));
    assert.notDeepEqual(drawn(3), drawn(4));
    const many = Array.from({ length: 300 }, (_, n) => drawn(n));
    const lived = many.map(({ nights, left }) => left + nights.reduce((sum, night) => sum + night.caught, 0));
    assert.ok(Math.abs(lived.reduce((a, b) => a + b, 0) / 300 - 6) < 0.45);
    assert.ok(many.every(({ quiet, left }) => left > 0 || quiet === 4));
  });
});

describe('what is said of it', () => {
  it('the shortest run of numbers that holds four in five, and its odds', () => {
    assert.deepEqual(shortestRun([0.1, 0.5, 0.35, 0.05], 0.8), { low: 1, high: 2, holds: 0.85 });
    assert.equal(leftText({ moved: 0, ages: null, chances: [0.1, 0.5, 0.35, 0.05], caught: 4, nights: 5 }), '1 to 2 left, five in six.');
    assert.equal(leftText({ moved: 0, ages: null, chances: [0.92, 0.08], caught: 4, nights: 9 }), 'Nobody left, nine in ten.');
  });
  it('one or more, or gone, where neither is sure; and where any number fits, that it cannot be told', () => {
    assert.equal(
      leftText({ moved: 0, ages: null, chances: [0.42, 0.3, 0.28], caught: 3, nights: 6 }),
      'Gone, or 1 to 2 left: gone is as likely as two in five.',
    );
    const flat = Array.from({ length: 12 }, () => 1 / 12);
    assert.equal(
      leftText({ moved: 0, ages: null, chances: flat, caught: 2, nights: 5 }),
      'Cannot tell: 2 catches in 5 nights fit any number from 0 to 11 left.',
    );
  });
});
