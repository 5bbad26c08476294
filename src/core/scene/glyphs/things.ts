import { inches } from '../../units/factors';
import type { Part } from '../../water/part';
import { arc, bent, box, circle, rounded, smooth, type Ink, type Point, type Stroke } from '../stroke';

/** Everything that is not a trap: wood, stones, anchors, bait. Along is x from the side and y as it is met. */

interface Seen {
  part: Part;
  /** where its middle is on this view, and how wide it is there, m */
  at: number;
  wide: number;
  z: number;
  view: 'side' | 'eye';
}
type Draw = (seen: Seen) => Stroke[];

const one = (part: Part, line: Point[], ink: Ink, rest: Partial<Stroke> = {}): Stroke => ({
  part: part.id,
  line,
  ink,
  width: 1.6,
  closed: true,
  fill: 'ink',
  ...rest,
});

/** A stick or post with its lean; a little thicker at the foot. */
const wood: Draw = ({ part, at, wide, z, view }) => {
  const lean = (view === 'side' ? part.look?.leans : part.look?.leansAcross) ?? 0;
  const half = Math.max(wide, inches(0.5)) / 2;
  return [
    one(
      part,
      [
        [at - half, z],
        [at + half, z],
        [at + lean + half * 0.8, z + part.height],
        [at + lean - half * 0.8, z + part.height],
      ],
      'stick',
      { width: 0.8 },
    ),
  ];
};

/** A pole or log: lying across it shows its end from the side and its length as it is met. */
const log: Draw = ({ part, at, wide, z }) => {
  if (wide < part.height * 1.6) {
    const r = part.height / 2;
    return [
      one(part, circle([at, z + r], r), 'stick', { width: 1.4, fill: 'pale' }),
      one(part, circle([at, z + r], r * 0.5), 'stick', { width: 0.8, fill: 'none' }),
    ];
  }
  return [one(part, rounded(at - wide / 2, z, wide, part.height, part.height / 2), 'stick', { width: 1, fill: 'ink' })];
};

const trunk: Draw = (seen) => {
  const { part, at, wide, z, view } = seen;
  if (view === 'eye')
    return [
      one(part, circle([at, z + part.height / 2], part.height / 2, 20), 'stick', { fill: 'pale', width: 1.6 }),
      one(part, circle([at, z + part.height / 2], part.height * 0.3, 14), 'stick', { fill: 'none', width: 0.8 }),
    ];
  return [
    one(part, rounded(at - wide / 2, z, wide, part.height, inches(1)), 'stick', { fill: 'pale' }),
    one(
      part,
      [
        [at - wide * 0.4, z + part.height * 0.62],
        [at + wide * 0.36, z + part.height * 0.66],
      ],
      'stick',
      { closed: false, width: 0.8, fill: 'none' },
    ),
  ];
};

const tree: Draw = ({ part, at, wide, z }) => [
  one(
    part,
    [
      [at - wide * 0.62, z],
      [at + wide * 0.62, z],
      [at + wide * 0.42, z + part.height * 0.3],
      [at + wide * 0.4, z + part.height],
      [at - wide * 0.4, z + part.height],
      [at - wide * 0.42, z + part.height * 0.3],
    ],
    'stick',
    { fill: 'pale' },
  ),
  one(
    part,
    [
      [at - wide * 0.15, z + part.height * 0.1],
      [at - wide * 0.12, z + part.height * 0.9],
    ],
    'stick',
    { closed: false, fill: 'none', width: 0.8 },
  ),
];

const root: Draw = ({ part, at, wide, z }) =>
  [0, 0.5, 1].map((t) =>
    one(
      part,
      bent(
        [at - wide / 2 + (wide * t) / 2, z],
        [at - wide * 0.1 + wide * 0.3 * t, z + part.height * (1.3 - t * 0.5)],
        [at + wide / 2, z + part.height * (0.9 - t * 0.5)],
      ),
      'stick',
      { closed: false, fill: 'none', width: 3.4 },
    ),
  );

const stake: Draw = ({ part, at, wide, z }) => {
  const half = Math.max(wide, inches(0.8)) / 2;
  return [
    one(
      part,
      [
        [at, z],
        [at + half, z + inches(2.5)],
        [at + half, z + part.height],
        [at - half, z + part.height],
        [at - half, z + inches(2.5)],
      ],
      'stick',
      { width: 0.8 },
    ),
  ];
};

const stand: Draw = ({ part, at, wide, z }) => {
  const half = wide / 2;
  const steelLine = (line: Point[], width = 2.6): Stroke => ({ part: part.id, line, ink: 'steel', width });
  return [
    steelLine([
      [at - half, z],
      [at + half, z],
    ]),
    ...([-1, 1] as const).map((hand) =>
      steelLine(
        [
          [at + hand * half * 0.7, z],
          [at + hand * half * 0.62, z + part.height + inches(3)],
        ],
        2,
      ),
    ),
  ];
};

