import { remedySays } from '#core/water/remedy';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { weighed } from '#core/critique/weigh';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { baitFor } from '#core/sets/baitFor';
import { circleFindings, reachOf, withinSet } from '#core/sets/circles';
import { sampleDesign } from '#core/sets/sample';
import { numberSpec, type Laying } from '#core/sets/setType';
import { usualDevices } from '#core/sets/standing';
import { inches } from '#core/units/factors';
import { plainFrame } from '#core/units/frame';
import { levelBands } from '#core/water/band';
import { deviceState } from '#core/water/state';
import { tell, type Finding, type Told } from '#core/words/finding';
import { axisOf } from '#core/water/layout';
import { layFrom } from '../support/lay';

const POND = inches(41);
const TAIL = inches(10);

interface Design {
  numbers?: Record<string, number>;
  choices?: Record<string, string>;
  devices?: Laying['devices'];
}

function lay(id: string, { numbers = {}, choices = {}, devices }: Design = {}) {
  const type = setTypeOf(id);
  const inMetres = Object.fromEntries(
    Object.entries(numbers).map(([key, n]) => [key, numberSpec(type, key)?.unit === 'share' ? n : inches(n)]),
  );
  return layFrom(
    type,
    { numbers: inMetres, choices, pond: POND, tail: TAIL },
    { kind: type.stations[0] ?? 'run', surface: 'pond', bed: null },
    devices ?? usualDevices(type),
    'us',
  );
}
const told = ({ findings: all }: { findings: readonly Finding[] }): Told[] => all.map((f) => tell(f, 'us'));
const findings = (id: string, design: Design = {}): Record<string, Told> => Object.fromEntries(told(lay(id, design)).map((f) => [f.id, f]));

/** Both ends of a device's band, inches over the level at which it was set. */
function bandOf(id: string, design: Design = {}): [number, number] {
  const layout = lay(id, design);
  const device = layout.needs[0]?.device ?? '';
  const axis = axisOf(layout, device);
  const known = { pond: POND, tail: TAIL, sheet: inches(6) };
  const band = levelBands(
    layout.needs.filter((n) => n.device === device && !n.serves),
    layout.parts,
    axis,
    known,
  )?.[0];
  const base = axis === 'tail' ? TAIL : POND;
  return [((band?.min ?? NaN) - base) / 0.0254, ((band?.max ?? NaN) - base) / 0.0254];
}

type Ends = [lowest: number | null, highest: number | null];
interface Limits {
  aim?: Ends;
  works: Ends;
  perhaps?: Ends;
  young?: number;
}

/**
 * Where each type is put and where it works, inches over the judging surface: top of the jaws, pan, lowest point or foot of the frame, shares of a loop. All common
 * practice or inferred from the animal table, no source; a dive pole of 3 in draws 2.
 */
const LIMITS: Record<string, Limits> = {
  'dam-break-channel': { aim: [-6, -3], works: [-8, 2], perhaps: [-24, 2], young: -5.5 },
  'dam-break-breach': { aim: [0, 2], works: [-6, 5], young: -3.5 },
  'dam-break-shoulder': { aim: [-8, -6], works: [-9, 1], perhaps: [-12, 1] },
  'dam-crossover-face': { works: [-6, null], young: -3.5 },
  'dam-crossover-foothold': { aim: [-2, 0], works: [-6, 4] },
  'dam-crossover-snare': { works: [1.5, null], perhaps: [1.5, null] },
  'lodge-run': { aim: [-12, -1], works: [-12, 4], perhaps: [null, 4] },
  'lodge-run-snare': { aim: [null, -10], works: [-22, -4], perhaps: [null, -4] },
  'bank-den-run': { aim: [-12, -1], works: [-12, 4], perhaps: [null, 4] },
  'dive-pole': { aim: [-3, -2], works: [-8, 2], young: -5.5 },
  'crossed-limbs': { aim: [-3, -1], works: [-7.5, 5], young: -5 },
  'trail-waterline': { aim: [-5.5, -5], works: [-16, -1], young: -13.5 },
  'slide-grip': { aim: [-2, 0], works: [-8, 2], young: -5.5 },
  'slide-snare': { aim: [0.5, 0.65], works: [0.4, 0.9], perhaps: [0.2, 0.9] },
  'slide-foothold': { aim: [-9, -6], works: [-9, 0], perhaps: [-12, 0] },
  'castor-foothold': { aim: [-3, -2], works: [-6, 0] },
  'castor-slick-snare': { aim: [0, 0.2], works: [null, 0.3], perhaps: [null, 0.6] },
  'castor-stick-snare': { aim: [0.5, 0.65], works: [0.4, 0.9], perhaps: [0.2, 0.9] },
  'castor-grip': { aim: [0, 3], works: [-6, 5], young: -3.5 },
  'baited-bank': { aim: [-4, -2], works: [-6, 0] },
  'post-bait': { aim: [-6, -3], works: [-10, 1] },
  'lure-pole': { aim: [0.5, 0.65], works: [0.4, 0.9], perhaps: [0.2, 0.9] },
  'channel-snare': { aim: [0.5, 0.65], works: [0.4, 0.9], perhaps: [0.2, 0.9] },
  'culvert-mouth': { aim: [-3, 0], works: [-6, 4], young: -3.5 },
  'ice-snare-pole': { aim: [null, -6], works: [null, -2] },
  'ice-hanging': { aim: [-3, -1], works: [null, 0] },
  pocket: { aim: [-0.75, -0.25], works: [-2.5, 1], young: -2 },
  float: { aim: [0.25, 0.75], works: [-1, 2] },
  'pole-platform': { aim: [-1, 0], works: [-3, 2] },
  'log-notch': { aim: [-1, -0.5], works: [-2.5, 2] },
  'den-run': { aim: [-6, -1], works: [-2.5, 2], perhaps: [null, 2] },
  'wall-blind': { aim: [-1.5, -0.5], works: [-2.5, 1], young: -2 },
  'wall-hanging': { aim: [2, 4], works: [-1.5, 4] },
  'bottom-edge': { aim: [-12, -2], works: [-12, 3], perhaps: [null, 3] },
  'undercut-bank': { aim: [1.5, 2], works: [-2, 4], young: -1.5 },
  cubby: { aim: [1, 6], works: [-1, null] },
  box: { aim: [2, 6], works: [0, null] },
  'log-crossing': { aim: [1, 12], works: [1, null], perhaps: [-1, null] },
  'root-platform': { aim: [-1, -0.5], works: [-2.5, 1], young: -2 },
  'otter-latrine': { aim: [-3, -2], works: [-6, 0] },
  'otter-crossover': { aim: [-2, -1], works: [-6, 2] },
  'latrine-approach': { aim: [0, 1], works: [-4, 5] },
  'enclosed-foot': { aim: [3, 12], works: [0, null] },
};

