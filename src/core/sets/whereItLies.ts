import { BUILDS } from '../animals/species';
import { animalReach } from '../hold/reach';
import type { System } from '../units/factors';
import { printLength } from '../units/length';
import type { Design, Hold } from './design';
import type { SetType } from './setType';

/** A place where a missing trap or its catch can lie. */
export interface Lies {
  /** what is done there, in the order to look */
  say: string;
  /** on the plan seen from above: along and across from the anchor, m; null where it lies beyond the drawing */
  at: [number, number] | null;
}

export interface WhereItLies {
  places: Lies[];
  /** how far the trap can lie from the anchor, and the animal beyond it, m */
  tether: number;
  reach: number;
  /** along and across, m */
  anchor: [number, number];
  device: [number, number];
  deep: [number, number] | null;
  /** where water meets land: ahead of the way (x), or at both its sides (y); null where that is not known */
  shore: { x: number } | { left: number; right: number } | null;
}

const HOLDS: Record<Hold['kind'], string> = {
  tie: 'tie',
  slide: 'bank stake of the slide',
  live: 'anchor of the tether',
  stake: 'stake',
  pole: 'pole',
  drowner: 'drowning weight',
};

interface Tied {
  /** where the tie was said to go */
  anchor: string;
  system: System;
  /** of the water, m in the design's datum */
  level: number;
  /** which of its holds; the first when left out */
  hold?: Design['holds'][number] | undefined;
}

/**
 * Where device and animal can lie when a set is found without its trap, from the tie outward, in the order to look. Missing is mostly a catch.
 *
 * @source common practice
 */
export function whereItLies(
  design: Pick<Design, 'holds' | 'parts' | 'ground' | 'front'>,
  type: Pick<SetType, 'hides' | 'devices' | 'underIce'>,
  { anchor, system, level, hold = design.holds[0] }: Tied,
): WhereItLies | null {
  if (!hold) return null;
  const print = (m: number): string => printLength(m, system);
  const { called } = BUILDS[hold.build];
  const reach = hold.tether + animalReach(BUILDS[hold.build], hold.held);
  const device = design.parts.find((p) => p.device === hold.device && p.kind !== 'slideStop');
  const [x, y] = hold.anchor;
  const deep: [number, number] | null = hold.deep ? [hold.deep[0], 0] : null;
  const shore = shoreOf(design, level);
  const sides = shore !== null && 'left' in shore;
  /** so far along the water from the anchor: up or down a run, out from a bank */
  const along = (far: number, way: 1 | -1): [number, number] => [
    x + way * far * (sides ? 1 : 0.9),
    sides ? (device?.y ?? 0) : y + far * 0.3,
  ];
  const places: Lies[] = [
    { say: `At the ${HOLDS[hold.kind]}${anchor ? `, ${anchor}` : ''}: is it there, and is its cable taut?`, at: [x, y] },
    ...(deep
      ? [{ say: `Draw the deep end, ${print(Math.hypot(x - deep[0], y))} out: on a slide an empty bed is the expected catch.`, at: deep }]
      : [
          {
            say: `Follow the cable to its end: the trap lies within ${print(hold.tether)} of the anchor, mostly in the deepest water there.`,
            at: along(hold.tether * 0.85, -1),
          },
          {
            say: `Round the circle of ${print(reach)}: ${called} held by the ${hold.held} reaches so far. Look under roots, banks and ${type.underIce ? 'the ice' : 'weeds'}.`,
            at: along(reach * 0.92, sides ? 1 : -1),
          },
        ]),
    ...(type.hides ?? []).map((where): Lies => ({ say: `Then ${where}.`, at: null })),
    { say: 'Last night’s camera, if one hung there.', at: null },
    { say: 'Only then stolen: note it, and who was asked.', at: null },
  ];
  return {
    places,
    tether: hold.tether,
    reach,
    anchor: [x, y],
    device: [device?.x ?? 0, device?.y ?? 0],
    deep,
    shore,
  };
}

/** Where the ground of the drawings meets the water. */
function shoreOf({ ground, front }: Pick<Design, 'ground' | 'front'>, level: number): WhereItLies['shore'] {
  const right = crossing(front, level, 1);
  const left = crossing(front, level, -1);
  if (left !== null && right !== null) return { left, right };
  const ahead = crossing(ground, level, 1);
  return ahead === null ? null : { x: ahead };
}

/** The first place outward from the middle where a line of ground rises through a level. */
function crossing(line: [number, number][], level: number, way: 1 | -1): number | null {
  const points = way > 0 ? line : [...line].reverse();
  for (let i = 0; i + 1 < points.length; i += 1) {
    const [a, b] = [points[i], points[i + 1]];
    if (!a || !b || b[0] * way < 0 || a[1] > level || b[1] <= level) continue;
    return a[0] + ((level - a[1]) / (b[1] - a[1])) * (b[0] - a[0]);
  }
  return null;
}
