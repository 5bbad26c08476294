import { ICE_RATIO } from '../../ice/growth';
import { poleMarks, shortBy, loopSpan, type PolePlan } from '../../ice/pole';
import { HOLDS_POLE, newIce, safetyPole } from '../../ice/hole';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { ICE_NUMBERS, expectedIce, holeFirst, HOLE_LAST } from './underIce';
import { always } from '../order';
import { assemble, heightMark } from '../design';
import { found, type Finding } from '../../words/finding';
import { bedOf, levelThen, type Laying, type SetType, asks, type Numbers, practised, measured, suit } from '../setType';
import { ranged } from '../pieces/range';
import { isCut, SNARE_CHOICES, snareSupplies } from '../pieces/snareCut';
import { iced } from '../offer';
import { inIce, onBed } from '../pieces/block';
import { line } from '../pieces/ground';

const numbers = {
  depth: measured('Bed to the water line', 'with the pole itself, through the hole', [8, 237], 1),
  ...ICE_NUMBERS,
  pushIn: practised('Pushed into the bed', 'about a foot of mud', 12, [0, 79]),
  loop: practised('Loop', 'inside diameter', 10, [6, 16]),
  overlap: practised('Tiers overlap', 'so that nothing swims between', 1, [0, 5]),
  clearance: practised('First loop under the ice', 'of the next check', 6, [1, 40]),
  overBed: { label: 'Lowest loop over the bed', help: 'at least', unit: 'length', default: inches(6), min: 0, max: 1, origin: 'practice' },
  poleLong: { label: 'Pole at hand', help: 'if it is cut already', unit: 'length', min: inches(20), max: 8, origin: 'measured' },
  hole: { label: 'Hole', help: 'across', unit: 'length', default: inches(16), min: inches(6), max: 1.5, origin: 'practice' },
} satisfies Numbers;
const of = asks(numbers);

/** The first loop under the ice of the next check, so that a catch does not reach the hole. [practice] */
const SHORT_OF_HOLE = inches(6);

/** Six loops on three wires, two a tier on opposite faces; nine with a third face. */
const POSITIONS = ['a1', 'b1', 'a2', 'b2', 'a3', 'b3', 'c1', 'c2', 'c3'];
const tierOf = (id: string): number => Number(id[1]) - 1;

