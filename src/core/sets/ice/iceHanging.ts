import { ICE_RATIO } from '../../ice/growth';
import { hangingClearance, hangingWire, wireToCut } from '../../ice/pole';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { type Linear, evaluate } from '../../water/linear';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { ICE_NUMBERS, expectedIce, holeFirst, HOLE_LAST } from './underIce';
import { always } from '../order';
import { hooksOff, setGrip } from '../pieces/steps';
import { springsWide, GRIP_TRIGGER, jawsPart, notchChoice, openingOf } from '../pieces/grip';
import { assemble, heightMark } from '../design';
import { found, type Finding } from '../../words/finding';
import { bedOf, levelThen, type Laying, type SetType, asks, type Numbers, practised, suit } from '../setType';
import { ranged } from '../pieces/range';
import { iced } from '../offer';
import { inIce } from '../pieces/block';
import { line } from '../pieces/ground';

const numbers = {
  drop: {
    label: 'Top of the jaws under the ice’s top',
    help: 'as hung; left empty, it follows from the ice of the next check',
    unit: 'length',
    min: inches(2),
    max: 4,
    origin: 'computed',
  },
  ...ICE_NUMBERS,
  depth: { label: 'Bed to the water line', help: 'through the hole', unit: 'length', min: 0.2, max: 6, origin: 'measured', withLevel: 1 },
  clearance: practised('Top under the ice', 'of the next check', 2, [0, 40]),
  eye: practised('Spring eye over the jaw top', 'negative when it is lower', -4, [-12, 12]),
  stick: practised('Stick across the hole', 'its thickness', 2, [0.5, 6]),
  twist: practised('Twists and ends', 'of each wire', 6, [1, 24]),
  bait: practised('Bait below the jaws', 'green wood across the foot', 4, [0, 40]),
} satisfies Numbers;
const of = asks(numbers);
const POSITIONS = ['near', 'far'];

/** Body-grips hung by wires from a stick across the hole, baited with green wood. */
export const iceHanging: SetType = {
  id: 'ice-hanging',
  name: 'Under-ice hanging set',
  idea: 'A body-grip on two wires from a stick across the hole, green wood across its foot, its top just below where the ice will be at the next check.',
  species: ['beaver'],
  stations: ['lodge', 'feed bed', 'run', 'bank den', 'channel'],
  suits: [
    suit('beaver', ['lodge', 'feed bed'], 0, 'under ice they come to green wood between house and feed pile', {
      months: [12, 3],
      when: iced,
    }),
    suit('beaver', ['run', 'bank den'], 2, 'under ice, green wood in the way to the feed pile', { months: [12, 3], when: iced }),
  ],
  devices: ['bodyGrip'],
  positions: [
    { id: 'near', label: 'Trap', optional: false },
    { id: 'far', label: 'Second trap, same cable', optional: true },
  ],
  numbers,
  seen: null,
  usual: { class: 'bodyGrip', size: '330' },
  variants: [{ id: 'pair', name: 'two on one cable', fills: 2 }],
  months: [12, 1, 2, 3],
  fit: 'A wire of about 2 ft on each spring eye; green wood wired across its foot so that the head comes to the trigger.',
  tools: ['setter', 'chisel', 'saw and fuel', 'scoop', 'waterproof gloves', 'spare wires'],
  disputed: ['Checked daily, or weekly where the law allows it.'],
  faults: ['A drop that suffices today can be inside the ice in a week.', 'Sprung by your own chisel, or by the neighbor on the cable.'],
  choices: {
    notch: notchChoice('middle'),
    trigger: GRIP_TRIGGER,
    measured: { label: 'Drop measured from', options: { ice: 'the top of the ice', water: 'the water line' }, default: 'ice' },
  },
  underIce: true,
  layOut: (laying) => {
    const filled = POSITIONS.filter((id) => laying.devices[id]);
    const known = { pond: levelThen(laying), sheet: laying.numbers.ice ?? inches(6) };
    const jawTop = evaluate(top(laying), known) ?? levelThen(laying);
    const iceTop = jawTop + dropOf(laying);
    return assemble({
      parts: [...filled.flatMap((id, n) => hung(laying, id, n)), stick(laying)],
      ground: groundOf(laying),
      needs: filled.flatMap((id) => [under(id), ...clear(laying, id)]),
      free: filled.map((device) => ({ device, say: { down: 'Lower it', up: 'Raise it' }, floor: bedOf(laying) })),
      front: groundOf(laying),
      findings: [wire(laying), nextCheck(laying), holeFinding(laying), ...bedFinding(laying)],
      marks: [
        heightMark('drop', 'Drop', { view: 'side', across: -inches(8), from: iceTop, to: jawTop }),
        heightMark('drop', 'Drop', { view: 'eye', across: -inches(7), from: iceTop, to: jawTop }),
        heightMark('depth', 'Bed to the water line', {
          view: 'side',
          across: -inches(20),
          from: known.pond,
          to: bedOf(laying) ?? known.pond - inches(60),
        }),
      ],
      travel: [{ build: 'beaverAdult', x: -inches(16), z: jawTop - frameOf(laying, filled[0] ?? 'near'), pose: 'swims' }],
      supplies: [
        { kind: 'wire', what: 'hanging wire', amount: filled.length * 2 * cut(laying) },
        { kind: 'bait', what: 'green wood', amount: filled.length },
      ],
      holds: filled.map((device) => ({
        kind: 'tie' as const,
        device,
        anchor: [inches(8), 0, iceTop] as [number, number, number],
        tether: dropOf(laying),
        held: 'body' as const,
        build: 'beaverAdult' as const,
      })),
    });
  },
  orders: (at) =>
    always(
      ...holeFirst('No chisel near the trap once it is set.'),
      { do: 'Wire the bait to the open trap, a wire on each spring eye; lay out the cable, to the pair too.' },
      setGrip(at),
      { do: 'Measure the drop on the set trap; two turns on the stick, cable run through; rest it on the rim, wires taut.' },
      hooksOff(at, 'on the rim, with dry hands, from outside its spring'),
      { do: 'Lower it by the ends of the stick.', caution: 'No chisel near it.' },
      HOLE_LAST,
    ),
};

