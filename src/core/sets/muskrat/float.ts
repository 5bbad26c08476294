import { FOOTHOLDS } from '../../devices/sizes';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { fixed, follows, type Linear } from '../../water/linear';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { assemble, heightMark } from '../design';
import { weightFinding } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { BOTTOM, largestIn, linePart, stakeFinding } from '../pieces/hold';
import { bedOf, levelThen, type Laying, type SetType, asks, type Numbers, practised, here, measured, suit } from '../setType';
import { chainedOrder, once } from '../pieces/steps';
import { ranged } from '../pieces/range';
import { moving } from '../offer';
import { afloat, onBed } from '../pieces/block';

const numbers = {
  panOver: practised('Pan above water', 'as the raft floats', 0.5, [-1, 4]),
  draft: { label: 'Raft below water', help: 'its draft', unit: 'length', default: inches(2), min: 0, max: inches(12), origin: 'practice' },
  depth: here(
    { label: 'Depth under the raft', help: 'water over the bed', unit: 'length', min: 0, max: 6, origin: 'measured', withLevel: 1 },
    'depth',
  ),
  lineRise: practised('Slack of the line', 'how far the water may rise before the line is taut', 24, [0, 237]),
  driven: measured('Stake driven in', 'into the bed', [4, 60]),
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** A raft that follows the level until it grounds or its line goes taut. */
export const float: SetType = {
  id: 'float',
  name: 'Float set',
  idea: 'Footholds on a raft that follows the level, roofed against birds, its line long enough for the highest water.',
  species: ['muskrat', 'mink'],
  stations: ['muskrat place', 'feed bed', 'channel', 'point', 'bank den'],
  suits: [
    suit('muskrat', ['muskrat place'], 0, 'the level moves, and it follows', { when: moving }),
    suit('muskrat', ['feed bed'], 1, 'it follows the level'),
    suit('muskrat', ['muskrat place'], 2, 'it follows the level'),
  ],
  looks: {
    aground: 'Move the raft to deeper water',
    heldUnder: 'Give the line more slack',
    else: 'Look from the bank: does it float level?',
  },
  devices: ['foothold'],
  positions: [
    { id: 'left', label: 'First trap', optional: false },
    { id: 'right', label: 'Second trap', optional: true },
  ],
  numbers,
  seen: null,
  usual: { class: 'foothold', size: '1½' },
  variants: [{ id: 'single', name: 'one trap, roots as bait' }],
  fit: 'No. 1 to 1½; each chain long enough to reach water beside the raft. A roof against birds.',
  tools: ['line', 'wire', 'pliers'],
  faults: ['Held under or aground: the line was measured for one level only.', 'A bird on it: no roof.'],
  choices: { bottom: BOTTOM, roof: { label: 'Roof against birds', options: { yes: 'roofed', no: 'open' }, default: 'yes' } },
  layOut: (laying) => {
    const positions = Object.keys(laying.devices);
    const raft = levelThen(laying);
    return assemble({
      parts: [...positions.map((id) => panPart(laying, id)), ...raftParts(laying)],
      ground: [-0.9, 1.1].map((x): [number, number] => [x, bedOf(laying) ?? levelThen(laying) - inches(30)]),
      needs: positions.map((device) => ({
        id: `${device}-afloat`,
        device,
        of: { part: `${device}-pan`, spot: 'top' as const },
        from: laying.place.surface,
        ...ranged({ aim: [0.25, 0.75], works: [-1, 2], ends: ['heldUnder', 'aground'] }),
        called: 'pan',
        origin: 'practice' as const,
      })),
      free: [],
      front: [-0.6, 0.6].map((y): [number, number] => [y, bedOf(laying) ?? raft - inches(30)]),
      findings: [
        ground(laying),
        roof(laying),
        stakeFinding(laying, largestIn(laying.devices[positions[0] ?? 'left'], 'muskrat')),
        weightFinding(laying, laying.devices[positions[0] ?? 'left']?.size ?? '1½', 'muskrat'),
      ],
      marks: [
        heightMark('draft', 'Raft below water', { view: 'side', across: -inches(22), from: raft, to: raft - of(laying, 'draft') }),
        heightMark('depth', 'Depth under the raft', {
          view: 'side',
          across: inches(16),
          from: raft,
          to: bedOf(laying) ?? raft - inches(30),
        }),
        heightMark('depth', 'Depth under the raft', {
          view: 'eye',
          across: inches(14),
          from: raft,
          to: bedOf(laying) ?? raft - inches(30),
        }),
      ],
      travel: [{ build: 'muskrat', x: -inches(24), z: raft - 0.08, pose: 'swims' }],
      supplies: [{ kind: 'bait', what: 'roots or apple', amount: 1 }],
      holds: positions.map((device) => ({
        kind: 'tie' as const,
        device,
        anchor: [0, 0, raft] as [number, number, number],
        tether: inches(14),
        held: 'front foot' as const,
        build: 'muskrat' as const,
      })),
    });
  },
  orders: (at) =>
    chainedOrder(
      at,
      [
        once('Load the raft ashore until the pans stand at their height; roof on, bait in the middle.'),
        once('Tie the line to a stake, long enough for the highest water.'),
        { do: 'Chain each trap so that the catch reaches water; leaves in the beds.' },
      ],
      'in from the open side under the roof',
      [{ do: 'Raft off with a pole; look from the bank: does it float level?' }],
    ),
};

/** Where the raft's bottom comes to lie when it grounds, and how far its line lets it rise, as limits of an elevation over the raft's bottom. */
function limitsOver(laying: Laying, offset: number): { min?: Linear; max: Linear } {
  const draft = of(laying, 'draft');
  const bed = bedOf(laying);
  const top = levelThen(laying) + of(laying, 'lineRise') - draft;
  return { ...(bed === null ? {} : { min: fixed(bed + offset) }), max: fixed(top + offset) };
}

function panPart(laying: Laying, id: string): Part {
  const { spread, pan } = FOOTHOLDS[laying.devices[id]?.size ?? '1½'] ?? { spread: inches(4.75), pan: inches(1.125) };
  const draft = of(laying, 'draft');
  const over = of(laying, 'panOver') - pan;
  return afloat(
    'pan',
    `${id}-pan`,
    [id === 'left' ? -inches(9) : inches(9), 0, follows(laying.place.surface, over)],
    [pan, spread, spread],
    { device: id, limits: limitsOver(laying, draft + over), tiedTo: 'raft', stock: `foothold No. ${laying.devices[id]?.size ?? ''}` },
  );
}

function raftParts(laying: Laying): Part[] {
  const draft = of(laying, 'draft');
  const bed = bedOf(laying) ?? levelThen(laying) - inches(30);
  const { driven = inches(18) } = laying.numbers;
  return [
    afloat('raft', 'raft', [0, 0, follows(laying.place.surface, -draft)], [draft + inches(1), inches(36), inches(14)], {
      limits: limitsOver(laying, 0),
      stock: 'raft',
    }),
    onBed('stake', 'anchor', [inches(30), 0, bed - driven], [driven + inches(6), inches(1), inches(1)], {
      stock: `stake ${printLength(driven + inches(6), laying.system)}`,
    }),
    linePart(
      'anchor-line',
      [inches(18), 0, levelThen(laying)],
      [inches(30), 0, bed + inches(4)],
      `line, ${printLength(of(laying, 'lineRise'), laying.system)} of slack`,
      'raft',
    ),
    ...(laying.choices.roof === 'no'
      ? []
      : [
          afloat('platform', 'roof', [0, 0, follows(laying.place.surface, inches(8))], [inches(1), inches(38), inches(16)], {
            limits: limitsOver(laying, draft + inches(8)),
            tiedTo: 'raft',
            stock: 'roof board',
          }),
        ]),
  ];
}

function ground(laying: Laying): Finding {
  const bed = bedOf(laying);
  const slack = of(laying, 'lineRise');
  const room = bed === null ? null : levelThen(laying) - of(laying, 'draft') - bed;
  const verdict = room === null ? 'unknown' : room < 0 ? 'fails' : 'holds';
  return found('grounding', verdict, 'computed', { room, slack }, { id: 'ground' });
}

function roof(laying: Laying): Finding {
  const roofed = laying.choices.roof !== 'no';
  return found('birds', roofed ? 'holds' : 'warns', 'practice', { roofed, traps: 2 }, { id: 'roof' });
}