/** Loops on a pole under the ice, around green wood. */
export const iceSnarePole: SetType = {
  id: 'ice-snare-pole',
  name: 'Snare pole under ice',
  idea: 'A pole through the ice into the mud, green wood on both faces, loops hung below where the underside of the ice will be at the next check.',
  species: ['beaver'],
  stations: ['lodge', 'feed bed', 'run', 'bank den', 'channel'],
  suits: [
    suit('beaver', ['lodge', 'feed bed'], 3, 'under ice, where the probe finds no sticks below the hole', { months: [12, 3], when: iced }),
  ],
  needsHold: true,
  devices: ['snare'],
  positions: POSITIONS.map((id, n) => ({ id, label: `Loop ${tierOf(id) + 1}${id[0] ?? ''}`, optional: n > 1 })),
  numbers,
  seen: null,
  usual: { class: 'snare', size: '7×7 3/32' },
  variants: [
    { id: 'six', name: 'six loops on three wires', fills: 6 },
    { id: 'nine', name: 'nine loops, on three faces', fills: 9 },
  ],
  months: [12, 1, 2, 3],
  fit: 'Six on three wires, two a wire, on opposite faces, wired so that the lock’s own weight does not pull them shut. Carried coiled.',
  tools: ['chisel', 'saw and fuel', 'scoop', 'waterproof gloves', 'spare wires'],
  disputed: ['Six on a pole, or nine: one catch ruins several.', 'The catch kept 6 in short of the hole; or 2 in short of it is enough.'],
  faults: [
    'Loops shut while being lowered: they touched sticks.',
    'Side twigs on the bait close loops.',
    'After two checks the yield falls: move.',
  ],
  choices: {
    made: SNARE_CHOICES.made,
    extension: SNARE_CHOICES.extension,
    ends: SNARE_CHOICES.ends,
    twigs: { label: 'Side twigs of the bait', options: { off: 'trimmed off', on: 'left on' }, default: 'off', seldom: true },
    cover: { label: 'The hole is left', options: { open: 'open', snow: 'under snow' }, default: 'open' },
  },
  underIce: true,
  layOut: (laying) => {
    const filled = POSITIONS.filter((id) => laying.devices[id]);
    const plan = planOf(laying, filled);
    const surface = levelThen(laying);
    const foot = footOf(laying, plan);
    return assemble({
      parts: [...filled.map((id) => loopPart(laying, id, plan)), ...poleParts(laying, plan)],
      ground: groundOf(laying),
      needs: filled.map((id) => under(id)),
      free: filled.map((device) => ({ device, say: { down: 'Lower the loops', up: 'Raise the loops' }, floor: bedOf(laying) })),
      front: groundOf(laying),
      findings: [marks(plan), ...inReach(plan), ...poleFits(laying, plan), holeFinding(laying, plan), holding(laying)],
      marks: [
        heightMark('depth', 'Bed to the water line', { view: 'side', across: inches(24), from: surface, to: surface - plan.depth }),
        heightMark('pushIn', 'Pushed into the bed', { view: 'side', across: -inches(4), from: foot + plan.pushIn, to: foot }),
        heightMark('depth', 'Bed to the water line', { view: 'eye', across: inches(24), from: surface, to: surface - plan.depth }),
      ],
      travel: [{ build: 'beaverAdult', x: -inches(16), z: foot + (poleMarks(plan).loops[0]?.bottom ?? 0), pose: 'swims' }],
      supplies: [
        ...snareSupplies(laying, {
          loop: plan.loop,
          tail: inches(30),
          size: laying.devices[filled[0] ?? 'a1']?.size ?? '7×7 3/32',
          count: filled.length,
        }),
        { kind: 'wire', what: '9 gauge support wire', amount: Math.ceil(filled.length / 2) * inches(40) },
        { kind: 'bait', what: 'green wood', amount: 2 },
      ],
      holds: filled.map((device) => ({
        kind: 'pole' as const,
        device,
        anchor: [0, 0, foot] as [number, number, number],
        tether: inches(30),
        held: 'body' as const,
        build: 'beaverAdult' as const,
      })),
    });
  },
  orders: () =>
    always(
      ...holeFirst('On sticks the loops shut while being lowered: take a body-grip there.'),
      { do: 'Depth with the pole itself; marks cut.' },
      { do: 'Bait on both faces without twigs; loops on their wires, tied hard and closed; some break: spares in the sled.' },
      { do: 'Safety pole cut and laid ready.' },
      { do: 'Open the loops: the last touch.', lastReach: true, caution: 'From here it is lowered by the pole and nothing else.' },
      { do: 'Down clear of the rim and into the mud; safety pole tied to it where the hole will not hold.' },
      HOLE_LAST,
    ),
};

function planOf(laying: Laying, filled: string[]): PolePlan {
  const tiers = Math.max(...filled.map(tierOf));
  return {
    pushIn: of(laying, 'pushIn'),
    depth: laying.numbers.depth ?? levelThen(laying) - (bedOf(laying) ?? levelThen(laying) - inches(60)),
    ice: laying.numbers.ice ?? 0,
    iceNext: expectedIce(laying),
    loop: of(laying, 'loop'),
    tiers: tiers + 1,
    overlap: of(laying, 'overlap'),
    clearance: of(laying, 'clearance'),
    overBed: of(laying, 'overBed'),
  };
}

const under = (device: string): Need => ({
  id: `${device}-ice`,
  device,
  of: { part: `${device}-loop`, spot: 'top' },
  from: 'iceUnderside',
  ...ranged({ aim: [null, -6], works: [null, -2], ends: ['tooDeep', 'frozen'] }),
  called: 'top of the loop',
  origin: 'practice',
});

/** Elevation of the pole's foot, m. */
const footOf = (laying: Laying, plan: PolePlan): number => levelThen(laying) - plan.depth - plan.pushIn;

/** Which way a face of the pole looks: along and across. */
const FACES = { a: [-1, 0], b: [1, 0], c: [0, 1] } as const;

function loopPart(laying: Laying, id: string, plan: PolePlan): Part {
  const tier = poleMarks(plan).loops[tierOf(id)] ?? { top: 0, bottom: 0 };
  const off = plan.loop / 2 + inches(1.5);
  const [x, y] = FACES[id[0] as keyof typeof FACES];
  return onBed('loop', `${id}-loop`, [x * off, y * off, footOf(laying, plan) + tier.bottom], [plan.loop, plan.loop, plan.loop], {
    device: id,
    tiedTo: 'pole',
    ...(isCut(laying) ? {} : { stock: `snare ${laying.devices[id]?.size ?? ''}` }),
  });
}

