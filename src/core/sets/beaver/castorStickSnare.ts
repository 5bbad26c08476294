import { anchored, DRIVEN } from '../pieces/hold';
import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { assemble, widthMark, heightMark } from '../design';
import { depthHere } from '../pieces/grip';
import { bedLine, line } from '../pieces/ground';
import { upright, pair } from '../pieces/guides';
import { loopBottom, loopFits, loopNumbers, loopPiece, proudNeed, shareFinding, shareNeed, IN_OPEN_WATER } from '../pieces/loop';
import { bait } from '../pieces/scent';
import { hangs } from '../pieces/stands';
import { SNARE_CHOICES } from '../pieces/snareCut';
import { bedOf, levelThen, numberOf, practised, type SetType, type Numbers } from '../setType';
import { loopOrder, once } from '../pieces/steps';

const numbers = {
  ...loopNumbers(10, 0.6),
  depth: depthHere(),
  behind: practised('Scent stick behind', 'loop to the stick', 24, [6, 60]),
  driven: DRIVEN,
} satisfies Numbers;
const SHARE = IN_OPEN_WATER;

/** A loop standing in the water with a scented stick behind it. */
export const castorStickSnare: SetType = {
  id: 'castor-stick-snare',
  name: 'Castor stick snare',
  idea: 'A loop standing in the water, half to two thirds under, a stick each side, a scented stick 2 ft behind it, the anchor driven beside it.',
  species: ['beaver'],
  stations: ['castor mound', 'point', 'slide', 'channel', 'feed bed'],
  devices: ['snare'],
  positions: [{ id: 'snare', label: 'Snare', optional: false }],
  usual: { class: 'snare', size: '7×7 3/32' },
  months: [1, 2, 3, 4, 5],
  fit: 'Support rod in the bed; lock at the side; the top of the loop at least 2 in above water.',
  tools: ['pliers', '9 gauge wire', 'waders'],
  faults: ['Passed from the other side: the stick must be reached through the loop.'],
  remake: ['Scent on the stick over the old where it is taken or washed out; or left as it is.'],
  numbers,
  seen: 'lowestUnder',
  travels: true,
  choices: { ...anchored('stake'), ...SNARE_CHOICES },
  layOut: (laying) => {
    const surface = levelThen(laying);
    const bottom = loopBottom(laying, numbers);
    const size = numberOf(laying, { numbers }, 'loop');
    const behind = numberOf(laying, { numbers }, 'behind');
    const floor = bedOf(laying) ?? bottom - inches(8);
    return assemble(
      loopPiece(laying, { numbers, bottom, floor, support: 'rod' }),
      {
        needs: [shareNeed(laying, SHARE), proudNeed(laying, 2, 1)],
        parts: [
          ...pair(
            'side',
            size / 2 + inches(3),
            { foot: floor - numberOf(laying, { numbers }, 'pushIn'), top: surface + inches(10), thick: inches(0.8), name: 'side stick' },
            laying.system,
          ),
          upright(
            { id: 'scentStick', x: behind, foot: floor - inches(10), top: surface + inches(14), thick: inches(1), name: 'scent stick' },
            laying.system,
          ),
        ],
        findings: [shareFinding(laying, [bottom, size, inches(2)], SHARE), ...loopFits(laying, bottom, size, SHARE.aim[0])],
        ground: bedLine(floor, -inches(44), inches(48)),
        front: line([-inches(30), floor], [inches(30), floor]),
        marks: [
          widthMark('behind', 'Scent stick behind', { view: 'side', z: surface + inches(16), from: 0, to: behind }),
          heightMark(null, 'Top of the loop on its rod, above the bed', {
            view: 'eye',
            across: size / 2 + inches(9),
            from: floor,
            to: bottom + size,
            grows: 1,
          }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(12), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },
      bait({ x: behind, z: surface + inches(11), what: 'castor lure', supply: 'lure', height: inches(3), wide: inches(2), id: 'scent' }),
      hangs(laying, {
        numbers,
        size,
        bottom,
        floor,
        depthAt: [-inches(20), inches(18)],
        at: [inches(44), inches(16), surface + inches(2)],
      }),
    );
  },
  orders: () =>
    loopOrder(
      [
        once('Push in the support, and a stick each side of the loop to come.'),
        { do: 'Scent stick 2 ft behind, reached only through the loop.' },
      ],
      'half to two thirds under',
    ),
};
