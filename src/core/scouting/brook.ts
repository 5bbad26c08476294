import type { System } from '../units/factors';
import { inches } from '../units/factors';
import { printLength } from '../units/length';

/** What is tapped while walking a brook. */
export const BROOK_MARKS = ['bend', 'undercut', 'root wad', 'pool', 'log across', 'bridge or culvert', 'den', 'latrine'] as const;
export type BrookMarkKind = (typeof BROOK_MARKS)[number];

export interface BrookMark {
  along: number;
  mark: BrookMarkKind;
  depth: number | null;
  roof: number | null;
  pool: boolean;
  outside: boolean;
}

export interface RankedMark {
  /** its place in the list that was given */
  index: number;
  score: number;
  reason: string;
}

/** Depth at the trap that is looked for, and the roof that clears a 160 with its upright spring. [practice] */
const GOOD = { from: inches(4), to: inches(5), roof: inches(6) };
const BASE: Record<BrookMarkKind, number> = {
  bend: 1,
  undercut: 2,
  'root wad': 2,
  pool: 1,
  'log across': 1,
  'bridge or culvert': 2,
  den: 1,
  latrine: 1,
};
/** Sets of one kind nearer than this spoil each other. [practice] */
const APART = 45;

/** The marks of a walk by bend, depth, roof and pool, the best first, each with its reason. @source common practice */
export function rankMarks(marks: readonly BrookMark[], system: System): RankedMark[] {
  const scored = marks.map((mark, index): RankedMark => {
    const said: string[] = [];
    let score = BASE[mark.mark];
    if (mark.outside) {
      score += 2;
      said.push('outside of the bend');
    }
    if (mark.depth === null) said.push('depth not measured');
    else if (mark.depth >= GOOD.from - 0.003 && mark.depth <= GOOD.to + 0.003) {
      score += 2;
      said.push(`${printLength(mark.depth, system)} at the trap, as wanted`);
    } else if (mark.depth < GOOD.from)
      said.push(`only ${printLength(mark.depth, system)} at the trap: ${printLength(GOOD.from - mark.depth, system)} to dig`);
    else {
      score += mark.depth < inches(9) ? 1 : 0;
      said.push(`${printLength(mark.depth, system)} at the trap: stand it ${printLength(mark.depth - GOOD.to, system)} higher`);
    }
    if (mark.roof !== null && mark.roof >= GOOD.roof) {
      score += 2;
      said.push(`roof ${printLength(mark.roof, system)} over the bed`);
    } else if (mark.roof !== null) said.push(`roof only ${printLength(mark.roof, system)} over the bed: no room for a frame`);
    if (mark.pool) {
      score += 1;
      said.push('a pool that keeps food');
    }
    return { index, score, reason: said.join(', ') };
  });
  return scored.sort((a, b) => b.score - a.score || (marks[a.index]?.along ?? 0) - (marks[b.index]?.along ?? 0));
}

/** The marks to set: the best first, none within 45 m of a better one (practice), at most `most`. */
export function chosenMarks(marks: readonly BrookMark[], most: number, system: System): RankedMark[] {
  const taken: RankedMark[] = [];
  for (const ranked of rankMarks(marks, system)) {
    const along = marks[ranked.index]?.along ?? 0;
    if (taken.length < most && taken.every((t) => Math.abs((marks[t.index]?.along ?? 0) - along) >= APART)) taken.push(ranked);
  }
  return taken;
}
