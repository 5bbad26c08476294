import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark } from '../design';
import { bed, offset, panUnder } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { anchored } from '../pieces/hold';
import { mirrored } from '../pieces/ground';
import { deepGround, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { levelThen, practised, type SetType, asks, type Numbers, here, suit, trapIn } from '../setType';
import { footholdOrder, once } from '../pieces/steps';

const numbers = {
  panUnder: panUnder(2),
  gap: here(practised('Width of the gap', 'worn way over the crest', 16, [8, 60]), 'width'),
  offset: offset(0),
  ...SLIDE_NUMBERS,
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** A foothold where the worn way leaves the pond at the top of the dam. */
export const damCrossoverFoothold: SetType = {
  id: 'dam-crossover-foothold',
  name: 'Dam crossover, foothold at the top',
  blind: true,
  idea: 'A foothold under the pond side of the worn gap, in the middle of it; off center only where the gap is wide enough for that.',
  species: ['beaver', 'otter'],
  stations: ['crossover', 'dam'],
  suits: [suit('beaver', ['crossover'], 2, 'in a wet gap, where they climb')],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '5' },
  fit: 'No. 4 or 5; the chain to the pond side, where the water is deep.',
  tools: ['foothold setters', 'spade', 'hatchet'],
  disputed: ['At the edge of the pond, the pan up to 2 in under; or on the dry top of the gap, where no water ends it.'],
  faults: ['Stepped over: the bed lay too far from the edge of the crest.'],
  hides: ['in the pond, off the dam', 'over the far side of the dam'],
  numbers,
  seen: 'panUnder',
  choices: {
    hold: { label: 'Hold', options: { slide: 'slide wire to deep water', live: 'live restraint' }, default: 'slide' },
    ...anchored('stake'),
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const under = of(laying, 'panUnder');
    const off = of(laying, 'offset');
    const gap = of(laying, 'gap');
    const room = gap / 2 - off;
    const wants = off > inches(1);
    const narrow = wants && room < inches(5);
    const floor = surface - under - inches(3.5);
    const hold = holdPiece(laying, { numbers, build: 'beaverAdult', held: 'front foot', bank: inches(22) });
    return assemble(
      bed(laying, { size: device.size, under, y: off, range: { aim: [-2, 0], works: [-6, 4], ends: ['swumOver', 'climbsElsewhere'] } }),
      hold,
      {
        findings: [found('gapRoom', narrow ? 'fails' : 'holds', 'practice', { off, room, gap, aside: wants, narrow }, { field: 'offset' })],
        ground: [
          ...deepGround(laying, floor, hold),
          [-inches(12), floor],
          [inches(5), floor],
          [inches(12), surface + inches(2)],
          [inches(26), surface + inches(2)],
          [inches(52), surface - inches(22)],
        ],
        front: mirrored([
          [-gap / 2 - inches(20), surface + inches(7)],
          [-gap / 2, surface + inches(5)],
          [-gap / 2 + inches(2), floor],
          [gap / 2 - inches(2), floor],
          [gap / 2, surface + inches(5)],
          [gap / 2 + inches(20), surface + inches(7)],
        ]),
        marks: [widthMark('gap', 'Gap', { view: 'eye', z: surface + inches(9), from: -gap / 2, to: gap / 2 })],
        travel: [{ build: 'beaverAdult', x: -inches(8), z: surface - 0.2, pose: 'swims' }],
      },
    );
  },
  orders: (at) =>
    footholdOrder(
      at,
      [
        once('Find the main gap: worn, wet, dark and bare of poles; look from below.'),
        once('Cut the bed under the edge of the crest and pack it.', 'Do not open the crest while you dig; it floods those below.'),
      ],
      'in the middle of the gap',
    ),
};
