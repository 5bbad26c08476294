import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { coverNeed, grip, jawsBottom, jawOn, notchChoice, openingOf } from '../pieces/grip';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { bait } from '../pieces/scent';
import { levelThen, practised, type SetType, asks, type Numbers, trapIn } from '../setType';
import { hooksOff, once, setGrip } from '../pieces/steps';
import { always } from '../order';
import { onBank } from '../pieces/block';
import { line } from '../pieces/ground';

const numbers = {
  topUnder: practised('Top below water', 'negative: the jaws stand above water', -8, [-40, 0], 1),
  box: practised('Length of the box', 'inside', 18, [8, 36]),
  opening: practised('Opening of the box', 'inside width', 6, [4, 14]),
  inside: practised('Trap inside the mouth', 'jaws behind the edge', 2, [0, 8]),
  tie: tieNumber(48, 'lets the catch reach water or cover'),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A wooden box with the trap just inside its mouth. */
export const box: SetType = {
  id: 'box',
  name: 'Mink box',
  idea: 'A 120 just inside a roofed box, trigger low, at the rear and wide so that the animal is well in and pushing; a little dry grass at the mouth, no twigs; a cable that lets the catch reach water or cover.',
  species: ['mink'],
  stations: ['undercut', 'bridge', 'point', 'culvert', 'channel', 'log crossing'],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '120' },
  fit: 'Slots in the sides for the springs; trigger low, rear and wide. A narrow V can be passed many times without firing.',
  tools: ['setter', 'wire'],
  faults: ['Bait gone, not fired: a narrow V was passed, or a pan is too firm for a mink.', 'Twigs at the mouth: they hold the jaws.'],
  remake: ['Dry grass; fresh bait where it is taken or spoiled.'],
  numbers,
  seen: 'topUnder',
  seenAt: 'top',
  choices: {
    ...anchored('stake'),
    notch: { ...notchChoice('middle'), default: 'light' },
    trigger: { label: 'Trigger', options: { low: 'low, rear and wide', v: 'straight V', pan: 'pan' }, default: 'low' },
    jawOn: jawOn('ground'),
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const frame = openingOf(device.size);
    const bottom = jawsBottom(laying, device.size, inches(-8));
    const floor = bottom - inches(0.75);
    const long = of(laying, 'box');
    const wide = Math.max(of(laying, 'opening'), inches(4));
    const inside = of(laying, 'inside');
    const trigger = (laying.choices.trigger ?? 'low') as 'low' | 'v' | 'pan';
    const fits = wide >= frame + inches(0.25);
    const print = (m: number) => printLength(m, laying.system);
    return assemble(
      {
        parts: [
          onBank('box', 'box', [long / 2 - inside, 0, floor - inches(0.75)], [frame + inches(3), long, wide + inches(1.5)], {
            stock: `box ${print(long)}, ${print(wide)} inside`,
          }),
        ],
      },
      grip(laying, { size: device.size, bottom, floor, holder: 'none', bearer: 'bank', look: { trigger, springs: 'side' }, tiedTo: 'box' }),
      {
        parts: [onBank('grass', 'grass', [-inside - inches(2), 0, floor], [inches(1.5), inches(5), wide], { stock: 'dry grass' })],
        needs: [coverNeed(laying, { spot: 'bottom', aim: [2, 6], works: [0, null], ends: ['baitWet', 'outOfWater'] })],
        free: [{ device: 'trap', say: { down: 'Lower the box', up: 'Raise the box' }, floor: null }],
        findings: [
          found(
            'boxFits',
            fits ? 'holds' : 'fails',
            'computed',
            { inside: wide, frame, fits, wanted: frame + inches(0.5) },
            { id: 'fits', field: 'opening' },
          ),
          found('boxTrigger', trigger === 'v' ? 'warns' : 'holds', 'practice', { trigger }, { id: 'trigger' }),
        ],
        ground: [
          [-inches(32), Math.min(surface - inches(6), floor - inches(2))],
          [-inches(12), floor - inches(0.75)],
          [long + inches(10), floor - inches(0.75)],
        ],
        front: line([-inches(22), floor - inches(0.75)], [inches(22), floor - inches(0.75)]),
        marks: [
          widthMark('box', 'Box', { view: 'side', z: floor - inches(4), from: -inside, to: long - inside }),
          widthMark('opening', 'Opening', { view: 'eye', z: floor - inches(3), from: -wide / 2, to: wide / 2 }),
          heightMark('topUnder', 'Top above water', { view: 'side', across: -inches(9), from: surface, to: bottom + frame, grows: -1 }),
        ],
        travel: [{ build: 'mink', x: -inside - inches(6), z: floor, pose: 'walks' }],
      },
      bait({ x: long - inside - inches(3), z: floor, what: 'flesh or fish', height: inches(2), wide: inches(3) }),
      tie(laying, {
        numbers,
        part: 'jaws',
        from: [0, frame / 2, bottom],
        at: [long - inside + inches(5), wide / 2 + inches(10), floor - inches(2)],
        build: 'mink',
      }),
    );
  },
  orders: (at) =>
    always(
      once('Set the box under cover, its mouth along the bank; it must not rock.'),
      { do: 'Bait at the back; roof closed; dry grass cut and laid ready.' },
      once('Fix the cable so that the catch reaches water or cover.'),
      setGrip(at),
      { do: 'Slide it to its slots, trigger low and at the rear.' },
      hooksOff(at, 'outside the slots'),
      { do: 'The last inch by the coil ends; grass at the mouth with a stick.' },
    ),
};
