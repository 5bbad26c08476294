import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { fixed } from '../../water/linear';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import {
  coverNeed,
  frameOverBed,
  grip,
  gripMarks,
  jawsBottom,
  movable,
  tooTall,
  topUnder,
  GRIP_TRIGGER,
  notchChoice,
  openingOf,
} from '../pieces/grip';
import { crossPole, swingFinding, pair } from '../pieces/guides';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { levelThen, practised, type SetType, asks, type Numbers, suit, trapIn } from '../setType';
import { anchorStep, FLOODS, feelSwing, hooksOff, once, setGrip } from '../pieces/steps';
import { always } from '../order';
import { opening } from '../pieces/range';

const numbers = {
  topUnder: topUnder(-1, [-8, 8]),
  sill: practised('Bottom below water', 'bottom of the break below water', 10, [4, 36], 1),
  breakWidth: practised('Width of the break', 'between its sides', 14, [6, 48]),
  frameOverBed: frameOverBed(1),
  tie: tieNumber(72),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A trap right in the break: quick, and what the current carries fires it. */
export const damBreakBreach: SetType = {
  id: 'dam-break-breach',
  name: 'Dam break, in the breach',
  idea: 'A body-grip in the break itself, a low stick over the top and two thin guides. Quick; current and pushed debris fire it.',
  species: ['beaver'],
  stations: ['dam', 'crossover'],
  suits: [suit('beaver', ['dam'], 3, 'in the leak itself; no rain due, a firm notch')],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  fit: 'Two stakes through the springs, or a stand; springs beside the frame. The firmest notch the trap seats on.',
  tools: ['setter', 'spade', 'hatchet', 'waders'],
  disputed: [
    'In the break; or in the channel beside it; or on the shoulders where the pond side is soft.',
    'With a stick flat on the jaws: kits pass it at 3½ in under, adults at 6 in; or at 5 in and 7½ in, as at a crossing.',
  ],
  faults: [
    'Sprung by current after rain: a firmer notch, or the patrol channel.',
    'Sprung, full of mud: it is plugged right where the trap stands.',
  ],
  hides: ['under the repair', 'over the far side of the dam'],
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('stake'), notch: notchChoice('firm'), trigger: GRIP_TRIGGER },
  acts: { breaks: 1, shape: 'rectangle', width: inches(14), depth: inches(10), words: 'one break with the trap in it', holdsTrap: true },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const floor = surface - of(laying, 'sill');
    const bottom = laying.numbers.topUnder === undefined ? floor + of(laying, 'frameOverBed') : jawsBottom(laying, device.size, 0);
    const frame = openingOf(device.size);
    const half = Math.max(of(laying, 'breakWidth'), frame + inches(1)) / 2;
    const guides = pair(
      'guide',
      frame / 2 + inches(1),
      { x: -inches(2), foot: floor - inches(8), top: surface + inches(10), thick: inches(0.6), name: 'thin guide' },
      laying.system,
    );
    return assemble(
      grip(laying, { size: device.size, bottom, floor, holder: 'stakes', room: of(laying, 'breakWidth') }),
      {
        parts: [
          ...guides,
          crossPole(
            {
              id: 'over',
              x: -inches(1),
              z: fixed(bottom + frame + inches(1)),
              length: inches(30),
              thick: inches(1.5),
              name: 'stick over the top',
            },
            laying.system,
          ),
        ],
        needs: [coverNeed(laying, { aim: [0, 2], ...opening(frame, 'beaverAdult', { by: 'nothing' }, true) })],
        findings: [...swingFinding(guides, { y: 0, z: bottom, across: frame, height: frame }), found('current', 'warns', 'practice', {})],
        ground: [
          [-inches(40), surface - inches(16)],
          [-inches(20), surface - inches(14)],
          [-inches(8), floor],
          [inches(12), floor],
          [inches(26), floor - inches(20)],
          [inches(44), floor - inches(24)],
        ],
        front: [
          [-half - inches(24), surface + inches(3)],
          [-half - inches(1), surface + inches(2)],
          [-half, floor],
          [half, floor],
          [half + inches(1), surface + inches(2)],
          [half + inches(24), surface + inches(3)],
        ],
        marks: [
          heightMark('sill', 'Bottom below water', { view: 'side', across: -inches(10), from: surface, to: floor }),
          widthMark('breakWidth', 'Break', { view: 'eye', z: floor - inches(4), from: -half, to: half }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(16), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },
      gripMarks(laying, device.size, bottom),
      tooTall(laying, device.size),
      movable(laying),
      tie(laying, {
        numbers,
        part: 'jaws',
        from: [0, frame / 2, bottom + frame / 2],
        at: [inches(8), half + inches(14), surface + inches(3)],
        build: 'beaverAdult',
      }),
    );
  },
  orders: (at) =>
    always(
      once('Dig the break and leave a plug on its pond side; clear its bottom.', FLOODS),
      anchorStep(at, 'stake', 'Tie the cable to a stake in the dam.'),
      setGrip(at),
      { do: 'Stand it in the dry break, two stakes through the springs, firmest notch; two thin guides and a low stick over the top.' },
      feelSwing,
      hooksOff(at, 'while the break is dry'),
      feelSwing,
      { do: 'Draw the plug with a hoe, from the crest beside the break.', caution: 'Never below it: the rush can fire the trap.' },
    ),
};
