import { BED_DEPTH, PAN_UNDER, bedParts, buildUp, footholdOf, panNeed } from '../pieces/bed';
import { inches } from '../../units/factors';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { assemble, widthMark, heightMark, type Piece } from '../design';
import { holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { PAN_PULL } from '../pieces/pan';
import { anchored } from '../pieces/hold';
import { bedOf, levelThen, type Laying, type NumberSpec, type SetType, asks, type Numbers, practised, here, suit } from '../setType';
import { once, FLOODS, LEVERS } from '../pieces/steps';
import { always } from '../order';
import { type WorkRange } from '../pieces/range';
import { soft } from '../offer';
import { onBed } from '../pieces/block';

const pan = (label: string, default_: number): NumberSpec => ({
  ...PAN_UNDER,
  label,
  help: 'deep, because the pond falls overnight',
  default: inches(default_),
});

const numbers = {
  leftUnder: pan('Left pan below water', 7),
  rightUnder: pan('Right pan below water', 6),
  depth: here({ ...BED_DEPTH, label: 'Depth on the shoulder', help: 'over the firm shoulder, before the bed is built' }, 'shoulderDepth'),
  apart: practised('Beds apart', 'one at each side of the break', 30, [12, 119]),
  breakWidth: practised('Width of the break', 'narrow: it has to be closed from the side', 8, [3, 40]),
  breakDepth: practised('Depth of the break', 'its bottom below water', 12, [3, 60], 1),
  ...SLIDE_NUMBERS,
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);
const SIDES = ['left', 'right'] as const;

/** Two beds on the firm shoulders of a narrow deep break, where the pond side is too soft for a trap in the channel. */
export const damBreakShoulder: SetType = {
  id: 'dam-break-shoulder',
  name: 'Dam break, shoulder',
  idea: 'A narrow deep break that has to be closed with sticks from the side; a foothold on each firm shoulder, 6 to 8 in deep because the pond falls overnight.',
  species: ['beaver'],
  stations: ['dam', 'crossover', 'slide'],
  suits: [
    suit('beaver', ['dam'], 0, 'the pond side is too soft for a stand: a narrow deep break and beds on the firm shoulders', { when: soft }),
    suit('beaver', ['dam'], 2, 'where the pond side is too soft or full of leaves: a narrow deep break and beds on the firm shoulders'),
  ],
  devices: ['foothold'],
  positions: [
    { id: 'left', label: 'Left bed', optional: false },
    { id: 'right', label: 'Right bed', optional: true },
  ],
  numbers,
  seen: 'leftUnder',
  usual: { class: 'foothold', size: '4' },
  variants: [{ id: 'pair', name: 'a bed on each shoulder', fills: 2 }],
  fit: 'No. 4 or 5 on sod; each bed ringed with small sticks.',
  tools: ['foothold setters', 'spade', 'hatchet', 'waders'],
  disputed: ['A bare pan: the ring may keep water over it; or they step beside it.'],
  faults: ['Dry in the morning: the pond fell farther than the bed was deep.', 'Leaves in the bed: the ring was left out.'],
  hides: ['under the repair', 'over the far side of the dam'],
  choices: {
    hold: { label: 'Hold', options: { live: 'live restraint', slide: 'slide wire to deep water' }, default: 'live' },
    ...anchored('stake'),
  },
  acts: { breaks: 1, shape: 'rectangle', width: inches(8), depth: inches(12), words: 'one narrow deep break between the beds' },
  layOut: (laying) => {
    const filled = SIDES.filter((side) => laying.devices[side]);
    const surface = levelThen(laying);
    const half = of(laying, 'breakWidth') / 2;
    const sill = surface - of(laying, 'breakDepth');
    const held = filled.map((side) => holdOfSide(laying, side));
    const beds: Piece = {
      parts: filled.flatMap((side) => bedOfSide(laying, side)),
      ground: groundOf(laying, held),
      needs: filled.map((side) => ({ ...panNeed(laying, PAN, side), called: `${side} pan` })),
      free: filled.map((device) => ({ device, say: { down: 'Lower the bed', up: 'Raise the bed' }, floor: null })),
      findings: filled.length === 0 ? [] : [...filled.map((side) => build(laying, side)), fall(laying)],
      // from the end of the dam: the pond at one hand, the shoulder with its bed, the dam at the other
      front: [
        [-0.9, floorOf(laying) - inches(10)],
        [-0.3, floorOf(laying)],
        [0.18, floorOf(laying)],
        [0.34, surface + inches(5)],
        [0.9, surface + inches(6)],
      ],
      marks: [
        ...filled.map((side) =>
          heightMark(`${side}Under`, `${side} pan under`, {
            view: 'side',
            across: xOf(laying, side),
            from: surface,
            to: surface - underOf(laying, side),
          }),
        ),
        ...(filled.length > 1
          ? [
              widthMark('apart', 'Beds apart', {
                view: 'side',
                z: surface + inches(6),
                from: -of(laying, 'apart') / 2,
                to: of(laying, 'apart') / 2,
              }),
            ]
          : []),
        heightMark('breakDepth', 'Bottom below water', { view: 'side', across: 0, from: surface, to: sill }),
        widthMark('breakWidth', 'Break', { view: 'side', z: sill - inches(4), from: -half, to: half }),
      ],
      travel:
        filled.length === 0 ? [] : [{ build: 'beaverAdult', x: -of(laying, 'apart') / 2 - inches(14), z: surface - 0.2, pose: 'swims' }],
    };
    return assemble(beds, ...held);
  },
  orders: () =>
    always(
      once('Choose a place where the shoulders are firm underfoot; anchors in.', FLOODS),
      once('Dig the narrow deep break down to a plug.'),
      once('Dig the bed on each side, sod under the trap, 6 to 8 in deep; ring each bed with small sticks.'),
      { do: 'Far trap, wholly: cocked aside, pan from under the loose jaw, laid in, tried and covered with a stick.', caution: LEVERS },
      {
        do: 'Near trap the same way: cocked aside, dog and pan, laid in, tried and covered.',
        lastReach: true,
        caution: 'From here nobody steps past either bed.',
      },
      {
        do: 'Draw the plug with a hoe from the crest, feet behind the near bed.',
        caution: 'A break runs away by itself in soft fill: never below it.',
      },
    ),
};

/** A break that is dead at its sill leaves the beds an inch bare; a beaver’s feet pass over from nine. */
const PAN: WorkRange = { aim: [-8, -6], works: [-9, 1], perhaps: [-12, 1], ends: ['swumOver', 'bare'] };

const underOf = (laying: Laying, side: (typeof SIDES)[number]): number => of(laying, `${side}Under`);
const xOf = (laying: Laying, side: (typeof SIDES)[number]): number => ((side === 'left' ? -1 : 1) * of(laying, 'apart')) / 2;

/** What holds the catch of one bed, away from the break: the same for both, mirrored on the left. */
function holdOfSide(laying: Laying, side: (typeof SIDES)[number]): Piece {
  const hold = holdPiece(laying, { numbers, build: 'beaverAdult', held: 'front foot', device: side });
  const way = side === 'left' ? 1 : -1;
  const own = (id: string): string => `${side}-${id}`;
  const across_ = (x: number): number => xOf(laying, side) + way * x;
  return {
    ...hold,
    parts: (hold.parts ?? []).map((part) => ({
      ...part,
      id: own(part.id),
      x: across_(part.x),
      ...(part.tiedTo ? { tiedTo: part.tiedTo === 'pan' ? `${side}-pan` : own(part.tiedTo) } : {}),
      ...(part.look?.leans === undefined ? {} : { look: { ...part.look, leans: way * part.look.leans } }),
    })),
    needs: (hold.needs ?? []).map((need) => ({ ...need, id: own(need.id), of: { ...need.of, part: own(need.of.part) } })),
    findings: (hold.findings ?? []).map((finding) => ({ ...finding, id: own(finding.id), of: side })),
    marks: [],
    holds: (hold.holds ?? []).map(({ deep, ...h }) => ({
      ...h,
      anchor: [across_(h.anchor[0]), h.anchor[1], h.anchor[2]] as [number, number, number],
      ...(deep ? { deep: [across_(deep[0]), deep[1]] as [number, number] } : {}),
    })),
  };
}

function bedOfSide(laying: Laying, side: (typeof SIDES)[number]): Part[] {
  const size = laying.devices[side]?.size ?? '4';
  const x = xOf(laying, side);
  const ring = [-1, 1].map((hand): Part =>
    onBed(
      'stick',
      `${side}-ring${hand}`,
      [x + hand * (footholdOf(size).spread / 2 + inches(3)), 0, levelThen(laying) - underOf(laying, side) - inches(5)],
      [inches(9), inches(0.6), inches(0.6)],
      { stock: 'ring of small sticks' },
    ),
  );
  return [...bedParts(laying, size, underOf(laying, side), { device: side, x }), ...ring];
}

const build = (laying: Laying, side: (typeof SIDES)[number]): Finding =>
  buildUp(laying, laying.devices[side]?.size ?? '4', underOf(laying, side), { id: `buildUp-${side}`, of: side });

/** How far the pond may fall before the shallower bed is too shallow: said when it is made, since it will fall. */
function fall(laying: Laying): Finding {
  const left = SIDES.filter((s) => laying.devices[s]).map((s) => ({ side: s, room: underOf(laying, s) + inches(PAN.works[1] ?? 0) }));
  const first = [...left].sort((a, b) => a.room - b.room)[0];
  const room = first?.room ?? 0;
  const values = { side: first?.side ?? 'left', room: Math.max(room, 0), deep: of(laying, 'breakDepth') };
  return found('fall', room < inches(3) ? 'warns' : 'holds', 'practice', values);
}

/** The shoulder under the deeper of the beds. */
function floorOf(laying: Laying): number {
  const level = levelThen(laying);
  const deepest = Math.max(of(laying, 'leftUnder'), of(laying, 'rightUnder'));
  return Math.min(bedOf(laying) ?? level - deepest - inches(2), level - deepest - inches(1.75));
}

function groundOf(laying: Laying, held: readonly Piece[]): [number, number][] {
  const level = levelThen(laying);
  const half = of(laying, 'breakWidth') / 2;
  const sill = level - of(laying, 'breakDepth');
  const apart = of(laying, 'apart') / 2;
  const floor = floorOf(laying);
  const ends = held.flatMap(({ holds = [] }) => holds.flatMap(({ deep }) => (deep ? [deep] : [])));
  const out = ends.map(([x, z]): [number, number] => [x, Math.min(z, floor - inches(2))]).sort((a, b) => a[0] - b[0]);
  return [
    ...out.filter(([x]) => x < -apart - 1.3),
    [-apart - 1.2, floor - inches(10)],
    [-apart - 0.25, floor],
    [-half - 0.04, floor],
    [-half, Math.min(sill, floor - 0.02)],
    [half, Math.min(sill, floor - 0.02)],
    [half + 0.04, floor],
    [apart + 0.25, floor],
    ...(out.some(([x]) => x > apart + 0.7) ? out.filter(([x]) => x > apart + 0.7) : [[apart + 0.6, level + 0.15] as [number, number]]),
  ];
}
