import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { fixed, follows } from '../../water/linear';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { assemble, widthMark, type Piece } from '../design';
import { depthMarks, gripMarks, coverNeed, GRIP_TRIGGER, jawsPart, notchChoice, openingOf } from '../pieces/grip';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { bedOf, levelThen, type Laying, type SetType, asks, type Numbers, practised, measured, here, suit } from '../setType';
import { FLOODS, STANDING, feelSwing, hooksOff, loopOrder, once, setGrip } from '../pieces/steps';
import { byDepth } from '../order';
import type { Step } from '../work';
import { reachNeed, opening, draws } from '../pieces/range';
import { DIVE_POLE } from '../pieces/guides';
import { IN_OPEN_WATER, shareNeed } from '../pieces/loop';
import { onBed } from '../pieces/block';

const CHANNEL: Step[] = [
  once('Find the channel with a stick: the shelf, then the drop. Clear old sticks.', FLOODS),
  once('Tie the cable; fence the outer edge with a pole; the floating pole tied on its line and moored aside.'),
];
const BREAKS: Step = {
  do: 'Make the two small breaks, left and right, last of all, from the crest with a long tool.',
  caution: 'A break runs away by itself in soft fill: begin small, never stand below one.',
};

const numbers = {
  topUnder: measured('Top below water', 'of the jaws or the loop, as seen; negative when it stands above water', [-24, 79], 1),
  depth: here(
    { label: 'Depth of the patrol channel', help: 'in its middle', unit: 'length', min: 0, max: 3, origin: 'measured', withLevel: 1 },
    'channelDepth',
  ),
  frameOverBed: practised('Frame over the bed', 'height of the stand', 1, [0, 8]),
  poleAhead: practised('Pole ahead', 'its middle before the jaws: half the frame and half its thickness', 6.5, [1, 16]),
  width: here(practised('Width of the channel', 'crest side to the fenced edge', 36, [10, 158]), 'channelWidth'),
  loop: practised('Loop', 'of the snare variant, inside diameter', 10, [6, 16]),
  away: practised('Breaks from the trap', 'to each side along the dam', 60, [24, 237]),
  reach: practised('Arm can reach', 'under the surface, with waders', 36, [12, 79]),
  tie: tieNumber(72),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);
const frameOf = (laying: Laying): number => openingOf(laying.devices.trap?.size);
const isSnare = (laying: Laying): boolean => laying.devices.trap?.class === 'snare';

