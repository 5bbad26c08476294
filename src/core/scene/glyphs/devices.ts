import { BODY_GRIPS } from '../../devices/sizes';
import { inches } from '../../units/factors';
import type { Part } from '../../water/part';
import { arc, bent, circle, rounded, type Point, type Stroke } from '../stroke';

/** Traps and loops from their real outlines. `z` is the elevation of the part's bottom. */

const steel = (part: string, line: Point[], width = 2.4, rest: Partial<Stroke> = {}): Stroke => ({
  part,
  line,
  ink: 'steel',
  width,
  ...rest,
});

interface Spring {
  arm: number;
  coil: number;
}
const springOf = (size: string | undefined): Spring => ({
  arm: BODY_GRIPS[size ?? '330']?.arm ?? inches(9),
  coil: inches(size && ['110', '120'].includes(size) ? 0.65 : 0.85),
});

/** A body-grip from the side: two thin jaws in one plane, dog over the top, two wires hanging inside. */
export function jawsSide({ id, x, height: o, look = {} }: Part, z: number): Stroke[] {
  const { arm, coil } = springOf(look.size);
  const rod = inches(0.42);
  const middle = z + o / 2;
  const jaw = (way: 1 | -1): Point[] => bent([x + way * rod * 0.3, z + o], [x + way * rod * 2.1, middle], [x + way * rod * 0.3, z]);
  const shapes: Stroke[] = [steel(id, jaw(-1)), steel(id, jaw(1))];
  const coilAt = (at: Point): Stroke => steel(id, circle(at, coil), 2.4, { closed: true, fill: 'pale' });
  if (look.springs === 'up' || look.springs === 'bank')
    shapes.push(
      steel(id, [
        [x - rod, middle],
        [x - rod * 0.6, middle + arm - coil],
      ]),
      steel(id, [
        [x + rod, middle],
        [x + rod * 0.6, middle + arm - coil],
      ]),
      coilAt([x, middle + arm]),
    );
  if (look.springs === 'hung') {
    const top = z + o;
    for (const way of [-1, 1])
      shapes.push(
        steel(id, [
          [x + way * rod, top],
          [x + way * rod * 0.6, top + arm - coil],
        ]),
      );
    shapes.push(coilAt([x, top + arm]));
    if (springsOf(look) === 2) shapes.push(steel(id, circle([x, z], coil * 1.25), 2, { closed: true }), coilAt([x, z]));
  }
  if (look.springs === 'flat')
    shapes.push(
      steel(id, [
        [x, middle + rod],
        [x + arm, middle + rod * 0.6],
      ]),
      steel(id, [
        [x, middle - rod],
        [x + arm, middle - rod * 0.6],
      ]),
      coilAt([x + arm + coil, middle]),
    );
  if (look.springs === 'side' || look.springs === 'bank' || look.springs === undefined)
    shapes.push(steel(id, circle([x, middle], coil * 1.25), 2, { closed: true }), coilAt([x, middle]));
  const wire = look.trigger === 'low' ? [z, z + o * 0.5] : [z + o, z + o * (look.trigger === 'pan' ? 0.4 : 0.5)];
  const [from, to] = wire as [number, number];
  shapes.push(
    steel(
      id,
      [
        [x - rod, from],
        [x - rod - o * 0.09, to],
      ],
      1.3,
    ),
    steel(
      id,
      [
        [x - rod * 0.6, from],
        [x - rod + o * 0.06, to],
      ],
      1.3,
    ),
  );
  const dog = look.dog === 'bottom' || look.trigger === 'low' ? z : z + o;
  shapes.push(
    steel(
      id,
      [
        [x - rod * 2, dog + inches(0.15)],
        [x + rod * 2.4, dog + inches(0.15)],
      ],
      4,
    ),
  );
  return shapes;
}