/** What a type is called an inch under and an inch over its sure range; null where water is no end. Common practice. */
const BEYOND: Record<string, [dry: string | null, flooded: string | null]> = {
  'dam-break-channel': ['too shallow', 'perhaps swum over'],
  'dam-break-breach': ['half dry', 'swum over'],
  'dam-break-shoulder': ['dry', 'perhaps swum over'],
  'dam-crossover-face': [null, 'swum over'],
  'dam-crossover-foothold': ['dry', 'swum over'],
  'dam-crossover-snare': [null, 'top under'],
  'lodge-run': ['too shallow', 'perhaps swum over'],
  'lodge-run-snare': ['too shallow', 'perhaps swum over'],
  'bank-den-run': ['too shallow', 'perhaps swum over'],
  'dive-pole': ['too shallow', 'swum over'],
  'crossed-limbs': ['half dry', 'swum over'],
  'trail-waterline': ['dry', 'swum over'],
  'slide-grip': ['too shallow', 'swum over'],
  'slide-snare': ['perhaps too shallow', 'swum over'],
  'slide-foothold': ['dry', 'perhaps swum over'],
  'castor-foothold': ['dry', 'swum over'],
  'castor-slick-snare': [null, 'perhaps gone round'],
  'castor-stick-snare': ['perhaps too shallow', 'perhaps top under'],
  'castor-grip': ['half dry', 'swum over'],
  'baited-bank': ['dry', 'swum over'],
  'post-bait': ['dry', 'bait wet'],
  'lure-pole': ['perhaps too shallow', 'perhaps top under'],
  'channel-snare': ['perhaps too shallow', 'swum over'],
  'culvert-mouth': ['too shallow', 'swum over'],
  'ice-snare-pole': ['frozen in', null],
  'ice-hanging': [null, null],
  pocket: ['dry', 'swum over'],
  float: [null, 'held under'],
  'pole-platform': ['dry', 'swum over'],
  'log-notch': ['dry', 'swum over'],
  'den-run': ['too shallow', 'perhaps swum over'],
  'wall-blind': ['dry', 'swum over'],
  'wall-hanging': ['swum under', 'swum over'],
  'bottom-edge': ['too shallow', 'perhaps swum over'],
  'undercut-bank': ['dry', 'swum over'],
  cubby: [null, 'bait wet'],
  box: [null, 'bait wet'],
  'log-crossing': [null, 'perhaps flooded'],
  'root-platform': ['dry', 'swum over'],
  'otter-latrine': ['dry', 'swum over'],
  'otter-crossover': ['dry', 'swum over'],
  'latrine-approach': ['half dry', 'swum over'],
  'enclosed-foot': [null, 'bait wet'],
};

/** The limits of the first need of a design, inches or shares. */
function limitsOf(id: string, design: Design = {}): Limits {
  const [need] = lay(id, design).needs;
  assert.ok(need);
  const one = (value: number | undefined): number | null =>
    value === undefined ? null : Math.round(('share' in need.of ? value : value / 0.0254) * 1000) / 1000 + 0;
  const ends = ({ min, max }: { min?: number; max?: number }): Ends => [one(min), one(max)];
  return {
    ...(need.aim && { aim: ends(need.aim) }),
    works: ends(need),
    ...(need.perhaps && { perhaps: ends(need.perhaps) }),
    ...(need.young !== undefined && { young: one(need.young.at) ?? 0 }),
  };
}