/** A trap in the middle of the patrol channel, between two small breaks that are made last. */
export const damBreakChannel: SetType = {
  id: 'dam-break-channel',
  name: 'Dam break, patrol channel',
  idea: 'A body-grip in the middle of the patrol channel, a tied pole floating over it, then two small breaks, left and right: the second leak draws it past.',
  species: ['beaver'],
  stations: ['dam', 'channel', 'run', 'crossover'],
  suits: [
    suit(
      'beaver',
      ['dam'],
      1,
      'the break draws, the trap stands in the channel beside it; opening a dam can flood downstream: get permission first',
    ),
  ],
  devices: ['bodyGrip', 'snare'],
  positions: [{ id: 'trap', label: 'Trap or loop', optional: false }],
  numbers,
  seen: 'topUnder',
  usual: { class: 'bodyGrip', size: '330' },
  variants: [{ id: 'snare', name: 'snare, no dive pole', device: { class: 'snare', size: '7×7 3/32' } }],
  fit: 'A stand on the channel’s hard bottom, springs beside the frame; firm notch, since a leak moves leaves. The snare variant hangs at the surface, half to two thirds under, and has no pole.',
  tools: ['setter', 'hatchet', 'spade', 'waders'],
  disputed: [
    'They dive to the bed and meet it however deep it stands; or they pass between pole and jaws once it stands deep.',
    'A floating pole nearer than 6½ in hangs in the swing of the jaws; or a strong trap pushes it aside.',
  ],
  faults: [
    'Sprung, full of mud: it stood where the leak is plugged, not beside it.',
    'Passed over: the pole was not tied, or floated away from it.',
  ],
  hides: ['under the repair of the nearer break', 'over the crest, on the far side of the dam'],
  choices: { ...anchored('stake'), notch: notchChoice('firm'), trigger: GRIP_TRIGGER },
  acts: { breaks: 2, shape: 'V', width: inches(10), depth: inches(5), words: 'two small breaks, left and right of the trap, made last' },
  layOut: (laying) => {
    const floor = bedOf(laying);
    return assemble(
      {
        parts: isSnare(laying) ? snareParts(laying) : gripParts(laying),
        ground: groundOf(laying),
        needs: needsOf(laying),
        free: [
          isSnare(laying)
            ? { device: 'trap', say: { down: 'Lower the loop', up: 'Raise the loop' }, floor }
            : { device: 'trap', say: { down: 'Lower it', up: 'Raise it' }, floor },
        ],
        findings: isSnare(laying) ? [breaks(laying)] : [gapOver(laying), breaks(laying)],
      },
      drawn(laying),
    );
  },
  orders: ({ device, ...at }) =>
    device === 'snare'
      ? loopOrder(
          [
            once('Find the channel with a stick: the shelf, then the drop. Clear old sticks.', FLOODS),
            once('Push the support in until it is stiff; fence its outer edge with a pole.'),
          ],
          'at its height in the middle of the channel',
          [BREAKS],
        )
      : byDepth(
          { device, ...at },
          [
            ...CHANNEL,
            setGrip(at, ', wired to its stand'),
            { do: 'Stand it in the middle.' },
            feelSwing,
            hooksOff(at, STANDING),
            { do: 'Draw the floating pole over it by its line.' },
            feelSwing,
            BREAKS,
          ],
          [
            ...CHANNEL,
            setGrip(at, ', wired to its stand'),
            { do: 'Try it down and up once with the hooks on.', caution: 'One that fires on the way down is let go, never caught.' },
            hooksOff(at, 'at the surface'),
            { do: 'Lower it by the top of its stand.' },
            { do: 'Draw the floating pole over it by its line.' },
            feelSwing,
            BREAKS,
          ],
        ),
};

/** Beavers that dive to the bed meet it deeper than pole and jaws leave a gap: two schools. */
function needsOf(laying: Laying): Need[] {
  if (isSnare(laying)) return [{ ...shareNeed(laying, IN_OPEN_WATER, 'trap'), of: { part: 'loop', share: true } }];
  const range = opening(frameOf(laying), 'beaverAdult', { by: 'pole', ahead: of(laying, 'poleAhead'), thick: DIVE_POLE });
  return [coverNeed(laying, { aim: [-6, -3], perhaps: [-24, range.works[1]], ...range }), reachNeed(laying, 'jaws', of(laying, 'reach'))];
}

function jawsBottom(laying: Laying): number {
  const bed = bedOf(laying);
  const { topUnder } = laying.numbers;
  if (topUnder !== undefined) return levelThen(laying) - topUnder - frameOf(laying);
  return bed === null ? levelThen(laying) - inches(3) - frameOf(laying) : bed + of(laying, 'frameOverBed');
}

const floorOf = (laying: Laying): number => bedOf(laying) ?? jawsBottom(laying) - of(laying, 'frameOverBed');

const pole = (own: Pick<Part, 'id' | 'x' | 'z' | 'bearer' | 'across' | 'stock'>): Part => ({
  ...{ kind: 'log', y: 0, height: inches(3), wide: inches(3) },
  ...own,
});

function gripParts(laying: Laying): Part[] {
  const bottom = jawsBottom(laying);
  const floor = floorOf(laying);
  const width = of(laying, 'width');
  return [
    jawsPart({
      id: 'jaws',
      device: 'trap',
      bearer: 'bed',
      x: 0,
      z: fixed(bottom),
      tiedTo: 'anchor',
      size: laying.devices.trap?.size ?? '330',
    }),
    onBed('stand', 'stand', [0, 0, floor], [Math.max(bottom - floor, 0.02), inches(10), inches(10)], { stock: 'stand' }),
    {
      ...pole({
        ...{ id: 'dive', bearer: 'float', across: width, stock: `dive pole ${printLength(width + inches(24), laying.system)}, tied` },
        ...{ x: of(laying, 'poleAhead'), z: follows(laying.place.surface, -draws(DIVE_POLE)) },
      }),
      tiedTo: 'bank',
    },
    fencePole(laying, floor),
  ];
}

