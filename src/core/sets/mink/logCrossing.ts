import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { fixed, follows, type Linear } from '../../water/linear';
import { found } from '../../words/finding';
import { assemble, heightMark } from '../design';
import { coverNeed, notchChoice, openingOf } from '../pieces/grip';
import { bedLine, flat } from '../pieces/ground';
import { upright } from '../pieces/guides';
import { linePart, tieNumber } from '../pieces/hold';
import { bedOf, levelThen, measured, practised, type SetType, asks, type Numbers, here, suit, trapIn } from '../setType';
import { hooksOff, once, setGrip } from '../pieces/steps';
import { always } from '../order';
import { borne, onBank } from '../pieces/block';

const numbers = {
  overWater: { ...here(practised('Log above water', 'its top, or over the ice', 10, [1, 80], -1), 'overWater'), plus: 'thick' },
  depth: here(measured('Depth under the log', 'to the bed', [0, 160], 1), 'depth'),
  trunk: here(practised('Trunk', 'its thickness', 9, [4, 40]), 'thick'),
  thaw: measured('Highest level to come', 'above the water now, at the thaw', [0, 120]),
  tie: tieNumber(60, 'to a tree: ice takes no stake'),
} satisfies Numbers;
const of = asks(numbers);

/** A trap clipped to a trunk that leads over the water. */
export const logCrossing: SetType = {
  id: 'log-crossing',
  name: 'Log crossing',
  idea: 'A 155 clipped to the middle of a trunk from bank to bank, tied to a tree; as low as the log lets, so that it still serves once the ice goes.',
  species: ['mink'],
  stations: ['log crossing'],
  suits: [suit('mink', ['log crossing'], 1, 'clipped to the middle of the trunk; it serves on when the water freezes')],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '155' },
  variants: [{ id: 'afloat', name: 'log afloat', choices: { log: 'afloat' } }],
  fit: 'A spiked log clip: it leaves no room for a bottom trigger and is raised only by blocking up the wood or a cross stick.',
  tools: ['setter', 'hammer', 'wire'],
  faults: ['Gone round on the ice: close it with brush, or wait for the thaw.', 'A bottom trigger does not go with a log clip.'],
  numbers,
  seen: null,
  choices: {
    notch: notchChoice('middle'),
    log: {
      label: 'The log is',
      ofPlace: true,
      from: { what: 'fixed', is: (yes) => (yes === 1 ? 'fixed' : 'afloat') },
      options: { fixed: 'fixed to both banks', afloat: 'afloat' },
      default: 'fixed',
    },
    trigger: { label: 'Trigger', options: { v: 'from the top', low: 'from the bottom' }, default: 'v' },
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const frame = openingOf(device.size);
    const afloat = laying.choices.log === 'afloat';
    const over = of(laying, 'overWater');
    const thick = of(laying, 'trunk');
    const at = (offset: number): Linear => (afloat ? follows(laying.place.surface, offset) : fixed(surface + offset));
    const bearer = afloat ? ('float' as const) : ('bank' as const);
    const seat = over + inches(1);
    const floor = bedOf(laying) ?? surface - inches(18);
    const low = laying.choices.trigger === 'low';
    const { thaw } = laying.numbers;
    const print = (m: number) => printLength(m, laying.system);
    const drowned = !afloat && thaw !== undefined && thaw > over + inches(1);
    return assemble({
      parts: [
        borne(bearer)('jaws', 'jaws', [0, 0, at(seat)], [frame, 0.02, frame], {
          device: 'trap',
          tiedTo: 'clip',
          stock: `body-grip ${device.size}`,
          look: { size: device.size, springs: 'side', trigger: low ? 'low' : 'v', dog: 'top' },
        }),
        borne(bearer)('bar', 'clip', [0, 0, at(over)], [inches(1), inches(3), inches(4)], { stock: 'spiked log clip' }),
        borne(bearer)('trunk', 'trunk', [0, 0, at(over - thick)], [thick, inches(76), thick]),
        // a mink goes round on either side of what it can see past
        ...([-1, 1] as const).map((hand) => ({
          ...upright(
            {
              id: hand < 0 ? 'branchL' : 'branchR',
              x: -inches(1),
              y: hand * (frame / 2 + inches(3)),
              foot: surface + over - inches(1),
              top: surface + over + frame + inches(4),
              thick: inches(0.6),
              bearer: 'bank',
              name: 'brush at the side',
            },
            laying.system,
          ),
          z: at(over - inches(1)),
          bearer,
        })),
        onBank('tree', 'anchor', [inches(44), inches(10), surface - inches(4)], [inches(28), inches(7), inches(7)]),
        linePart(
          'anchor-tie',
          [0, 0, surface + over + frame / 2],
          [inches(41), 0, surface + over + inches(6)],
          `anchor wire ${print(of(laying, 'tie'))}`,
          'jaws',
        ),
      ],
      needs: [coverNeed(laying, { spot: 'bottom', aim: [1, 12], works: [1, null], perhaps: [-1, null], ends: ['flooded', 'outOfWater'] })],
      free: [],
      findings: [
        found(
          'thaw',
          thaw === undefined ? 'unknown' : drowned ? 'fails' : 'holds',
          'practice',
          { rise: thaw, over, afloat, drowned },
          { field: 'overWater' },
        ),
        found('clip', low ? 'fails' : 'holds', 'practice', { low }, { field: 'trigger' }),
      ],
      supplies: [{ kind: 'wire', what: 'anchor wire', amount: of(laying, 'tie') }],
      holds: [
        {
          kind: 'tie',
          device: 'trap',
          anchor: [inches(44), inches(10), surface + over],
          tether: of(laying, 'tie'),
          held: 'body',
          build: 'mink',
        },
      ],
      ground: [
        [-inches(54), surface + inches(8)],
        [-inches(36), surface],
        ...bedLine(floor, -inches(20), inches(20)),
        [inches(36), surface],
        [inches(54), surface + inches(8)],
      ],
      front: flat(floor, inches(24)),
      marks: [
        heightMark('overWater', 'Log above water', { view: 'side', across: -inches(24), from: surface, to: surface + over, grows: 1 }),
        heightMark('overWater', 'Log above water', { view: 'eye', across: -inches(12), from: surface, to: surface + over, grows: 1 }),
        heightMark('trunk', 'Trunk', { view: 'side', across: -inches(31), from: surface + over, to: surface + over - thick }),
      ],
      travel: [{ build: 'mink', x: -inches(8), z: surface + over, pose: 'walks' }],
    });
  },
  orders: (at) =>
    always(
      once(
        'Look whether the log is fixed to both banks or afloat; how high comes the thaw?',
        'No log over deep water is walked on: work from the bank or in waders.',
      ),
      once('Drive the clip into the middle of the trunk; wire to a tree: ice takes no stake.'),
      setGrip(at),
      { do: 'Pinch it into its clip, trigger from the top; brush beside it.' },
      hooksOff(at, 'once it stands'),
      { do: 'Clear the mouth with a handle.' },
    ),
};
