import { BUILDS, type BuildKey } from '../../animals/species';
import { groundAt, type Section } from '../../geometry/opening';
import type { Travel } from '../../sets/design';
import { arc, circle, smooth, type Point, type Stroke } from '../stroke';

/** Outlines in parts of the body: along from the nose (0) to the rump (−1), up from the belly (0) to the back (1). Drawn from the proportions alone. */
interface Outline {
  body: Point[];
  /** tail: along in parts of the tail from the rump, up in parts of the height */
  tail: Point[];
  legs: [number, number][];
}

const BEAVER: Outline = {
  body: [
    [0, 0.55],
    [-0.03, 0.72],
    [-0.1, 0.84],
    [-0.16, 0.9],
    [-0.22, 0.84],
    [-0.45, 1],
    [-0.7, 0.98],
    [-0.9, 0.78],
    [-1, 0.48],
    [-0.94, 0.2],
    [-0.7, 0.03],
    [-0.4, 0],
    [-0.2, 0.12],
    [-0.1, 0.3],
    [-0.03, 0.42],
  ],
  tail: [
    [0, 0.42],
    [-0.35, 0.38],
    [-0.8, 0.36],
    [-1, 0.28],
    [-0.85, 0.2],
    [-0.35, 0.22],
    [0, 0.28],
  ],
  legs: [
    [-0.3, 0.16],
    [-0.82, 0.2],
  ],
};
const SLENDER: Outline = {
  body: [
    [0, 0.55],
    [-0.04, 0.74],
    [-0.11, 0.86],
    [-0.17, 0.8],
    [-0.32, 0.74],
    [-0.55, 0.95],
    [-0.78, 1],
    [-0.95, 0.72],
    [-1, 0.5],
    [-0.92, 0.28],
    [-0.7, 0.2],
    [-0.45, 0.16],
    [-0.26, 0.2],
    [-0.12, 0.34],
    [-0.03, 0.42],
  ],
  tail: [
    [0, 0.62],
    [-0.4, 0.5],
    [-1, 0.3],
    [-0.4, 0.34],
    [0, 0.36],
  ],
  legs: [
    [-0.3, 0.09],
    [-0.84, 0.1],
  ],
};
const MUSKRAT: Outline = {
  body: [
    [0, 0.5],
    [-0.06, 0.7],
    [-0.16, 0.84],
    [-0.4, 0.98],
    [-0.7, 1],
    [-0.93, 0.74],
    [-1, 0.42],
    [-0.9, 0.14],
    [-0.6, 0],
    [-0.3, 0.06],
    [-0.12, 0.24],
  ],
  tail: [
    [0, 0.36],
    [-0.5, 0.3],
    [-1, 0.24],
    [-0.5, 0.22],
    [0, 0.2],
  ],
  legs: [
    [-0.3, 0.08],
    [-0.8, 0.12],
  ],
};
const RACCOON: Outline = {
  body: [
    [0, 0.5],
    [-0.1, 0.68],
    [-0.16, 0.86],
    [-0.2, 0.72],
    [-0.5, 1],
    [-0.8, 0.96],
    [-1, 0.62],
    [-0.94, 0.36],
    [-0.6, 0.34],
    [-0.3, 0.32],
    [-0.14, 0.36],
  ],
  tail: [
    [0, 0.62],
    [-0.5, 0.56],
    [-1, 0.36],
    [-0.5, 0.3],
    [0, 0.4],
  ],
  legs: [
    [-0.28, 0.12],
    [-0.86, 0.14],
  ],
};

const outlineOf = (key: BuildKey): Outline => {
  if (key === 'muskrat') return MUSKRAT;
  if (key === 'raccoon') return RACCOON;
  return key.startsWith('beaver') ? BEAVER : SLENDER;
};

/** How tall an animal is drawn: its height under the surface and what its head shows (5 cm for a beaver, less for small ones). */
const tallOf = (key: BuildKey): number => BUILDS[key].swims + Math.min(0.05, BUILDS[key].swims * 0.3) + (key === 'raccoon' ? 0.12 : 0);

/** An animal that swims at the surface, at the level of now, m: lifted or let down with the water, wading where the ground comes up. One that dives or walks stays. */
export function atTheWater(travel: Travel, ground: Section, made: number, now: number): Travel {
  const top = travel.z + tallOf(travel.build);
  if (travel.pose !== 'swims' || top < made - 0.01 || ground.length === 0) return travel;
  return { ...travel, z: Math.max(travel.z + now - made, Math.min(travel.z, groundAt(ground, travel.x))) };
}

