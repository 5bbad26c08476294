import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { panUnder, weightFinding, footholdOf, panNeed } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { depthHere, depthMarks } from '../pieces/grip';
import { bedLine, flat } from '../pieces/ground';
import { upright } from '../pieces/guides';
import { BOTTOM, largestIn, stakeFinding } from '../pieces/hold';
import { bait } from '../pieces/scent';
import { bedOf, levelThen, practised, type SetType, asks, type Numbers, here, trapIn } from '../setType';
import { WADING, chainedOrder, once } from '../pieces/steps';
import { onBed } from '../pieces/block';

const numbers = {
  panUnder: panUnder(1, [-2, 6]),
  depth: here(depthHere(), 'depth'),
  long: practised('Platform', 'its length', 20, [10, 60]),
  pushIn: practised('Posts pushed in', 'into the bed', 14, [4, 40]),
  roofOver: practised('Roof over the board', 'against birds', 8, [4, 24]),
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);
const BOARD = inches(1);

/** A board on posts: it works only while the level keeps inside its band. */
export const polePlatform: SetType = {
  id: 'pole-platform',
  name: 'Platform on poles',
  idea: 'A board on two posts just under the surface, roofed against birds, a small foothold on it; only while the level stays in its working range.',
  species: ['muskrat'],
  stations: ['muskrat place', 'feed bed', 'channel', 'point'],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '1½' },
  fit: 'No. 1 to 1½ on the board, its chain to a post.',
  tools: ['driver', 'wire', 'hammer'],
  faults: ['Dry or drowned: the level moved; a float follows it.'],
  numbers,
  seen: 'panUnder',
  afloat: 'float',
  choices: { bottom: BOTTOM, roof: { label: 'Roof against birds', options: { yes: 'roofed', no: 'open' }, default: 'yes' } },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const { pan, spread } = footholdOf(device.size);
    const board = surface - of(laying, 'panUnder') - pan;
    const floor = bedOf(laying) ?? board - inches(16);
    const long = of(laying, 'long');
    const foot = floor - of(laying, 'pushIn');
    const roofed = laying.choices.roof !== 'no';
    const top = board + BOARD + of(laying, 'roofOver');
    const marks = [
      { at: of(laying, 'pushIn'), what: 'bed' },
      { at: board - foot, what: 'board' },
      { at: surface - foot, what: 'water line' },
    ];
    return assemble(
      {
        parts: [
          onBed('pan', 'pan', [0, 0, board], [pan, spread, spread], {
            device: 'trap',
            tiedTo: 'postL',
            stock: `foothold No. ${device.size}`,
          }),
          onBed('platform', 'board', [0, 0, board - BOARD], [BOARD, long, inches(8)], {
            stock: `board ${printLength(long, laying.system)}`,
          }),
          ...([-1, 1] as const).map((hand) => ({
            ...upright(
              {
                id: `post${hand < 0 ? 'L' : 'R'}`,
                x: hand * (long / 2 - inches(1.5)),
                foot,
                top: roofed ? top : board + inches(2),
                thick: inches(1.5),
                kind: 'support',
                name: 'post',
              },
              laying.system,
            ),
            marks,
          })),
          ...(roofed ? [onBed('platform', 'roof', [0, 0, top], [BOARD, long + inches(2), inches(12)], { stock: 'roof board' })] : []),
        ],
        needs: [panNeed(laying, { aim: [-1, 0], works: [-3, 2], ends: ['swumOver', 'climbsElsewhere'] })],
        free: [{ device: 'trap', say: { down: 'Lower the board', up: 'Raise the board' }, floor }],
        findings: [
          weightFinding(laying, device.size, 'muskrat'),
          stakeFinding(laying, largestIn(device, 'muskrat'), 'pushIn'),
          found('birds', roofed ? 'holds' : 'warns', 'practice', { roofed, traps: 1 }, { id: 'roof' }),
        ],
        holds: [{ kind: 'tie', device: 'trap', anchor: [-long / 2, 0, board], tether: inches(14), held: 'front foot', build: 'muskrat' }],
        ground: bedLine(floor, -inches(32), inches(32)),
        front: flat(floor, inches(20)),
        marks: [
          heightMark('panUnder', 'Pan below water', { view: 'side', across: inches(1), from: surface, to: board + pan }),
          heightMark('panUnder', 'Pan below water', { view: 'eye', across: inches(1), from: surface, to: board + pan }),
          widthMark('long', 'Platform', { view: 'side', z: board - inches(4), from: -long / 2, to: long / 2 }),
        ],
        travel: [{ build: 'muskrat', x: -long / 2 - inches(3), z: surface - 0.08, pose: 'swims' }],
      },
      bait({ x: long / 2 - inches(4), z: board, what: 'root or apple', height: inches(2), wide: inches(2.5) }),
      depthMarks(laying, floor, -inches(26), -inches(14)),
    );
  },
  orders: (at) =>
    chainedOrder(
      at,
      [
        once('Drive the two posts to their marks.', WADING),
        once('Nail the board on at its mark; the roof over it.'),
        once('Wire the chain to a post so that the catch reaches water.'),
        { do: 'Bait at the far end; wet leaves in the bed.' },
      ],
      'in from the open side',
    ),
};
