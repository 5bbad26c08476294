import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { BUILDS } from '#core/animals/species';
import { BREAKS_AT, largestLoop, loopCable, loopOnStick } from '#core/devices/cable';
import { jawSwing } from '#core/devices/jawSwing';
import { WEIGHTS } from '#core/devices/sizes';
import { fence } from '#core/geometry/fence';
import { cornersBuried, gapBeside, gapsAt, groundAt, shareThrough, wettedArea, type Section } from '#core/geometry/opening';
import { bagMass, pullOf, stakeHolds, sunkShare, worstAngle } from '#core/hold/bag';
import { landAndWater } from '#core/hold/liveHold';
import { animalReach, circlesMeetBy, sweepOf, turnsUntilTaut, wrapsTake } from '#core/hold/reach';
import { bedAt, restAt, shortestSlide, tautWire, type Profile } from '#core/hold/slide';
import { tieLength } from '#core/hold/tie';
import { keepsDown, STEEL_IN_WATER } from '#core/hold/weight';
import { spacingWanted, takes } from '#core/sets/series';
import { inches } from '#core/units/factors';

const near = (a: number | null | undefined, b: number, tolerance = 1e-9) =>
  assert.ok(a !== null && a !== undefined && Math.abs(a - b) <= tolerance, `${a} is not ${b}`);
const G = 9.80665;

/** A bank that only falls: from the stake down and out. */
const monotone = fc
  .array(fc.tuple(fc.double({ min: 0.1, max: 1.5, noNaN: true }), fc.double({ min: 0, max: 0.8, noNaN: true })), {
    minLength: 2,
    maxLength: 8,
  })
  .map((steps): Profile => {
    const points: Profile = [[0, 0.15]];
    for (const [dx, dz] of steps) {
      const [x, z] = points.at(-1) ?? [0, 0];
      points.push([x + dx, z - dz]);
    }
    return points;
  });
/** Any bed, with bars and holes. */
const anyBed = fc
  .array(fc.tuple(fc.double({ min: 0.1, max: 1.5, noNaN: true }), fc.double({ min: -2, max: 0.3, noNaN: true })), {
    minLength: 2,
    maxLength: 8,
  })
  .map((steps): Profile => {
    let x = 0;
    return [[0, 0.15], ...steps.map(([dx, z]): [number, number] => [(x += dx), z])];
  });

describe('a bag on the bed', () => {
  it('holds 20 kg of pull at 64.2 kg flat and 71.8 kg at the worst angle (equilibrium of a block, by hand; rock 0.623, μ 0.5)', () => {
    near(sunkShare(2650), 0.623, 5e-4);
    near(sunkShare(1700), 0.41, 2e-3);
    near(bagMass(20 * G, 0, 0, 0.5, sunkShare(2650)), 64.2, 0.1);
    near(bagMass(20 * G, worstAngle(0.5), 0, 0.5, sunkShare(2650)), 71.8, 0.1);
  });
  it('where the bed is steeper than its friction no bag holds', () => assert.equal(bagMass(100, 0, Math.atan(0.5), 0.5, 0.6), null));
  it('the worst angle is the worst: found again by trying every angle', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.9, noNaN: true }), fc.double({ min: 0, max: 1.5, noNaN: true }), (mu, angle) => {
        const worst = bagMass(100, worstAngle(mu), 0, mu, 0.6) ?? 0;
        return (bagMass(100, angle, 0, mu, 0.6) ?? 0) <= worst + 1e-9;
      }),
    );
  });
  it('is where friction and pull balance: the force left over is zero (independent check by forces)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (pull, angle, slope) => {
          const mass = bagMass(pull, angle, slope, 0.5, 0.6);
          if (mass === null) return true;
          const weight = mass * G * 0.6;
          const normal = weight * Math.cos(slope) - pull * Math.sin(angle);
          const along = pull * Math.cos(angle) + weight * Math.sin(slope);
          return Math.abs(0.5 * normal - along) < 1e-6 * (1 + along);
        },
      ),
    );
  });
  it('a stake of 30 cm holds what its ground holds (practice), and pulls are shares of the weight (practice)', () => {
    near(stakeHolds(0.3, 'firm'), 450);
    near(stakeHolds(0.6, 'soft'), 300);
    near(pullOf(20, 'swimming'), 0.4 * 20 * G);
    near(pullOf(20, 'footed'), 1.5 * 20 * G);
  });
});