/** Designs that do not work: what is said of each, and its way out. */
const WRONG: [id: string, why: string, design: Design, finding: string, says: RegExp][] = [
  [
    'castor-foothold',
    'a berm that is swum over',
    { numbers: { berm: 9 } },
    'berm',
    /An adult swims 8 in deep and passes over a berm 9 in under: raise it 4 in/,
  ],
  [
    'castor-foothold',
    'a wire shorter than the bank',
    { numbers: { wire: 8 } },
    'slide',
    /shorter than the bank: .* lead from its stake to the water’s edge and it has 8 in/,
  ],
  [
    'ice-snare-pole',
    'ice thicker than the pole',
    { numbers: { depth: 60, ice: 14, iceNext: 20, poleLong: 72 } },
    'poleLong',
    /ends in the ice, .* short/,
  ],
  [
    'ice-snare-pole',
    'a hole that shuts the loops',
    { numbers: { depth: 60, hole: 8 } },
    'holeSize',
    /want a hole of 12 in; this one is 8 in: open it wider/,
  ],
  [
    'lodge-run',
    'a stand it does not fit',
    { choices: { stand: 'medium' } },
    'stand',
    /made for 155 and 160 and 220 and a 330 has jaws of 5\/16 in: it slips/,
  ],
  [
    'slide-snare',
    'cable to cut with what the weaker one breaks at',
    { choices: { made: 'roll', extension: 'heavy' } },
    'cable',
    /36½ in for the loop .* 7 ft of 7×19 1\/8 for tail and extension\. A 7×7 3\/32 breaks at 920 lb \(minimum, from memory\)/,
  ],
  [
    'undercut-bank',
    'the anchor is reckoned for an otter that a 160 can hold',
    { numbers: { driven: 20 }, choices: { bottom: 'firm' } },
    'stake',
    /the largest that can be caught in it is an otter/,
  ],
  [
    'undercut-bank',
    'a stake of which nothing was said holds nothing for sure',
    {},
    'stakeUnknown',
    /^Type how deep it is driven and in what ground: .* an otter/,
  ],
  ['castor-grip', 'a stake in ground that nobody tried', { numbers: { driven: 20 } }, 'stakeUnknown', /^Type in what ground: /],
  [
    'castor-grip',
    'a short stake in soft ground does not hold a beaver, and says how deep it would',
    { numbers: { driven: 8 }, choices: { bottom: 'soft' } },
    'stake',
    /^Driven 8 in, soft ground holds it against about .* deep, or a tree, would hold it/,
  ],
  ['dam-break-breach', 'a guide inside the frame’s swing is clear at its place', {}, 'swing', /No stick stands in the arc|steadies/],
  [
    'dam-crossover-foothold',
    'off centre in a narrow gap',
    { numbers: { gap: 12, offset: 4 } },
    'gapRoom',
    /too narrow for it, lay it in the middle/,
  ],
  ['dam-crossover-snare', 'a large loop', { numbers: { loop: 12 } }, 'air', /knocked aside and teaches/],
  [
    'lodge-run',
    'hung high over the bed',
    { numbers: { depth: 30, topUnder: 4 } },
    'gapUnder',
    /16 in stay open between frame and bed.*set it 16 in lower/,
  ],
  [
    'lodge-run',
    'springs beside the frame in a narrow run',
    { numbers: { widthBed: 14, widthSurface: 18 } },
    'springs',
    /the springs stand up/,
  ],
  [
    'lodge-run-snare',
    'a loop larger than the run is deep',
    { numbers: { depth: 7, loop: 10, lowestUnder: 10 } },
    'loopInBed',
    /3 in into the bed. At most a 7 in loop/,
  ],
  ['bank-den-run', 'dry at the mouth', { numbers: { depth: 0.5 } }, 'mouth', /land set/],
  ['bank-den-run', 'dry by half a foot (F20)', { numbers: { depth: -6 } }, 'mouth', /dry by 6 in.*takes dogs.*foothold in the water/],
  [
    'bank-den-run',
    'corners in a run narrower than the frame',
    { numbers: { width: 6, depth: 20 } },
    'buried',
    /in the bed: a smaller trap/,
  ],
  [
    'dive-pole',
    'a wide way without sticks enough',
    { numbers: { width: 100, depth: 24 } },
    'fence',
    /one more stick there, or a narrower place/,
  ],
  ['dive-pole', 'taller than the water', { numbers: { depth: 8, topUnder: 3 } }, 'tooTall', /13 in down, but it is 8 in deep/],
  [
    'trail-waterline',
    'a tie too short to clear the trail',
    { numbers: { deep4: 4, deep8: 30, tie: 30 } },
    'tieLength',
    /lead to water that hides an adult/,
  ],
  ['trail-waterline', 'no water that hides the catch', { numbers: { deep4: 3, deep8: 5 } }, 'tieLength', /Anchor it elsewhere/],
  ['slide-foothold', 'a pole too short', { numbers: { stopDepth: 60, pole: 72 } }, 'pole', /short|a longer pole, or a resting place/],
  [
    'slide-foothold',
    'beyond the setter’s reach',
    { numbers: { out3: 10, out6: 20, out9: 40, out12: 60, wire: 168, waders: 12 } },
    'hand',
    /you reach|a boat/,
  ],
  [
    'slide-foothold',
    'a profile that is too shallow',
    { numbers: { out3: 6, out6: 10, out9: 14 } },
    'slide',
    /The profile is short by .*a live restraint/,
  ],
  ['castor-slick-snare', 'a mound too near', { numbers: { mound: 10 } }, 'mound', /smelled before the neck is through/],
  ['castor-stick-snare', 'a loop nearly under', { numbers: { share: 0.9 } }, 'share', /Wanted are 50 to 65% of the height. Raise it 2½ in/],
  ['castor-grip', 'a cut wider than the frame', { numbers: { cut: 40 } }, 'fence', /stay open|one more stick/],
  ['post-bait', 'a bait above the reach of an adult', { numbers: { baitHigh: 30 } }, 'rearing', /An adult reaches 23½ in.*lower it/],
  [
    'pocket',
    'a chain that ends in shallow water',
    { numbers: { chainEnd: 2 } },
    'fullCover',
    /1 in more, so a longer chain or deeper water/,
  ],
  [
    'pocket',
    'a trap too light for its animal',
    { devices: { trap: { class: 'foothold', size: '1' } } },
    'weight',
    /heavier trap, a drowning weight or a slide/,
  ],
  ['wall-hanging', 'a mink between wall and frame', { numbers: { offWall: 3 } }, 'duck', /a female mink uses 1½ in/],
  [
    'undercut-bank',
    'a roof too low for the spring',
    { numbers: { roof: 7, depth: 4.25 } },
    'clears',
    /dig the bed 2 in, or a smaller trap/,
  ],
  ['box', 'a box narrower than its trap', { numbers: { opening: 4 } }, 'fits', /does not swing. A smaller trap, or a box of 5¼ in/],
  ['box', 'a narrow V', { choices: { trigger: 'v' } }, 'trigger', /passed without firing/],
  ['log-crossing', 'a bottom trigger on a log clip', { choices: { trigger: 'low' } }, 'clip', /no room for a bottom trigger/],
  ['log-crossing', 'under water at the thaw', { numbers: { overWater: 6, thaw: 14 } }, 'thaw', /under by 8 in then/],
  ['root-platform', 'roots too low', { numbers: { roots: 4 } }, 'room', /do not close under 5 in/],
  ['enclosed-foot', 'a short stake in soft ground', { numbers: { driven: 4 }, choices: { bottom: 'soft' } }, 'stake', /deep, or a tree/],
  ['culvert-mouth', 'is asked about first', {}, 'place', /forbidden in many places/],
  ['baited-bank', 'a live hold without a profile', { choices: { hold: 'live' } }, 'live', /uncertain whether the catch lives/],
  [
    'castor-foothold',
    'a bag: both figures',
    { choices: { hold: 'bag' } },
    'bag',
    /while it swims.*once it has a footing.*Type what the bag weighs/,
  ],
  [
    'castor-foothold',
    'a tangle pole in shallow water',
    { choices: { hold: 'tangle' }, numbers: { stopDepth: 12 } },
    'tangle',
    /deeper by .*or a slide wire/,
  ],
  [
    'dam-break-channel',
    'a tie shorter than the bank',
    { numbers: { tie: 12 } },
    'reach',
    /the cable has 12 in: .* more, or a nearer anchor/,
  ],
];