const bar: Draw = ({ part, at, wide, z }) => [
  one(part, rounded(at - wide / 2, z, wide, Math.max(part.height, inches(0.5)), inches(0.2)), 'steel', { width: 1 }),
];

/** A cable hangs a little between its ends; a taut one would be straight. */
const line: Draw = ({ part, at, wide, z, view }) => {
  const rises = ((view === 'side' ? part.look?.leans : part.look?.leansAcross) ?? 1) > 0;
  const half = Math.max(wide, 0.002) / 2;
  const from: Point = [at - half, rises ? z : z + part.height];
  const to: Point = [at + half, rises ? z + part.height : z];
  const slack = view === 'side' && wide > inches(6) ? Math.min(inches(2), wide * 0.06) : 0;
  return [
    {
      part: part.id,
      line: slack ? bent(from, [at, z + part.height / 2 - slack * 2], to) : [from, to],
      ink: 'cable',
      width: 1.5,
      dash: true,
    },
  ];
};

const mound: Draw = ({ part, at, wide, z }) => [
  one(part, bent([at - wide / 2, z], [at, z + part.height * 2], [at + wide / 2, z], 16), 'earth', { fill: 'pale', width: 2 }),
];

const bed: Draw = ({ part, at, wide, z }) => [
  one(part, box(at - wide / 2, z, wide, part.height), 'earth', { fill: 'pale', width: 1.6, dash: true }),
];

const stone: Draw = ({ part, at, wide, z }) => [
  one(part, rounded(at - wide / 2, z, wide, part.height, part.height * 0.4), 'stone', { fill: 'pale', width: 1.8 }),
];

/** A heap of stones in courses. */
const stones: Draw = ({ part, at, wide, z }) => {
  const rows = Math.max(1, Math.round(part.height / inches(2.6)));
  const tall = part.height / rows;
  return Array.from({ length: rows }, (_, r) => {
    const count = Math.max(1, Math.round(wide / inches(4.5)) - (r % 2));
    const each = wide / count;
    return Array.from({ length: count }, (_unused, i) =>
      one(part, rounded(at - wide / 2 + i * each, z + r * tall, each * 0.97, tall * 0.96, tall * 0.38), 'stone', {
        fill: 'pale',
        width: 1.4,
      }),
    );
  }).flat();
};

const wall: Draw = ({ part, at, wide, z, view }) => {
  const rows = Math.max(2, Math.round(part.height / inches(6)));
  const joints = Array.from({ length: rows - 1 }, (_, i) =>
    one(
      part,
      [
        [at - wide / 2, z + (part.height * (i + 1)) / rows],
        [at + wide / 2, z + (part.height * (i + 1)) / rows],
      ],
      'stone',
      { closed: false, fill: 'none', width: 0.8 },
    ),
  );
  return [one(part, box(at - wide / 2, z, wide, part.height), 'stone', { fill: view === 'eye' ? 'pale' : 'none', width: 2 }), ...joints];
};

/** A culvert: round as it is met, two lines from the side. */
const pipe: Draw = ({ part, at, wide, z, view }) =>
  view === 'eye'
    ? [one(part, arc([at, z + part.height / 2], [wide / 2, part.height / 2], { steps: 32 }), 'stone', { fill: 'none', width: 3 })]
    : [one(part, box(at - wide / 2, z, wide, part.height), 'stone', { fill: 'none', width: 2.4 })];

const ledge: Draw = ({ part, at, wide, z }) => [
  one(part, rounded(at - wide / 2, z, wide, part.height, inches(0.8)), 'earth', { fill: 'pale', width: 2 }),
];

const ceiling: Draw = ({ part, at, wide, z }) => [
  one(part, rounded(at - wide / 2, z, wide, part.height, inches(1.5)), 'earth', { fill: 'pale', width: 2 }),
];

const plank: Draw = ({ part, at, wide, z }) => [one(part, box(at - wide / 2, z, wide, part.height), 'plank', { fill: 'pale', width: 1.6 })];

/** A raft of logs: their ends from the side where they lie across, their lengths as it is met. */
const raft: Draw = ({ part, at, wide, z }) => {
  const count = Math.max(2, Math.round(wide / (part.height * 1.2)));
  const r = wide / count / 2;
  return Array.from({ length: count }, (_, i) =>
    one(part, circle([at - wide / 2 + r * (2 * i + 1), z + part.height / 2], Math.min(r, part.height / 2)), 'stick', {
      fill: 'pale',
      width: 1.4,
    }),
  );
};