describe('a slide', () => {
  const straight: Profile = [
    [0, 0.15],
    [1, 0],
    [5, -2],
  ];
  it('on a straight fall finds the nearest place that is deep enough, a crossing inside a segment (by hand)', () => {
    const found = shortestSlide(straight, 0, 0.7, 0.15);
    assert.ok('wire' in found);
    near(found.out, 1 + 0.85 * 2);
    near(found.depth, 0.85);
    near(found.margin, 0.15);
  });
  it('says by how much the water is short', () => {
    const found = shortestSlide(straight, 0, 2, 0.15);
    assert.ok('shortBy' in found);
    near(found.shortBy, 0.15);
  });
  it('a taut wire lies on the bank it passes over: longer than the straight line, as long as the hull (brute force over supports)', () => {
    fc.assert(
      fc.property(anyBed, (profile) => {
        const end = profile.at(-1)?.[0] ?? 0;
        const length = tautWire(profile, end);
        // the shortest way that stays above every point: tried over all subsets of the points between
        const inner = profile.slice(1, -1);
        let best = Infinity;
        for (let mask = 0; mask < 2 ** inner.length; mask += 1) {
          const way = [profile[0], ...inner.filter((_, i) => mask & (1 << i)), profile.at(-1)] as Profile;
          const above = profile.every(([x, z]) => bedAt(way, x) >= z - 1e-9);
          if (above)
            best = Math.min(
              best,
              way.reduce((sum, [x, z], i) => (i === 0 ? 0 : sum + Math.hypot(x - (way[i - 1]?.[0] ?? x), z - (way[i - 1]?.[1] ?? z))), 0),
            );
        }
        return Math.abs(length - best) < 1e-6;
      }),
      { numRuns: 60 },
    );
  });
  it('a longer wire never makes the resting depth shallower on a bank that only falls', () => {
    fc.assert(
      fc.property(
        monotone,
        fc.double({ min: 0.2, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (profile, wire, more) => {
          const [short, long] = [restAt(profile, wire, 0, 0), restAt(profile, wire + more, 0, 0)];
          return short !== null && long !== null && long.depth >= short.depth - 1e-6;
        },
      ),
    );
  });
  it('a lower level never increases the margin', () => {
    fc.assert(
      fc.property(
        anyBed,
        fc.double({ min: 0.3, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (profile, wire, fall) => {
          const [before, after] = [restAt(profile, wire, 0, 0.5), restAt(profile, wire, -fall, 0.5)];
          return before !== null && after !== null && after.margin <= before.margin + 1e-9;
        },
      ),
    );
  });
  it('the wire of a resting place ends there: length and place are each other’s inverse', () => {
    fc.assert(
      fc.property(monotone, fc.double({ min: 0.3, max: 3, noNaN: true }), (profile, wire) => {
        const rest = restAt(profile, wire, 0, 0);
        const end = profile.at(-1)?.[0] ?? 0;
        return rest !== null && (rest.out >= end - 1e-6 || Math.abs(tautWire(profile, rest.out) - wire) < 1e-6);
      }),
    );
  });
  it('what it finds is the shortest: no place nearer is as deep (tried over a fine grid)', () => {
    fc.assert(
      fc.property(anyBed, fc.double({ min: 0.1, max: 1.2, noNaN: true }), (profile, reach) => {
        const found = shortestSlide(profile, 0, reach, 0.15);
        const end = profile.at(-1)?.[0] ?? 0;
        const deep = Array.from({ length: 400 }, (_, i) => (end * i) / 399).filter((x) => -bedAt(profile, x) >= reach + 0.15 + 1e-9);
        return 'shortBy' in found ? deep.length === 0 : deep.every((x) => x >= found.out - 1e-9);
      }),
    );
  });
});

describe('reach', () => {
  it('by the front foot to the nose, by the hind foot its body and a hand (practice), in a loop what is left of it', () => {
    near(animalReach(BUILDS.beaverAdult, 'front foot'), 0.4);
    // round its stake it sweeps with its body, not with its nose alone
    near(sweepOf(BUILDS.beaverAdult, 'front foot'), 0.83);
    near(sweepOf(BUILDS.beaverAdult, 'hind foot'), 0.93);
    near(animalReach(BUILDS.beaverAdult, 'hind foot'), 0.93);
    near(animalReach(BUILDS.beaverAdult, 'body', 0.3), 1.13);
  });
  it('each wrap takes the circumference of its pole (2πρ)', () => {
    near(wrapsTake(1, 0.1), Math.PI * 0.1);
    assert.equal(turnsUntilTaut(1, 0.1), 3);
    assert.throws(() => wrapsTake(-1, 0.1), RangeError);
  });
  it('circles meet when the stakes stand nearer than both reaches', () => {
    near(circlesMeetBy(3, 2, 1.5), 0.5);
    assert.ok(circlesMeetBy(4, 2, 1.5) < 0);
  });
  it('a live hold wants land at the highest and water at the lowest level', () => {
    const bank: Profile = [
      [-3, -1],
      [0, 0.1],
      [3, 0.6],
    ];
    const { land, water } = landAndWater(bank, 3, { lowest: -0.2, highest: 0.2 });
    near(land, 0.4);
    near(water, 0.8);
    assert.ok(landAndWater(bank, 0.2, { lowest: -0.2, highest: 0.2 }).land < 0);
  });
  it('a tie reaches water that hides the animal, clear of the trail', () => {
    const found = tieLength(
      [
        [0, 0],
        [2, -1],
      ],
      0,
      0.5,
      0,
    );
    assert.ok('tie' in found);
    near(found.out, 1, 1e-6);
    near(found.tie, Math.hypot(1, 0.5), 1e-6);
    const short = tieLength(
      [
        [0, 0],
        [2, -0.3],
      ],
      0,
      0.5,
      0,
    );
    assert.ok('shortBy' in short);
    near(short.shortBy, 0.2);
  });
  it('a steel trap in water weighs 0.873 of itself (1 − 1000/7850) and holds down four tenths of its animal (practice)', () => {
    near(STEEL_IN_WATER, 1 - 1000 / 7850, 5e-4);
    assert.ok(keepsDown(WEIGHTS.foothold['1½'] ?? 0, BUILDS.muskrat.weight.usual).spare > 0);
    assert.ok(keepsDown(WEIGHTS.foothold['1'] ?? 0, BUILDS.muskrat.weight.usual).spare < 0);
  });
});

describe('a loop', () => {
  it('push-in 10, depth 12, 9 in at two thirds: 16 and 25 in from the stick’s foot', () => {
    const { low, high } = loopOnStick(inches(10), inches(12), inches(9), 2 / 3);
    near(low, inches(16));
    near(high, inches(25));
  });
  it('3 ft of loop cable give at most 9.87 in', () => near(largestLoop(inches(36)), inches(9.87), inches(0.005)));
  it('cable and loop are each other’s inverse', () => {
    fc.assert(fc.property(fc.double({ min: 0.05, max: 0.5, noNaN: true }), (d) => Math.abs(largestLoop(loopCable(d)) - d) < 1e-9));
  });
  it('cables break in the order of their strength (MIL-DTL, from memory): 5/64 800, 3/32 920, 1/8 2000 lbf', () =>
    assert.deepEqual(
      Object.values(BREAKS_AT).map((n) => Math.round(n / 4.4482216)),
      [800, 920, 2000],
    ));
});

describe('the swing of the jaws', () => {
  const o = inches(10);
  it('a stick near the hinge passes, across the centre it blocks', () => {
    assert.equal(jawSwing(inches(1), inches(4.6), o, inches(0.8)), 'steadies');
    assert.equal(jawSwing(inches(1), 0, o, inches(0.8)), 'blocks');
    assert.equal(jawSwing(inches(7), 0, o, inches(0.8)), 'clear');
    assert.equal(jawSwing(0, inches(7), o, inches(0.8)), 'clear');
    assert.throws(() => jawSwing(0, 0, 0, 0.01), RangeError);
  });
  it('agrees with the path of the crossbar: points of the half-disc tried one by one', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.2, max: 0.2, noNaN: true }), fc.double({ min: -0.2, max: 0.2, noNaN: true }), (x, y) => {
        const r = o / 2;
        const swept =
          Math.abs(y) < r &&
          Array.from({ length: 181 }, (_, i) => r * Math.cos((i * Math.PI) / 180)).some((at) => Math.abs(at) >= Math.abs(x));
        return (jawSwing(x, y, o, 0) === 'clear') === !(swept && Math.abs(x) < r);
      }),
    );
  });
});