/** A body-grip as it is met: a rounded square of rod, its springs, dog and wires. */
export function jawsFront({ id, y, height: o, look = {} }: Part, z: number): Stroke[] {
  const { arm, coil } = springOf(look.size);
  const middle = z + o / 2;
  const half = o / 2;
  const inner = inches(0.45);
  const shapes: Stroke[] = [
    steel(id, rounded(y - half, z, o, o, o * 0.11), 3.4, { closed: true }),
    steel(id, rounded(y - half + inner, z + inner, o - 2 * inner, o - 2 * inner, o * 0.08), 1.2, { closed: true }),
  ];
  if (look.springs === 'hung') return [...shapes, ...hungBy(id, [y, z + o], [y, z], look), ...trigger(id, y, z, o, look)];
  const springs = springsOf(look) === 1 ? ([1] as const) : ([-1, 1] as const);
  for (const hand of springs) {
    const up = look.springs === 'up' || (look.springs === 'bank' && hand > 0);
    const edge = y + hand * half;
    const at: Point = up
      ? [edge + hand * inches(0.7), middle + arm]
      : look.springs === 'flat'
        ? [edge + hand * inches(0.8), middle]
        : [edge + hand * arm, middle];
    const side: Point[] = up
      ? [
          [edge, middle],
          [at[0] - hand * coil, at[1]],
        ]
      : [
          [edge, middle + inches(1.3)],
          [at[0], at[1] + coil],
        ];
    const other: Point[] = up
      ? [
          [edge + hand * inches(0.7), middle],
          [at[0] + hand * coil, at[1]],
        ]
      : [
          [edge, middle - inches(1.3)],
          [at[0], at[1] - coil],
        ];
    if (look.springs !== 'flat') shapes.push(steel(id, side, 2.2), steel(id, other, 2.2));
    shapes.push(steel(id, circle(at, coil), 2.4, { closed: true, fill: 'pale' }));
    shapes.push(steel(id, circle([edge, middle], inches(0.8)), 1.6, { closed: true }));
  }
  return [...shapes, ...trigger(id, y, z, o, look)];
}

const springsOf = (look: NonNullable<Part['look']>): number => BODY_GRIPS[look.size ?? '330']?.springs ?? 2;

/** A trap that hangs by its upper spring: the lower one, where it has two, points to the stream. */
function hungBy(id: string, [y, top]: Point, [, foot]: Point, look: NonNullable<Part['look']>): Stroke[] {
  const { arm, coil } = springOf(look.size);
  const spring = (from: [Point, Point], to: [Point, Point], at: Point): Stroke[] => [
    steel(id, [from[0], to[0]], 2.2),
    steel(id, [from[1], to[1]], 2.2),
    steel(id, circle(at, coil), 2.4, { closed: true, fill: 'pale' }),
  ];
  const eye = inches(1.3);
  const upper = spring(
    [
      [y - eye, top],
      [y + eye, top],
    ],
    [
      [y - coil, top + arm],
      [y + coil, top + arm],
    ],
    [y, top + arm],
  );
  if (springsOf(look) === 1) return upper;
  const out = y - arm;
  const lower = spring(
    [
      [y, foot],
      [y, foot - inches(0.4)],
    ],
    [
      [out, foot],
      [out, foot - 2 * coil],
    ],
    [out, foot - coil],
  );
  return [...upper, ...lower];
}

function trigger(id: string, y: number, z: number, o: number, look: NonNullable<Part['look']>): Stroke[] {
  const top = z + o;
  const low = look.trigger === 'low';
  const dog: Stroke = steel(id, rounded(y - inches(0.9), (low ? z : top) - inches(0.35), inches(1.8), inches(0.7), inches(0.1)), 1.4, {
    closed: true,
    fill: 'ink',
  });
  const wire = (line: Point[]): Stroke => steel(id, line, 1.5);
  if (low)
    return [
      dog,
      ...([-1, 1] as const).map((hand) =>
        wire(bent([y + hand * inches(0.3), z], [y + hand * o * 0.36, z + o * 0.1], [y + hand * o * 0.38, z + o * 0.48])),
      ),
    ];
  if (look.trigger === 'bar')
    return [
      dog,
      wire([
        [y, top],
        [y, z + o / 2],
      ]),
      steel(
        id,
        [
          [y - o * 0.3, z + o / 2],
          [y + o * 0.3, z + o / 2],
        ],
        2.2,
      ),
    ];
  if (look.trigger === 'pan')
    return [
      dog,
      wire([
        [y, top],
        [y, z + o * 0.5],
      ]),
      steel(id, rounded(y - o * 0.2, z + o * 0.36, o * 0.4, o * 0.28, inches(0.2)), 1.8, { closed: true, fill: 'pale' }),
    ];
  const out = look.trigger === 'spread' ? 0.3 : 0.16;
  return [
    dog,
    ...([-1, 1] as const).map((hand) =>
      wire([
        [y + hand * inches(0.3), top],
        [y + hand * o * out, z + o * 0.5],
      ]),
    ),
  ];
}

