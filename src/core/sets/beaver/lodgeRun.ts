import { BUILDS } from '../../animals/species';
import { fence } from '../../geometry/fence';
import { inches } from '../../units/factors';
import { found, type Finding } from '../../words/finding';
import { assemble, widthMark, type Piece } from '../design';
import { trench, GROOVE, type Line } from '../pieces/ground';
import {
  depthMarks,
  gripMarks,
  springsFinding,
  coverNeed,
  GRIP_TRIGGER,
  notchChoice,
  openingOf,
  jawsId,
  type Stood,
  stood,
  grip,
  movable,
  tooTall,
} from '../pieces/grip';
import { STAND, standFinding } from '../pieces/stand';
import { openingFindings, swingFinding, userOf, pair, STICK } from '../pieces/guides';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { spacingWanted, takes } from '../series';
import { type Laying, type SetType, asks, type Numbers, practised, measured, here, suit, trapIn } from '../setType';
import { WADING, onTheBed, once } from '../pieces/steps';
import { reachNeed, type WorkRange } from '../pieces/range';

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
    const spacing = of(laying, 'spacing');
    const outer = trapAt(laying, 'outer');
    const traps = Object.keys(laying.devices).map((id, i) => ({ id, x: i * spacing, ...trapAt(laying, id) }));
    return assemble(
      ...traps.map((trap) => oneTrap(laying, trap)),
      {
        ground: runGround(outer, traps.length > 1 ? spacing : 0),
        findings: [
          ...[fenceFinding(laying, outer), ...throughFindings(laying, outer), ...depthFindings(laying, outer)],
          ...[...standFinding(laying, outer.size), ...(traps.length > 1 ? [rowFinding(laying, spacing)] : [])],
          springsFinding(laying, outer.size, outer.bottom, roomOf(laying)),
        ],
      },
      drawn(laying, outer, traps.length > 1 ? spacing : null),
      ...traps.map(({ id, x }) =>
        tie(laying, {
          ...{ numbers, device: id, part: jawsId(id), from: [x, 0, outer.bottom + outer.frame / 2] },
          ...{ at: [x - inches(26), -of(laying, 'widthSurface') / 2 - inches(6), outer.surface + inches(2)], build: 'beaverAdult' },
        }),
      ),
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
      at.choices.stand !== 'sticks',
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

/** Where a trap stands: the inner one as it was seen itself, else like the outer. */
function trapAt(laying: Laying, id: string): Stood {
  const { innerTopUnder = laying.numbers.topUnder } = laying.numbers;
  const { topUnder, ...rest } = laying.numbers;
  const seen = id === 'inner' ? innerTopUnder : topUnder;
  const own = {
    ...laying,
    devices: { trap: laying.devices[id] ?? trapIn(laying) },
    numbers: seen === undefined ? rest : { ...rest, topUnder: seen },
  };
  return stood(own, { under: inches(2), over: of(laying, 'frameOverBed') });
}

/** A trap on its stand, fenced at both sides. */
function oneTrap(laying: Laying, { id, x, ...stand }: Stood & { id: string; x: number }): Piece {
  const { surface, frame, floor } = stand;
  const { side, sticks } = fenceOf(laying, stand);
  const most = Math.max(sticks, 1);
  const [foot, top] = [floor - inches(8), floor + Math.max(surface - floor, frame) + inches(6)];
  const { stand: kind, trigger } = laying.choices;
  const look = { trigger: trigger === 'spread' ? ('spread' as const) : trigger === 'bottom' ? ('low' as const) : ('v' as const) };
  const springs = roomOf(laying) < inches(24) ? ('up' as const) : ('side' as const);
  return assemble(
    grip(laying, { ...stand, device: id, x, holder: kind === 'sticks' ? 'uprights' : 'stand', look: { ...look, springs } }),
    {
      parts: Array.from({ length: most }, (_, n) =>
        pair(`${id}-fence${n}`, frame / 2 + ((n + 1) * side) / (most + 1), { x, foot, top }, laying.system),
      ).flat(),
      needs: [coverNeed(laying, { ...runRange(laying), device: id }), reachNeed(laying, jawsId(id), of(laying, 'reach'), id)],
    },
    movable(laying, id),
  );
}

const sectionOf = (laying: Laying, { surface, floor }: Stood): Line =>
  trench(surface, floor, of(laying, 'widthBed'), of(laying, 'widthSurface'));

/** The section, the lengths on both drawings and the animal. */
function drawn(laying: Laying, outer: Stood, spacing: number | null): Piece {
  const { size, surface, frame, bottom, floor } = outer;
  const [bed, top] = [of(laying, 'widthBed'), of(laying, 'widthSurface')];
  return assemble(
    {
      front: sectionOf(laying, outer),
      marks: [
        widthMark('widthBed', 'Run at the bed', { view: 'eye', z: floor - inches(5), from: -bed / 2, to: bed / 2 }),
        widthMark('widthSurface', 'Run at the surface', { view: 'eye', z: surface + inches(8), from: -top / 2, to: top / 2 }),
        ...(spacing === null
          ? []
          : [widthMark('spacing', 'Between the traps', { view: 'side', z: floor + frame + inches(3), from: 0, to: spacing })]),
      ],
      travel: [{ build: 'beaverAdult', x: -inches(16), z: floor + inches(1), pose: 'walks' }],
    },
    gripMarks(laying, size, bottom),
    depthMarks(laying, floor, -inches(14), bed / 2 + inches(4)),
  );
}

/** What leads through the jaws, and whether a stick stands in their swing. */
function throughFindings(laying: Laying, outer: Stood): Finding[] {
  const { surface, frame, bottom } = outer;
  const inPlane = { y: 0, z: bottom, across: frame, height: frame };
  const own = { section: sectionOf(laying, outer), level: surface, frame: inPlane, species: 'beaver', route: 'bed' } as const;
  const sticks = (oneTrap(laying, { id: 'outer', x: 0, ...outer }).parts ?? []).filter((p) => p.id.includes('fence'));
  return openingFindings(own, [], 'beaverKit', 'beaverAdult')
    .flatMap((f): Finding[] =>
      f.says === 'opening' && f.verdict === 'holds' ? [{ ...f, id: 'through' }] : f.says === 'gapUnder' ? [f] : [],
    )
    .concat(swingFinding(sticks, inPlane));
}

/** Width at the height of the springs, m: half way up a trench of that bed and surface. */
const roomOf = (laying: Laying): number => (of(laying, 'widthBed') + of(laying, 'widthSurface')) / 2;

/** Two in line: how far apart, and what they take together at 7 in 10 each. [practice] */
function rowFinding(laying: Laying, spacing: number): Finding {
  const wanted = spacingWanted(BUILDS.beaverAdult.body, of(laying, 'tie') / 4);
  const short = spacing < Math.min(wanted, inches(48)) - 1e-6;
  return found('row', short ? 'warns' : 'holds', 'practice', { spacing, short, share: takes([0.7, 0.7]).one });
}

/** The bed along the run, from open water to the lodge's side. */
const runGround = ({ floor, surface }: Stood, spacing: number): Line => [
  [-inches(48), floor - inches(4)],
  [-inches(16), floor],
  [spacing + inches(16), floor],
  [spacing + inches(26), floor + inches(6)],
  [spacing + inches(40), surface + inches(10)],
];

/** What is left at each side of the frame, and the sticks that close it. */
function fenceOf(laying: Laying, { frame }: Stood) {
  const side = Math.max(0, (of(laying, 'widthBed') - frame) / 2);
  return { side, ...fence(side, BUILDS.beaverKit.smallestGap, STICK) };
}

function fenceFinding(laying: Laying, outer: Stood): Finding {
  const width = of(laying, 'widthBed');
  const origin = laying.numbers.widthBed === undefined ? 'practice' : 'computed';
  const { frame } = outer;
  if (width < frame) return found('narrow', 'fails', origin, { width, frame }, { id: 'opening', field: 'widthBed' });
  const { side, sticks, clear } = fenceOf(laying, outer);
  const values = { side, sticks, clear, small: userOf('beaverKit'), large: userOf('beaverAdult') };
  return found('fenceAside', 'holds', origin, values, { id: 'fence' });
}

function depthFindings(laying: Laying, { size }: Stood): Finding[] {
  const tall = tooTall(laying, size).findings ?? [];
  if (tall.length > 0 || laying.numbers.depth !== undefined || laying.place.bed !== null) return tall;
  return [found('bedUnknown', 'unknown', 'computed', {})];
}
