import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { flat, line } from '../pieces/ground';
import { BOTTOM, stakeFinding } from '../pieces/hold';
import { bait } from '../pieces/scent';
import { levelThen, practised, type SetType, asks, type Numbers, suit } from '../setType';
import { once } from '../pieces/steps';
import { always } from '../order';
import { ranged } from '../pieces/range';
import { onBank } from '../pieces/block';

const numbers = {
  overWater: practised('Ground above water', 'where it stands', 6, [0, 60], -1),
  driven: practised('Driven in', 'stake under it', 14, [4, 30]),
  offTrail: practised('Off the trail', 'middle of the trap', 12, [0, 60]),
} satisfies Numbers;
const of = asks(numbers);
const TUBE = inches(6);

/** A tube that holds a raccoon by its forepaw, on the dry trail beside the water. */
export const enclosedFoot: SetType = {
  id: 'enclosed-foot',
  name: 'Enclosed foothold',
  idea: 'A tube with the bait inside it, staked beside the dry trail along the water: only a hand that reaches in is held. About half a minute a set; rebait when soaked.',
  species: ['raccoon'],
  stations: ['bridge', 'culvert', 'point', 'channel', 'log crossing', 'undercut', 'latrine'],
  suits: [
    suit(
      'raccoon',
      ['bridge', 'culvert', 'point', 'channel', 'log crossing', 'undercut', 'latrine'],
      1,
      'a baited tube that only a hand enters',
    ),
  ],
  devices: ['enclosed'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'enclosed', size: 'pull' },
  fit: 'A pull trigger only keeps noses out; pull and push is quicker and less choosy. Staked through its own swivel.',
  tools: ['driver'],
  disputed: ['Bait first; or stake and trigger first, then bait poured in from above, no finger in the tube.'],
  faults: ['Bait soaked after rain: rebait.', 'Dug out: the stake is too short for this ground.'],
  remake: ['Dry bait where it is gone or wet; swivel free of mud.'],
  numbers,
  seen: null,
  choices: { bottom: BOTTOM },
  layOut: (laying) => {
    const surface = levelThen(laying);
    const land = surface + of(laying, 'overWater');
    const off = of(laying, 'offTrail');
    return assemble(
      {
        parts: [
          onBank('tube', 'tube', [0, off, land], [TUBE, inches(2.2), inches(2.2)], {
            device: 'trap',
            tiedTo: 'stake',
            stock: 'enclosed foothold',
          }),
          onBank('stake', 'stake', [0, off, land - of(laying, 'driven')], [of(laying, 'driven') + inches(1), inches(0.6), inches(0.6)], {
            stock: `stake ${printLength(of(laying, 'driven'), laying.system)}`,
          }),
        ],
        needs: [
          {
            id: 'dry',
            device: 'trap',
            of: { part: 'tube', spot: 'bottom' },
            from: laying.place.surface,
            ...ranged({ aim: [3, 12], works: [0, null], ends: ['baitWet', 'outOfWater'] }),
            called: 'foot of the trap',
            origin: 'practice',
          },
        ],
        findings: [stakeFinding(laying, 'raccoon'), found('rain', 'holds', 'practice', {})],
        holds: [{ kind: 'stake', device: 'trap', anchor: [0, off, land], tether: inches(10), held: 'front foot', build: 'raccoon' }],
        ground: line([-inches(34), land], [inches(16), land], [inches(22), surface], [inches(40), surface - inches(10)]),
        front: flat(land, inches(26)),
        marks: [
          heightMark('overWater', 'Ground above water', { view: 'side', across: inches(13), from: surface, to: land, grows: 1 }),
          heightMark('driven', 'Driven in', { view: 'side', across: -inches(4), from: land, to: land - of(laying, 'driven') }),
          widthMark('offTrail', 'Off the trail', { view: 'eye', z: land - inches(4), from: 0, to: off }),
        ].filter((m) => Math.hypot(m.to[0] - m.at[0], m.to[1] - m.at[1]) > 0.01),
        travel: [{ build: 'raccoon', x: -inches(6), z: land, pose: 'walks' }],
      },
      bait({ x: 0, y: off, z: land + inches(2), what: 'sweet bait', height: inches(2), wide: inches(1.4) }),
    );
  },
  orders: () =>
    always(
      once('Drive the stake beside the trail, through the swivel.'),
      { do: 'Bait at the bottom of the tube, under the trigger.' },
      { do: 'Set the trigger.', lastReach: true, caution: 'No finger in the tube from here.' },
      { do: 'Cover the mouth with a leaf, with a stick.' },
    ),
};
