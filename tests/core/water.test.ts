import { remedySays } from '#core/water/remedy';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { inches } from '#core/units/factors';
import { bandNear, intersect, levelBands, needBand } from '#core/water/band';
import type { Layout } from '#core/water/layout';
import { axesOf, evaluate, fixed, follows, plus } from '#core/water/linear';
import { endAt, heightAt, type Need } from '#core/water/need';
import { bottomAt, raised, type Part } from '#core/water/part';
import { elevationAt, levelAt } from '#core/water/levelAt';
import { hoursInBand, type Reading } from '#core/water/series';
import { deviceState, nearMargin, spareText, worst, type Water } from '#core/water/state';
import { waterAt } from '#core/water/now';
import { METRIC, US } from '../support/lay';

const near = (a: number | null | undefined, b: number, tolerance = 1e-9) =>
  assert.ok(a !== null && a !== undefined && Math.abs(a - b) <= tolerance, `${a} is not ${b}`);
const part = (over: Partial<Part> & Pick<Part, 'id' | 'bearer' | 'z'>): Part => ({
  kind: 'jaws',
  device: 'trap',
  x: 0,
  y: 0,
  height: 0.254,
  wide: 0.02,
  across: 0.254,
  ...over,
});
const need = (over: Partial<Need> = {}): Need => ({
  id: 'cover',
  device: 'trap',
  of: { part: 'jaws', spot: 'top' },
  from: 'pond',
  min: -0.15,
  max: -0.05,
  broken: { min: 'tooDeep', max: 'outOfWater' },
  called: 'top of the jaws',
  origin: 'practice',
  ...over,
});
const layout = (parts: Part[], needs: Need[], free: Layout['free'] = []): Layout => ({ parts, needs, free, ground: [], findings: [] });
const now = (pond: number, age = 0): Water => ({ known: { pond }, age: { pond: age }, atMost: {} });
const level = fc.double({ min: -5, max: 5, noNaN: true });

describe('a linear elevation', () => {
  it('is known only when its axes are', () => {
    assert.equal(evaluate(follows('pond', 2), {}), null);
    assert.equal(evaluate(follows('pond', 2), { pond: 1 }), 3);
    assert.equal(evaluate(fixed(4), {}), 4);
    assert.deepEqual(axesOf(plus(follows('pond'), follows('tail'))), ['pond', 'tail']);
    assert.deepEqual(axesOf(plus(follows('pond'), follows('pond'), -1)), []);
  });
});

describe('bearers', () => {
  const bed = part({ id: 'jaws', bearer: 'bed', z: fixed(1) });
  const afloat = part({ id: 'raft', bearer: 'float', z: follows('pond', -0.05), limits: { min: fixed(0.5), max: fixed(2) } });
  it('raising the level by d deepens bed- and bank-borne parts by exactly d', () => {
    fc.assert(
      fc.property(level, fc.double({ min: 0, max: 2, noNaN: true }), (pond, d) => {
        const before = pond - (bottomAt(bed, { pond }) ?? 0);
        const after = pond + d - (bottomAt(bed, { pond: pond + d }) ?? 0);
        return Math.abs(after - before - d) < 1e-9;
      }),
    );
  });
  it('a fallen pond leaves the float alone between grounding and taut line', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.56, max: 2.04, noNaN: true }),
        (pond) => Math.abs(pond - (bottomAt(afloat, { pond }) ?? 0) - 0.05) < 1e-9,
      ),
    );
  });
  it('grounds below and is held under above', () => {
    assert.equal(bottomAt(afloat, { pond: 0.2 }), 0.5);
    assert.equal(bottomAt(afloat, { pond: 3 }), 2);
  });
  it('what hangs from floating ice moves by 0.083 of its growth (density ratio 0.917)', () => {
    const hung = part({ id: 'jaws', bearer: 'ice', z: { k: -0.6, pond: 1, sheet: 0.083 } });
    near((bottomAt(hung, { pond: 0, sheet: 0.3 }) ?? 0) - (bottomAt(hung, { pond: 0, sheet: 0.2 }) ?? 0), 0.0083);
  });
  it('depth from the top of 8½ in of ice is 0.71 in larger than from the water line', () => {
    near(
      (heightAt(need({ from: 'iceTop' }), [part({ id: 'jaws', bearer: 'bed', z: fixed(-1) })], { pond: 0, sheet: inches(8.5) }) ?? 0) -
        (-1 + 0.254),
      -inches(0.7055),
      1e-6,
    );
  });
});

