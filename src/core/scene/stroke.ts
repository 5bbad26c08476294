/** Shapes of a drawing in metres: along or across, and elevation. Every shape belongs to a part, to the animal or to the ground. */

export type Point = [number, number];
export type Ink = 'steel' | 'stick' | 'earth' | 'stone' | 'bait' | 'animal' | 'grass' | 'plank' | 'cable';

/** The colour of each ink and of its pale filling, as the themes name them. */
export const INKS: Record<Ink, { line: string; pale: string }> = {
  steel: { line: 'steel', pale: 'paper' },
  stick: { line: 'stick', pale: 'wood' },
  earth: { line: 'bedink', pale: 'bed' },
  stone: { line: 'mute', pale: 'rock' },
  bait: { line: 'bait', pale: 'paper' },
  animal: { line: 'animal', pale: 'paper' },
  grass: { line: 'grass', pale: 'paper' },
  plank: { line: 'stick', pale: 'wood' },
  cable: { line: 'steel', pale: 'paper' },
};

export interface Stroke {
  part: string;
  line: Point[];
  ink: Ink;
  /** px */
  width: number;
  closed?: boolean;
  /** filled with its own ink, or with the paper */
  fill?: 'ink' | 'pale' | 'none';
  dash?: boolean;
}

interface Turn {
  /** angles in rad, counter-clockwise */
  from?: number;
  to?: number;
  steps?: number;
}

/** Points of an arc by its half axes. */
export function arc([cx, cz]: Point, [rx, rz]: Point, { from = 0, to = 2 * Math.PI, steps = 20 }: Turn = {}): Point[] {
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const angle = from + ((to - from) * i) / steps;
    return [cx + rx * Math.cos(angle), cz + rz * Math.sin(angle)];
  });
}

export const circle = (centre: Point, r: number, steps = 16): Point[] => arc(centre, [r, r], { steps });

/** A curve through a bend: quadratic, from, by, to. */
export function bent([x0, z0]: Point, [x1, z1]: Point, [x2, z2]: Point, steps = 10): Point[] {
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const t = i / steps;
    const [a, b, c] = [(1 - t) ** 2, 2 * t * (1 - t), t ** 2];
    return [a * x0 + b * x1 + c * x2, a * z0 + b * z1 + c * z2];
  });
}

/** A rectangle with rounded corners; left, bottom, width, height. */
export function rounded(left: number, bottom: number, width: number, height: number, r: number): Point[] {
  const radius = Math.min(r, width / 2, height / 2);
  const corner = (cx: number, cz: number, from: number): Point[] =>
    arc([cx, cz], [radius, radius], { from, to: from + Math.PI / 2, steps: 4 });
  const [right, top] = [left + width, bottom + height];
  return [
    ...corner(right - radius, top - radius, 0),
    ...corner(left + radius, top - radius, Math.PI / 2),
    ...corner(left + radius, bottom + radius, Math.PI),
    ...corner(right - radius, bottom + radius, 1.5 * Math.PI),
  ];
}

export const box = (left: number, bottom: number, width: number, height: number): Point[] => [
  [left, bottom],
  [left + width, bottom],
  [left + width, bottom + height],
  [left, bottom + height],
];

/** A smooth closed line through points. @source Catmull–Rom spline */
export function smooth(points: Point[], closed = true, steps = 4): Point[] {
  const n = points.length;
  const at = (i: number): Point => points[closed ? (i + n) % n : Math.min(Math.max(i, 0), n - 1)] ?? [0, 0];
  const found: Point[] = [];
  for (let i = 0; i < (closed ? n : n - 1); i += 1) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    for (let k = 0; k < steps; k += 1) {
      const t = k / steps;
      const axis = (a: number, b: number, c: number, d: number): number =>
        0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t ** 2 + (3 * b - a - 3 * c + d) * t ** 3);
      found.push([axis(p0[0], p1[0], p2[0], p3[0]), axis(p0[1], p1[1], p2[1], p3[1])]);
    }
  }
  return closed ? found : [...found, at(n - 1)];
}
