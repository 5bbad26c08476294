import { inches } from '../../units/factors';
import { fixed, follows, type Linear } from '../../water/linear';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { panUnder, weightFinding, footholdOf, panNeed } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { depthHere } from '../pieces/grip';
import { bedLine, flat } from '../pieces/ground';
import { bedOf, levelThen, practised, type SetType, asks, type Numbers, here, suit, trapIn } from '../setType';
import { chainedOrder, once } from '../pieces/steps';
import { borne } from '../pieces/block';

const numbers = {
  panUnder: panUnder(1, [-2, 4]),
  depth: depthHere(),
  log: here(practised('Log', 'its thickness', 8, [4, 30]), 'thick'),
  notch: practised('Notch', 'its length', 8, [5, 24]),
  logLong: practised('Length of the log', 'as far as it is drawn', 48, [20, 200]),
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** A trap in a notch cut into a log, with the log's own way of moving with the water. */
export const logNotch: SetType = {
  id: 'log-notch',
  name: 'Notched log',
  idea: 'A small foothold in a notch that was cut into a log beforehand, an inch under water; a log afloat follows the level, one fixed at its ends does not.',
  species: ['muskrat', 'mink'],
  stations: ['muskrat place', 'log crossing', 'feed bed', 'point'],
  afloat: 'float',
  suits: [suit('muskrat', ['log crossing'], 1, 'they land on the log')],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '1½' },
  variants: [{ id: 'afloat', name: 'log afloat', choices: { log: 'afloat' } }],
  fit: 'No. 1 to 1½; a staple in the log takes the chain.',
  tools: ['saw', 'hatchet', 'staples'],
  faults: ['Dry or drowned on a fixed log: the level moved.'],
  numbers,
  seen: 'panUnder',
  choices: {
    log: {
      label: 'The log is',
      ofPlace: true,
      from: { what: 'fixed', is: (yes) => (yes === 1 ? 'fixed' : 'afloat') },
      options: { fixed: 'fixed at its ends', afloat: 'afloat' },
      default: 'fixed',
    },
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const afloat = laying.choices.log === 'afloat';
    const { pan, spread } = footholdOf(device.size);
    const under = of(laying, 'panUnder');
    const floor = bedOf(laying) ?? surface - inches(20);
    const thick = of(laying, 'log');
    const notch = Math.max(of(laying, 'notch'), spread + inches(1));
    const seat = -under - pan;
    const at = (offset: number): Linear => (afloat ? follows(laying.place.surface, offset) : fixed(surface + offset));
    const bearer = afloat ? ('float' as const) : ('bank' as const);
    const half = of(laying, 'logLong') / 2;
    const whole = seat + inches(2.5);
    const piece = (id: string, from: number, to: number) =>
      borne(bearer)('trunk', id, [(from + to) / 2, 0, at(whole - thick)], [thick, to - from, thick]);
    return assemble({
      parts: [
        borne(bearer)('pan', 'pan', [0, 0, at(seat)], [pan, spread, spread], {
          device: 'trap',
          tiedTo: 'logB',
          stock: `foothold No. ${device.size}`,
        }),
        piece('logA', -half, -notch / 2),
        piece('logB', notch / 2, half),
        borne(bearer)('trunk', 'seat', [0, 0, at(whole - thick)], [Math.max(seat - (whole - thick), inches(1)), notch, thick]),
      ],
      needs: [panNeed(laying, { aim: [-1, -0.5], works: [-2.5, 2], ends: ['swumOver', 'climbsElsewhere'] })],
      free: [{ device: 'trap', say: { down: 'Cut the notch deeper', up: 'Block the trap up' }, floor: null }],
      findings: [weightFinding(laying, device.size, 'muskrat'), found('log', 'holds', 'practice', { notch, afloat })],
      holds: [{ kind: 'tie', device: 'trap', anchor: [notch / 2, 0, surface], tether: inches(12), held: 'front foot', build: 'muskrat' }],
      ground: bedLine(floor, -half - inches(8), half + inches(8)),
      front: flat(floor, inches(18)),
      marks: [
        heightMark('panUnder', 'Pan below water', { view: 'side', across: inches(1), from: surface, to: surface - under }),
        heightMark('panUnder', 'Pan below water', { view: 'eye', across: inches(1), from: surface, to: surface - under }),
        widthMark('notch', 'Notch', { view: 'side', z: surface + inches(6), from: -notch / 2, to: notch / 2 }),
        heightMark('log', 'Log', { view: 'side', across: half + inches(3), from: surface + whole, to: surface + whole - thick }),
      ],
      travel: [{ build: 'muskrat', x: -half * 0.55, z: surface + whole, pose: 'walks' }],
    });
  },
  orders: (at) =>
    chainedOrder(
      at,
      [
        once(
          'Cut the notch beforehand, long enough for the trap and an inch to spare.',
          'Saw and hatchet from a firm stand, not from a floating log.',
        ),
        once('Staple the chain to the log so that the catch reaches water.'),
        { do: 'Wet moss in the notch; a little mud and a root on the log beside it.' },
      ],
      'in the notch',
    ),
};
