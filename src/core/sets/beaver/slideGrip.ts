import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { assemble, widthMark } from '../design';
import { coverNeed, depthHere, frameOverBed, grip, topUnder, GRIP_TRIGGER, notchChoice, stood } from '../pieces/grip';
import { trench } from '../pieces/ground';
import { divePole, FENCE, fenced, DIVE_POLE } from '../pieces/guides';
import { anchored, DRIVEN, tieNumber } from '../pieces/hold';
import { STAND, standFinding } from '../pieces/stand';
import { stands } from '../pieces/stands';
import { practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { anchorStep, WADING, once, underPole } from '../pieces/steps';
import { opening } from '../pieces/range';
import { atLeast } from '../offer';

const numbers = {
  topUnder: topUnder(2, [-6, 20]),
  depth: here(depthHere('Depth at the foot of the slide', 'where the slide meets the water'), 'toeDepth'),
  fromToe: practised('Out from the foot of the slide', 'trap to the bank', 14, [4, 60]),
  width: here(practised('Width at the foot of the slide', 'between what stands beside it', 22, [8, 100]), 'widthSurface'),
  frameOverBed: frameOverBed(1),
  tie: tieNumber(84),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);
/** The pole’s middle before the jaws: half a 330 and half the pole. */
const AHEAD = inches(6.5);

/** A trap in front of the toe of a slide. */
export const slideGrip: SetType = {
  id: 'slide-grip',
  name: 'Slide set, body-grip',
  idea: 'A body-grip in the water just in front of the foot of a slide, under a tied pole, its sides closed.',
  species: ['beaver', 'otter'],
  stations: ['slide', 'point', 'bank den'],
  suits: [
    suit('beaver', ['slide'], 1, 'at the foot of the slide, under a tied pole', { when: atLeast('depth', 10) }),
    suit('beaver', ['slide'], 2, 'from 10 in of water at the foot of the slide, under a tied pole'),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  fit: 'A stand, springs beside the frame; a slope wants two rods instead.',
  tools: ['setter', 'hatchet', 'waders'],
  disputed: ['A floating pole nearer than 6½ in hangs in the swing of the jaws; or a strong trap pushes it aside.'],
  faults: ['Sprung by what slides down: stand it farther out.', 'Passed over: no pole above it.'],
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('tree', true), fence: FENCE, stand: STAND, notch: notchChoice('middle'), trigger: GRIP_TRIGGER },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(2), over: of(laying, 'frameOverBed') });
    const { surface, frame, bottom, floor } = stand;
    const width = of(laying, 'width');
    const toe = of(laying, 'fromToe');
    const section = trench(surface, floor, width - inches(4), width);
    return assemble(
      grip(laying, { ...stand, holder: laying.choices.stand === 'sticks' ? 'uprights' : 'stand', room: width }),
      fenced(
        { section, level: surface, frame: { y: 0, z: bottom, across: frame, height: frame }, species: 'beaver', route: 'surface', most: 2 },
        laying,
      ),
      {
        parts: [divePole(laying.place.surface, AHEAD, width + inches(20), laying.system)],
        needs: [coverNeed(laying, { aim: [-2, 0], ...opening(frame, 'beaverAdult', { by: 'pole', ahead: AHEAD, thick: DIVE_POLE }) })],
        ground: [
          [-inches(44), floor - inches(6)],
          [inches(4), floor],
          [Math.max(toe, inches(6)), surface],
          [toe + inches(34), surface + inches(18)],
        ],
        front: section,
        marks: [
          widthMark('fromToe', 'Out from the foot of the slide', { view: 'side', z: surface + inches(9), from: 0, to: toe }),
          widthMark('width', 'Width', { view: 'eye', z: floor - inches(5), from: -width / 2, to: width / 2 }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(16), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },
      { findings: standFinding(laying, stand.size) },
      stands(laying, {
        numbers,
        ...stand,
        depthAt: [-inches(20), width / 2 + inches(3)],
        at: [toe + inches(24), inches(24), surface + inches(14)],
        build: 'beaverAdult',
      }),
    );
  },
  orders: (at) =>
    underPole(at, {
      before: [
        once('Feel the bed in front of the foot of the slide; clear sticks.', WADING),
        anchorStep(at, 'tree', 'Drive a stake beside the slide, tie the cable.'),
      ],
      place: 'Stand it a foot in front of the foot of the slide',
      pole: { do: 'Tie the pole over the way, its middle 6½ in or more ahead of the jaws.' },
    }),
};
