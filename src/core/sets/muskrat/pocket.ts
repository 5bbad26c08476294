import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { bed, coverFinding, panUnder, weightFinding, footholdOf } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { depthHere } from '../pieces/grip';
import { bait } from '../pieces/scent';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { bedOf, levelThen, measured, practised, type SetType, asks, type Numbers, suit, trapIn } from '../setType';
import { anchorStep, chainedOrder, once } from '../pieces/steps';
import { under } from '../offer';
import { onBank } from '../pieces/block';

const numbers = {
  panUnder: panUnder(0.5, [-1, 4]),
  depth: depthHere('Depth at the mouth', 'over the firm bottom'),
  pocketDeep: practised('Pocket into the bank', 'mouth to its back', 12, [6, 30]),
  pocketHigh: practised('Height of the hole', 'floor to roof', 6, [3, 14]),
  baitUp: practised('Back end above water', 'where the bait stays dry', 2, [0, 10], -1),
  chainEnd: measured('Depth where the chain ends', 'for the catch', [0, 80], 1),
  tie: tieNumber(24, 'trap to the stake in the water'),
  driven: DRIVEN,
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** A tunnel dug into the bank, its floor flooded, the bait dry at its back. */
export const pocket: SetType = {
  id: 'pocket',
  name: 'Pocket set',
  idea: 'A tunnel into the bank with a flooded floor and a dry back end for the bait, a small foothold at its mouth, half an inch of water over it. Root draws muskrat, flesh or fish mink and raccoon.',
  species: ['muskrat', 'mink'],
  stations: ['muskrat place', 'undercut', 'channel', 'point', 'bank den', 'bridge'],
  suits: [
    suit('muskrat', ['channel', 'point'], 1, 'root bait in a flooded pocket'),
    suit('mink', ['point', 'muskrat place'], 1, 'fish in a flooded pocket at the water’s edge'),
    suit('mink', ['channel'], 1, 'too shallow to set on the bed: fish in a flooded pocket', { when: under('depth', 8) }),
  ],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '1½' },
  variants: [{ id: 'mink', name: 'for mink: fish', choices: { bait: 'fish' } }],
  fit: 'No. 1½ for mink, No. 1 to 1½ for muskrat; no slide: the trap must weigh enough, and the chain reach water that covers the catch.',
  draws: { root: ['muskrat'], fish: ['mink', 'raccoon'], flesh: ['mink', 'raccoon'] },
  tools: ['trowel', 'hip boots', 'pliers'],
  faults: ['Bait gone, not fired: a small visitor, or the pan too heavy.', 'A raccoon: flesh draws it. Roots do not.'],
  remake: ['Fresh bait at the dry end where it is taken; silt out of the mouth.'],
  numbers,
  seen: 'panUnder',
  choices: {
    bait: { label: 'Bait', options: { root: 'root or apple', fish: 'fish', flesh: 'flesh' }, default: 'root' },
    ...anchored('stake'),
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const under = of(laying, 'panUnder');
    const build = laying.choices.bait === 'root' || laying.choices.bait === undefined ? 'muskrat' : 'mink';
    const base = surface - under - footholdOf(device.size).pan;
    const floor = Math.min(bedOf(laying) ?? base - inches(1), base);
    const deep = of(laying, 'pocketDeep');
    const high = of(laying, 'pocketHigh');
    const dry = surface + of(laying, 'baitUp');
    const mouth = inches(4);
    const roof = Math.max(surface, floor + inches(3)) + high * 0.6;
    const shelf = Math.min(dry, roof + inches(1));
    return assemble(
      bed(laying, {
        size: device.size,
        under,
        range: { aim: [-0.75, -0.25], works: [-2.5, 1], young: -2, who: 'females', ends: ['swumOver', 'bare'] },
      }),
      {
        parts: [onBank('ceiling', 'roof', [mouth + deep / 2 + inches(2), 0, roof], [inches(6), deep + inches(4), inches(14)])],
        findings: [
          weightFinding(laying, device.size, build),
          coverFinding(laying, laying.numbers.chainEnd, build),
          found('dryBait', of(laying, 'baitUp') < inches(1) ? 'warns' : 'holds', 'practice', {
            up: of(laying, 'baitUp'),
            muskrat: build === 'muskrat',
          }),
        ],
        ground: [
          [-inches(30), floor - inches(8)],
          [-inches(10), floor - inches(1)],
          [mouth, floor],
          [mouth + deep * 0.6, surface - inches(0.5)],
          [mouth + deep * 0.8, shelf],
          [mouth + deep + inches(2), shelf],
          [mouth + deep + inches(2.5), roof + inches(5)],
          [mouth + deep + inches(14), roof + inches(7)],
        ],
        front: [
          [-inches(22), roof + inches(5)],
          [-inches(4.5), roof],
          [-inches(4), floor],
          [inches(4), floor],
          [inches(4.5), roof],
          [inches(22), roof + inches(5)],
        ],
        marks: [
          widthMark('pocketDeep', 'Pocket into the bank', { view: 'side', z: floor - inches(3), from: mouth, to: mouth + deep }),
          heightMark('baitUp', 'Back end above water', { view: 'side', across: mouth + deep, from: surface, to: dry, grows: 1 }),
        ],
        travel: [{ build, x: -inches(5), z: surface - 0.07, pose: 'swims' }],
      },
      bait({
        x: mouth + deep - inches(2),
        z: shelf,
        what: laying.choices.bait === 'fish' ? 'fish' : laying.choices.bait === 'flesh' ? 'flesh' : 'root or apple',
        height: inches(1.5),
        wide: inches(2.5),
      }),
      tie(laying, {
        numbers,
        part: 'pan',
        from: [-inches(3), 0, base],
        at: [-inches(22), 0, floor - inches(2)],
        build,
        held: 'front foot',
        kind: 'drowner',
        cable: 'chain and wire',
      }),
    );
  },
  orders: (at) =>
    chainedOrder(
      at,
      [
        once('Dig the tunnel slanting up into the bank, its floor under water, its back dry.', 'Gloves: broken glass and roots.'),
        anchorStep(at, 'stake', 'Drive the stake out in the deepest water the chain reaches.', 'the chain'),
        { do: 'Bait at the dry back end; splash the bank clean of tracks.' },
      ],
      'at the mouth, half an inch of water over the pan',
    ),
};
