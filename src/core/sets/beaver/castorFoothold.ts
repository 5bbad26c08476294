import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark, type Piece } from '../design';
import { bed, offset, offsetPiece, panUnder, FOOT, footFor, footholdOf } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { depthHere } from '../pieces/grip';
import { flat } from '../pieces/ground';
import { mound } from '../pieces/scent';
import { deepGround, HELD, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { bedOf, levelThen, practised, type Laying, type SetType, asks, type Numbers, suit, trapIn } from '../setType';
import { footholdOrder, once } from '../pieces/steps';
import { onBed } from '../pieces/block';

const numbers = {
  panUnder: panUnder(3),
  depth: depthHere('Depth at the bed', 'water over the firm bottom before the bed is built'),
  panToMound: practised('Pan before the mound', 'along the approach', 11, [4, 30]),
  offset: offset(2.5),
  berm: practised('Berm below water', 'top of the low berm in front of the bed', 4, [0, 12], 1),
  ...SLIDE_NUMBERS,
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** How far before the pan the berm lies: a forefoot is planted behind it. [practice] */
const BERM_AHEAD = inches(9);

/** The low berm that meets the breast, so that the forefeet are planted on the bed behind it. */
function berm(laying: Laying, floor: number): Piece {
  const surface = levelThen(laying);
  const under = of(laying, 'berm');
  const height = Math.max(surface - under - floor, inches(0.5));
  const { swims, called } = BUILDS.beaverAdult;
  const meets = under < swims - inches(1);
  return {
    parts: [onBed('mound', 'berm', [-BERM_AHEAD, 0, floor], [height, inches(8), inches(20)])],
    marks:
      under < 0.003
        ? []
        : [heightMark('berm', 'Berm below water', { view: 'side', across: -BERM_AHEAD, from: surface, to: surface - under })],
    findings: [
      found(
        'berm',
        meets ? 'holds' : 'warns',
        'practice',
        { under, meets, swims, called, ahead: BERM_AHEAD, raise: under - swims + inches(3) },
        { field: 'berm' },
      ),
    ],
  };
}

/** A foothold bedded in the approach to a scent mound, on a slide to deep water or on a live hold. */
export const castorFoothold: SetType = {
  id: 'castor-foothold',
  name: 'Castor mound foothold',
  idea: 'A foothold in the trough before a scent mound, its pan under water, on a slide to deep water or a live restraint.',
  species: ['beaver', 'otter'],
  stations: ['castor mound', 'slide', 'point', 'bank den', 'feed bed'],
  suits: [
    suit('beaver', ['castor mound', 'point', 'slide'], 1, 'they answer a strange scent from late winter to spring', { months: [1, 5] }),
  ],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '4' },
  variants: [
    { id: 'live', name: 'live restraint', choices: { hold: 'live' } },
    { id: 'tangle', name: 'tangle stake', choices: { hold: 'tangle' } },
  ],
  months: [1, 2, 3, 4, 5],
  fit: 'No. 4 or 5 with a pan of about 5 lb; chain 14 in to the lock, two swivels. Loose jaw to the middle of the approach.',
  tools: ['foothold setters', 'hatchet', 'spade', 'waders'],
  disputed: [
    'Front foot, shallow and near the center; or hind foot, deeper and farther out.',
    'January to May only; or in fall and winter too.',
    'Bag or tangle stake in place first; or drawn out after bedding.',
  ],
  faults: [
    'A toe or a pinch: the bed rocked or was too shallow.',
    'Gone round: the mound can be reached from the side.',
    'Castor refused: beaver oil, sparingly.',
  ],
  remake: ['Scent over the old where it is washed out, or left as it is; slick the bank so that it differs from the torn ground.'],
  numbers,
  seen: 'panUnder',
  choices: {
    ...HELD,
    side: {
      label: 'Bed on the side',
      ofPlace: true,
      options: { still: 'still water, either', left: 'the current pushes to the left', right: 'the current pushes to the right' },
      default: 'still',
    },
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const under = of(laying, 'panUnder');
    const off = of(laying, 'offset') * (laying.choices.side === 'left' ? -1 : 1);
    const surface = levelThen(laying);
    const to = of(laying, 'panToMound');
    const hold = holdPiece(laying, { numbers, build: 'beaverAdult', held: 'front foot' });
    const base = surface - under - footholdOf(device.size).pan;
    const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
    return assemble(
      bed(laying, { size: device.size, under, y: off, range: FOOT[footFor(under)].range }),
      offsetPiece(laying, Math.abs(off), under, 'front'),
      berm(laying, floor),
      mound(to + inches(8), surface + inches(1), { stock: 'castor and mud' }),
      hold,
      {
        ground: [
          ...deepGround(laying, floor, hold),
          [-0.3, floor],
          [0.15, floor],
          [to, surface + inches(1)],
          [to + inches(26), surface + inches(4)],
        ],
        front: flat(floor),
        marks: [widthMark('panToMound', 'Pan before the mound', { view: 'side', z: surface + inches(11), from: 0, to })],
        travel: [{ build: 'beaverAdult', x: -inches(8), z: Math.max(floor, surface - 0.2), pose: 'swims' }],
      },
    );
  },
  orders: (at) =>
    footholdOrder(
      at,
      [
        once('Cut the trough, heap mud and leaves above it, leave a low berm in front.'),
        { do: 'Pack the platform until it does not give, sticks under it in soft mud; close the side gaps.' },
        { do: 'Lure low beside the trough.' },
      ],
      'on the side the current pushes toward; in still water either',
      true,
    ),
};