/** What a type says of itself at the levels at which it was set. */
function stateOf(id: string, design: Design = {}, pond = POND) {
  const layout = lay(id, design);
  const known = { pond, tail: TAIL, sheet: inches(6) };
  return deviceState(layout, layout.needs[0]?.device ?? '', { known, age: {}, atMost: {} }, plainFrame('us'));
}

describe('aim and working range', () => {
  for (const [id, limits] of Object.entries(LIMITS))
    it(`${id}: put ${limits.aim?.join(' to ') ?? 'anywhere'}, works ${limits.works.join(' to ')} (common practice)`, () =>
      assert.deepEqual(limitsOf(id), limits));
  it('every type has its row', () =>
    assert.deepEqual(
      CATALOGUE.map((t) => t.id).filter((id) => !(id in LIMITS)),
      [],
    ));
  it('the aim lies in the working range, and that in what may work', () => {
    const inside = ([a, b]: Ends, [c, d]: Ends): boolean => (a ?? -Infinity) >= (c ?? -Infinity) && (b ?? Infinity) <= (d ?? Infinity);
    // a run is aimed deeper than an open groove works surely: that needs its distance from the hole
    for (const [id, { aim, works, perhaps }] of Object.entries(LIMITS).filter(([id]) => !['den-run', 'lodge-run-snare'].includes(id))) {
      assert.ok(!aim || inside(aim, works), id);
      assert.ok(!perhaps || inside(works, perhaps), id);
    }
  });
  it('no type is near an end where it usually stands', () => {
    const measured: Record<string, Design> = { 'den-run': { numbers: { mouth: 5 } } };
    const states = CATALOGUE.map((t) => ({ id: t.id, ...stateOf(t.id, measured[t.id]) }));
    assert.deepEqual(
      states.filter((s) => !['fine', 'unknown'].includes(s.verdict)).map((s) => `${s.id}: ${s.sentence}`),
      [],
    );
  });
  for (const [id, [dry, flooded]] of Object.entries(BEYOND))
    it(`${id}: an inch beyond its range it is ${dry ?? 'never too dry'} or ${flooded ?? 'never too deep'}`, () => {
      const layout = lay(id);
      const device = layout.needs[0]?.device ?? '';
      const axis = axisOf(layout, device);
      const base = axis === 'tail' ? TAIL : POND;
      const label = (end: number, by: number): string | null => {
        if (!Number.isFinite(end)) return null;
        const known = { pond: POND, tail: TAIL, sheet: inches(6), [axis]: base + inches(end + by) };
        return deviceState(layout, device, { known, age: {}, atMost: {} }, plainFrame('us')).label;
      };
      const [low, high] = bandOf(id);
      assert.deepEqual([label(low, -1), label(high, 1)], [dry, flooded]);
    });
  it('every type is in that table too', () => assert.deepEqual(Object.keys(BEYOND).sort(), CATALOGUE.map((t) => t.id).sort()));
  it('a run before a hole has no upper end once its distance is measured, and an open one has', () => {
    assert.deepEqual(limitsOf('den-run', { numbers: { mouth: 12 } }).works, [null, 2]);
    assert.deepEqual(limitsOf('den-run', { numbers: { mouth: 13 } }), { aim: [-6, -1], works: [-2.5, 2], perhaps: [-6, 2] });
    assert.deepEqual(limitsOf('bank-den-run', { numbers: { fromMouth: 24 } }).works, [null, 4]);
    assert.deepEqual(limitsOf('bank-den-run', { numbers: { fromMouth: 30 } }).perhaps, [-24, 4]);
  });
  it('what nobody measured is in doubt, and the measure that decides is named', () => {
    const { verdict, label, sentence } = stateOf('den-run', {}, POND + inches(3));
    assert.deepEqual([verdict, label], ['perhaps', 'perhaps swum over']);
    assert.match(
      sentence,
      /^In doubt\. .*Works at 37 in to 41½ in; perhaps at 37 in or higher; now 44 in\. Measure how far it stands before the hole, or how deep the groove is\.$/,
    );
    assert.equal(stateOf('bank-den-run', {}, POND + inches(12)).verdict, 'perhaps');
    assert.equal(stateOf('bank-den-run', { numbers: { fromMouth: 12 } }, POND + inches(12)).verdict, 'fine');
  });
  it('a floating pole closes the water over the jaws where it is outside their swing', () => {
    assert.deepEqual(limitsOf('dive-pole', { numbers: { poleAhead: 6.5 } }).works, [-8, 2]);
    // in the swing it lies on the jaws as the water falls: half a frame, 2½ in to its near edge, 2 in that it draws
    const [deep, dry] = limitsOf('dive-pole', { numbers: { poleAhead: 4 } }).works;
    assert.deepEqual([deep, dry], [-8, Math.round((-2 + 5 - Math.sqrt(25 - 6.25)) * 1000) / 1000]);
    assert.equal(stateOf('dive-pole', { numbers: { poleAhead: 4 } }, POND - inches(3)).label, 'pole on the jaws');
  });
  it('the young pass before it ends for adults, and that is said', () => {
    assert.match(stateOf('dive-pole', {}, POND + inches(3.5)).sentence, /Works at .*\. Kits pass over it\.$/);
    assert.match(stateOf('undercut-bank', {}, POND + inches(3.4)).sentence, /Females pass over it\.$/);
    assert.doesNotMatch(stateOf('dive-pole').sentence, /pass over/);
  });
  it('out of reach of an arm it fishes on: a second state beside the first', () => {
    const deep = stateOf('bank-den-run', { numbers: { fromMouth: 10 } }, POND + inches(36));
    assert.deepEqual([deep.verdict, deep.beyond], ['fine', 'The top of the jaws lies 39 in deep: out of reach, still fishing.']);
    assert.equal(stateOf('bank-den-run', { numbers: { fromMouth: 10 } }).beyond, '');
  });
  it('a trap hung from the ice is frozen in at every level once the ice reaches it (F27)', () => {
    const layout = lay('ice-hanging', { numbers: { drop: 4, ice: 2, depth: 60 } });
    const at = (sheet: number, pond = 41) =>
      deviceState(layout, 'near', { known: { pond: inches(pond), sheet: inches(sheet) }, age: {}, atMost: {} }, plainFrame('us'));
    assert.equal(at(3).verdict, 'fine');
    for (const pond of [30, 41, 50]) assert.deepEqual([at(6, pond).verdict, at(6, pond).label], ['frozen', 'frozen in']);
    assert.equal(at(6).sentence, 'The top of the jaws is 2 in inside the ice.');
    assert.match(remedySays(at(6).remedy), /^Lower it 4 in\. Then works at /);
  });
  it('a bare loop in a run lies out of reach too, where the arm that was typed ends', () => {
    const at = (reach: number) => stateOf('lodge-run-snare', { numbers: { lowestUnder: 40, reach } }).beyond;
    assert.deepEqual([at(29), at(31)], ['The top of the loop lies 30 in deep: out of reach, still fishing.', '']);
  });
  it('a loop in a channel of less than 8 in: no share is too little, in its finding as in its range', () => {
    const shallow = { numbers: { depth: 7, share: 0.1 } };
    assert.equal(limitsOf('channel-snare', shallow).works[0], null);
    assert.deepEqual([findings('channel-snare', shallow).share?.verdict], ['holds']);
    assert.match(findings('channel-snare', shallow).share?.sentence ?? '', /In less than 8 in of water they walk through/);
    assert.equal(findings('channel-snare', { numbers: { depth: 20, share: 0.1 } }).share?.verdict, 'fails');
    assert.equal(findings('channel-snare', { numbers: { depth: 20, share: 0.3 } }).share?.verdict, 'warns');
  });
  it('is told where it is aimed, and its way back leads there', () => {
    const { aim, remedy } = stateOf('baited-bank', {}, POND + inches(5));
    assert.deepEqual(
      [aim?.min, aim?.max].map((l) => Math.round(((l ?? 0) - POND) / 0.0254)),
      [-1, 1],
    );
    assert.equal(remedy.order, 'Raise the bed 5 in');
  });
  it('in a groove as deep as the frame nothing swims over, however far from the hole (common practice)', () => {
    for (const [id, far, frame, ends] of [
      ['lodge-run', { fromMouth: 120 }, 10, -12],
      ['bank-den-run', { fromMouth: 40 }, 10, -12],
      ['den-run', { mouth: 20 }, 4.8, -2.5],
    ] as const) {
      assert.equal(limitsOf(id, { numbers: { ...far } }).works[0], ends, id);
      assert.equal(limitsOf(id, { numbers: { ...far, groove: frame - 1 } }).works[0], ends, id);
      assert.equal(limitsOf(id, { numbers: { ...far, groove: frame } }).works[0], null, id);
    }
  });
  it('is never raised through the roof over it (F95)', () => {
    for (const [roof, higher, order] of [
      [20, 6, /^Raise it 6 in$/],
      [9, 6, /^Raise it 3 in$/],
      [7, 6, /^(Pull it|Move it to shallower water)/],
      [14, 12, /^Move it to shallower water/],
    ] as const) {
      const { remedy } = stateOf('undercut-bank', { numbers: { roof } }, POND + inches(higher));
      assert.match(remedy.order, order, `${roof} ${higher}`);
    }
  });
  it('a log afloat follows the water, one fixed at its ends is left by it', () => {
    assert.deepEqual(bandOf('log-notch', { choices: { log: 'afloat' } }), [-Infinity, Infinity]);
    assert.deepEqual(bandOf('log-crossing', { choices: { log: 'afloat' } }), [-Infinity, Infinity]);
  });
});

