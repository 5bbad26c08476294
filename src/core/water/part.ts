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
  | 'bait'
  | 'trunk'
  | 'wall'
  | 'pipe'
  | 'ledge'
  | 'root'
  | 'box'
  | 'platform'
  | 'tube'
  | 'bar'
  | 'stones'
  | 'grass'
  | 'bag'
  | 'tree';

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
  /** marks on a pole or stick, m from its foot, and what each stands for */
  marks?: PoleMark[];
  /** it also does the work of a tool, which then need not be carried: a post that drives the earth anchor */
  serves?: string;
  look?: Look;
}

export interface PoleMark {
  at: number;
  what: string;
}

/** How a device or a stick is turned; it changes the drawing and what shows, never the sums. */
export interface Look {
  size?: string;
  /** where the springs lie: beside the frame, standing up, away along the travel, or the trap hangs by one and the other points to the stream below */
  springs?: 'side' | 'up' | 'flat' | 'bank' | 'hung';
  trigger?: 'v' | 'spread' | 'bar' | 'low' | 'pan';
  dog?: 'top' | 'bottom' | 'side';
  /** across the loop: where the lock sits */
  lock?: 'side' | 'top';
  /** bait that is wood: drawn as sticks */
  woody?: true;
  /** a stick or post that leans, m along the travel from foot to top */
  leans?: number;
  /** the same, m across */
  leansAcross?: number;
}

/** Elevation of a part's bottom at known levels, its limits observed; null when an axis is not known. */
export function bottomAt(part: Part, known: Known): number | null {
  const free = evaluate(part.z, known);
  if (free === null) return null;
  const lowest = part.limits?.min ? evaluate(part.limits.min, known) : null;
  const highest = part.limits?.max ? evaluate(part.limits.max, known) : null;
  return Math.max(Math.min(free, highest ?? Infinity), lowest ?? -Infinity);
}

const CATCHING: readonly PartKind[] = ['jaws', 'pan', 'loop', 'tube'];

/** Elevation of the highest point of what catches, m; null where nothing does, or no level is known. */
export function topOfCatching(parts: readonly Part[], known: Known): number | null {
  const tops = parts.flatMap((part) => {
    const bottom = CATCHING.includes(part.kind) ? bottomAt(part, known) : null;
    return bottom === null ? [] : [bottom + part.height];
  });
  return tops.length === 0 ? null : Math.max(...tops);
}

/** The same part moved up by `by` metres (down when negative); what limits a float stays where it is. */
export const raised = (part: Part, by: number): Part => ({ ...part, z: plus(part.z, fixed(by)) });
