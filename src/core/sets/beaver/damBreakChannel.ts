import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark, type Piece, type Design } from '../design';
import { depthMarks, gripMarks, coverNeed, GRIP_TRIGGER, notchChoice, stood, grip, movable } from '../pieces/grip';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { bedOf, levelThen, type Laying, type SetType, asks, type Numbers, practised, measured, here, suit, trapIn } from '../setType';
import { FLOODS, STANDING, feelSwing, hooksOff, loopOrder, once, setGrip } from '../pieces/steps';
import { byDepth } from '../order';
import type { Step } from '../work';
import { reachNeed, opening } from '../pieces/range';
import { DIVE_POLE, divePole } from '../pieces/guides';
import { IN_OPEN_WATER, shareNeed, hangable } from '../pieces/loop';
import { onBed } from '../pieces/block';
import { line } from '../pieces/ground';

const CHANNEL: Step[] = [
  once('Find the channel with a stick: the shelf, then the drop. Clear old sticks.', FLOODS),
  once('Tie the cable; fence the outer edge with a pole; the floating pole tied on its line and moored aside.'),
];
const POLE: Step = { do: 'Draw the floating pole over it by its line.' };
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
const isSnare = (laying: Laying): boolean => trapIn(laying).class === 'snare';

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
  layOut: (laying) => (isSnare(laying) ? loopIn(laying) : gripIn(laying)),
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
            ...[...CHANNEL, setGrip(at, ', wired to its stand'), { do: 'Stand it in the middle.' }, feelSwing, hooksOff(at, STANDING)],
            ...[POLE, feelSwing, BREAKS],
          ],
          [
            ...[...CHANNEL, setGrip(at, ', wired to its stand')],
            { do: 'Try it down and up once with the hooks on.', caution: 'One that fires on the way down is let go, never caught.' },
            hooksOff(at, 'at the surface'),
            { do: 'Lower it by the top of its stand.' },
            ...[POLE, feelSwing, BREAKS],
          ],
        ),
};

/** Beavers that dive to the bed meet it deeper than pole and jaws leave a gap: two schools. */
function gripIn(laying: Laying): Design {
  const over = of(laying, 'frameOverBed');
  const stand = stood(laying, { under: inches(3), over });
  const { size, surface, frame, bottom, floor } = stand;
  const range = opening(frame, 'beaverAdult', { by: 'pole', ahead: of(laying, 'poleAhead'), thick: DIVE_POLE });
  const above = surface - bottom - frame;
  const { smallestGap: gap } = BUILDS.beaverAdult;
  return assemble(
    grip(laying, { ...stand, holder: 'stand' }),
    {
      parts: [divePole(laying.place.surface, -of(laying, 'poleAhead'), of(laying, 'width') + inches(24), laying.system)],
      needs: [
        coverNeed(laying, { aim: [-6, -3], perhaps: [-24, range.works[1]], ...range }),
        reachNeed(laying, 'jaws', of(laying, 'reach')),
      ],
      // in the channel the water over the trap counts: there they may pass over it, unless the pole makes them dive
      findings: [found('gapOverPole', above > gap ? 'warns' : 'holds', 'practice', { over: above, gap }, { id: 'gapOver' })],
      travel: [{ build: 'beaverAdult', x: -inches(18), z: floor + inches(1), pose: 'swims' }],
    },
    movable(laying),
    gripMarks(laying, size, bottom),
    channel(laying, { part: 'jaws', middle: bottom + frame / 2, floor }),
  );
}

function loopIn(laying: Laying): Design {
  const surface = levelThen(laying);
  const loop = of(laying, 'loop');
  const bottom = surface - (laying.numbers.topUnder ?? -0.4 * loop) - loop;
  const middle = bottom + loop / 2;
  const floor = bedOf(laying) ?? bottom - inches(8);
  const rod = [bottom + loop - floor + inches(10), inches(0.4), inches(0.4)] as const;
  return assemble(
    {
      parts: [
        onBed('loop', 'loop', [0, 0, bottom], [loop, 0.02, loop], {
          device: 'trap',
          tiedTo: 'anchor',
          stock: `snare ${trapIn(laying).size}`,
        }),
        onBed('support', 'support', [0, loop / 2 + inches(1), floor - inches(10)], rod, { stock: 'support rod' }),
      ],
      needs: [{ ...shareNeed(laying, IN_OPEN_WATER, 'trap'), of: { part: 'loop', share: true } }],
      marks: [widthMark('loop', 'Loop', { view: 'eye', z: middle, from: -loop / 2, to: loop / 2 })],
      travel: [{ build: 'beaverAdult', x: -inches(18), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
    },
    hangable(laying, 'trap'),
    channel(laying, { part: 'loop', middle, floor }),
  );
}

/** The channel with its fenced edge, its depth, and the tie to the crest. @param middle elevation of what is tied, m */
function channel(laying: Laying, { part, middle, floor }: { part: string; middle: number; floor: number }): Piece {
  const surface = levelThen(laying);
  const half = of(laying, 'width') / 2;
  const edge = [0, half, Math.max(floor, surface - inches(4))] as const;
  return assemble(
    {
      parts: [onBed('log', 'fence', edge, [inches(3), inches(3), inches(3)], { stock: 'pole along the outer edge' })],
      findings: [found('breaks', 'holds', 'practice', { away: of(laying, 'away') })],
      ground: line([-1.1, floor - 0.12], [-0.45, floor], [0.45, floor], [0.75, surface - 0.1], [1.05, surface + 0.12]),
      front: [
        [-half - inches(18), surface + inches(5)],
        [-half, surface - inches(2)],
        [-half + inches(5), floor],
        [half - inches(4), floor],
        [half, floor + inches(4)],
        [half + inches(18), floor + inches(3)],
      ],
      marks: [widthMark('width', 'Channel', { view: 'eye', z: floor - inches(5), from: -half, to: half })],
    },
    depthMarks(laying, floor, -inches(16), half - inches(5)),
    tie(laying, { numbers, part, from: [0, 0, middle], at: [inches(30), -half - inches(8), surface + inches(5)], build: 'beaverAdult' }),
  );
}
