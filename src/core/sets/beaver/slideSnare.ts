import { anchored, DRIVEN } from '../pieces/hold';
import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { assemble, widthMark } from '../design';
import { depthHere } from '../pieces/grip';
import { landing, trench } from '../pieces/ground';
import { pair } from '../pieces/guides';
import { loopBottom, loopFits, loopNumbers, loopPiece, shareFinding, shareNeed, IN_OPEN_WATER } from '../pieces/loop';
import { hangs } from '../pieces/stands';
import { SNARE_CHOICES } from '../pieces/snareCut';
import { bedOf, levelThen, numberOf, practised, type SetType, type Numbers, here } from '../setType';
import { loopOrder, once } from '../pieces/steps';

const numbers = {
  ...loopNumbers(10, 0.6),
  driven: DRIVEN,
  depth: here(depthHere('Depth at the foot of the slide', 'where the slide meets the water'), 'toeDepth'),
  width: here(practised('Width at the foot of the slide', 'between what stands beside it', 18, [8, 80]), 'widthSurface'),
} satisfies Numbers;
const SHARE = IN_OPEN_WATER;

/** A loop at the toe of a slide. */
export const slideSnare: SetType = {
  id: 'slide-snare',
  name: 'Slide set, snare',
  idea: 'A loop at the foot of a slide, half to two thirds under, so that head and shoulders meet it as the animal lands.',
  species: ['beaver', 'otter'],
  stations: ['slide', 'point', 'bank den'],
  devices: ['snare'],
  positions: [{ id: 'snare', label: 'Snare', optional: false }],
  usual: { class: 'snare', size: '7×7 3/32' },
  fit: 'Support rod of 24 in, or a wire braced round a root; lock at the side.',
  tools: ['pliers', '9 gauge wire', 'hatchet'],
  faults: ['Knocked aside by what slides down: hang it beside the middle.'],
  numbers,
  seen: 'lowestUnder',
  travels: true,
  choices: { ...anchored('tree'), ...SNARE_CHOICES },
  layOut: (laying) => {
    const surface = levelThen(laying);
    const bottom = loopBottom(laying, numbers);
    const size = numberOf(laying, { numbers }, 'loop');
    const width = numberOf(laying, { numbers }, 'width');
    const floor = bedOf(laying) ?? bottom - inches(6);
    return assemble(
      loopPiece(laying, { numbers, bottom, floor, support: 'rod' }),
      {
        needs: [shareNeed(laying, SHARE)],
        parts: pair(
          'guide',
          size / 2 + inches(3),
          { foot: floor - inches(8), top: surface + inches(9), thick: inches(0.7), name: 'thin guide' },
          laying.system,
        ),
        findings: [shareFinding(laying, [bottom, size], SHARE), ...loopFits(laying, bottom, size, SHARE.aim[0])],
        ground: landing(surface, floor, { toe: inches(12), rise: inches(18) }),
        front: trench(surface, floor, width - inches(4), width),
        marks: [widthMark('width', 'Width', { view: 'eye', z: floor - inches(5), from: -width / 2, to: width / 2 })],
        travel: [{ build: 'beaverAdult', x: -inches(12), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },
      hangs(laying, {
        numbers,
        size,
        bottom,
        floor,
        depthAt: [-inches(20), width / 2 + inches(3)],
        at: [inches(26), inches(14), surface + inches(10)],
      }),
    );
  },
  orders: () =>
    loopOrder(
      [once('Push the support in beside the foot of the slide until it is stiff; a thin stick each side, where fences are not feared.')],
      'half to two thirds under',
    ),
};
