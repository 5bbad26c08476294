import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark } from '../design';
import { coverNeed, depthHere, grip, topUnder, GRIP_TRIGGER, notchChoice, openingOf, stood } from '../pieces/grip';
import { trench, GROOVE } from '../pieces/ground';
import { FENCE, fenced } from '../pieces/guides';
import { anchored, DRIVEN, tieNumber } from '../pieces/hold';
import { stands } from '../pieces/stands';
import { practised, type SetType, asks, type Numbers, type Laying, here, suit } from '../setType';
import { anchorStep, onTheBed, once } from '../pieces/steps';
import { reachNeed, type WorkRange } from '../pieces/range';
import { onBank } from '../pieces/block';

const numbers = {
  topUnder: topUnder(2, [-3, 30]),
  depth: here(depthHere('Depth of the run', 'water over its bottom'), 'depth'),
  width: here(practised('Run at the bed', 'the groove', 6, [3, 24]), 'widthBed'),
  groove: GROOVE,
  mouth: practised('Before the hole', 'trap to the mouth', 5, [1, 24]),
  reach: practised('Arm can reach', 'under the surface', 30, [8, 60]),
  tie: tieNumber(30),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);
/** Within 12 in of the hole bank and groove close the water over it; farther out they swim over, and where nobody measured it is in doubt. */
function runRange({ numbers: { mouth, groove = 0 }, devices }: Laying): WorkRange {
  const ends = ['swumOver', 'narrow'] as const;
  if (groove >= openingOf(devices.trap?.size)) return { works: [null, 2], ends };
  if (mouth === undefined)
    return { works: [-2.5, 2], perhaps: [null, 2], decides: 'Measure how far it stands before the hole, or how deep the groove is', ends };
  return mouth <= inches(12) ? { works: [null, 2], ends } : { works: [-2.5, 2], perhaps: [-6, 2], ends };
}

/** A small body-grip in the run of a bank den or hut. */
export const denRun: SetType = {
  id: 'den-run',
  name: 'Muskrat den run',
  idea: 'A 110 on the bottom of the groove before a bank hole or hut, one stake through its spring.',
  species: ['muskrat', 'mink'],
  stations: ['muskrat place', 'bank den', 'run', 'undercut'],
  suits: [
    suit('muskrat', ['bank den', 'run', 'muskrat place'], 1, 'a 110 fills a muskrat’s run'),
    suit('mink', ['bank den'], 1, 'mink look into every hole'),
    suit('muskrat', ['undercut'], 2, 'where the probe finds a hole'),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '110' },
  fit: 'A 110 or 120; one thin stake through the spring eye; spring up keeps it narrow.',
  tools: ['setter', 'hip boots', 'thin stakes'],
  disputed: ['In an open groove down to 2½ in under; or as deep as it is put, 6 in.'],
  faults: ['Mud in the jaws: the dog froze into it. Rest the lower jaw on two small sticks.'],
  hides: ['inside the den, as far as the wire lets it'],
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('stake'), fence: FENCE, notch: notchChoice('middle'), trigger: GRIP_TRIGGER },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(2), over: inches(0.5) });
    const { surface, frame, bottom, floor } = stand;
    const width = Math.max(of(laying, 'width'), inches(3));
    const mouth = of(laying, 'mouth');
    const section = trench(surface, floor, width, width + inches(4));
    return assemble(
      grip(laying, { ...stand, holder: 'none', look: { springs: 'up' } }),
      fenced(
        {
          section,
          level: surface,
          frame: { y: 0, z: bottom, across: frame, height: frame },
          species: 'muskrat',
          route: 'bed',
          most: 2,
          foot: floor - inches(6),
        },
        laying,
      ),
      {
        parts: [
          onBank(
            'ceiling',
            'hole',
            [mouth + inches(8), 0, floor + inches(5.5)],
            [Math.max(surface + inches(5) - floor - inches(5.5), inches(3)), inches(16), width + inches(6)],
          ),
        ],
        needs: [coverNeed(laying, { aim: [-6, -1], ...runRange(laying) }), reachNeed(laying, 'jaws', of(laying, 'reach'))],
        findings: [found('dog', 'holds', 'practice', { over: bottom - floor })],
        ground: [
          [-inches(22), floor - inches(3)],
          [-inches(6), floor],
          [mouth + inches(16), floor + inches(3)],
          [mouth + inches(16.3), surface + inches(5)],
          [mouth + inches(24), surface + inches(5.5)],
        ],
        front: section,
        marks: [
          widthMark('width', 'Run at the bed', { view: 'eye', z: floor - inches(3), from: -width / 2, to: width / 2 }),
          widthMark('mouth', 'Before the hole', { view: 'side', z: floor - inches(3), from: 0, to: mouth }),
        ],
        travel: [{ build: 'muskrat', x: -inches(7), z: floor + inches(0.5), pose: 'walks' }],
      },

      stands(laying, {
        numbers,
        ...stand,
        depthAt: [-inches(10), width / 2 + inches(3)],
        at: [-inches(12), width / 2 + inches(6), surface + inches(2)],
        build: 'muskrat',
      }),
    );
  },
  orders: (at) =>
    onTheBed(
      at,
      [
        once('Feel for the groove with the foot; it is firm and clear.', 'Old holes cave in: step beside them.'),
        anchorStep(at, 'stake', 'Wire the chain to a stake.', 'the chain'),
        { do: 'Two small rest sticks across the groove.' },
      ],
      'in the groove on its two sticks, a stake through the spring',
    ),
};