function poleParts(laying: Laying, plan: PolePlan): Part[] {
  const print = (m: number) => printLength(m, laying.system);
  const tall = plan.pushIn + plan.depth + inches(18);
  const loops = poleMarks(plan).loops;
  const span = loopSpan(plan);
  const safety = safetyPole(of(laying, 'hole'));
  return [
    onBed('support', 'pole', [0, 0, footOf(laying, plan)], [tall, inches(2), inches(2)], {
      stock: `pole ${print(tall)}`,
      marks: poleMarkList(plan),
    }),
    onBed('bait', 'bait', [0, 0, footOf(laying, plan) + (loops.at(-1)?.bottom ?? 0)], [span, inches(5), inches(3)], {
      look: { woody: true },
      stock: `green wood ${print(Math.max(span, inches(30)))}, both faces`,
    }),
    inIce('log', 'safety', [0, 0, { k: 0, pond: 1, sheet: 1 - ICE_RATIO }], [inches(2), safety, inches(2)], {
      tiedTo: 'pole',
      stock: `safety pole ${print(safety)}`,
    }),
  ];
}

/** The marks of the set pole from its foot, as they are cut into it. */
function poleMarkList(plan: PolePlan): { at: number; what: string }[] {
  const m = poleMarks(plan);
  return [
    { at: m.bed, what: 'bed' },
    ...m.loops.map((loop, i) => ({ at: loop.top, what: `top of tier ${i + 1}` })).reverse(),
    { at: m.undersideNext, what: 'ice at the next check' },
    { at: m.underside, what: 'underside of the ice now' },
    { at: m.waterLine, what: 'water line' },
    { at: m.iceTop, what: 'top of the ice' },
  ];
}

const groundOf = (laying: Laying): [number, number][] => {
  const bed = bedOf(laying) ?? levelThen(laying) - inches(60);
  return line([-0.9, bed], [0.9, bed]);
};

function marks(plan: PolePlan): Finding {
  const short = shortBy(plan);
  const more = { id: 'marks', field: 'depth' };
  if (short > 0) return found('marksShort', 'fails', 'computed', { short, tiers: plan.tiers, depth: plan.depth }, more);
  const { bed, waterLine, underside, undersideNext, loops } = poleMarks(plan);
  const values = { bed, waterLine, underside, undersideNext, tops: loops.map((l) => l.top), lowest: loops.at(-1)?.bottom ?? 0 };
  return found('marks', 'holds', 'computed', values, more);
}

/** A catch on a loop near the ice may reach the hole. */
function inReach(plan: PolePlan): Finding[] {
  const { undersideNext, loops } = poleMarks(plan);
  const below = undersideNext - (loops[0]?.top ?? 0);
  return shortBy(plan) > 0 || below >= SHORT_OF_HOLE - 1e-6
    ? []
    : [found('holeInReach', 'warns', 'practice', { below, wanted: SHORT_OF_HOLE }, { field: 'clearance' })];
}

/** A pole that is cut already has to come through the ice and show. */
function poleFits(laying: Laying, plan: PolePlan): Finding[] {
  const { poleLong: pole } = laying.numbers;
  if (pole === undefined) return [];
  const needs = plan.pushIn + plan.depth + (1 - ICE_RATIO) * plan.iceNext + inches(4);
  return [found('poleLong', pole < needs ? 'fails' : 'holds', 'computed', { needs, pole }, { field: 'poleLong' })];
}

/** Loops go through the hole one after the other, the pole with its bait at once. [practice] */
function holeFinding(laying: Laying, { loop }: PolePlan): Finding {
  const values = { loop, needs: loop + inches(2), hole: of(laying, 'hole') };
  return found('holeForLoop', values.hole < values.needs ? 'fails' : 'holds', 'practice', values, { id: 'holeSize', field: 'hole' });
}

/** Whether the hole freezes enough to hold the pole until then; otherwise a safety pole is required, with its length. */
function holding(laying: Laying): Finding {
  const { frostToCheck: frost } = laying;
  const known = frost !== undefined && frost !== null;
  const ice = known ? newIce(expectedIce(laying), laying.choices.cover === 'snow' ? 'snow' : 'open', frost, 'low') : null;
  const verdict = ice === null ? 'unknown' : ice >= HOLDS_POLE ? 'holds' : 'warns';
  return found('holding', verdict, 'practice', { ice, wanted: HOLDS_POLE, pole: safetyPole(of(laying, 'hole')) });
}
