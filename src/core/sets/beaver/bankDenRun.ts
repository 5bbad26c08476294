import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark } from '../design';
import { coverNeed, depthHere, frameOverBed, grip, topUnder, GRIP_TRIGGER, notchChoice, openingOf, stood } from '../pieces/grip';
import { trench, GROOVE } from '../pieces/ground';
import { FENCE, fenced } from '../pieces/guides';
import { anchored, DRIVEN, tieNumber } from '../pieces/hold';
import { stands } from '../pieces/stands';
import { practised, type SetType, asks, type Numbers, type Laying, here, suit } from '../setType';
import { anchorStep, WADING, onTheBed, once } from '../pieces/steps';
import { reachNeed, type WorkRange } from '../pieces/range';
import { onBank } from '../pieces/block';

const numbers = {
  topUnder: topUnder(3, [-8, 60]),
  depth: here(
    { ...depthHere('Depth at the mouth', 'water over the hard bottom of the run; dry by 6 in is −6'), min: inches(-40) },
    'depth',
  ),
  width: here(practised('Run at the bed', 'the hard groove before the hole', 14, [6, 60]), 'widthBed'),
  frameOverBed: frameOverBed(1),
  groove: GROOVE,
  fromMouth: practised('Before the mouth', 'trap to the hole', 10, [2, 48]),
  reach: practised('Arm can reach', 'under the surface, with waders', 36, [12, 78]),
  tie: tieNumber(60),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** Within two feet of the hole the bank closes the water over it, a groove as deep as the frame anywhere; farther out they swim over, and where nobody measured it is in doubt. */
function runRange({ numbers: { fromMouth, groove = 0 }, devices }: Laying): WorkRange {
  const sure = [-12, 4] as const;
  const ends = ['swumOver', 'narrow'] as const;
  if (groove >= openingOf(devices.trap?.size)) return { works: [null, 4], ends };
  if (fromMouth === undefined)
    return { works: sure, perhaps: [null, 4], decides: 'Measure how far it stands before the mouth, or how deep the groove is', ends };
  return fromMouth <= inches(24) ? { works: [null, 4], ends } : { works: sure, perhaps: [-24, 4], ends };
}

/** A trap before the mouth of a bank den. */
export const bankDenRun: SetType = {
  id: 'bank-den-run',
  name: 'Bank den run',
  idea: 'A body-grip in the groove just before a den’s mouth in the bank; in a narrow run the stake is the second fence.',
  species: ['beaver', 'otter'],
  stations: ['bank den', 'run', 'undercut'],
  suits: [
    suit('beaver', ['bank den'], 1, 'in the groove just before the hole'),
    suit('otter', ['bank den'], 1, 'in the groove just before the hole'),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  fit: 'A stake at an angle through one spring: in a narrow run it is the second fence. Springs beside the frame, or up where the groove is tight.',
  tools: ['setter', 'hatchet', 'waders'],
  faults: ['Dry at the mouth: then it is a land set and other rules hold.', 'Buried by caving mud: farther from the mouth.'],
  hides: ['inside the den, as far as the cable lets it'],
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('root'), fence: FENCE, notch: notchChoice('middle'), trigger: GRIP_TRIGGER },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(3), over: of(laying, 'frameOverBed') });
    const { surface, frame, bottom, floor } = stand;
    const width = of(laying, 'width');
    const mouth = of(laying, 'fromMouth');
    const section = trench(surface, floor, width, width + inches(8));
    return assemble(
      grip(laying, { ...stand, holder: 'rods', room: width }),
      fenced(
        { section, level: surface, frame: { y: 0, z: bottom, across: frame, height: frame }, species: 'beaver', route: 'bed', most: 2 },
        laying,
      ),
      {
        parts: [
          onBank(
            'ceiling',
            'den',
            [mouth + inches(15), 0, floor + inches(13)],
            [Math.max(surface + inches(8) - floor - inches(13), inches(5)), inches(28), width + inches(10)],
          ),
        ],
        needs: [coverNeed(laying, { aim: [-12, -1], ...runRange(laying) }), reachNeed(laying, 'jaws', of(laying, 'reach'))],
        findings: [
          found(
            'mouth',
            surface <= floor + inches(1) ? 'fails' : 'holds',
            'measured',
            { depth: surface - floor, dry: surface <= floor + inches(1) },
            { field: 'depth' },
          ),
        ],
        ground: [
          [-inches(40), floor - inches(8)],
          [-inches(12), floor],
          [mouth + inches(29), floor + inches(4)],
          [mouth + inches(29.5), surface + inches(8)],
          [mouth + inches(42), surface + inches(9)],
        ],
        front: section,
        marks: [
          widthMark('fromMouth', 'Before the mouth', { view: 'side', z: floor - inches(4), from: 0, to: mouth }),
          widthMark('width', 'Run at the bed', { view: 'eye', z: floor - inches(5), from: -width / 2, to: width / 2 }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(14), z: floor + inches(1), pose: 'walks' }],
      },

      stands(laying, {
        numbers,
        ...stand,
        depthAt: [-inches(18), width / 2 + inches(3)],
        at: [-inches(20), width / 2 + inches(14), surface + inches(3)],
        build: 'beaverAdult',
      }),
    );
  },
  orders: (at) =>
    onTheBed(
      at,
      [
        once('Feel the groove with a stick from the mouth outward; the hard bottom is the run.', WADING),
        anchorStep(at, 'root', 'Drive a stake on the bank, tie the cable.'),
      ],
      'a foot before the mouth, rods through the springs',
    ),
};
