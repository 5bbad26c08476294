import { BUILDS } from '../../animals/species';
import { fence } from '../../geometry/fence';
import { inches } from '../../units/factors';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { assemble, heightMark } from '../design';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { levelThen, type Laying, type SetType, asks, type Numbers, practised, here, suit, trapIn } from '../setType';
import { OVER_PLACE, STANDING, feelSwing, hooksOff, once, setGrip } from '../pieces/steps';
import { byDepth } from '../order';
import type { Step } from '../work';
import { opening, type WorkRange, reachNeed } from '../pieces/range';
import { coverNeed, GRIP_TRIGGER, notchChoice, openingOf, grip } from '../pieces/grip';
import { STICK, userOf, pair } from '../pieces/guides';
import { onBank } from '../pieces/block';

const FACE: Step[] = [
  once('Look at the gap from below; find the firm clear channel at the foot, otherwise the tight place below the crest.'),
  once('Tie to a log buried in the dam.', 'Opening or loading a dam can send water down on those below.'),
];

const numbers = {
  overTail: practised(
    'Jaws above the water below the dam',
    'bottom of the jaws above the water below the dam; negative when it stands in it',
    4,
    [-40, 99],
    -1,
  ),
  crestOver: {
    ...here(practised('Crest over the jaws', 'how far the gap in the crest lies above the top of the jaws', 10, [0, 119]), 'overTail'),
    fromWithLevel: -1,
    lessOwn: ({ numbers: { overTail = inches(4) }, devices }) => overTail + openingOf(devices.trap?.size),
  },
  width: here(practised('Width of the way', 'the gap where it stands, edge to edge', 14, [4, 79]), 'width'),
  reach: practised('Arm can reach', 'below the water below the dam', 36, [12, 79]),
  tie: tieNumber(60, 'to a log buried in the dam'),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A body-grip on the lower face of a dam; the tailwater judges it and no pond gauge. */
export const damCrossoverFace: SetType = {
  id: 'dam-crossover-face',
  name: 'Dam crossover, downstream side',
  blind: true,
  idea: 'A body-grip on the lower face of the dam below the worn gap, under a stick or two, where the way down is tight.',
  species: ['beaver', 'otter'],
  stations: ['crossover', 'dam'],
  suits: [
    suit('beaver', ['crossover'], 1, 'they come over the worn gap and down the face'),
    suit('otter', ['dam'], 1, 'they cross at the gap'),
  ],
  looks: { else: 'Check from below the dam' },
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  numbers,
  seen: 'overTail',
  seenAt: 'bottom',
  usual: { class: 'bodyGrip', size: '330' },
  fit: 'Two rods or a bar stand; springs beside the frame, never outlined against the sky. Hooks stay on until it stands.',
  tools: ['setter', 'hatchet', 'wire'],
  disputed: ['With a stick flat on the jaws: kits pass it at 3½ in under, adults at 6 in; or at 5 in and 7½ in, as at a crossing.'],
  faults: ['Gone round: it stood where the face is wide, or against the sky.', 'Sprung empty: a hind end brushed it on the way down.'],
  hides: ['in the water below the dam, under the outfall', 'over the crest, in the pond'],
  choices: {
    ...anchored('log'),
    notch: notchChoice('middle'),
    trigger: GRIP_TRIGGER,
    channel: {
      label: 'Channel at the foot',
      ofPlace: true,
      from: { what: 'footClear', is: (yes) => (yes === 1 ? 'firm' : 'none') },
      options: { firm: 'firm and clear', none: 'none: below the crest instead' },
      default: 'firm',
    },
  },
  layOut: (laying) => {
    const { size } = trapIn(laying);
    const frame = openingOf(size);
    const tail = laying.then.tail ?? levelThen(laying);
    const bottom = tail + of(laying, 'overTail');
    const over = of(laying, 'crestOver');
    const crest = bottom + frame + over;
    const outlined = over < inches(2);
    return assemble(
      grip(laying, { size, bottom, floor: bottom, holder: 'none', bearer: 'bank', tiedTo: 'dam log' }),
      {
        parts: [
          onBank('log', 'over', [0, 0, bottom + frame + inches(1)], [inches(2), inches(2), inches(26)], { stock: 'stick over the top' }),
          ...sideSticks(laying, size, bottom),
        ],
        needs: [
          { ...coverNeed(laying, faceRange(frame)), from: 'tail' },
          { ...reachNeed(laying, 'jaws', of(laying, 'reach')), from: 'tail' },
        ],
        free: [{ device: 'trap', say: { down: 'Lower it', up: 'Raise it' }, floor: null }],
        findings: [sidesFinding(laying, size), found('skyline', outlined ? 'warns' : 'holds', 'practice', { crest: over, outlined })],
        // its slope is symbolic, its heights are true
        ground: [
          [-1, crest - 0.06],
          [-0.55, crest],
          [-0.35, crest],
          [-0.05, bottom],
          [0.2, Math.min(bottom - 0.05, tail)],
          [0.5, tail - 0.3],
          [1, tail - 0.35],
        ],
        front: [
          [-inches(30), crest + inches(3)],
          [-inches(11), crest],
          [-inches(8), bottom - inches(1)],
          [inches(8), bottom - inches(1)],
          [inches(11), crest],
          [inches(30), crest + inches(3)],
        ],
        marks: [
          heightMark('overTail', 'Above the water below the dam', { view: 'side', across: inches(7), from: tail, to: bottom, grows: 1 }),
          heightMark('overTail', 'Above the water below the dam', { view: 'eye', across: 0, from: tail, to: bottom, grows: 1 }),
          heightMark('crestOver', 'Crest over the jaws', { view: 'side', across: -inches(9), from: bottom + frame, to: crest, grows: 1 }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(20), z: crest, pose: 'walks' }],
      },
      tie(laying, { numbers, part: 'jaws', from: [0, 0, bottom + frame / 2], at: [-inches(16), inches(14), crest], build: 'beaverAdult' }),
    );
  },
  orders: (at) =>
    byDepth(
      at,
      [
        ...FACE,
        setGrip(at),
        { do: 'Stand it on the face; one or two sticks beside and over the top.' },
        feelSwing,
        hooksOff(at, STANDING),
        feelSwing,
      ],
      [
        ...FACE,
        { do: 'Sticks in beside its place.' },
        setGrip(at),
        { do: 'Try it down and up once with the hooks on.', caution: 'One that fires on the way down is let go, never caught.' },
        hooksOff(at, OVER_PLACE),
        { do: 'Lower it by the coil ends; the stick over the top laid by its far end.' },
        feelSwing,
      ],
    ),
};

/** Dry is no fault on the lower face; over the jaws they swim once the tailwater stands so high. */
function faceRange(frame: number): WorkRange {
  const { works, ...range } = opening(frame, 'beaverAdult', { by: 'nothing' });
  return { ...range, works: [works[0], null] };
}

/** The way that stays open on each side of the frame, and the sticks that close it against a kit. */
function sidesOf(laying: Laying, size: string) {
  const side = (of(laying, 'width') - openingOf(size)) / 2;
  return { side, ...fence(Math.max(0, side), BUILDS.beaverKit.smallestGap, STICK) };
}

function sideSticks(laying: Laying, size: string, bottom: number): Part[] {
  const frame = openingOf(size);
  const { sticks, clear } = sidesOf(laying, size);
  const own = { foot: bottom - inches(6), top: bottom + frame + inches(4), bearer: 'bank', name: 'side stick' } as const;
  return Array.from({ length: sticks }, (_, i) =>
    pair(`side${i + 1}`, frame / 2 + (i + 1) * clear + (i + 0.5) * STICK, own, laying.system),
  ).flat();
}

function sidesFinding(laying: Laying, size: string): Finding {
  const { side, sticks, clear } = sidesOf(laying, size);
  const frame = openingOf(size);
  const origin = laying.numbers.width === undefined ? 'practice' : 'computed';
  if (side < 0) return found('narrow', 'fails', origin, { width: of(laying, 'width'), frame }, { field: 'width' });
  const values = { side, sticks, clear, small: userOf('beaverKit'), large: userOf('beaverAdult') };
  return found('fenceAside', 'holds', origin, values, { id: 'fence', field: 'width' });
}
