import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { coverNeed, grip, jawsBottom, DOG, jawOn, notchChoice, openingOf } from '../pieces/grip';
import { pair } from '../pieces/guides';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { bait } from '../pieces/scent';
import { levelThen, practised, type SetType, asks, type Numbers, trapIn } from '../setType';
import { anchorStep, feelSwing, hooksOff, once, setGrip } from '../pieces/steps';
import { always } from '../order';
import { onBank } from '../pieces/block';
import { line } from '../pieces/ground';

const numbers = {
  topUnder: practised('Top below water', 'negative: the jaws stand above water', -7, [-40, 3], 1),
  hollow: practised('Hollow', 'mouth to its back', 14, [6, 40]),
  wide: practised('Width of the hollow', 'between the stones', 7, [5, 20]),
  tie: tieNumber(36),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A trap at the mouth of a hollow of stones with bait behind. */
export const cubby: SetType = {
  id: 'cubby',
  name: 'Cubby set',
  idea: 'A 120 with a centered pan trigger at the mouth of a stone hollow, bait behind; sticks through the springs also close the space above, moss at the sides.',
  species: ['mink', 'raccoon'],
  stations: ['undercut', 'bridge', 'point', 'latrine', 'culvert'],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '120' },
  fit: 'A pan trigger in the middle; lower jaw on two sticks so that the dog hangs free and nothing freezes down.',
  tools: ['setter', 'wire', 'gloves', 'trowel'],
  faults: [
    'Bait gone, not fired: trigger too firm for a small visitor, where that species is open.',
    'Frozen to the stones: the lower jaw lay on them.',
  ],
  remake: ['Fresh bait where the old is taken or spoiled; moss closed again.'],
  fires: 'pan',
  numbers,
  seen: 'topUnder',
  seenAt: 'top',
  choices: { ...anchored('stake'), notch: { ...notchChoice('middle'), default: 'light' }, dog: DOG, jawOn: jawOn('sticks') },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const frame = openingOf(device.size);
    const bottom = jawsBottom(laying, device.size, inches(-7));
    const floor = bottom - inches(0.7);
    const deep = of(laying, 'hollow');
    const wide = Math.max(of(laying, 'wide'), inches(5));
    const roof = bottom + frame + inches(1.5);
    const side = (id: string, y: number) => onBank('stones', id, [deep / 2, y, floor], [frame + inches(3), deep, inches(7)]);
    return assemble(
      grip(laying, { size: device.size, bottom, floor, holder: 'none', bearer: 'bank', look: { trigger: 'pan', springs: 'side' } }),
      {
        parts: [
          side('stonesL', -wide / 2 - inches(3.5)),
          side('stonesR', wide / 2 + inches(3.5)),
          onBank('stones', 'roof', [deep / 2 + inches(1), 0, roof], [inches(5), deep + inches(4), wide + inches(14)]),
          ...pair(
            'stick',
            frame / 2 + inches(1.8),
            { foot: floor - inches(4), top: roof + inches(1), thick: inches(0.5), bearer: 'bank', name: 'stick through the spring' },
            laying.system,
          ),
          onBank('log', 'rest', [0, 0, floor], [inches(0.6), inches(0.6), frame + inches(3)], { stock: 'two small sticks under the jaw' }),
        ],
        needs: [coverNeed(laying, { spot: 'bottom', aim: [1, 6], works: [-1, null], ends: ['baitWet', 'outOfWater'] })],
        free: [{ device: 'trap', say: { down: 'Lower it', up: 'Raise it' }, floor: null }],
        findings: [
          found(
            'moss',
            wide - frame > inches(4) ? 'warns' : 'holds',
            'practice',
            { side: (wide - frame) / 2, much: wide - frame > inches(4) },
            { id: 'sides' },
          ),
        ],
        ground: [
          [-inches(30), Math.min(surface - inches(8), floor - inches(2))],
          [-inches(8), floor],
          [deep, floor],
          [deep + inches(1), roof + inches(4)],
          [deep + inches(16), roof + inches(6)],
        ],
        front: line([-inches(24), floor], [inches(24), floor]),
        marks: [
          widthMark('hollow', 'Hollow', { view: 'side', z: floor - inches(3), from: 0, to: deep }),
          widthMark('wide', 'Width', { view: 'eye', z: floor - inches(2.5), from: -wide / 2, to: wide / 2 }),
          heightMark('topUnder', 'Top above water', { view: 'side', across: -inches(4), from: surface, to: bottom + frame, grows: -1 }),
        ],
        travel: [{ build: 'mink', x: -inches(7), z: floor, pose: 'walks' }],
      },
      bait({ x: deep - inches(3), z: floor, what: 'flesh or fish', height: inches(2), wide: inches(3) }),
      tie(laying, { numbers, part: 'jaws', from: [0, frame / 2, bottom], at: [-inches(14), wide / 2 + inches(12), floor], build: 'mink' }),
    );
  },
  orders: (at) =>
    always(
      once('Build or find the hollow; floor it so that nothing freezes down.'),
      { do: 'Bait at its back; two small rest sticks at the mouth.' },
      anchorStep(at, 'stake', 'Wire the chain to a stake.', 'the chain'),
      setGrip(at),
      { do: 'Stand it on its sticks, sticks through the springs; moss at the sides and above.' },
      hooksOff(at, 'once it stands'),
      feelSwing,
    ),
};
