import { inches } from '../../units/factors';
import { assemble, widthMark } from '../design';
import { bed, panUnder, footholdOf } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { anchored } from '../pieces/hold';
import { depthHere } from '../pieces/grip';
import { flat } from '../pieces/ground';
import { deepGround, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { bedOf, levelThen, practised, type SetType, asks, type Numbers, trapIn } from '../setType';
import { footholdOrder, once } from '../pieces/steps';
import { onBank } from '../pieces/block';

const numbers = {
  panUnder: panUnder(2.5),
  depth: depthHere('Depth at the bed', 'where they come ashore'),
  toLatrine: practised('Pan before the latrine', 'along the approach', 40, [10, 200]),
  ...SLIDE_NUMBERS,
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** A foothold on a slide wire where otter come ashore to their latrine. */
export const otterLatrine: SetType = {
  id: 'otter-latrine',
  name: 'Otter latrine, foothold',
  idea: 'A foothold on a slide wire at the approach to a latrine, where they leave the water. Only in an open season.',
  species: ['otter'],
  stations: ['latrine', 'point', 'slide'],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '5' },
  fit: 'No. 3 to 5, strong springs; chain short to the lock.',
  tools: ['foothold setters', 'hatchet', 'waders'],
  faults: ['Sprung at a toe: the bed lay beside the landing, not on it.', 'In some weeks they travel small creeks: a latrine rests then.'],
  numbers,
  seen: 'panUnder',
  choices: { hold: { label: 'Hold', options: { slide: 'slide wire to deep water' }, default: 'slide' }, ...anchored('stake') },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const under = of(laying, 'panUnder');
    const to = of(laying, 'toLatrine');
    const base = surface - under - footholdOf(device.size).pan;
    const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
    const hold = holdPiece(laying, { numbers, build: 'otter', held: 'front foot', bank: inches(24) });
    return assemble(bed(laying, { size: device.size, under, range: { aim: [-3, -2], works: [-6, 0], ends: ['swumOver', 'bare'] } }), hold, {
      parts: [onBank('stones', 'latrine', [to, 0, surface + inches(7)], [inches(2), inches(14), inches(14)])],
      ground: [
        ...deepGround(laying, floor, hold),
        [-0.3, floor],
        [0.14, floor],
        [inches(14), surface + inches(1)],
        [to, surface + inches(7)],
        [to + inches(14), surface + inches(8)],
      ],
      front: flat(floor),
      marks: [widthMark('toLatrine', 'Pan before the latrine', { view: 'side', z: surface + inches(16), from: 0, to })],
      travel: [{ build: 'otter', x: -inches(6), z: Math.max(floor, surface - 0.12), pose: 'swims' }],
    });
  },
  orders: (at) =>
    footholdOrder(
      at,
      [once('Find the latrine and every way to it from the water.'), once('Pack the bed right where they land.')],
      'on the landing',
    ),
};
