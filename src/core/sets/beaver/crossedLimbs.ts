import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { assemble, widthMark } from '../design';
import { coverNeed, depthHere, grip, topUnder, GRIP_TRIGGER, notchChoice, stood } from '../pieces/grip';
import { trench, line } from '../pieces/ground';
import { swingFinding, upright } from '../pieces/guides';
import { anchored, DRIVEN, tieNumber } from '../pieces/hold';
import { stands } from '../pieces/stands';
import { practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { anchorStep, WADING, onItsGround, once } from '../pieces/steps';
import { opening } from '../pieces/range';
import { under } from '../offer';

const numbers = {
  topUnder: topUnder(2, [-7, 8]),
  depth: here(depthHere(), 'depth', 'toeDepth'),
  width: here(practised('Width of the way', 'at the surface', 24, [10, 120]), 'widthSurface'),
  limbs: practised('Limbs show', 'their ends above water', 10, [2, 40], -1),
  tie: tieNumber(72),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);
/** The cross stands so far ahead of the jaws that neither limb is in their swing; right over them it is practised too, and wants a crossing higher up. [practice] */
const AHEAD = inches(6.5);
/** The crossing of the limbs over the jaws. */
const CROSSING = inches(1.5);

/** Two limbs crossed over a trap: the animal goes under the cross. */
export const crossedLimbs: SetType = {
  id: 'crossed-limbs',
  name: 'Crossed limbs',
  idea: 'Two limbs crossed before the trap, their ends showing: they look fallen, and the only way is under the cross. Works partly out of water as well, where the rules let it.',
  species: ['beaver'],
  stations: ['run', 'channel', 'slide', 'feed bed', 'point'],
  suits: [
    suit('beaver', ['channel', 'feed bed'], 2, 'too shallow for a dive pole: two limbs look fallen, and the way is under the cross', {
      when: under('depth', 13),
    }),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  fit: 'Springs up, wired to the limbs, hidden behind them; the cross 6 in ahead of the jaws.',
  tools: ['setter', 'hatchet', 'wire'],
  disputed: ['The cross right over the trap, high enough that the limbs stay out of the swing; or 6 in ahead of it.'],
  faults: ['A limb in the swing: the cross stood nearer than 6 in, or crossed inside the frame.'],
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('tree'), notch: notchChoice('middle'), trigger: GRIP_TRIGGER },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(2), below: inches(3) });
    const { surface, frame, bottom, floor } = stand;
    const width = of(laying, 'width');
    const top = surface + of(laying, 'limbs');
    const crossing = bottom + frame + CROSSING;
    const foot = floor - inches(6);
    // each limb runs from its foot through the crossing over the middle of the trap
    const lean = (start: number): number => (-start * (top - foot)) / (crossing - foot);
    const start = frame * 0.9;
    const limbs = ([-1, 1] as const).map((hand) =>
      upright(
        {
          id: `limb${hand < 0 ? 'L' : 'R'}`,
          x: hand < 0 ? -AHEAD : -AHEAD - inches(2),
          y: hand * start,
          foot,
          top,
          thick: inches(2),
          leansAcross: lean(hand * start),
          name: 'limb',
        },
        laying.system,
      ),
    );
    return assemble(
      grip(laying, { ...stand, holder: 'none', look: { springs: 'up' }, tiedTo: 'limbL' }),
      {
        parts: limbs,
        needs: [coverNeed(laying, { aim: [-3, -1], ...opening(frame, 'beaverAdult', { by: 'wood', over: CROSSING }, true) })],
        findings: swingFinding(limbs, { y: 0, z: bottom, across: frame, height: frame }),
        ground: line([-inches(44), floor - inches(4)], [inches(30), floor]),
        front: trench(surface, floor, width - inches(4), width),
        marks: [widthMark('width', 'Width of the way', { view: 'eye', z: floor - inches(5), from: -width / 2, to: width / 2 })],
        travel: [{ build: 'beaverAdult', x: -inches(16), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },

      stands(laying, {
        numbers,
        ...stand,
        depthAt: [-inches(20), width / 2 + inches(4)],
        at: [inches(24), width / 2 + inches(10), surface + inches(4)],
        build: 'beaverAdult',
      }),
    );
  },
  orders: (at) =>
    onItsGround(
      at,
      [
        once('Push in both limbs and cross them, 6 in or more ahead of where the jaws will stand.', WADING),
        anchorStep(at, 'tree', 'Drive a stake on the bank, tie the cable.'),
      ],
      [{ do: 'Stand it behind the cross, springs up, and wire the springs to the limbs.' }],
    ),
};