describe('a level band', () => {
  const parts = [part({ id: 'jaws', bearer: 'bed', z: fixed(1) })];
  it('of a bed-borne trap lies at its top plus its limits', () => {
    const bands = needBand(need(), parts, 'pond', {});
    near(bands?.[0]?.min, 1.254 + 0.05);
    near(bands?.[0]?.max, 1.254 + 0.15);
  });
  it('of a loop in the open at two thirds is −2.67/+2.33 in; at half −1/+4; 9 in at two thirds −2.4/+2.1 (computations, by hand)', () => {
    const cases: [number, number, number, number][] = [
      [10, 2 / 3, -2.67, 2.33],
      [10, 0.5, -1, 4],
      [9, 2 / 3, -2.4, 2.1],
    ];
    for (const [loop, share, down, up] of cases) {
      const own = [part({ id: 'loop', kind: 'loop', bearer: 'bed', z: fixed(-share * inches(loop)), height: inches(loop) })];
      const [band] = needBand(need({ of: { part: 'loop', share: true }, min: 0.4, max: 0.9 }), own, 'pond', {}) ?? [];
      near(band?.min, inches(down), inches(0.01));
      near(band?.max, inches(up), inches(0.01));
    }
  });
  it('of a float ends where it grounds too high and where its line drags it under', () => {
    const raft = [
      part({
        id: 'pan',
        kind: 'pan',
        bearer: 'float',
        z: follows('pond', -0.02),
        height: 0.03,
        limits: { min: fixed(0.5), max: fixed(2) },
      }),
    ];
    const bands = levelBands([need({ of: { part: 'pan', spot: 'top' }, min: -0.0127, max: 0.05 })], raft, 'pond', {});
    near(bands?.[0]?.min, 0.53 - 0.05);
    near(bands?.[0]?.max, 2.03 + 0.0127);
    assert.equal(bands?.length, 1);
  });
  it('shifts with the ice, the other axis held', () => {
    const hung = [part({ id: 'jaws', bearer: 'bed', z: fixed(-0.5), height: 0.2 })];
    const under = need({ from: 'iceUnderside', max: 0, min: -1 });
    const thin = needBand(under, hung, 'pond', { sheet: 0.1 })?.[0]?.min ?? 0;
    const thick = needBand(under, hung, 'pond', { sheet: 0.2 })?.[0]?.min ?? 0;
    near(thick - thin, 0.0917);
    assert.equal(needBand(under, hung, 'pond', {}), null);
  });
  it('of several needs is what they share, and may be nothing', () => {
    assert.deepEqual(
      intersect(
        [
          { min: 0, max: 2 },
          { min: 3, max: 5 },
        ],
        [{ min: 1, max: 4 }],
      ),
      [
        { min: 1, max: 2 },
        { min: 3, max: 4 },
      ],
    );
    assert.deepEqual(levelBands([need(), need({ min: -2, max: -1 })], parts, 'pond', {}), []);
    assert.equal(bandNear([], 1), null);
    assert.deepEqual(
      bandNear(
        [
          { min: 0, max: 1 },
          { min: 3, max: 4 },
        ],
        2.4,
      ),
      { min: 3, max: 4 },
    );
  });
  it('a state changes exactly at its ends', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (z, width, pond) => {
          const own = [part({ id: 'jaws', bearer: 'bed', z: fixed(z) })];
          const rule = need({ min: -0.05 - width, max: -0.05 });
          const [band] = needBand(rule, own, 'pond', {}) ?? [];
          if (!band) return false;
          const holds = endAt(rule, own, heightAt(rule, own, { pond }) ?? 0) === null;
          const inside = pond >= band.min - 1e-9 && pond <= band.max + 1e-9;
          return holds === inside;
        },
      ),
    );
  });
  it('moves with the part: a device put d lower has its band d lower', () => {
    fc.assert(
      fc.property(level, fc.double({ min: -1, max: 1, noNaN: true }), (z, d) => {
        const own = part({ id: 'jaws', bearer: 'bed', z: fixed(z) });
        const before = needBand(need(), [own], 'pond', {})?.[0];
        const after = needBand(need(), [raised(own, d)], 'pond', {})?.[0];
        return (
          before !== undefined &&
          after !== undefined &&
          Math.abs(after.min - before.min - d) < 1e-9 &&
          Math.abs(after.max - before.max - d) < 1e-9
        );
      }),
    );
  });
});