describe('what is wrong is said, with the way out', () => {
  for (const [id, why, design, finding, says] of WRONG)
    it(`${id}: ${why}`, () => assert.match(findings(id, design)[finding]?.sentence ?? 'nothing was said', says));

  it('each of them weighs something before one walks away, but for what holds and what only a measure can tell', () => {
    const silent = WRONG.flatMap(([id, , design, finding]) => {
      const found = lay(id, design).findings.find((f) => f.id === finding);
      return found && weighed(found) !== null ? [] : [`${id}: ${found?.says}, ${found?.verdict}`];
    });
    assert.deepEqual(silent.sort(), [
      'baited-bank: live, unknown',
      'castor-foothold: bag, unknown',
      'castor-grip: stakeUnknown, unknown',
      'dam-break-breach: swing, holds',
      'lodge-run: springs, holds',
      'slide-snare: cable, holds',
      'undercut-bank: stake, holds',
      'undercut-bank: stakeUnknown, unknown',
    ]);
  });
  it('and right designs are not blamed: no type fails at its defaults', () => {
    for (const type of CATALOGUE)
      assert.deepEqual(
        told(lay(type.id))
          .filter((f) => f.verdict === 'fails')
          .map((f) => `${type.id} ${f.id}: ${f.sentence}`),
        [],
      );
  });
  it('what fails is said beside a number or choice that the type has', () => {
    for (const [id, , design] of WRONG)
      for (const f of lay(id, design).findings) {
        if (f.verdict !== 'fails' || !f.field) continue;
        assert.ok(f.field in setTypeOf(id).numbers || f.field in setTypeOf(id).choices, `${id} ${f.id}: ${f.field}`);
      }
  });
  it('every finding says what it rests on and has its figure', () => {
    for (const type of CATALOGUE)
      for (const f of told(lay(type.id))) {
        assert.ok(f.figure.length > 0 && f.sentence.length > 10, `${type.id} ${f.id}`);
        assert.ok(['practice', 'computed', 'measured', 'published', 'yours'].includes(f.origin));
        assert.equal(/NaN|undefined|Infinity/.test(f.sentence + f.figure), false, `${type.id} ${f.sentence}`);
      }
  });
});

