import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark } from '../design';
import { landing, line } from '../pieces/ground';
import { anchored, DRIVEN, tie } from '../pieces/hold';
import { hangable, loopBottom, loopNumbers, loopPiece, shareFinding, shareNeed } from '../pieces/loop';
import { mound } from '../pieces/scent';
import { SNARE_CHOICES } from '../pieces/snareCut';
import { bedOf, levelThen, numberOf, practised, type SetType, type Numbers } from '../setType';
import { loopOrder, once } from '../pieces/steps';

const numbers = {
  ...loopNumbers(10, 0.15),
  mound: practised('Mound behind the loop', 'loop to the scent', 21, [6, 60]),
  driven: DRIVEN,
} satisfies Numbers;
/** Dry it hangs over the slick as well; from a third on the sides of the trough are drowned. */
const SHARE = { aim: [0, 0.2], works: [null, 0.3], perhaps: [null, 0.6], ends: ['pushedAside', 'goneRound'] } as const;

/** A standing loop whose lowest point meets the surface, before a slick to a mound. */
export const castorSlickSnare: SetType = {
  id: 'castor-slick-snare',
  name: 'Castor mound, slick snare',
  idea: 'A vertical loop whose lowest point meets the surface at the foot of a slicked way to a mound 18 to 24 in up; no fence.',
  species: ['beaver'],
  stations: ['castor mound', 'slide', 'point', 'feed bed'],
  devices: ['snare'],
  positions: [{ id: 'snare', label: 'Snare', optional: false }],
  usual: { class: 'snare', size: '7×7 3/32' },
  months: [1, 2, 3, 4, 5],
  fit: 'The post beside the slick drives the earth anchor and then carries the loop: one piece of gear, not two; the lock at the side, so that head and shoulders pass it first.',
  tools: ['pliers', '9 gauge wire', 'spade', 'anchor driver'],
  disputed: [
    'Fallen dry it still meets a walker; or it is no water set any more, and the catch lies exposed.',
    'Scent before the last touch of the loop; or last, with a stick.',
  ],
  faults: ['Scent taken without meeting the loop: the mound was too near.', 'Knocked: the loop was too low.'],
  remake: ['Slick the bank again so that it differs from the torn ground; scent over the old where it is washed out, or left as it is.'],
  numbers,
  seen: 'lowestUnder',
  travels: true,
  choices: { ...anchored('stake'), ...SNARE_CHOICES },
  layOut: (laying) => {
    const surface = levelThen(laying);
    const bottom = loopBottom(laying, numbers);
    const size = numberOf(laying, { numbers }, 'loop');
    const back = numberOf(laying, { numbers }, 'mound');
    const floor = bedOf(laying) ?? Math.min(bottom, surface) - inches(5);
    const near = back < inches(18) - 1e-6;
    return assemble(
      loopPiece(laying, { numbers, bottom, floor, support: 'post' }),
      mound(back + inches(8), surface + inches(6)),
      {
        needs: [shareNeed(laying, SHARE)],
        findings: [
          shareFinding(laying, [bottom, size], SHARE),
          found('mound', near || back > inches(24) + 1e-6 ? 'warns' : 'holds', 'practice', { back, near }),
        ],
        ground: landing(surface, floor, { toe: inches(3), rise: inches(9) }),
        front: line([-inches(28), surface + inches(1)], [-inches(8), floor], [inches(8), floor], [inches(28), surface + inches(1)]),
        marks: [widthMark('mound', 'Mound behind the loop', { view: 'side', z: surface + inches(18), from: 0, to: back })],
        travel: [{ build: 'beaverAdult', x: -inches(12), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },
      hangable(laying),
      tie(laying, {
        numbers,
        device: 'snare',
        part: 'loop',
        from: [0, size / 2, bottom + size * 0.9],
        at: [inches(44), inches(18), surface + inches(9)],
        build: 'beaverAdult',
        cable: 'tail and extension',
      }),
    );
  },
  orders: () =>
    loopOrder(
      [
        once('Cut and slick a trough; heap mud and leaves 18 to 24 in above the water.'),
        once('Push in the support beside the slick until it is stiff.'),
      ],
      'with its lowest point at the surface',
      [{ do: 'Scent on the mound with a stick, from the side. No fence.' }],
    ),
};
