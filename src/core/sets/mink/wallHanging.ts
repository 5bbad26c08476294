import { BUILDS } from '../../animals/species';
import { BODY_GRIPS } from '../../devices/sizes';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { coverNeed, depthHere, depthMarks, grip, movable, DOG, GRIP_TRIGGER, notchChoice, openingOf } from '../pieces/grip';
import { besideWall, line } from '../pieces/ground';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { bedOf, levelThen, practised, type SetType, asks, type Numbers, here, suit, trapIn } from '../setType';
import { CULVERTS, feelSwing, hooksOff, once, setGrip } from '../pieces/steps';
import { always } from '../order';
import { atLeast } from '../offer';
import { onBank } from '../pieces/block';

const numbers = {
  acrossUnder: practised('Middle above water', 'of the opening; 0: half of it is under', 0, [-5, 5], -1),
  depth: here(depthHere('Depth at the wall', 'over the bed'), 'wallDepth'),
  ledge: here(practised('Ledge above water', 'on which the bar lies', 8, [1, 60], -1), 'ledge'),
  offWall: practised('Opening off the wall', 'its near side', 0.5, [0, 4]),
  tie: tieNumber(30, 'second spring to the stake or chain'),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A body-grip hung over a ledge by a bar: travellers duck below the upper spring. */
export const wallHanging: SetType = {
  id: 'wall-hanging',
  name: 'Hanging wall set',
  blind: true,
  idea: 'A 110 to 160 hung over a ledge by a bar, lower spring under water; travelers along the wall duck below the upper one. One on each wall; one crouches at the bridge to see it.',
  species: ['mink', 'muskrat'],
  stations: ['bridge', 'culvert', 'channel'],
  suits: [
    suit('muskrat', ['culvert', 'bridge'], 1, 'they keep along the wall'),
    suit('mink', ['culvert', 'bridge'], 0, 'too deep for a bed: hung from the ledge, half under', { when: atLeast('depth', 8) }),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '160' },
  fit: 'A bar of ½ × 24 in with a 6 in cross piece, a stone on it if it is loose. Dog to the stream; second spring at a right angle, staked or chained.',
  tools: ['setter', 'wire', 'hip boots'],
  faults: ['Swings in the current: chain the second spring.', 'Passed on the other wall: list every passage and which have no set.'],
  fires: 'bent',
  numbers,
  seen: 'acrossUnder',
  seenAt: 'middle',
  choices: { ...anchored('stake'), notch: notchChoice('middle'), trigger: GRIP_TRIGGER, dog: DOG },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const frame = openingOf(device.size);
    const { arm, springs } = BODY_GRIPS[device.size] ?? { arm: 0, springs: 2 };
    const bottom = surface + of(laying, 'acrossUnder') - frame / 2;
    const floor = bedOf(laying) ?? bottom - inches(6);
    const wall = frame / 2 + of(laying, 'offWall');
    const ledge = surface + of(laying, 'ledge');
    const print = (m: number) => printLength(m, laying.system);
    return assemble(
      grip(laying, {
        size: device.size,
        bottom,
        floor,
        holder: 'none',
        bearer: 'bank',
        look: { springs: 'hung', dog: 'side', trigger: 'spread' },
        tiedTo: 'bar',
      }),
      {
        parts: [
          onBank('bar', 'bar', [0, wall, ledge], [inches(0.6), inches(6), inches(24)], { stock: 'bar ½ × 24 in with cross piece' }),
          onBank(
            'line',
            'drop',
            [0, 0, Math.min(bottom + frame + arm, ledge)],
            [Math.max(Math.abs(ledge - bottom - frame - arm), inches(0.5)), 0.005, 0.005],
            { stock: `wire ${print(Math.abs(ledge - bottom - frame - arm) + inches(8))}` },
          ),
          onBank('stone', 'stone', [0, wall + inches(8), ledge + inches(0.6)], [inches(4), inches(7), inches(8)], {
            stock: 'stone on the bar',
          }),
          onBank('wall', 'wall', [0, wall + inches(9), floor - inches(4)], [ledge - floor + inches(4), inches(46), inches(18)]),
        ],
        needs: [
          coverNeed(laying, {
            aim: [frame / inches(2) - 1, frame / inches(2) + 1],
            works: [-1.5, frame / inches(1) - 2],
            ends: ['swumOver', 'swumUnder'],
          }),
        ],
        findings: [
          found(
            'duck',
            of(laying, 'offWall') > BUILDS.minkFemale.smallestGap ? 'fails' : 'holds',
            'practice',
            { gap: of(laying, 'offWall'), user: BUILDS.minkFemale.smallestGap },
            { field: 'offWall' },
          ),
        ],
        ground: line([-inches(26), floor], [inches(26), floor]),
        front: besideWall(surface, floor, wall),
        marks: [
          heightMark('acrossUnder', 'Middle above water', {
            view: 'eye',
            across: -inches(2),
            from: surface,
            to: surface + of(laying, 'acrossUnder'),
            grows: 1,
          }),
          heightMark('ledge', 'Ledge above water', { view: 'eye', across: -frame / 2 - inches(6), from: surface, to: ledge, grows: 1 }),
          heightMark(null, 'Top above water', { view: 'side', across: 0, from: surface, to: bottom + frame, grows: 1 }),
        ].filter((m) => Math.abs(m.at[1] - m.to[1]) > 0.004),
        travel: [{ build: 'mink', x: -inches(9), y: 0, z: surface - BUILDS.mink.swims, pose: 'swims' }],
      },
      { marks: [widthMark('offWall', 'Off the wall', { view: 'eye', z: bottom - inches(2), from: wall, to: frame / 2, grows: -1 })] },
      depthMarks(laying, floor, -inches(20), -inches(10.5)),
      movable(laying),
      tie(laying, {
        numbers,
        part: 'jaws',
        // from the lower spring, which points to the stream; a trap of one spring is steadied at its foot
        from: springs === 2 ? [0, -arm - inches(0.8), bottom] : [0, -frame / 2, bottom],
        at: [inches(6), -arm - inches(9), floor],
        build: 'mink',
      }),
    );
  },
  orders: (at) =>
    always(
      once('Crouch at the bridge and look along both walls.', CULVERTS),
      once('Lay the bar over the ledge; a stone on it if it is loose; the wire to it.'),
      setGrip(at),
      { do: 'Hang it by the upper spring, the dog to the stream; turn and stake the second spring.' },
      feelSwing,
      hooksOff(at, 'the upper from the ledge, the lower from the stream side of its spring'),
      feelSwing,
      {
        do: 'Too deep to stake: chain the second spring, hooks off over the ledge, lower it by the wire.',
        caution: 'Hands a spring’s length from the jaws.',
      },
    ),
};
