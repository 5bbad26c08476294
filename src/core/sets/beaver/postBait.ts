import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { assemble, widthMark, heightMark } from '../design';
import { bed, panUnder, footholdOf } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { anchored } from '../pieces/hold';
import { depthHere } from '../pieces/grip';
import { flat } from '../pieces/ground';
import { crossPole, upright } from '../pieces/guides';
import { bait } from '../pieces/scent';
import { deepGround, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { bedOf, levelThen, practised, type SetType, asks, type Numbers, suit, trapIn } from '../setType';
import { fixed } from '../../water/linear';
import { found } from '../../words/finding';
import { footholdOrder, once } from '../pieces/steps';
import type { WorkRange } from '../pieces/range';
import { onBed } from '../pieces/block';

const numbers = {
  panUnder: panUnder(4),
  depth: depthHere('Depth at the post', 'water over the firm bottom before the bed is built'),
  baitHigh: practised('Bait over the pan', 'rearing height of the animal that is wanted', 23, [10, 40]),
  panToBait: practised('Pan before the bait', 'from the middle of the bait', 9, [3, 24]),
  ...SLIDE_NUMBERS,
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);
const REARS = ['beaverAdult', 'beaverTwo', 'beaverYearling'] as const;

/** Bait hung at rearing height over a foothold. */
export const postBait: SetType = {
  id: 'post-bait',
  name: 'Bait on a post',
  idea: 'A 4 ft post with bait on a swivel it cannot be pulled from, at rearing height; a stepping stick, and a foothold or two in front of it.',
  species: ['beaver'],
  stations: ['feed bed', 'point', 'slide', 'castor mound'],
  suits: [suit('beaver', ['feed bed'], 6, 'they stand up for a bait that hangs above the water', { months: [6, 12] })],
  devices: ['foothold'],
  positions: [
    { id: 'trap', label: 'Trap', optional: false },
    { id: 'second', label: 'Second trap', optional: true },
  ],
  usual: { class: 'foothold', size: '5' },
  variants: [{ id: 'pair', name: 'two footholds side by side', fills: 2 }],
  fit: 'No. 4 or 5; the post is driven so that it cannot be pulled over, the bait wired on a swivel.',
  tools: ['foothold setters', 'driver', 'pliers', 'waders'],
  faults: ['Bait gone, not fired: the bait hung too high or could be pulled loose.'],
  remake: ['Scent over the old where it is washed out, or left as it is.'],
  numbers,
  seen: 'panUnder',
  choices: {
    hold: {
      label: 'Hold',
      options: { slide: 'slide wire to deep water', live: 'live restraint', bag: 'bag of fill on a cable' },
      default: 'slide',
    },
    ...anchored('stake'),
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const second = laying.devices.second;
    const surface = levelThen(laying);
    const under = of(laying, 'panUnder');
    const pan = surface - under;
    const high = pan + of(laying, 'baitHigh');
    const to = of(laying, 'panToBait');
    const base = pan - footholdOf(device.size).pan;
    const floor = Math.min(bedOf(laying) ?? base - inches(3), base);
    const foot = floor - inches(20);
    const apart = second ? inches(6) : 0;
    const range: WorkRange = { aim: [-6, -3], works: [-10, 1], ends: ['baitWet', 'bare'] };
    const reaches = REARS.filter((key) => BUILDS[key].rears >= of(laying, 'baitHigh') - 0.02);
    const hold = holdPiece(laying, { numbers, build: 'beaverAdult', held: 'hind foot', bank: to + inches(24) });
    return assemble(
      bed(laying, { size: device.size, under, y: -apart, range }),
      second ? bed(laying, { size: second.size, under, y: apart, device: 'second', range, key: null }) : null,
      bait({ x: to, z: high - inches(3), what: 'bait on a swivel', height: inches(6), wide: inches(3) }),
      hold,
      {
        ground: [
          ...deepGround(laying, floor, hold),
          [-inches(10), floor],
          [to + inches(10), floor],
          [to + inches(34), surface + inches(5)],
        ],
        front: flat(floor),
      },
      {
        parts: [
          upright(
            { id: 'post', x: to + inches(7), foot, top: high + inches(6), thick: inches(2), kind: 'support', name: 'post' },
            laying.system,
          ),
          crossPole(
            { id: 'step', x: -inches(7), z: fixed(pan - inches(1)), length: inches(20), thick: inches(1.5), name: 'stepping stick' },
            laying.system,
          ),
          onBed('bar', 'arm', [to + inches(3.5), 0, high + inches(3.2)], [inches(0.6), inches(8), inches(0.6)], {
            stock: 'arm with swivel',
          }),
        ],
        findings: [
          found(
            'rearing',
            reaches.includes('beaverAdult') ? 'holds' : 'fails',
            'practice',
            {
              high: of(laying, 'baitHigh'),
              lower: of(laying, 'baitHigh') - BUILDS.beaverAdult.rears,
              reach: reaches.map((key) => BUILDS[key].called),
              adult: BUILDS.beaverAdult.rears,
              two: BUILDS.beaverTwo.rears,
              yearling: BUILDS.beaverYearling.rears,
            },
            { field: 'baitHigh' },
          ),
        ],
        marks: [
          heightMark('baitHigh', 'Bait over the pan', { view: 'side', across: to - inches(2), from: pan, to: high, grows: 1 }),
          widthMark('panToBait', 'Pan before the bait', { view: 'side', z: pan - inches(5), from: 0, to }),
          heightMark('baitHigh', 'Bait over the pan', { view: 'eye', across: -inches(9), from: pan, to: high, grows: 1 }),
        ],
        travel: [{ build: 'beaverAdult', x: to - inches(3), z: pan, pose: 'rears' }],
      },
    );
  },
  orders: (at) =>
    footholdOrder(
      at,
      [
        once('Drive the post until it does not give; wire the bait to its swivel.'),
        { do: 'Pack the bed in front, a stepping stick before it; turn the bait over its place.' },
      ],
      'under the bait',
    ),
};
