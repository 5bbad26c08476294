import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { follows } from '../../water/linear';
import { assemble, widthMark } from '../design';
import { coverNeed, depthHere, frameOverBed, grip, topUnder, GRIP_TRIGGER, notchChoice, stood } from '../pieces/grip';
import { trench, line } from '../pieces/ground';
import { divePole as pole, FENCE, fenced, DIVE_POLE } from '../pieces/guides';
import { anchored, DRIVEN, tieNumber } from '../pieces/hold';
import { stands } from '../pieces/stands';
import { practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { anchorStep, WADING, once, underPole } from '../pieces/steps';
import { opening } from '../pieces/range';
import { atLeast } from '../offer';
import { afloat } from '../pieces/block';

const numbers = {
  topUnder: topUnder(2.5, [0, 8]),
  depth: here(depthHere(), 'depth', 'toeDepth'),
  width: here(practised('Width of the way', 'at the surface', 26, [10, 120]), 'widthSurface'),
  poleAhead: practised('Pole ahead', 'its middle before the jaws: half the frame and half its thickness', 6.5, [1, 16]),
  frameOverBed: frameOverBed(1, 60),
  tie: tieNumber(72),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A trap under a tied pole that makes the animal dive into it. */
export const divePole: SetType = {
  id: 'dive-pole',
  name: 'Dive pole',
  idea: 'A body-grip with its top 2 to 3 in under, a tied pole across in front and above it, cut grass laid over the pole.',
  species: ['beaver', 'otter'],
  stations: ['run', 'channel', 'slide', 'feed bed', 'point'],
  suits: [
    suit('beaver', ['channel', 'feed bed', 'run'], 2, 'deep enough for a trap under a tied pole', { when: atLeast('depth', 13) }),
    suit('beaver', ['channel', 'feed bed'], 3, 'from 13 in of water, a trap under a tied pole'),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  variants: [{ id: 'eyes', name: 'hung by a stick through the spring eyes', choices: { hanging: 'eyes' } }],
  fit: 'Hung by its springs over two uprights, or by a stick through the spring eyes. Supports end under water, so that nothing but the pole shows.',
  tools: ['setter', 'hatchet', 'wire'],
  disputed: ['A floating pole nearer than 6½ in hangs in the swing of the jaws; or a strong trap pushes it aside.'],
  faults: ['Passed over: the pole drifted; it was not tied.', 'Gone round: the uprights showed.'],
  numbers,
  seen: 'topUnder',
  choices: {
    ...anchored('tree'),
    fence: FENCE,
    notch: notchChoice('middle'),
    trigger: GRIP_TRIGGER,
    hanging: {
      label: 'Hanging',
      options: { uprights: 'springs over two uprights', eyes: 'stick through the spring eyes' },
      default: 'uprights',
    },
  },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(2.5), below: inches(8) });
    const { surface, frame, bottom, floor } = stand;
    const width = of(laying, 'width');
    const section = trench(surface, floor, width - inches(6), width);
    const eyes = laying.choices.hanging === 'eyes';
    const length = width + inches(24);
    return assemble(
      grip(laying, { ...stand, holder: eyes ? 'eyes' : 'uprights', look: eyes ? { springs: 'up' } : {} }),
      fenced(
        {
          section,
          level: surface,
          frame: { y: 0, z: bottom, across: frame, height: frame },
          species: 'beaver',
          route: 'surface',
          most: 2,
          top: surface - inches(1),
        },
        laying,
      ),
      {
        parts: [
          pole(laying.place.surface, of(laying, 'poleAhead'), length, laying.system),
          afloat('grass', 'grass', [-of(laying, 'poleAhead'), 0, follows(laying.place.surface, inches(1))], [inches(3), inches(8), width], {
            stock: 'cut grass over the pole',
          }),
        ],
        needs: [
          coverNeed(laying, {
            aim: [-3, -2],
            ...opening(frame, 'beaverAdult', { by: 'pole', ahead: of(laying, 'poleAhead'), thick: DIVE_POLE }),
          }),
        ],
        ground: line([-inches(44), floor - inches(4)], [inches(30), floor]),
        front: section,
        marks: [
          widthMark('poleAhead', 'Pole ahead', { view: 'side', z: surface + inches(7), from: 0, to: -of(laying, 'poleAhead'), grows: -1 }),
          widthMark('width', 'Width of the way', { view: 'eye', z: floor - inches(5), from: -width / 2, to: width / 2 }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(16), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },

      stands(laying, {
        numbers,
        ...stand,
        depthAt: [-inches(20), width / 2 + inches(4)],
        at: [inches(26), width / 2 + inches(10), surface + inches(4)],
        build: 'beaverAdult',
      }),
    );
  },
  orders: (at) =>
    underPole(at, {
      before: [
        once('Drive the two uprights; their tops end under water.', WADING),
        anchorStep(at, 'tree', 'Drive a stake on the bank, tie the cable.'),
      ],
      place: 'Hang it by its springs, top 2 to 3 in under',
      pole: { do: 'Tie the pole across, its middle 6½ in or more ahead of the jaws; cut grass over it.' },
    }),
};