/** The pole along the outer edge of the channel. */
const fencePole = (laying: Laying, floor: number): Part => ({
  ...pole({
    ...{ id: 'fence', bearer: 'bed', across: inches(3), stock: 'pole along the outer edge' },
    ...{ x: 0, z: fixed(Math.max(floor, levelThen(laying) - inches(4))) },
  }),
  y: of(laying, 'width') / 2,
});

function snareParts(laying: Laying): Part[] {
  const loop = of(laying, 'loop');
  const top = laying.numbers.topUnder ?? -0.4 * loop;
  const bottom = levelThen(laying) - top - loop;
  const floor = bedOf(laying) ?? bottom - inches(8);
  return [
    onBed('loop', 'loop', [0, 0, bottom], [loop, 0.02, loop], {
      device: 'trap',
      tiedTo: 'anchor',
      stock: `snare ${laying.devices.trap?.size ?? ''}`,
    }),
    onBed(
      'support',
      'support',
      [0, loop / 2 + inches(1), floor - inches(10)],
      [bottom + loop - floor + inches(10), inches(0.4), inches(0.4)],
      { stock: 'support rod' },
    ),
    fencePole(laying, floor),
  ];
}

function drawn(laying: Laying): Piece {
  const surface = levelThen(laying);
  const floor = isSnare(laying) ? (bedOf(laying) ?? surface - inches(20)) : floorOf(laying);
  const half = of(laying, 'width') / 2;
  const size = laying.devices.trap?.size ?? '330';
  const loop = of(laying, 'loop');
  const top = laying.numbers.topUnder ?? -0.4 * loop;
  const height = isSnare(laying) ? surface - top - loop / 2 : jawsBottom(laying) + frameOf(laying) / 2;
  return assemble(
    {
      front: [
        [-half - inches(18), surface + inches(5)],
        [-half, surface - inches(2)],
        [-half + inches(5), floor],
        [half - inches(4), floor],
        [half, floor + inches(4)],
        [half + inches(18), floor + inches(3)],
      ],
      marks: [widthMark('width', 'Channel', { view: 'eye', z: floor - inches(5), from: -half, to: half })],
      travel: [
        {
          build: 'beaverAdult',
          x: -inches(18),
          z: isSnare(laying) ? surface - BUILDS.beaverAdult.swims : floor + inches(1),
          pose: 'swims',
        },
      ],
    },
    isSnare(laying)
      ? { marks: [widthMark('loop', 'Loop', { view: 'eye', z: height, from: -loop / 2, to: loop / 2 })] }
      : gripMarks(laying, size, jawsBottom(laying)),
    depthMarks(laying, floor, -inches(16), half - inches(5)),
    tie(laying, {
      numbers,
      part: isSnare(laying) ? 'loop' : 'jaws',
      from: [0, 0, height],
      at: [inches(30), -half - inches(8), surface + inches(5)],
      build: 'beaverAdult',
    }),
  );
}

function groundOf(laying: Laying): [number, number][] {
  const floor = floorOf(laying);
  const level = levelThen(laying);
  return [
    [-1.1, floor - 0.12],
    [-0.45, floor],
    [0.45, floor],
    [0.75, level - 0.1],
    [1.05, level + 0.12],
  ];
}

/** In the channel the water over the trap counts: there they may pass over it, unless the pole makes them dive. */
function gapOver(laying: Laying): Finding {
  const over = levelThen(laying) - jawsBottom(laying) - frameOf(laying);
  const { smallestGap: gap } = BUILDS.beaverAdult;
  return found('gapOverPole', over > gap ? 'warns' : 'holds', 'practice', { over, gap }, { id: 'gapOver' });
}

const breaks = (laying: Laying): Finding => found('breaks', 'holds', 'practice', { away: of(laying, 'away') });