describe('an opening', () => {
  const run: Section = [
    [-0.6, 0.5],
    [-0.4, 0],
    [-0.2, -0.5],
    [0.2, -0.5],
    [0.4, 0],
    [0.6, 0.5],
  ];
  const frame = { y: 0, z: -0.48, across: 0.254, height: 0.254 };
  it('a trapezoid 0.4 to 0.8 m wide and 0.5 m deep has 0.30 m² of water (by hand)', () => near(wettedArea(run, 0), 0.3, 1e-12));
  it('area and share agree with a fine grid (independent count)', () => {
    const section = fc.tuple(
      fc.double({ min: 0.2, max: 0.6, noNaN: true }),
      fc.double({ min: 0.05, max: 0.4, noNaN: true }),
      fc.double({ min: 0.2, max: 0.8, noNaN: true }),
    );
    fc.assert(
      fc.property(section, fc.double({ min: -0.3, max: 0.2, noNaN: true }), ([half, spread, depth], bottom) => {
        const own: Section = [
          [-half - spread, 0.2],
          [-half, -depth],
          [half, -depth],
          [half + spread, 0.2],
        ];
        const opening = { y: 0.03, z: bottom, across: 0.25, height: 0.25 };
        let [wet, inside] = [0, 0];
        const n = 220;
        const [left, wide, high] = [-half - spread, 2 * (half + spread), depth + 0.2];
        for (let i = 0; i < n; i += 1)
          for (let k = 0; k < n; k += 1) {
            const [y, z] = [left + (wide * (i + 0.5)) / n, -depth + (high * (k + 0.5)) / n];
            if (z > 0 || z < groundAt(own, y)) continue;
            wet += 1;
            if (Math.abs(y - opening.y) <= 0.125 && z >= opening.z && z <= opening.z + 0.25) inside += 1;
          }
        return Math.abs(shareThrough(own, 0, opening) - inside / wet) < 0.02;
      }),
      { numRuns: 25 },
    );
  });
  it('gaps beside it widen with the banks, as a function of height', () => {
    near(gapsAt(run, -0.5, frame, []).left, 0.2 - 0.127);
    near(gapsAt(run, 0, frame, []).right, 0.4 - 0.127);
    const gap = gapBeside(run, frame, [], { low: -0.48, high: 0 });
    near(gap.left, 0.2 + 0.02 * 0.4 - 0.127);
  });
  it('adding a stick never opens a gap', () => {
    const sticks = fc.array(
      fc.record({ y: fc.double({ min: -0.45, max: 0.45, noNaN: true }), thick: fc.double({ min: 0.005, max: 0.05, noNaN: true }) }),
      { maxLength: 5 },
    );
    const one = fc.record({
      y: fc.double({ min: -0.45, max: 0.45, noNaN: true }),
      thick: fc.double({ min: 0.005, max: 0.05, noNaN: true }),
    });
    fc.assert(
      fc.property(sticks, one, (some, more) => {
        const route = { low: -0.48, high: -0.2 };
        const [before, after] = [gapBeside(run, frame, some, route), gapBeside(run, frame, [...some, more], route)];
        return after.left <= before.left + 1e-9 && after.right <= before.right + 1e-9;
      }),
    );
  });
  it('corners in the bed are found', () => {
    near(
      cornersBuried(
        [
          [-1, 0.3],
          [0, -0.5],
          [1, 0.3],
        ],
        { y: 0, z: -0.45, across: 0.25, height: 0.25 },
      ),
      -0.5 + 0.8 * 0.125 + 0.45,
      1e-9,
    );
    assert.equal(cornersBuried(run, frame), 0);
  });
  it('a fence of n sticks leaves n + 1 openings, none wider than allowed', () => {
    const { sticks, clear } = fence(0.5, 0.09, 0.03);
    assert.equal(sticks, 4);
    near(clear, (0.5 - 4 * 0.03) / 5);
  });
});

describe('traps in a row', () => {
  it('two at 0.7: one animal 0.91; two on one pass both 0.637, one 0.355, none 0.008', () => {
    const { one, two } = takes([0.7, 0.7]);
    near(one, 0.91);
    near(two.both, 0.637);
    near(two.single, 0.3549, 1e-4);
    near(two.none, 0.0081);
  });
  it('agrees with counting every way two animals can pass (brute force)', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 5 }), (p) => {
        // where the first is taken, and whether the second is by any of the others
        let both = 0;
        for (let first = 0; first < p.length; first += 1) {
          const reached = p.slice(0, first).reduce((product, q) => product * (1 - q), 1) * (p[first] ?? 0);
          const missed = p.reduce((product, q, i) => (i === first ? product : product * (1 - q)), 1);
          both += reached * (1 - missed);
        }
        const { two } = takes(p);
        return Math.abs(two.both - both) < 1e-9 && Math.abs(two.none + two.single + two.both - 1) < 1e-9 && two.single >= -1e-9;
      }),
    );
    assert.throws(() => takes([1.2]), RangeError);
  });
  it('stand an animal and its tie apart', () => near(spacingWanted(0.83, 0.3), 1.13));
});
