import { WEIGHTS } from '../devices/sizes';
import type { Carried, GearKind, Way } from './carry';

/** What carries the gear holds so much, kg; a truck is not weighed. [practice] */
export const HOLDS: Record<Way, number | null> = { truck: null, boat: 120, sled: 60, 'on foot': 20 };

/** kg a piece, by how its name begins. [practice] */
const PIECES: Partial<Record<GearKind, readonly (readonly [begins: string, kg: number])[]>> = {
  device: [
    ...Object.entries(WEIGHTS.bodyGrip).map(([size, kg]) => [`body-grip ${size}`, kg] as const),
    ...Object.entries(WEIGHTS.foothold).map(([size, kg]) => [`foothold No. ${size}`, kg] as const),
    ['enclosed', 0.45],
    ['snare', 0.15],
  ],
  stand: [['', 1]],
  stake: [['', 0.9]],
  made: [
    ['raft', 5],
    ['box', 2.5],
    ['roof', 1.5],
    ['board', 1.5],
    ['bar', 2],
    ['spiked', 0.3],
    ['arm', 0.3],
    ['one-way', 0.05],
  ],
  lock: [['', 0.03]],
  swivel: [['', 0.03]],
  bait: [['', 0.3]],
  lure: [['', 0.05]],
  tool: [
    ['chisel', 3.5],
    ['saw and fuel', 7],
    ['saw', 0.5],
    ['hatchet', 0.9],
    ['setter', 0.7],
    ['foothold setters', 0.9],
    ['spade', 1.8],
    ['driver', 2],
    ['anchor driver', 2],
    ['hammer', 0.7],
    ['trowel', 0.4],
    ['scoop', 0.6],
    ['pliers', 0.3],
    ['9 gauge wire', 0.5],
    ['wire', 0.5],
    // worn, not carried
    ['waders', 0],
    ['hip boots', 0],
    ['gloves', 0],
    ['long gloves', 0],
    ['waterproof gloves', 0],
    ['', 0.2],
  ],
};

/** kg a metre: cable of 3/32 to 1/8 in, 9 gauge wire, rope. [practice] */
const A_METRE: Partial<Record<GearKind, number>> = { cable: 0.06, wire: 0.088, rope: 0.06 };

/** What one row of a list weighs, kg: nothing where it is cut at the water; null where nobody knows. */
export function weightOf({ kind, what, count, amount }: Carried): number | null {
  if (kind === 'stick') return 0;
  if (kind === 'fill') return amount ?? null;
  const metre = A_METRE[kind];
  if (metre !== undefined) return metre * (amount ?? 0);
  // the longest beginning is the nearest: a saw with its fuel is no saw
  const known = [...(PIECES[kind] ?? [])].sort((a, b) => b[0].length - a[0].length).find(([begins]) => what.startsWith(begins));
  return known ? known[1] * count : null;
}

export interface Weighed {
  /** kg, of what is known */
  total: number;
  /** what of it nobody knows */
  unknown: string[];
}

/** What a list weighs. */
export function weigh(list: readonly Carried[]): Weighed {
  const rows = list.map((item) => ({ item, kg: weightOf(item) }));
  return {
    total: rows.reduce((sum, { kg }) => sum + (kg ?? 0), 0),
    unknown: rows.flatMap(({ item, kg }) => (kg === null ? [item.what] : [])),
  };
}
