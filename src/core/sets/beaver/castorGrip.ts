import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { assemble, widthMark } from '../design';
import { coverNeed, grip, gripMarks, movable, topUnder, GRIP_TRIGGER, notchChoice, stood } from '../pieces/grip';
import { landing, trench } from '../pieces/ground';
import { FENCE, fenced } from '../pieces/guides';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { mound } from '../pieces/scent';
import { measured, practised, type SetType, asks, type Numbers } from '../setType';
import { anchorStep, onItsGround, once } from '../pieces/steps';
import { opening } from '../pieces/range';

const numbers = {
  topUnder: topUnder(-3, [-9, 6]),
  depth: measured('Depth in the cut', 'water over its bottom', [0, 40], 1),
  cut: practised('Width of the cut', 'the trough', 13, [8, 40]),
  toMound: practised('Cut to the mound', 'trap to the scent', 16, [6, 60]),
  tie: tieNumber(72),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A trap in the cut before a scent mound. */
export const castorGrip: SetType = {
  id: 'castor-grip',
  name: 'Castor mound, body-grip in the cut',
  idea: 'A body-grip standing in the cut before a mound, the cut just wider than its frame. One fired empty at a mound: a foothold there next.',
  species: ['beaver'],
  stations: ['castor mound', 'slide', 'point', 'feed bed'],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  months: [1, 2, 3, 4, 5],
  fit: 'Two stakes just inside the side arms, which steady it; springs beside the frame.',
  tools: ['setter', 'spade', 'hatchet'],
  disputed: ['Fallen dry it still meets a walker; or it is no water set any more, and the catch lies exposed.'],
  faults: ['Fired empty: take a foothold there.', 'Climbed round: the cut was wider than the frame.'],
  remake: ['Scent over the old where it is washed out, or left as it is.'],
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('stake'), fence: FENCE, notch: notchChoice('middle'), trigger: GRIP_TRIGGER },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(-3), below: inches(0.5) });
    const { surface, frame, bottom, floor } = stand;
    const cut = of(laying, 'cut');
    const to = of(laying, 'toMound');
    const section = trench(Math.max(surface, bottom + frame), floor, cut, cut + inches(2));
    return assemble(
      grip(laying, { ...stand, holder: 'stakes', room: cut }),
      fenced(
        { section, level: surface, frame: { y: 0, z: bottom, across: frame, height: frame }, species: 'beaver', route: 'bed', most: 1 },
        laying,
      ),
      mound(to + inches(8), surface + inches(3)),
      {
        needs: [coverNeed(laying, { aim: [0, 3], ...opening(frame, 'beaverAdult', { by: 'nothing' }, true) })],
        ground: landing(surface, floor, { toe: inches(6), rise: inches(6) }),
        front: section,
        marks: [
          widthMark('cut', 'Cut', { view: 'eye', z: floor - inches(4), from: -cut / 2, to: cut / 2 }),
          widthMark('toMound', 'Cut to the mound', { view: 'side', z: surface + inches(14), from: 0, to }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(14), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },
      gripMarks(laying, stand.size, bottom),
      movable(laying),
      tie(laying, {
        numbers,
        part: 'jaws',
        from: [0, frame / 2, bottom + frame / 2],
        at: [inches(40), inches(16), surface + inches(6)],
        build: 'beaverAdult',
      }),
    );
  },
  orders: (at) =>
    onItsGround(
      at,
      [
        once('Cut a trough just wider than the frame; heap the mud above it.'),
        anchorStep(at, 'stake', 'Drive the stake behind the mound, tie the cable.'),
        { do: 'Scent on the mound.' },
      ],
      [{ do: 'Stand it in the cut, a stake just inside each side arm.' }],
    ),
};
