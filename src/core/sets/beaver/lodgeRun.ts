import { BUILDS } from '../../animals/species';
import { fence } from '../../geometry/fence';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { fixed } from '../../water/linear';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { assemble, widthMark, type Piece } from '../design';
import { trench, GROOVE } from '../pieces/ground';
import { depthMarks, gripMarks, springsFinding, coverNeed, GRIP_TRIGGER, jawsPart, notchChoice, openingOf } from '../pieces/grip';
import { STAND, standFinding } from '../pieces/stand';
import { openingFindings, swingFinding, upright, userOf } from '../pieces/guides';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { spacingWanted, takes } from '../series';
import { bedOf, levelThen, type Laying, type SetType, asks, type Numbers, practised, measured, here, suit } from '../setType';
import { WADING, onTheBed, once } from '../pieces/steps';
import { reachNeed, type WorkRange } from '../pieces/range';
import { onBed } from '../pieces/block';

const STICK = inches(1.25);

const numbers = {
  depth: here(measured('Depth of the run', 'water over the hard bottom, where the trap stands', [0, 119], 1), 'depth'),
  topUnder: measured('Top of the jaws below water', 'as seen at the surface; negative when it stands above water', [-24, 99], 1),
  innerTopUnder: measured('Inner trap: top below water', 'only for a second trap, as seen', [-24, 99], 1),
  frameOverBed: practised('Frame over the bed', 'height of the stand', 1, [0, 8]),
  widthSurface: here(practised('Run at the surface', 'from edge to edge', 30, [8, 158]), 'widthSurface'),
  widthBed: here(practised('Run at the bed', 'the hard groove', 16, [6, 158]), 'widthBed'),
  groove: GROOVE,
  spacing: practised('Between the traps', 'two in line', 48, [24, 158]),
  fromMouth: measured('Before the lodge', 'trap to the hole it leads to', [2, 400]),
  reach: practised('Arm can reach', 'under the surface, with waders', 36, [12, 79]),
  tie: tieNumber(48),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** 330 on the hard bottom of an entrance run. Water above it is no fault: in a run they travel along the bed. */
export const lodgeRun: SetType = {
  id: 'lodge-run',
  name: 'Lodge run',
  idea: 'A body-grip on the hard bottom in the deepest part of an entrance run, fenced at both sides.',
  species: ['beaver'],
  stations: ['lodge', 'bank den', 'run', 'channel'],
  suits: [
    suit('beaver', ['lodge'], 1, 'the run is hard underfoot and everyone in the house uses it'),
    suit('beaver', ['run'], 1, 'they travel along its hard bottom'),
    suit('beaver', ['channel'], 5, 'a 330 on a stand in the middle of the channel'),
  ],
  devices: ['bodyGrip'],
  positions: [
    { id: 'outer', label: 'Outer trap', optional: false },
    { id: 'inner', label: 'Inner trap', optional: true },
  ],
  numbers,
  seen: 'topUnder',
  usual: { class: 'bodyGrip', size: '330' },
  variants: [{ id: 'pair', name: 'two traps in line', fills: 2 }],
  fit: 'A stand that clamps the jaws goes on before it is set, one with hooks after. Springs beside the frame keep it low; springs up need 9 in more water. Stand and trap are tied together, but the stand tie is never the anchor.',
  tools: ['setter', 'hatchet', 'long gloves', 'spare safety hook'],
  disputed: [
    'A fence that leaves one way, or the run as it was with two thin sticks at most.',
    'On the bed at any depth; or only where a groove or the lodge itself leads through the jaws.',
    'In an open run down to 12 in under; or down to 6 in under for sure, and deeper perhaps.',
    'Lowered by the coil ends with the arms under water; or only by the top of its stand.',
  ],
  faults: [
    'Sprung empty: wires outside the jaws or a stick in the swing.',
    'Untouched: the run is an old one, full of loose sticks.',
    'They dig round a fence that is too tight: fewer sticks.',
  ],
  choices: {
    ...anchored('root', true),
    stand: STAND,
    notch: notchChoice('middle'),
    trigger: { label: 'Trigger', options: { ...GRIP_TRIGGER.options, bottom: 'bottom mounted, bent wide' }, default: 'straightV' },
  },
  layOut: (laying) => {
    const bed = bedOf(laying);
    const positions = Object.keys(laying.devices);
    const spacing = of(laying, 'spacing');
    return assemble(
      {
        parts: positions.flatMap((id, i) => trapParts(laying, id, i === 0 ? 0 : spacing)),
        ground: groundOf(laying, positions.length > 1 ? spacing : 0),
        needs: positions.flatMap((id) => needsOf(id, laying)),
        free: positions.map((device) => ({ device, say: { down: 'Lower it', up: 'Raise it' }, floor: bed })),
        findings: [
          fenceFinding(laying),
          ...throughFindings(laying),
          ...depthFindings(laying),
          ...standFinding(laying, laying.devices.outer?.size ?? '330'),
          ...rowFinding(laying, spacing),
          springsFinding(laying, laying.devices.outer?.size ?? '330', jawsBottom(laying, 'outer'), roomOf(laying)),
        ],
      },
      drawn(laying, spacing),
    );
  },
  orders: (at) =>
    onTheBed(
      at,
      [
        once('Clear old sticks out of the run and feel for the hard bottom.', WADING),
        once('Tie the cable to its anchor; trap and stand wired together.'),
      ],
      'on the hard bottom in the deepest part',
    ),
};

/** On the bed of the run: within six feet of the hole the lodge closes the water over it, a groove as deep as the frame anywhere; in open water they swim over it from a foot down. */
function runRange({ numbers: { fromMouth, groove = 0 }, devices }: Laying): WorkRange {
  const range = { aim: [-12, -1], works: [-12, 4], ends: ['swumOver', 'narrow'] } as const;
  if (groove >= openingOf(devices.outer?.size)) return { ...range, works: [null, 4] };
  if (fromMouth === undefined)
    return { ...range, perhaps: [null, 4], decides: 'Measure how far it stands before the lodge, or how deep the groove is' };
  return fromMouth <= inches(72) ? { ...range, works: [null, 4] } : { ...range, perhaps: [-24, 4] };
}

const needsOf = (device: string, laying: Laying): Need[] => [
  coverNeed(laying, { ...runRange(laying), device }),
  reachNeed(laying, `${device}-jaws`, of(laying, 'reach'), device),
];

/** Elevation of the bottom of a trap's jaws: as seen at the surface, else on its stand over the bed. */
function jawsBottom(laying: Laying, id: string): number {
  const frame = openingOf(laying.devices[id]?.size);
  const seen = (id === 'inner' ? laying.numbers.innerTopUnder : undefined) ?? laying.numbers.topUnder;
  if (seen !== undefined) return levelThen(laying) - seen - frame;
  const bed = bedOf(laying);
  return bed === null ? levelThen(laying) - inches(2) - frame : bed + of(laying, 'frameOverBed');
}

/** The bed under a trap; without a measured one the foot of its stand. */
const floorOf = (laying: Laying, id: string): number => bedOf(laying) ?? jawsBottom(laying, id) - of(laying, 'frameOverBed');

function trapParts(laying: Laying, id: string, x: number): Part[] {
  const size = laying.devices[id]?.size ?? '330';
  const [frame, level] = [openingOf(size), levelThen(laying)];
  const bottom = jawsBottom(laying, id);
  const floor = floorOf(laying, id);
  const widthBed = of(laying, 'widthBed');
  const side = Math.max(0, (widthBed - frame) / 2);
  const { sticks } = fence(side, BUILDS.beaverKit.smallestGap, STICK);
  const tall = Math.max(level - floor, frame) + inches(14);
  return [
    {
      ...jawsPart({ id: `${id}-jaws`, device: id, bearer: 'bed', x, z: fixed(bottom), tiedTo: 'anchor', size }),
      look: {
        size,
        springs: roomOf(laying) < inches(24) ? 'up' : 'side',
        trigger: laying.choices.trigger === 'spread' ? 'spread' : laying.choices.trigger === 'bottom' ? 'low' : 'v',
      },
    },
    ...holderOf(laying, id, x),
    ...[-1, 1].flatMap((hand) =>
      Array.from({ length: Math.max(sticks, 1) }, (_, n): Part =>
        onBed(
          'stick',
          `${id}-fence${hand}-${n}`,
          [x, hand * (frame / 2 + ((n + 1) * side) / (Math.max(sticks, 1) + 1)), floor - inches(8)],
          [tall, STICK, STICK],
          { stock: `stick ${printLength(tall, laying.system)}` },
        ),
      ),
    ),
  ];
}

/** What it stands on: a stand, or two cut sticks through its springs. */
function holderOf(laying: Laying, id: string, x: number): Part[] {
  const frame = openingOf(laying.devices[id]?.size);
  const [bottom, floor] = [jawsBottom(laying, id), floorOf(laying, id)];
  if (laying.choices.stand === 'sticks')
    return [-1, 1].map((hand) =>
      upright(
        {
          ...{ id: `${id}-upright${hand}`, x, y: hand * (frame / 2 + inches(4)), thick: inches(0.9), name: 'upright' },
          ...{ foot: floor - inches(10), top: bottom + frame * 0.8 },
        },
        laying.system,
      ),
    );
  return [onBed('stand', `${id}-stand`, [x, 0, floor], [Math.max(bottom - floor, 0.02), inches(10), inches(10)], { stock: 'stand' })];
}

/** The section, the lengths on both drawings, the animal and the tie. */
function drawn(laying: Laying, spacing: number): Piece {
  const size = laying.devices.outer?.size ?? '330';
  const bottom = jawsBottom(laying, 'outer');
  const floor = floorOf(laying, 'outer');
  const surface = levelThen(laying);
  const [bed, top] = [of(laying, 'widthBed'), of(laying, 'widthSurface')];
  const two = Object.keys(laying.devices).length > 1;
  const marks = [
    widthMark('widthBed', 'Run at the bed', { view: 'eye', z: floor - inches(5), from: -bed / 2, to: bed / 2 }),
    widthMark('widthSurface', 'Run at the surface', { view: 'eye', z: surface + inches(8), from: -top / 2, to: top / 2 }),
    ...(two
      ? [widthMark('spacing', 'Between the traps', { view: 'side', z: floor + openingOf(size) + inches(3), from: 0, to: spacing })]
      : []),
  ];
  return assemble(
    {
      front: trench(surface, floor, bed, top),
      marks,
      travel: [{ build: 'beaverAdult', x: -inches(16), z: floor + inches(1), pose: 'walks' }],
    },
    gripMarks(laying, size, bottom),
    depthMarks(laying, floor, -inches(14), bed / 2 + inches(4)),
    ...Object.keys(laying.devices).map((id, i) =>
      tie(laying, {
        numbers,
        device: id,
        part: `${id}-jaws`,
        from: [i * spacing, 0, bottom + openingOf(size) / 2],
        at: [i * spacing - inches(26), -top / 2 - inches(6), surface + inches(2)],
        build: 'beaverAdult',
      }),
    ),
  );
}

/** What leads through the jaws, and whether a stick stands in their swing. */
function throughFindings(laying: Laying): Finding[] {
  const size = laying.devices.outer?.size ?? '330';
  const frame = openingOf(size);
  const section = trench(levelThen(laying), floorOf(laying, 'outer'), of(laying, 'widthBed'), of(laying, 'widthSurface'));
  const own = {
    section,
    level: levelThen(laying),
    frame: { y: 0, z: jawsBottom(laying, 'outer'), across: frame, height: frame },
    species: 'beaver' as const,
    route: 'bed' as const,
  };
  const sticks = trapParts(laying, 'outer', 0).filter((p) => p.kind === 'stick');
  const said = openingFindings(own, [], 'beaverKit', 'beaverAdult').filter(
    (f) => (f.says === 'opening' && f.verdict === 'holds') || f.says === 'gapUnder',
  );
  return [...said.map((f) => (f.says === 'opening' ? { ...f, id: 'through' } : f)), ...swingFinding(sticks, own.frame)];
}

/** Width at the height of the springs, m: half way up a trench of that bed and surface. */
const roomOf = (laying: Laying): number => (of(laying, 'widthBed') + of(laying, 'widthSurface')) / 2;

/** Two in line: how far apart, and what they take together at 7 in 10 each. [practice] */
function rowFinding(laying: Laying, spacing: number): Finding[] {
  if (Object.keys(laying.devices).length < 2) return [];
  const wanted = spacingWanted(BUILDS.beaverAdult.body, of(laying, 'tie') / 4);
  const { one } = takes([0.7, 0.7]);
  const short = spacing < Math.min(wanted, inches(48)) - 1e-6;
  return [found('row', short ? 'warns' : 'holds', 'practice', { spacing, short, share: one })];
}

/** The bed along the run, from open water to the lodge's side. */
function groundOf(laying: Laying, spacing: number): [number, number][] {
  const [floor, level] = [floorOf(laying, 'outer'), levelThen(laying)];
  return [
    [-inches(48), floor - inches(4)],
    [-inches(16), floor],
    [spacing + inches(16), floor],
    [spacing + inches(26), floor + inches(6)],
    [spacing + inches(40), level + inches(10)],
  ];
}

function fenceFinding(laying: Laying): Finding {
  const frame = openingOf(laying.devices.outer?.size);
  const width = of(laying, 'widthBed');
  const side = Math.max(0, (width - frame) / 2);
  const { sticks, clear } = fence(side, BUILDS.beaverKit.smallestGap, STICK);
  const origin = laying.numbers.widthBed === undefined ? 'practice' : 'computed';
  if (width < frame) return found('narrow', 'fails', origin, { width, frame }, { id: 'opening', field: 'widthBed' });
  const values = { side, sticks, clear, small: userOf('beaverKit'), large: userOf('beaverAdult') };
  return found('fenceAside', 'holds', origin, values, { id: 'fence' });
}

function depthFindings(laying: Laying): Finding[] {
  const { depth, topUnder } = laying.numbers;
  const frame = openingOf(laying.devices.outer?.size);
  if (depth !== undefined && topUnder !== undefined && topUnder + frame > depth + inches(1))
    return [found('tooTall', 'fails', 'computed', { under: topUnder, frame, depth }, { field: 'topUnder' })];
  return depth === undefined && laying.place.bed === null ? [found('bedUnknown', 'unknown', 'computed', {})] : [];
}