/** An animal from the side, its nose at x, facing the set. */
export function animalSide({ build, x, z, pose, leans = 0 }: Travel): Stroke[] {
  const { body, tail, rears } = BUILDS[build];
  const tall = tallOf(build);
  const { body: outline, tail: end, legs } = outlineOf(build);
  const legged = pose !== 'swims';
  const lift = legged ? tall * 0.12 : 0;
  const place = ([u, v]: Point): Point => [u * body, lift + v * tall];
  const shape = smooth(outline.map(place));
  const tailShape = smooth(end.map(([u, v]): Point => [-body + u * tail, lift + v * tall]));
  const limbs = legged
    ? legs.map(([at, thick]): Point[] => [
        [at * body, lift + tall * 0.3],
        [at * body - (thick * tall) / 2, 0],
        [at * body + thick * tall * 0.9, 0],
        [at * body + (thick * tall) / 2, lift + tall * 0.3],
      ])
    : [];
  const eye = circle([-0.075 * body, lift + 0.7 * tall], Math.max(0.008, body * 0.012), 8);
  // standing up it turns about its hind feet until the nose is as high as it reaches; uphill about its forefeet, as steep as the ground
  const angle = pose === 'rears' ? Math.asin(Math.min(0.98, (rears * 0.92) / body)) : leans;
  const pivot: Point = pose === 'rears' ? [-0.85 * body, 0] : [(legs[0]?.[0] ?? 0) * body, 0];
  const turn = ([px, pz]: Point): Point => {
    const [dx, dz] = [px - pivot[0], pz - pivot[1]];
    return [pivot[0] + dx * Math.cos(angle) - dz * Math.sin(angle), pivot[1] + dx * Math.sin(angle) + dz * Math.cos(angle)];
  };
  const nose = turn(place(outline[0] ?? [0, 0.5]));
  const shift = ([px, pz]: Point): Point => [px + x - nose[0], pz + z];
  const put = (points: Point[]): Point[] => points.map((p) => shift(turn(p)));
  const part = 'animal';
  return [
    { part, line: put(tailShape), ink: 'animal', width: 1, closed: true, fill: 'ink' },
    ...limbs
      .slice(pose === 'rears' ? 1 : 0)
      .map((line): Stroke => ({ part, line: put(line), ink: 'animal', width: 1, closed: true, fill: 'ink' })),
    { part, line: put(shape), ink: 'animal', width: 1, closed: true, fill: 'ink' },
    { part, line: put(eye), ink: 'animal', width: 1, closed: true, fill: 'pale' },
  ];
}

/** Steeper than this it does not lie in its drawing, rad. */
const STEEPEST = 0.55;

/** An animal on foot as steep as the ground under it: its hind feet on the bottom, or afloat where that is out of their reach. */
export function onTheGround(travel: Travel, ground: Section, water: number | null): Travel {
  if (travel.pose !== 'walks' || ground.length < 2) return travel;
  const { body } = BUILDS[travel.build];
  const [fore = 0, hind = -1] = outlineOf(travel.build).legs.map(([at]) => at * body);
  // on a log or a deck it walks level
  if (travel.z - groundAt(ground, travel.x + fore) > 0.15) return travel;
  const under = groundAt(ground, travel.x + hind);
  const stands = Math.min(travel.z, water === null ? under : Math.max(under, water - tallOf(travel.build) * 0.7));
  const leans = Math.min(STEEPEST, Math.atan2(travel.z - stands, fore - hind));
  return leans < 0.12 ? travel : { ...travel, leans };
}

/** The same as it comes head on: body, head and ears, as wide as it swims. */
export function animalFront({ build, y = 0, z, pose }: Travel): Stroke[] {
  const { width } = BUILDS[build];
  const tall = tallOf(build);
  const head: Point = [y, z + tall * 0.62];
  const ears = ([-1, 1] as const).map((hand): Stroke => ({
    part: 'animal',
    line: circle([y + hand * width * 0.2, head[1] + width * 0.22], width * 0.06, 8),
    ink: 'animal',
    width: 1,
    closed: true,
    fill: 'ink',
  }));
  const body =
    pose === 'rears'
      ? arc([y, z + BUILDS[build].rears * 0.45], [width * 0.5, BUILDS[build].rears * 0.45])
      : arc([y, z + tall * 0.45], [width * 0.5, tall * 0.45]);
  const at: Point = pose === 'rears' ? [y, z + BUILDS[build].rears * 0.85] : head;
  return [
    { part: 'animal', line: body, ink: 'animal', width: 1, closed: true, fill: 'ink' },
    ...(pose === 'rears' ? [] : ears),
    { part: 'animal', line: circle(at, width * 0.27), ink: 'animal', width: 1.4, closed: true, fill: 'ink' },
    { part: 'animal', line: circle([at[0], at[1] - width * 0.06], width * 0.05, 8), ink: 'animal', width: 1, closed: true, fill: 'pale' },
  ];
}
