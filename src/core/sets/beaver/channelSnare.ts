import { BUILDS } from '../../animals/species';
import { wetAreaShare } from '../../devices/wetAreaShare';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { assemble, widthMark, type Piece } from '../design';
import { found, type Finding } from '../../words/finding';
import { trench } from '../pieces/ground';
import { depthMarks } from '../pieces/grip';
import { anchored, DRIVEN, tie } from '../pieces/hold';
import { loopFits, shareNeed, fitsIn, IN_OPEN_WATER } from '../pieces/loop';
import { cableFinding, isCut, lockFinding, SNARE_CHOICES, snareSupplies, type SnareCut } from '../pieces/snareCut';
import { bedOf, levelThen, type Laying, type SetType, asks, type Numbers, practised, measured, here, suit } from '../setType';
import { loopOrder, once } from '../pieces/steps';
import { ranged, type WorkRange } from '../pieces/range';
import { under } from '../offer';
import { onBank, onBed } from '../pieces/block';

const numbers = {
  loop: practised('Loop', 'inside diameter', 10, [4, 16]),
  share: {
    label: 'Loop below water',
    help: 'share of its height, as set',
    unit: 'share',
    default: 2 / 3,
    min: 0,
    max: 1,
    origin: 'practice',
  },
  lowestUnder: measured('Lowest point below water', 'instead of the share, as seen: 0 is at the surface', [-20, 40], 1),
  depth: here(
    { label: 'Depth of the channel', help: 'water over the bed', unit: 'length', min: 0, max: 3, origin: 'measured', withLevel: 1 },
    'depth',
  ),
  pushIn: { label: 'Support pushed in', help: 'into the bed', unit: 'length', default: inches(10), min: 0, max: 1, origin: 'practice' },
  ceiling: here(measured('Ceiling above water', 'only for a roofed passage', [0, 119], -1), 'ceiling'),
  tail: practised('Tail and extension', 'lock to anchor', 84, [12, 237]),
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
    return assemble(
      {
        parts: loopParts(laying),
        ground: [-0.9, 0.7].map((x): [number, number] => [x, bedOf(laying) ?? lowest(laying) - inches(8)]),
        needs: needs(laying),
        free: [{ device: 'snare', say: { down: 'Lower the loop', up: 'Raise the loop' }, floor: bedOf(laying) }],
        findings: [
          area(laying),
          cableFinding(laying, cutOf(laying)),
          ...lockFinding(laying),
          ...loopFits(laying, lowest(laying), of(laying, 'loop'), 0.4),
        ],
      },
      drawn(laying),
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

const cutOf = (laying: Laying): SnareCut => ({
  loop: of(laying, 'loop'),
  tail: of(laying, 'tail'),
  size: laying.devices.snare?.size ?? '7×7 3/32',
});

function drawn(laying: Laying): Piece {
  const surface = levelThen(laying);
  const bottom = lowest(laying);
  const loop = of(laying, 'loop');
  const floor = bedOf(laying) ?? bottom - inches(8);
  return assemble(
    {
      front: trench(surface, floor, loop + inches(6), loop + inches(12)),
      marks: [widthMark('loop', 'Loop', { view: 'eye', z: bottom + loop / 2, from: -loop / 2, to: loop / 2 })],
      travel: [{ build: 'beaverAdult', x: -inches(14), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      supplies: [...snareSupplies(laying, cutOf(laying)), { kind: 'wire', what: '9 gauge support wire', amount: inches(24) }],
    },
    depthMarks(laying, floor, -inches(20), loop / 2 + inches(5)),
    tie(laying, {
      numbers,
      device: 'snare',
      part: 'loop',
      from: [0, loop / 2, bottom + loop * 0.9],
      at: [inches(22), loop / 2, surface + inches(6)],
      build: 'beaverAdult',
      cable: 'tail and extension',
    }),
  );
}

function lowest(laying: Laying): number {
  const seen = laying.numbers.lowestUnder;
  const under = seen ?? of(laying, 'share') * of(laying, 'loop');
  return levelThen(laying) - under;
}

const isRoofed = (laying: Laying): boolean => laying.choices.passage === 'roofed' && laying.numbers.ceiling !== undefined;

/** Its share under water; under a roof a rise does no harm, and in less than eight inches of water they walk through, so that no share is too little. */
function rangeOf(laying: Laying): WorkRange {
  const shallow = levelThen(laying) - (bedOf(laying) ?? -Infinity) < inches(8);
  const [most, least, maybe] = [isRoofed(laying) ? null : 0.9, shallow ? null : 0.4, shallow ? null : 0.2];
  return { ...IN_OPEN_WATER, works: [least, most], perhaps: [maybe, most] };
}

function needs(laying: Laying): Need[] {
  const share = shareNeed(laying, rangeOf(laying));
  if (!isRoofed(laying)) return [share];
  const roof: Need = {
    id: 'roof',
    device: 'snare',
    of: { part: 'ceiling', spot: 'bottom' },
    from: laying.place.surface,
    ...ranged({ aim: [4, null], works: [0, null], perhaps: [-6, null], ends: ['goneRound', 'outOfWater'] }),
    called: 'ceiling of the passage',
    origin: 'practice',
  };
  return [share, roof];
}

function loopParts(laying: Laying): Part[] {
  const loop = of(laying, 'loop');
  const bottom = lowest(laying);
  const floor = bedOf(laying) ?? bottom - inches(8);
  const pushIn = of(laying, 'pushIn');
  const tall = bottom + loop + inches(4) - floor + pushIn;
  const roof: Part[] = isRoofed(laying)
    ? [onBank('ceiling', 'ceiling', [0, 0, levelThen(laying) + (laying.numbers.ceiling ?? 0)], [inches(6), 0.8, 0.8])]
    : [];
  return [
    onBed('loop', 'loop', [0, 0, bottom], [loop, 0.02, loop], {
      device: 'snare',
      tiedTo: 'anchor',
      ...(isCut(laying) ? {} : { stock: `snare ${cutOf(laying).size}` }),
    }),
    onBed('support', 'support', [0.04, loop / 2 + inches(1), floor - pushIn], [tall, inches(0.5), inches(0.5)], {
      stock: `support ${printLength(tall, laying.system)}`,
    }),
    onBed('stick', 'guide', [0, -(loop / 2 + inches(2)), floor - inches(8)], [tall - pushIn + inches(8), inches(0.75), inches(0.75)], {
      stock: 'thin guide stick',
    }),
    ...roof,
  ];
}

function area(laying: Laying): Finding {
  const loop = of(laying, 'loop');
  const under = levelThen(laying) - lowest(laying);
  const share = under / loop;
  const range = rangeOf(laying);
  const values = {
    share: Math.min(Math.max(share, 0), 1),
    area: wetAreaShare(loop, under),
    roofed: isRoofed(laying),
    shallow: range.works[0] === null,
  };
  return found('shareInChannel', fitsIn(share, range), 'practice', values, { id: 'share', field: 'share' });
}