const frameOf = (laying: Laying, id: string): number => openingOf(laying.devices[id]?.size);

/** Drop from the ice's top to the jaw top, m: as hung, measured from the water line it is 0.083 of the ice more; else by the ice of the next check. */
export function dropOf(laying: Laying): number {
  const typed = laying.numbers.drop;
  if (typed === undefined) return expectedIce(laying) + of(laying, 'clearance');
  return laying.choices.measured === 'water' ? typed + (1 - ICE_RATIO) * (laying.numbers.ice ?? 0) : typed;
}

const top = (laying: Laying): Linear => ({ k: -dropOf(laying), pond: 1, sheet: 1 - ICE_RATIO });

function hung(laying: Laying, id: string, n: number): Part[] {
  const frame = frameOf(laying, id);
  const z = top(laying);
  const x = n * inches(16);
  return [
    jawsPart({
      id: `${id}-jaws`,
      device: id,
      bearer: 'ice',
      x,
      z: { ...z, k: z.k - frame },
      tiedTo: 'stick',
      size: laying.devices[id]?.size ?? '330',
    }),
    inIce('line', `${id}-wire`, [x, 0, z], [dropOf(laying), 0.005, 0.005], { stock: `2 wires ${printLength(cut(laying), laying.system)}` }),
    inIce('bait', `${id}-bait`, [x, 0, { ...z, k: z.k - frame - of(laying, 'bait') }], [inches(1.5), inches(12), inches(2)], {
      look: { woody: true },
      stock: 'green wood across its foot',
    }),
  ];
}

const stick = (laying: Laying): Part =>
  inIce('log', 'stick', [inches(8), 0, { k: 0, pond: 1, sheet: 1 - ICE_RATIO }], [of(laying, 'stick'), inches(44), of(laying, 'stick')], {
    stock: 'stick across the hole',
  });

const groundOf = (laying: Laying): [number, number][] => {
  const bed = bedOf(laying) ?? levelThen(laying) - inches(60);
  return line([-0.7, bed], [1.1, bed]);
};

const under = (device: string): Need => ({
  id: `${device}-ice`,
  device,
  of: { part: `${device}-jaws`, spot: 'top' },
  from: 'iceUnderside',
  ...ranged({ aim: [-3, -1], works: [null, 0], ends: ['tooDeep', 'frozen'] }),
  called: 'top of the jaws',
  origin: 'practice',
});

const clear = (laying: Laying, device: string): Need[] => {
  const bed = bedOf(laying);
  return bed === null
    ? []
    : [
        {
          id: `${device}-bed`,
          device,
          of: { part: `${device}-jaws`, spot: 'bottom' },
          from: { bed },
          min: of(laying, 'bait'),
          broken: { min: 'aground' },
          called: 'foot of the trap',
          origin: 'computed',
        },
      ];
};

const cut = (laying: Laying): number =>
  wireToCut(hangingWire(dropOf(laying), 0, of(laying, 'eye')), of(laying, 'stick'), of(laying, 'twist'));

const wire = (laying: Laying): Finding =>
  found('wire', 'holds', 'computed', {
    drop: hangingWire(dropOf(laying), 0, of(laying, 'eye')),
    twist: of(laying, 'twist'),
    cut: cut(laying),
  });

/** The hole that frame and springs go through, lowered on edge. [practice] */
const holeFinding = (laying: Laying): Finding =>
  found(
    'holeForGrip',
    'holds',
    'practice',
    { long: springsWide(laying.devices.near?.size ?? '330') + inches(2), wide: inches(8) },
    { id: 'holeSize' },
  );

/** Said before the wire is cut: does this drop still clear the ice of the next check. */
function nextCheck(laying: Laying): Finding {
  const ice = expectedIce(laying);
  const left = hangingClearance(dropOf(laying), ice);
  const values = { ice, left, lower: of(laying, 'clearance') - left };
  return found('nextCheck', left <= 0 ? 'fails' : 'holds', 'computed', values, { field: 'drop' });
}

function bedFinding(laying: Laying): Finding[] {
  const { depth } = laying.numbers;
  if (depth === undefined) return [];
  const needs = dropOf(laying) - (1 - ICE_RATIO) * (laying.numbers.ice ?? 0) + frameOf(laying, 'near') + of(laying, 'bait');
  return [found('overBed', depth < needs ? 'fails' : 'holds', 'computed', { needs, depth }, { field: 'depth' })];
}
