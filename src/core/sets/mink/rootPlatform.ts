import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { bed, panUnder } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { anchored } from '../pieces/hold';
import { deepGround, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { levelThen, practised, type SetType, asks, type Numbers, here, suit, trapIn } from '../setType';
import { footholdOrder, once } from '../pieces/steps';
import { onBank } from '../pieces/block';
import { line } from '../pieces/ground';

const numbers = {
  panUnder: panUnder(0.75, [-3, 4]),
  ledge: practised('Ledge', 'its width under the roots', 9, [4, 30]),
  roots: here(practised('Roots over the ledge', 'height they leave', 10, [3, 40]), 'rootsOver'),
  ...SLIDE_NUMBERS,
  chain: practised('Chain', 'trap to the lock', 8, [4, 118]),
  wire: practised('Slide wire', 'root to the deep end', 60, [20, 472]),
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** A small foothold on the ledge under a root wad. */
export const rootPlatform: SetType = {
  id: 'root-platform',
  name: 'Root platform',
  blind: true,
  idea: 'A No. 11 on the ledge under a root wad, just under water, on a slide to the pool beside it; no lure.',
  species: ['mink'],
  stations: ['undercut', 'bank den', 'log crossing'],
  suits: [suit('mink', ['undercut'], 4, 'on a ledge of roots')],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '11' },
  fit: 'No. 11 with a light pan; bedded in wet moss so that it does not rock.',
  tools: ['hip boots', 'trowel', 'wire'],
  faults: ['Rocked on the roots: a bed of gravel under it.'],
  numbers,
  seen: 'panUnder',
  choices: { hold: { label: 'Hold', options: { slide: 'slide wire to the pool' }, default: 'slide' }, ...anchored('stake') },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const under = of(laying, 'panUnder');
    const ledge = of(laying, 'ledge');
    const seat = surface - under - inches(1.2);
    const roots = seat + of(laying, 'roots');
    const half = ledge / 2;
    const hold = holdPiece(laying, { numbers, build: 'mink', held: 'front foot', bank: inches(18) });
    return assemble(
      bed(laying, {
        size: device.size,
        under,
        range: { aim: [-1, -0.5], works: [-2.5, 1], young: -2, who: 'females', ends: ['swumOver', 'bare'] },
      }),
      {
        parts: [
          onBank('ledge', 'ledge', [0, 0, seat - inches(4)], [inches(4), ledge, inches(16)]),
          onBank('root', 'wad', [inches(6), 0, roots], [inches(10), inches(26), inches(24)]),
        ],
      },
      hold,
      {
        findings: [
          found(
            'rootRoom',
            of(laying, 'roots') < inches(5) ? 'fails' : 'holds',
            'practice',
            { room: of(laying, 'roots'), shuts: of(laying, 'roots') >= inches(5) },
            { id: 'room', field: 'roots' },
          ),
        ],
        ground: [
          ...deepGround(laying, seat - inches(14), hold),
          [-half - inches(2), seat - inches(14)],
          [-half + inches(1), seat - inches(4)],
          [half, seat - inches(4)],
          [half + inches(8), surface + inches(6)],
          [half + inches(24), surface + inches(9)],
        ],
        front: line([-inches(24), seat - inches(6)], [inches(24), seat - inches(6)]),
        marks: [
          widthMark('ledge', 'Ledge', { view: 'side', z: seat - inches(7), from: -half, to: half }),
          heightMark('roots', 'Roots over the ledge', { view: 'eye', across: -inches(9), from: seat, to: roots, grows: 1 }),
        ],
        travel: [{ build: 'mink', x: -inches(6), z: surface - 0.06, pose: 'swims' }],
      },
    );
  },
  orders: (at) =>
    footholdOrder(
      at,
      [
        once('Look under the roots for the worn ledge.', 'A root wad over deep water gives way: from the water side, waders first.'),
        once('A bed of gravel and moss on the ledge.'),
      ],
      'on the ledge',
    ),
};
