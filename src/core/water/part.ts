import type { Known } from './levels';
import { evaluate, plus, fixed, type Linear } from './linear';

/** What carries a part: it decides how the part moves with the water. */
export type Bearer = 'bed' | 'bank' | 'float' | 'ice';

export type PartKind =
  | 'jaws'
  | 'stand'
  | 'stick'
  | 'bed'
  | 'pan'
  | 'loop'
  | 'support'
  | 'mound'
  | 'log'
  | 'raft'
  | 'stone'
  | 'line'
  | 'slideStop'
  | 'stake'
  | 'ceiling'
  | 'frontStick'
  | 'bait';

/** One thing of a set. Metres: x along the travel, y across it, z its bottom; `wide` is its extent along x, `across` along y. */
export interface Part {
  id: string;
  kind: PartKind;
  device?: string;
  bearer: Bearer;
  x: number;
  y: number;
  z: Linear;
  height: number;
  wide: number;
  across: number;
  /** A float grounds (min), its line goes taut (max). */
  limits?: { min?: Linear; max?: Linear };
  tiedTo?: string;
  /** What it takes from the shed or the wood, as written on the cut list; parts without it are the ground itself. */
  stock?: string;
}

/** Elevation of a part's bottom at known levels, its limits observed; null when an axis is not known. */
export function bottomAt(part: Part, known: Known): number | null {
  const free = evaluate(part.z, known);
  if (free === null) return null;
  const lowest = part.limits?.min ? evaluate(part.limits.min, known) : null;
  const highest = part.limits?.max ? evaluate(part.limits.max, known) : null;
  return Math.max(Math.min(free, highest ?? Infinity), lowest ?? -Infinity);
}

/** The same part moved up by `by` metres (down when negative); what limits a float stays where it is. */
export const raised = (part: Part, by: number): Part => ({ ...part, z: plus(part.z, fixed(by)) });