/** A box cut open from the side, its mouth as it is met. */
const openBox: Draw = ({ part, at, wide, z, view }) => {
  const t = inches(0.75);
  if (view === 'eye')
    return [
      one(part, box(at - wide / 2, z, wide, part.height), 'plank', { fill: 'pale', width: 2 }),
      one(part, box(at - wide / 2 + t, z + t, wide - 2 * t, part.height - 2 * t), 'plank', { fill: 'none', width: 1.2 }),
    ];
  return [
    one(part, box(at - wide / 2, z, wide, t), 'plank', { fill: 'pale' }),
    one(part, box(at - wide / 2, z + part.height - t, wide, t), 'plank', { fill: 'pale' }),
    one(part, box(at + wide / 2 - t, z, t, part.height), 'plank', { fill: 'pale' }),
  ];
};

const tube: Draw = ({ part, at, wide, z }) => [
  one(part, rounded(at - wide / 2, z, wide, part.height, inches(0.4)), 'steel', { fill: 'pale', width: 2.2 }),
  one(part, arc([at, z + part.height], [wide / 2, inches(0.5)]), 'steel', { fill: 'none', width: 1.6 }),
  {
    part: part.id,
    line: [
      [at, z + part.height - inches(1.5)],
      [at, z + inches(2.5)],
    ],
    ink: 'steel',
    width: 1.4,
  },
];

const grass: Draw = ({ part, at, wide, z }) => {
  const blades = Math.max(5, Math.round(wide / inches(1.2)));
  return Array.from({ length: blades }, (_, i): Stroke => {
    const x = at - wide / 2 + (wide * (i + 0.5)) / blades;
    const bend = ((i % 3) - 1) * inches(1.2);
    return { part: part.id, line: bent([x, z], [x, z + part.height * 0.7], [x + bend, z + part.height]), ink: 'grass', width: 1.4 };
  });
};

const bag: Draw = ({ part, at, wide, z }) => {
  const [h, w] = [part.height, wide / 2];
  const shape = smooth([
    [at - w, z + h * 0.2],
    [at - w * 0.8, z + h * 0.7],
    [at - w * 0.2, z + h * 0.86],
    [at, z + h],
    [at + w * 0.2, z + h * 0.86],
    [at + w * 0.8, z + h * 0.7],
    [at + w, z + h * 0.2],
    [at, z],
  ]);
  return [one(part, shape, 'plank', { fill: 'pale', width: 2 })];
};

const slideStop: Draw = ({ part, at, z }) => [
  one(part, rounded(at - inches(1.2), z, inches(2.4), inches(3), inches(0.4)), 'steel', { fill: 'pale', width: 2.2 }),
  {
    part: part.id,
    line: [
      [at - inches(1), z + inches(1.5)],
      [at + inches(1), z + inches(1.5)],
    ],
    ink: 'steel',
    width: 2,
  },
];

/** Bait: peeled sticks and green wood as strokes, the rest as a lump. */
const bait: Draw = ({ part, at, wide, z }) => {
  if (!part.look?.woody)
    return [
      one(
        part,
        smooth([
          [at - wide / 2, z + part.height * 0.3],
          [at - wide * 0.2, z + part.height],
          [at + wide * 0.3, z + part.height * 0.9],
          [at + wide / 2, z + part.height * 0.3],
          [at, z],
        ]),
        'bait',
        { width: 1.2 },
      ),
    ];
  const tall = part.height > wide * 1.5;
  return [-1, 0, 1].map((k): Stroke => ({
    part: part.id,
    line: tall
      ? [
          [at + k * wide * 0.3, z],
          [at + k * wide * 0.36, z + part.height],
        ]
      : [
          [at - wide / 2, z + part.height * (0.2 + 0.25 * (k + 1)) * 0.5],
          [at + wide / 2, z + part.height * (0.25 + 0.35 * (k + 1))],
        ],
    ink: 'bait',
    width: 4,
  }));
};

const DRAW: Partial<Record<Part['kind'], Draw>> = {
  stick: wood,
  frontStick: wood,
  support: wood,
  stake,
  log,
  trunk,
  tree,
  root,
  stand,
  bar,
  line,
  mound,
  bed,
  stone,
  stones,
  wall,
  pipe,
  ledge,
  ceiling,
  platform: plank,
  raft,
  box: openBox,
  tube,
  grass,
  bag,
  slideStop,
  bait,
};

/** A part that is no trap, on one of the two views. */
export const drawThing = (seen: Seen): Stroke[] => (DRAW[seen.part.kind] ?? wood)(seen);
