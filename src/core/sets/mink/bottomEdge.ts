import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark } from '../design';
import { coverNeed, depthHere, grip, topUnder, DOG, GRIP_TRIGGER, jawOn, notchChoice, stood } from '../pieces/grip';
import { besideWall, line } from '../pieces/ground';
import { openingFindings } from '../pieces/guides';
import { anchored, DRIVEN, tieNumber } from '../pieces/hold';
import { stands } from '../pieces/stands';
import { practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { anchorStep, WADING, onTheBed, once } from '../pieces/steps';
import { reachNeed } from '../pieces/range';
import { atLeast } from '../offer';
import { onBank } from '../pieces/block';

const numbers = {
  topUnder: topUnder(8, [0, 60]),
  depth: here(depthHere('Depth at the edge', 'where wall or bank meets the bed'), 'wallDepth', 'depth'),
  offWall: practised('Frame off the wall', 'its near side', 0.5, [0, 8]),
  reach: practised('Arm can reach', 'under the surface', 30, [8, 72]),
  tie: tieNumber(48),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A trap standing on the bed where wall or bank meets it, all under. */
export const bottomEdge: SetType = {
  id: 'bottom-edge',
  name: 'Bottom edge set',
  blind: true,
  idea: 'A 160 (a 330 for otter) standing on the bed where wall or bank meets it, all under. A rise does not end it, only reaching it does: pair it with a shallow one.',
  species: ['mink', 'otter', 'muskrat'],
  stations: ['bridge', 'culvert', 'undercut', 'channel', 'point'],
  suits: [
    suit('mink', ['channel', 'undercut'], 1, 'on the bed along the edge, where it is deep enough', { when: atLeast('depth', 8) }),
    suit('mink', ['channel'], 2, 'from 8 in of water, on the bed along the edge'),
    suit('otter', ['channel', 'point'], 1, 'on the bed, where the way is deep and narrow'),
    suit('otter', ['culvert', 'bridge', 'undercut'], 1, 'on the bed along the wall'),
    suit('mink', ['culvert', 'bridge'], 2, 'deep, and no ledge to hang from'),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '160' },
  variants: [{ id: 'otter', name: '330 for otter, in season', device: { class: 'bodyGrip', size: '330' } }],
  fit: 'Two stakes through the springs; the wall steadies one side.',
  tools: ['setter', 'hip boots'],
  disputed: ['A small one for mink, or a 155 or 160 that also holds a stray otter or raccoon: where otter are closed that is a fault.'],
  faults: ['Sanded in after high water: look at it on each fall.'],
  fires: 'bent',
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('stake'), notch: notchChoice('middle'), trigger: GRIP_TRIGGER, dog: DOG, jawOn: jawOn('ground') },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(8), over: 0 });
    const { surface, frame, bottom, floor } = stand;
    const wall = frame / 2 + of(laying, 'offWall');
    const big = frame > inches(8);
    const section = besideWall(surface, floor, wall, 0);
    const said = openingFindings(
      { section, level: surface, frame: { y: 0, z: bottom, across: frame, height: frame }, species: big ? 'otter' : 'mink', route: 'bed' },
      [{ y: -frame / 2 - inches(2), thick: inches(1) }],
      big ? 'otter' : 'minkFemale',
      big ? 'otter' : 'mink',
    );
    return assemble(
      grip(laying, { ...stand, holder: 'stakes', look: { trigger: 'low' } }),
      {
        parts: [onBank('wall', 'wall', [0, wall + inches(8), floor - inches(3)], [surface - floor + inches(11), inches(44), inches(16)])],
        needs: [
          coverNeed(laying, {
            aim: [-12, -2],
            works: [-12, frame / inches(2)],
            perhaps: [null, frame / inches(2)],
            ends: ['swumOver', 'narrow'],
          }),
          reachNeed(laying, 'jaws', of(laying, 'reach')),
        ],
        findings: said.filter((f) => f.id === 'buried').concat([found('rise', 'holds', 'practice', {})]),
        ground: line([-inches(26), floor], [inches(26), floor]),
        front: besideWall(surface, floor, wall),
        marks: [
          widthMark('offWall', 'Off the wall', { view: 'eye', z: bottom + frame + inches(1.5), from: wall, to: frame / 2, grows: -1 }),
        ],
        travel: [{ build: big ? 'otter' : 'mink', x: -inches(10), z: floor, pose: 'walks' }],
      },

      stands(laying, {
        numbers,
        ...stand,
        depthAt: [-inches(18), -frame / 2 - inches(6)],
        at: [inches(20), -frame / 2 - inches(8), floor],
        build: big ? 'otter' : 'mink',
        hand: -1,
      }),
    );
  },
  orders: (at) =>
    onTheBed(
      at,
      [
        once('Feel along the foot of the wall for the clean strip they travel.', WADING),
        anchorStep(at, 'stake', 'Drive the cable’s stake downstream.'),
      ],
      'on the bed against the wall, a stake through each spring',
    ),
};
