import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark } from '../design';
import { coverNeed, depthHere, frameOverBed, grip, topUnder, GRIP_TRIGGER, notchChoice, stood } from '../pieces/grip';
import { FENCE, fenced } from '../pieces/guides';
import { anchored, DRIVEN, tieNumber } from '../pieces/hold';
import { stands } from '../pieces/stands';
import { practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { anchorStep, CULVERTS, onTheBed, once } from '../pieces/steps';
import { reachNeed, opening } from '../pieces/range';
import { onBank } from '../pieces/block';
import { line } from '../pieces/ground';

const numbers = {
  topUnder: topUnder(2, [-8, 40]),
  depth: depthHere('Depth at the mouth', 'water over its floor'),
  pipe: here(practised('Culvert', 'inside width', 30, [12, 160]), 'widthSurface'),
  before: practised('Before the mouth', 'trap to the culvert', 12, [2, 48]),
  frameOverBed: frameOverBed(1),
  reach: practised('Arm can reach', 'under the surface, with waders', 36, [12, 78]),
  tie: tieNumber(84),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A trap before the mouth of a culvert. */
export const culvertMouth: SetType = {
  id: 'culvert-mouth',
  name: 'Culvert mouth',
  idea: 'A body-grip before the mouth of a culvert, fenced to both walls. Often plugged: then the lodge runs are better. Whether it is allowed there is asked first.',
  species: ['beaver', 'otter'],
  stations: ['culvert', 'bridge'],
  suits: [suit('beaver', ['culvert'], 2, 'where it is lawful and they do not plug it')],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  fit: 'A stand or two rods; firm notch, since the current brings leaves.',
  tools: ['setter', 'hatchet', 'waders'],
  faults: ['Plugged with sticks overnight: take the lodge runs.', 'Sprung by current: firm notch.'],
  hides: ['inside the culvert, as far as the cable lets it: draw it out, nobody enters'],
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('stake'), fence: FENCE, notch: notchChoice('firm'), trigger: GRIP_TRIGGER },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(2), over: of(laying, 'frameOverBed') });
    const { surface, frame, bottom, floor } = stand;
    const pipe = of(laying, 'pipe');
    const before = of(laying, 'before');
    const section: [number, number][] = [
      [-pipe / 2 - inches(12), surface + inches(10)],
      [-pipe / 2 - inches(0.5), surface + inches(10)],
      [-pipe / 2, floor],
      [pipe / 2, floor],
      [pipe / 2 + inches(0.5), surface + inches(10)],
      [pipe / 2 + inches(12), surface + inches(10)],
    ];
    return assemble(
      grip(laying, { ...stand, holder: 'stand', room: pipe }),
      fenced(
        { section, level: surface, frame: { y: 0, z: bottom, across: frame, height: frame }, species: 'beaver', route: 'bed', most: 3 },
        laying,
      ),
      {
        parts: [onBank('pipe', 'pipe', [before + inches(17), 0, floor - inches(3)], [pipe + inches(3), inches(34), pipe])],
        needs: [
          coverNeed(laying, { aim: [-3, 0], ...opening(frame, 'beaverAdult', { by: 'nothing' }) }),
          reachNeed(laying, 'jaws', of(laying, 'reach')),
        ],
        findings: [found('culvert', 'warns', 'practice', { pipe }, { id: 'place' })],
        ground: line([-inches(44), floor - inches(4)], [-inches(14), floor], [before + inches(36), floor]),
        front: section,
        marks: [
          widthMark('before', 'Before the mouth', { view: 'side', z: floor - inches(4), from: 0, to: before }),
          widthMark('pipe', 'Culvert', { view: 'eye', z: floor - inches(5), from: -pipe / 2, to: pipe / 2 }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(16), z: floor + inches(1), pose: 'walks' }],
      },

      stands(laying, {
        numbers,
        ...stand,
        depthAt: [-inches(20), pipe / 2 - inches(4)],
        at: [-inches(20), pipe / 2 + inches(10), surface + inches(10)],
        build: 'beaverAdult',
      }),
    );
  },
  orders: (at) =>
    onTheBed(
      at,
      [
        once('Ask whether a set may stand here; look for the current and what it carries.', CULVERTS),
        anchorStep(at, 'stake', 'Tie the cable to a stake on the bank, not to the culvert.'),
      ],
      'a foot before the mouth',
      true,
    ),
};