describe('a slide with a measured profile', () => {
  const numbers = { out3: 14, out6: 30, out9: 48, out12: 60, wire: 150 };
  it('a depth typed at the stop is one of its points: too little there fails, whatever the profile says', () => {
    assert.equal(findings('castor-foothold', { numbers }).slide?.verdict, 'holds');
    const { slide } = findings('castor-foothold', { numbers: { ...numbers, stopDepth: 15 } });
    assert.equal(slide?.verdict, 'fails');
    assert.match(slide?.sentence ?? '', /The wire ends 11 ft .* out from the water’s edge in 15 in of water/);
    assert.equal(findings('castor-foothold', { numbers: { ...numbers, stopDepth: 60 } }).slide?.verdict, 'holds');
  });
  it('rests where the wire ends, and says at which level its margin is gone', () => {
    const { slide } = findings('castor-foothold', { numbers });
    assert.equal(slide?.verdict, 'holds');
    assert.match(
      slide?.sentence ?? '',
      /The lock rests 10 ft .* out from the water’s edge in .* The margin of .* is gone when the level falls to .*\. The shortest wire that does it is/,
    );
  });
  it('a shorter wire ends in shallow water and the shortest that works is named', () =>
    assert.match(
      findings('castor-foothold', { numbers: { ...numbers, wire: 60 } }).slide?.sentence ?? '',
      /wanted .* The shortest wire that does it is/,
    ));
  it('one depth is no profile: uncertain', () =>
    assert.equal(findings('castor-foothold', { numbers: { out3: 14 } }).slide?.verdict, 'unknown'));
  it('is what the drawing shows: the stop lies on the measured bed', () => {
    const design = lay('castor-foothold', { numbers });
    const stop = design.parts.find((p) => p.id === 'stop');
    const after = design.ground.findIndex(([x]) => x >= (stop?.x ?? 0));
    const [a, b] = [design.ground[Math.max(after - 1, 0)], design.ground[Math.max(after, 1)]];
    assert.ok(stop && a && b);
    const bed = a[1] + ((stop.x - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
    assert.ok(Math.abs(stop.z.k - bed) < 0.02, `${stop.z.k} is not ${bed}`);
  });
  it('a live hold on it looks for land and water', () =>
    assert.notEqual(findings('castor-foothold', { numbers, choices: { hold: 'live' } }).live?.verdict, 'unknown'));
});

describe('fences on the bench', () => {
  it('a wider way never needs fewer sticks, and none is drawn that is not listed', () => {
    fc.assert(
      fc.property(fc.double({ min: 12, max: 60, noNaN: true }), fc.double({ min: 0, max: 10, noNaN: true }), (width, more) => {
        const sticks = (w: number): number =>
          lay('bank-den-run', { numbers: { width: w, depth: 24 } }).parts.filter((p) => p.id.startsWith('fence')).length;
        return sticks(width + more) >= sticks(width);
      }),
      { numRuns: 60 },
    );
  });
});

describe('catches near each other', () => {
  it('warn when their circles can meet, and never otherwise', () => {
    const near = circleFindings(2, [{ name: '12 east run', apart: 3, reach: 1.5 }]);
    assert.equal(near[0]?.verdict, 'warns');
    assert.match(
      near[0] ? tell(near[0], 'metric').sentence : '',
      /12 east run is anchored 3 m off; its catch reaches 1\.5 m and this one 2 m: they can meet by 50 cm/,
    );
    assert.deepEqual(circleFindings(2, [{ name: 'x', apart: 3.6, reach: 1.5 }]), []);
  });
  it('of two sets at one place nobody measured how far: the least distance is told, and none is made up', () => {
    const [here] = circleFindings(2, [{ name: '12 east run', apart: null, reach: 1.5 }]);
    assert.equal(here?.verdict, 'unknown');
    assert.equal(
      here ? tell(here, 'metric').sentence : '',
      '12 east run stands at this place too; its catch reaches 1.5 m and this one 2 m. Keep the anchors 3.5 m apart or more.',
    );
  });
  it('two beds on one dam on long tethers are looked at together; catches on slides are drawn apart', () => {
    const both = { left: { class: 'foothold' as const, size: '4' }, right: { class: 'foothold' as const, size: '4' } };
    assert.equal(withinSet(lay('dam-break-shoulder', { devices: both }).holds).length, 1);
    assert.deepEqual(withinSet(lay('dam-break-shoulder', { devices: both, choices: { hold: 'slide' } }).holds), []);
  });
  it('a tied catch reaches tie and body, one on a slide its body from the deep end', () => {
    const [tied] = lay('dive-pole').holds;
    const [slid] = lay('slide-foothold').holds;
    assert.ok(tied && slid);
    assert.ok(Math.abs(reachOf(tied) - (inches(72) + 0.83)) < 1e-9);
    assert.ok(Math.abs(reachOf(slid) - 0.93) < 1e-9);
  });
});

describe('under ice', () => {
  const findingsOf = (id: string, numbers: Record<string, number>, variant?: string) =>
    sampleDesign(
      setTypeOf(id),
      (setTypeOf(id).variants ?? []).find((v) => v.id === variant),
      'us',
      { depth: inches(90), ...numbers },
    ).findings;
  it('a first loop nearer to the hole than six inches says that the catch may reach it (limits F)', () => {
    const near = findingsOf('ice-snare-pole', { clearance: inches(2) }, 'six').find((f) => f.id === 'holeInReach');
    assert.equal(near?.verdict, 'warns');
    assert.equal(near?.field, 'clearance');
    assert.equal(
      findingsOf('ice-snare-pole', { clearance: inches(6) }, 'six').find((f) => f.id === 'holeInReach'),
      undefined,
    );
  });
  it('what a wire takes for its twists is the hand’s own, six inches as a rule (F90)', () => {
    const cut = (numbers: Record<string, number>): number => {
      const wire = findingsOf('ice-hanging', numbers).find((f) => f.id === 'wire');
      return (wire?.values as { cut: number } | undefined)?.cut ?? NaN;
    };
    assert.ok(Math.abs(cut({ twist: inches(9) }) - cut({ twist: inches(6) }) - inches(3)) < 1e-9);
    assert.equal(cut({}), cut({ twist: inches(6) }));
  });
});

describe('what is disputed', () => {
  it('is told in both views, of every type whose range has a doubt that no measure settles', () => {
    for (const type of CATALOGUE) for (const both of type.disputed ?? []) assert.match(both, /; or |, or /, `${type.id}: ${both}`);
    for (const id of ['dam-break-channel', 'lodge-run', 'slide-foothold', 'channel-snare', 'den-run', 'crossed-limbs', 'castor-foothold'])
      assert.ok((setTypeOf(id).disputed?.length ?? 0) > 0, id);
  });
});

describe('a bait', () => {
  it('that draws another animal than the one it is meant for is said, with what would draw that (F76)', () => {
    const pocket = setTypeOf('pocket');
    const said = (bait: string, species: string): string =>
      baitFor(pocket, { bait }, species)
        .map((f) => tell(f, 'us').sentence)
        .join();
    assert.equal(said('root', 'mink'), 'Root or apple draws muskrat, and it is meant for mink: fish or flesh.');
    assert.equal(said('fish', 'muskrat'), 'Fish draws mink and raccoon, and it is meant for muskrat: root or apple.');
    assert.equal(said('root', 'muskrat') + said('flesh', 'raccoon'), '');
    assert.deepEqual(baitFor(setTypeOf('lodge-run'), {}, 'mink'), []);
  });
});

describe('what is typed changes what is drawn and said', () => {
  const designed = (id: string, numbers: Record<string, number>, choices: Record<string, string> = {}) =>
    sampleDesign(setTypeOf(id), { id: 'x', name: 'x', choices }, 'us', numbers);
  it('a way of 24 in at the lower face takes sticks that one of 14 in does not, and one narrower than the frame is said (F92)', () => {
    const sticks = (width: number): number =>
      designed('dam-crossover-face', { width: inches(width) }).parts.filter((p) => p.stock?.startsWith('side stick')).length;
    // (24 − 10) / 2 = 7 in a side: one stick of 1¼ in leaves 2⅞ in, a kit uses 3½ (by hand)
    assert.equal(sticks(24), 2);
    assert.equal(sticks(14), 0);
    const fence = designed('dam-crossover-face', { width: inches(24) }).findings.find((f) => f.id === 'fence');
    const { clear } = fence?.values as { clear: number };
    assert.ok(Math.abs(clear - inches(2.875)) < 1e-9);
    assert.equal(designed('dam-crossover-face', { width: inches(8) }).findings.find((f) => f.id === 'narrow')?.verdict, 'fails');
  });
  it('where the lock sits is drawn and has its reason (F104)', () => {
    const lock = (at: string): string => {
      const design = designed('castor-stick-snare', {}, { lock: at });
      assert.equal(design.parts.find((p) => p.kind === 'loop')?.look?.lock, at);
      const told = design.findings.find((f) => f.id === 'lock');
      return told ? tell(told, 'us').sentence : '';
    };
    assert.match(lock('side'), /head and shoulders are through/);
    assert.match(lock('top'), /first touch/);
  });
});
