import { BUILDS } from '../../animals/species';
import { wetAreaShare } from '../../devices/wetAreaShare';
import { inches } from '../../units/factors';
import { assemble, type Piece } from '../design';
import { found, type Finding } from '../../words/finding';
import { trench, bedLine } from '../pieces/ground';
import { depthHere } from '../pieces/grip';
import { anchored, DRIVEN } from '../pieces/hold';
import { loopFits, shareNeed, fitsIn, IN_OPEN_WATER, loopNumbers, loopBottom, loopPiece } from '../pieces/loop';
import { SNARE_CHOICES } from '../pieces/snareCut';
import { bedOf, levelThen, type Laying, type SetType, asks, type Numbers, measured, here, suit } from '../setType';
import { loopOrder, once } from '../pieces/steps';
import { ranged, type WorkRange } from '../pieces/range';
import { under } from '../offer';
import { onBank } from '../pieces/block';
import { upright } from '../pieces/guides';
import { hangs } from '../pieces/stands';

const { loop, share, lowestUnder, pushIn, tail } = loopNumbers(10, 2 / 3);
const numbers = {
  ...{ loop, share, lowestUnder, pushIn, tail },
  depth: here(depthHere('Depth of the channel', ''), 'depth'),
  ceiling: here(measured('Ceiling above water', 'only for a roofed passage', [0, 119], -1), 'ceiling'),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A loop in a ditch pinch, a hollow or under a root, partly under water. */
export const channelSnare: SetType = {
  id: 'channel-snare',
  name: 'Channel snare',
  idea: 'A loop in a pinch of the channel, four to nine tenths of its height under water, on a stiff support.',
  species: ['beaver', 'otter'],
  stations: ['channel', 'run', 'culvert', 'crossover', 'slide'],
  suits: [
    suit('beaver', ['channel'], 1, 'the walls narrow the way', { when: under('width', 24) }),
    suit('beaver', ['channel'], 4, 'at a pinch, where the walls narrow the way'),
    suit('beaver', ['culvert'], 1, 'first the nearest lodge runs; then a loop where the walls narrow the way'),
  ],
  devices: ['snare'],
  positions: [{ id: 'snare', label: 'Snare', optional: false }],
  numbers,
  seen: 'lowestUnder',
  usual: { class: 'snare', size: '7×7 3/32' },
  variants: [{ id: 'roofed', name: 'roofed passage', choices: { passage: 'roofed' }, numbers: { ceiling: inches(9) } }],
  fit: 'A support rod of 24 in beside the loop, or a support wire braced round a root, which has little play. Lock at the side closes later, at the top at the first touch.',
  tools: ['pliers', '9 gauge wire', 'hatchet'],
  disputed: ['A thin guide each side, or the passage as it was.'],
  faults: ['Knocked aside: low, large, unloaded, or a loose support.', 'Gone round: a guide too many.'],
  choices: {
    ...anchored('root'),
    passage: {
      label: 'Passage',
      ofPlace: true,
      from: { what: 'ceiling', is: () => 'roofed' },
      options: { open: 'open above', roofed: 'roofed' },
      default: 'open',
    },
    ...SNARE_CHOICES,
  },
  layOut: (laying) => {
    const surface = levelThen(laying);
    const size = of(laying, 'loop');
    const bottom = loopBottom(laying, numbers);
    const floor = bedOf(laying) ?? bottom - inches(8);
    const guide = { y: -(size / 2 + inches(2)), foot: floor - inches(8), top: bottom + size + inches(4), thick: inches(0.75) };
    return assemble(
      loopPiece(laying, { numbers, bottom, floor, support: 'rod' }),
      {
        parts: [upright({ id: 'guide', ...guide, name: 'thin guide stick' }, laying.system)],
        needs: [shareNeed(laying, rangeOf(laying))],
        findings: [shareHere(laying, (surface - bottom) / size), ...loopFits(laying, bottom, size, 0.4)],
        ground: bedLine(floor),
        front: trench(surface, floor, size + inches(6), size + inches(12)),
        travel: [{ build: 'beaverAdult', x: -inches(14), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },
      isRoofed(laying) && roof(laying),
      hangs(laying, {
        numbers,
        size,
        bottom,
        floor,
        depthAt: [-inches(20), size / 2 + inches(5)],
        at: [inches(22), size / 2, surface + inches(6)],
      }),
    );
  },
  orders: () =>
    loopOrder(
      [
        once('Push the support in until it is stiff; brace it round a root.'),
        once('Narrow the passage with a thin stick each side, where fences are not feared.'),
      ],
      'at its height',
    ),
};

const isRoofed = (laying: Laying): boolean => laying.choices.passage === 'roofed' && laying.numbers.ceiling !== undefined;

/** Its share under water; under a roof a rise does no harm, and in less than eight inches of water they walk through, so that no share is too little. */
function rangeOf(laying: Laying): WorkRange {
  const shallow = levelThen(laying) - (bedOf(laying) ?? -Infinity) < inches(8);
  const [most, least, maybe] = [isRoofed(laying) ? null : 0.9, shallow ? null : 0.4, shallow ? null : 0.2];
  return { ...IN_OPEN_WATER, works: [least, most], perhaps: [maybe, most] };
}

function roof(laying: Laying): Piece {
  const range = ranged({ aim: [4, null], works: [0, null], perhaps: [-6, null], ends: ['goneRound', 'outOfWater'] });
  const of = { part: 'ceiling', spot: 'bottom' } as const;
  return {
    parts: [onBank('ceiling', 'ceiling', [0, 0, levelThen(laying) + (laying.numbers.ceiling ?? 0)], [inches(6), 0.8, 0.8])],
    needs: [
      { id: 'roof', device: 'snare', of, from: laying.place.surface, ...range, called: 'ceiling of the passage', origin: 'practice' },
    ],
  };
}

/** @param share of its height that is under water as it hangs */
function shareHere(laying: Laying, share: number): Finding {
  const range = rangeOf(laying);
  const loop = of(laying, 'loop');
  const values = { share: Math.min(Math.max(share, 0), 1), area: wetAreaShare(loop, share * loop) };
  const why = { roofed: isRoofed(laying), shallow: range.works[0] === null };
  return found('shareInChannel', fitsIn(share, range), 'practice', { ...values, ...why }, { id: 'share', field: 'share' });
}