/** A foothold in its bed: base, open jaws lying low, the pan on its post, the levers or coils at the ends. */
export function pan({ id, height, wide, stock = '' }: Part, at: number, z: number): Stroke[] {
  const half = wide / 2;
  const long = /No\. (1|11|4)$/.test(stock);
  const jaw = (hand: 1 | -1): Stroke =>
    steel(
      id,
      bent([at + hand * half * 0.34, z + inches(0.25)], [at + hand * half * 0.9, z + height * 0.95], [at + hand * half, z + inches(0.15)]),
      3,
    );
  const ends = ([-1, 1] as const).flatMap((hand): Stroke[] =>
    long
      ? [
          steel(
            id,
            bent(
              [at + hand * half * 0.95, z + inches(0.5)],
              [at + hand * (half + wide * 0.3), z + inches(0.7)],
              [at + hand * (half + wide * 0.55), z],
            ),
            2.2,
          ),
          steel(
            id,
            [
              [at + hand * half, z],
              [at + hand * (half + wide * 0.55), z],
            ],
            2.2,
          ),
        ]
      : [steel(id, circle([at + hand * half * 0.62, z + inches(0.45)], inches(0.38), 10), 1.8, { closed: true, fill: 'pale' })],
  );
  return [
    steel(
      id,
      [
        [at - half, z + inches(0.1)],
        [at + half, z + inches(0.1)],
      ],
      3.6,
    ),
    ...ends,
    jaw(-1),
    jaw(1),
    steel(
      id,
      [
        [at, z],
        [at, z + height],
      ],
      2,
    ),
    steel(
      id,
      [
        [at - half * 0.3, z + height],
        [at + half * 0.3, z + height],
      ],
      4.2,
    ),
  ];
}

/** A loop from the side: nearly a line, since it stands across the way; the lock on it. Hung beside the pole under ice it is seen whole. */
export function loopSide({ id, x, height, wide, look = {} }: Part, z: number): Stroke[] {
  const middle: Point = [x, z + height / 2];
  const lock: Point = look.lock === 'top' ? [x, z + height] : [x, z + height * 0.72];
  const half = wide > 0.05 ? wide / 2 : height * 0.07;
  return [
    steel(id, arc(middle, [half, height / 2], { steps: 28 }), 2, { closed: true }),
    steel(id, circle(lock, inches(0.28), 10), 1.6, { closed: true, fill: 'ink' }),
  ];
}

/** A loop as it is met: round, since it is loaded; lock at the side or the top, the bend behind it. */
export function loopFront({ id, y, height, across, look = {} }: Part, z: number): Stroke[] {
  const r = height / 2;
  const middle: Point = [y, z + r];
  const angle = look.lock === 'top' ? Math.PI / 2 : Math.PI * 0.2;
  const lock: Point = [y + r * Math.cos(angle), middle[1] + r * Math.sin(angle)];
  return [
    steel(id, arc(middle, [across / 2, r], { steps: 36 }), 2.4, { closed: true }),
    steel(id, bent(lock, [lock[0] + inches(1.4), lock[1] + inches(1)], [lock[0] + inches(2.6), lock[1] - inches(0.2)]), 2),
    steel(id, circle(lock, inches(0.36), 10), 1.6, { closed: true, fill: 'ink' }),
  ];
}