describe('a state', () => {
  const parts = [part({ id: 'jaws', bearer: 'bed', z: fixed(inches(28)), height: inches(10) })];
  const set = layout(
    parts,
    [
      need({ min: inches(-36), max: 0, aim: { min: inches(-3), max: inches(-1) }, broken: { min: 'swumOver', max: 'outOfWater' } }),
      need({ id: 'reach', min: inches(-20), serves: true, broken: {} }),
    ],
    [{ device: 'trap', say: { down: 'Lower it', up: 'Set it' }, floor: inches(20) }],
  );
  const at = (pond: number, age = 0) => deviceState(set, 'trap', now(inches(pond), age), US);

  it('in the band is fine, and says where it works', () => {
    assert.equal(at(45).verdict, 'fine');
    assert.match(at(45).sentence, /38 in to 74 in/);
    assert.equal(spareText(at(45), 'us'), 'can fall 7 in');
    assert.equal(spareText(at(70), 'us'), 'can rise 4 in');
    assert.equal(spareText(at(80), 'us'), '6 in too high');
  });
  it('within an inch of an end is near the edge, with the inches left', () => {
    assert.equal(at(38.5).verdict, 'nearEdge');
    assert.match(at(38.5).sentence, /Fails if the water falls ½ in/);
    assert.match(at(73.5).sentence, /if the water rises/);
    assert.equal(at(39).verdict, 'fine');
  });
  it('a narrow band is near at a quarter of its width', () => assert.equal(nearMargin({ min: 0, max: inches(2) }), inches(0.5)));
  it('below is dry, with the remedy in inches as far as the bottom lets', () => {
    const dry = at(31.75);
    assert.equal(dry.verdict, 'outOfWater');
    assert.equal(dry.label, 'dry');
    assert.match(dry.sentence, /is 6¼ in above water/);
    assert.equal(remedySays(dry.remedy), 'Lower it 8 in. Then works at 30 in to 66 in.');
    near(dry.remedy.by, inches(-8));
    assert.equal(spareText(dry, 'us'), '6¼ in too low');
  });
  it('where the bottom is too near it says so instead of an order that does not help', () => {
    const shallow = at(27);
    assert.equal(shallow.remedy.by, 0);
    assert.equal(remedySays(shallow.remedy), 'Move it to deeper water. It can go down only 8 in; needs 13 in.');
  });
  it('too deep to reach still fishes: that is beside its verdict', () => {
    assert.deepEqual([at(60).verdict, at(60).beyond], ['fine', 'The top of the jaws lies 22 in deep: out of reach, still fishing.']);
    assert.equal(at(58).beyond, '');
    assert.deepEqual([at(80).verdict, at(80).label], ['tooDeep', 'swum over']);
  });
  it('beyond its sure range it is in doubt as far as it may work, and then it is over', () => {
    const doubtful = layout(parts, [
      need({ min: inches(-6), max: 0, perhaps: { min: inches(-12), max: 0 }, decides: 'Measure the roof', broken: { min: 'swumOver' } }),
    ]);
    const verdicts = [44, 44.1, 50, 50.1].map((pond) => deviceState(doubtful, 'trap', now(inches(pond)), US));
    assert.deepEqual(
      verdicts.map((s) => s.verdict),
      ['nearEdge', 'perhaps', 'perhaps', 'tooDeep'],
    );
    assert.match(
      verdicts[2]?.sentence ?? '',
      /^In doubt\. .*Works at 38 in to 44 in; perhaps at 38 in to 50 in; now 50 in\. Measure the roof\.$/,
    );
    assert.deepEqual(
      [verdicts[2]?.perhaps?.max, verdicts[3]?.perhaps?.max].map((m) => Math.round((m ?? 0) / 0.0254)),
      [50, 50],
    );
  });
  it('a remedy that is ordered puts it into its band', () => {
    fc.assert(
      fc.property(fc.double({ min: 29, max: 37, noNaN: true }), (pond) => {
        const state = at(pond);
        if (state.remedy.by === 0) return true;
        const moved = { ...set, parts: set.parts.map((p) => raised(p, state.remedy.by)) };
        return ['fine', 'nearEdge'].includes(deviceState(moved, 'trap', now(inches(pond)), US).verdict);
      }),
    );
  });
  it('an old reading does not say fine', () => {
    const old = at(45, 25 * 3_600_000);
    assert.equal(old.verdict, 'unknown');
    assert.match(old.sentence, /25 h old/);
  });
  it('a level never read is unknown, not fine', () => {
    assert.equal(deviceState(set, 'trap', { known: {}, age: {}, atMost: {} }, US).verdict, 'unknown');
  });
  it('an upper bound says at most', () => {
    assert.match(deviceState(set, 'trap', { ...now(inches(31)), atMost: { pond: true } }, US).sentence, /at most 31 in/);
  });
  it('water over a pan that is too little is not called dry', () => {
    const pan = layout(
      [part({ id: 'pan', kind: 'pan', bearer: 'bed', z: fixed(0), height: 0 })],
      [need({ of: { part: 'pan', spot: 'top' }, min: inches(-6), max: inches(-2), called: 'pan' })],
    );
    const state = deviceState(pan, 'trap', now(inches(1)), US);
    assert.equal(state.label, 'too shallow');
    assert.match(state.sentence, /^Only 1 in of water/);
  });
  it('of a set is that of its worst device', () => {
    const states = [at(45), at(31), at(38.5)];
    assert.equal(worst(states)?.verdict, 'outOfWater');
    assert.equal(worst([]), null);
  });
  it('prints metric for a metric person', () =>
    assert.match(deviceState(set, 'trap', now(inches(31.75)), METRIC).sentence, /16 cm above water/));
});

