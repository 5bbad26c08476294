import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { assemble, widthMark } from '../design';
import { coverNeed, depthHere, frameOverBed, grip, topUnder, GRIP_TRIGGER, notchChoice, stood } from '../pieces/grip';
import { landing, trench } from '../pieces/ground';
import { FENCE, fenced } from '../pieces/guides';
import { anchored, DRIVEN, tieNumber } from '../pieces/hold';
import { stands } from '../pieces/stands';
import { practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { anchorStep, onItsGround, once } from '../pieces/steps';
import { opening } from '../pieces/range';
import { onBank } from '../pieces/block';

const numbers = {
  topUnder: topUnder(-1, [-8, 12]),
  depth: depthHere('Depth where they land', 'water over the bed'),
  width: here(practised('Width of the landing', 'between what stands beside it', 18, [8, 80]), 'widthSurface', 'width'),
  toLatrine: practised('Trap to the latrine', 'along the approach', 36, [10, 200]),
  frameOverBed: frameOverBed(1),
  tie: tieNumber(72),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A 330 where otter must leave the water for their latrine. */
export const latrineApproach: SetType = {
  id: 'latrine-approach',
  name: 'Latrine approach, body-grip',
  idea: 'A 330 where otter must leave the water for a latrine, its top just above water, the sides closed with what grows there. Only in an open season.',
  species: ['otter'],
  stations: ['latrine', 'point', 'crossover'],
  suits: [suit('otter', ['latrine'], 1, 'on the way from the water to the latrine')],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  fit: 'A stand or rods; springs beside the frame; trigger wires spread wide, since an otter is thin.',
  tools: ['setter', 'hatchet', 'waders'],
  faults: ['Slipped through: trigger bunched in the middle.'],
  fires: 'bent',
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('stake'), fence: FENCE, notch: notchChoice('middle'), trigger: GRIP_TRIGGER },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(-1), over: of(laying, 'frameOverBed') });
    const { surface, frame, bottom, floor } = stand;
    const width = of(laying, 'width');
    const to = of(laying, 'toLatrine');
    const section = trench(surface, floor, width - inches(2), width);
    return assemble(
      grip(laying, { ...stand, holder: 'rods', room: width, look: { trigger: 'spread' } }),
      fenced(
        { section, level: surface, frame: { y: 0, z: bottom, across: frame, height: frame }, species: 'otter', route: 'surface', most: 2 },
        laying,
      ),
      {
        parts: [onBank('stones', 'latrine', [to, 0, surface + inches(7)], [inches(2), inches(14), inches(14)])],
        needs: [coverNeed(laying, { aim: [0, 1], ...opening(frame, 'otter', { by: 'nothing' }, true) })],
        ground: [
          ...landing(surface, floor, { toe: inches(12), rise: inches(7) }).slice(0, 4),
          [to, surface + inches(7)],
          [to + inches(14), surface + inches(8)],
        ],
        front: section,
        marks: [
          widthMark('width', 'Landing', { view: 'eye', z: floor - inches(4), from: -width / 2, to: width / 2 }),
          widthMark('toLatrine', 'Trap to the latrine', { view: 'side', z: surface + inches(16), from: 0, to }),
        ],
        travel: [{ build: 'otter', x: -inches(12), z: surface - BUILDS.otter.swims, pose: 'swims' }],
      },

      stands(laying, {
        numbers,
        ...stand,
        depthAt: [-inches(20), width / 2 + inches(2)],
        at: [inches(22), width / 2 + inches(8), surface + inches(4)],
        build: 'otter',
      }),
    );
  },
  orders: (at) =>
    onItsGround(
      at,
      [once('Find where they must leave the water.'), anchorStep(at, 'stake', 'Drive the stake beside the landing, tie the cable.')],
      [{ do: 'Stand it in the landing, rods through the springs; close the sides with what grows there.' }],
    ),
};
