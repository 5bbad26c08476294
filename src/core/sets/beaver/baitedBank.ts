import { inches } from '../../units/factors';
import { assemble, widthMark } from '../design';
import { bed, offset, offsetPiece, panUnder, footholdOf } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { depthHere } from '../pieces/grip';
import { flat, landing } from '../pieces/ground';
import { bait } from '../pieces/scent';
import { deepGround, HELD, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { bedOf, levelThen, practised, type SetType, asks, type Numbers, suit, trapIn } from '../setType';
import { footholdOrder, once } from '../pieces/steps';

const numbers = {
  panUnder: panUnder(3),
  depth: depthHere('Depth at the bed', 'water over the firm bottom before the bed is built'),
  panToBait: practised('Pan before the sticks', 'along the approach', 12, [4, 40]),
  offset: offset(2.5),
  ...SLIDE_NUMBERS,
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** Peeled sticks on the bank instead of a mound, outside the mating months. */
export const baitedBank: SetType = {
  id: 'baited-bank',
  name: 'Baited bank',
  idea: 'Partly peeled sticks on the bank instead of a mound, a foothold where the forefeet land.',
  species: ['beaver'],
  stations: ['castor mound', 'slide', 'point', 'feed bed', 'bank den'],
  suits: [
    suit('beaver', ['castor mound', 'point'], 1, 'outside the mating months peeled sticks draw more than scent', { months: [6, 12] }),
    suit('beaver', ['slide', 'feed bed'], 5, 'outside the mating months peeled sticks draw more than scent', { months: [6, 12] }),
  ],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '4' },
  months: [6, 7, 8, 9, 10, 11, 12],
  fit: 'No. 4 or 5; pan of about 5 lb.',
  tools: ['foothold setters', 'hatchet', 'waders'],
  faults: ['Sticks taken from the side: fan them so that one place is left to land.'],
  remake: ['Fresh peeled sticks where they are gone; old ones thrown in the water.'],
  numbers,
  seen: 'panUnder',
  choices: { ...HELD },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const under = of(laying, 'panUnder');
    const to = of(laying, 'panToBait');
    const base = surface - under - footholdOf(device.size).pan;
    const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
    const hold = holdPiece(laying, { numbers, build: 'beaverAdult', held: 'front foot', bank: inches(30) });
    return assemble(
      bed(laying, {
        size: device.size,
        under,
        y: of(laying, 'offset'),
        range: { aim: [-4, -2], works: [-6, 0], ends: ['swumOver', 'bare'] },
      }),
      offsetPiece(laying, of(laying, 'offset'), under, 'front'),
      ...[-1, 0, 1].map((k) =>
        bait({
          id: `peeled${k + 2}`,
          x: to + inches(7),
          y: k * inches(6),
          z: surface + inches(2),
          what: 'peeled sticks of two woods',
          woody: true,
          height: inches(6),
          wide: inches(14),
        }),
      ),
      hold,
      { ground: [...deepGround(laying, floor, hold), ...landing(surface, floor, { toe: to - inches(2) }).slice(1)], front: flat(floor) },
      {
        marks: [widthMark('panToBait', 'Pan before the sticks', { view: 'side', z: surface + inches(12), from: 0, to })],
        travel: [{ build: 'beaverAdult', x: -inches(8), z: Math.max(floor, surface - 0.2), pose: 'swims' }],
      },
    );
  },
  orders: (at) =>
    footholdOrder(
      at,
      [once('Cut a landing; pack the bed.'), { do: 'Fan the peeled sticks above it, some with their ends in the water.' }],
      'where the forefeet land',
    ),
};