describe('a level series', () => {
  const hour = 3_600_000;
  const read = (h: number, value: number, bound: Reading['bound'] = 'exact'): Reading => ({ at: new Date(h * hour), level: value, bound });
  it('is linear between readings, held after the last, unknown before the first', () => {
    const readings = [read(12, 0.4), read(0, 1)];
    const between = levelAt(readings, new Date(3 * hour));
    near(between.how === 'between' ? between.level : NaN, 0.85);
    const after = levelAt(readings, new Date(20 * hour));
    assert.ok(after.how === 'carried' && after.age === 8 * hour && after.level === 0.4);
    assert.equal(levelAt(readings, new Date(-hour)).how, 'unknown');
    assert.equal(levelAt(readings, new Date(0)).how, 'read');
  });
  it('dry alone is an upper bound: it lowers what was read before and never raises it', () => {
    const six = new Date(6 * hour);
    const told = (list: Reading[]) => {
      const found = levelAt(list, six);
      return found.how === 'carried' ? [found.level, found.age / hour, found.atMost] : [elevationAt(list, six), found.how];
    };
    assert.deepEqual(told([read(0, 1), read(5, 0.7, 'atMost')]), [0.7, 1, true]);
    assert.deepEqual(told([read(0, 1), read(5, 1.4, 'atMost')]), [1, 6, false]);
    assert.deepEqual(told([read(0, 1), read(5, 0.7, 'atMost'), read(6, 0.8)]), [0.8, 'read']);
  });
  it('gives each surface of a water its own level and age', () => {
    const water = waterAt(
      [
        { id: 'a', surface: 'pond' },
        { id: 'b', surface: 'tail' },
      ],
      { a: [read(0, 1)] },
      new Date(2 * hour),
    );
    assert.deepEqual(water, { known: { pond: 1 }, age: { pond: 2 * hour }, atMost: { pond: false } });
  });
  it('hours in band are exact on a falling level', () => {
    // from 1.0 to 0.4 in 12 h the level passes 0.7 after 6 h
    near(hoursInBand([read(0, 1), read(12, 0.4)], new Date(0), new Date(12 * hour), { min: 0.7, max: Infinity }).low, 6);
    near(hoursInBand([read(0, 1), read(12, 0.4)], new Date(0), new Date(12 * hour), { min: 0.7, max: 0.85 }).low, 3);
  });
  it('what no reading tells counts only to the upper figure', () => {
    const hours = hoursInBand([read(0, 1), read(100, 1)], new Date(0), new Date(100 * hour), { min: 0, max: 2 });
    assert.deepEqual(hours, { low: 0, high: 100 });
    assert.deepEqual(hoursInBand([], new Date(0), new Date(5 * hour), { min: 0, max: 2 }), { low: 0, high: 5 });
    assert.deepEqual(hoursInBand([read(0, 1)], new Date(0), new Date(30 * hour), { min: 0, max: 2 }), { low: 24, high: 30 });
  });
  it('never counts more than the time that passed, nor less in a wider band', () => {
    const readings = fc.array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.double({ min: 0, max: 2, noNaN: true })), { maxLength: 8 });
    fc.assert(
      fc.property(readings, fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (list, min, width) => {
        const all = [...new Map(list)].map(([h, value]) => read(h, value));
        const span = [new Date(10 * hour), new Date(150 * hour)] as const;
        const narrow = hoursInBand(all, ...span, { min, max: min + width });
        const wide = hoursInBand(all, ...span, { min: min - 0.1, max: min + width + 0.1 });
        return (
          narrow.low <= narrow.high + 1e-9 && narrow.high <= 140 + 1e-9 && wide.low >= narrow.low - 1e-9 && wide.high >= narrow.high - 1e-9
        );
      }),
    );
  });
});
