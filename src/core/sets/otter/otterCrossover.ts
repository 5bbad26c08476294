import { inches } from '../../units/factors';
import { assemble, widthMark } from '../design';
import { bed, panUnder, footholdOf } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { anchored } from '../pieces/hold';
import { depthHere } from '../pieces/grip';
import { flat } from '../pieces/ground';
import { GUIDE, guided, guideStep, pair } from '../pieces/guides';
import { deepGround, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { bedOf, levelThen, practised, type SetType, asks, type Numbers, here, suit, trapIn } from '../setType';
import { footholdOrder, once } from '../pieces/steps';

const numbers = {
  panUnder: panUnder(1.5, [-2, 8]),
  depth: depthHere('Depth at the bed', 'at the foot of the crossing'),
  neck: practised('Neck of land', 'water to water', 72, [24, 240]),
  trail: here(practised('Width of the trail', 'the worn way', 8, [4, 40]), 'width'),
  ...SLIDE_NUMBERS,
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** A foothold where otter cross a neck of land between two waters. */
export const otterCrossover: SetType = {
  id: 'otter-crossover',
  name: 'Otter crossover',
  blind: true,
  idea: 'A foothold on a slide wire at the foot of a worn crossing over a neck of land, two thin sticks beside it. Only in an open season.',
  species: ['otter'],
  stations: ['crossover', 'slide', 'point', 'channel'],
  suits: [suit('otter', ['crossover'], 1, 'they cross at the worn gap')],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '4' },
  fit: 'No. 3 to 5; the deep end on the side of the larger water.',
  tools: ['foothold setters', 'hatchet', 'waders'],
  faults: ['Crossed the other way: a bed at each foot of the crossing.'],
  numbers,
  seen: 'panUnder',
  choices: {
    hold: { label: 'Hold', options: { slide: 'slide wire to deep water' }, default: 'slide' },
    ...anchored('stake'),
    guide: GUIDE,
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const under = of(laying, 'panUnder');
    const neck = of(laying, 'neck');
    const trail = of(laying, 'trail');
    const base = surface - under - footholdOf(device.size).pan;
    const floor = Math.min(bedOf(laying) ?? base - inches(1.5), base);
    const hold = holdPiece(laying, { numbers, build: 'otter', held: 'front foot', bank: inches(24) });
    const half = Math.max(trail / 2, footholdOf(device.size).spread / 2) + inches(1);
    return assemble(
      bed(laying, { size: device.size, under, range: { aim: [-2, -1], works: [-6, 2], ends: ['swumOver', 'climbsElsewhere'] } }),
      hold,
      {
        parts: guided(
          laying,
          floor,
          pair(
            'guide',
            half,
            { x: inches(1), foot: floor - inches(6), top: surface + inches(12), thick: inches(0.6), name: 'thin stick' },
            laying.system,
          ),
        ),
        ground: [
          ...deepGround(laying, floor, hold),
          [-0.3, floor],
          [0.12, floor],
          [inches(14), surface + inches(2)],
          [inches(14) + neck * 0.4, surface + inches(10)],
          [inches(14) + neck * 0.8, surface + inches(3)],
          [inches(14) + neck, surface - inches(6)],
        ],
        front: flat(floor),
        marks: [
          widthMark('trail', 'Trail', { view: 'eye', z: surface + inches(14), from: -trail / 2, to: trail / 2 }),
          widthMark('neck', 'Neck of land', { view: 'side', z: surface + inches(16), from: inches(14), to: inches(14) + neck }),
        ],
        travel: [{ build: 'otter', x: -inches(6), z: Math.max(floor, surface - 0.12), pose: 'swims' }],
      },
    );
  },
  orders: (at) =>
    footholdOrder(
      at,
      [
        once('Walk the crossing: at which foot do they leave the water?'),
        once(`Pack the bed at the foot of the crossing${guideStep(at, 'a thin stick each side')}.`),
      ],
      'at the foot of the crossing',
    ),
};
