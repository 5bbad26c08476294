import type { System } from '../units/factors';
import { feet } from '../units/factors';
import { printWay } from '../units/length';

/** What a first range for a colony rests on; metres, null where not measured. */
export interface ColonyEvidence {
  /** the camera's floor */
  floor: number;
  /** small ones were seen */
  young: boolean;
  lodgeAcross: number | null;
  damLength: number | null;
  pileExtent: number | null;
  /** what somebody counted or was told of those that lived there at first, with how it is known */
  told: { low: number; high: number; why: string } | null;
  /** animals caught since sign counts, of those that a camera showed how many must still be there, and from when the catches run */
  caught: { count: number; stillThere: number; since: string };
}

export interface ColonyRange {
  low: number;
  /** null: more were caught than the signs told of, so how many are left is not known */
  high: number | null;
  reasons: string[];
  /** more than one family may live here */
  second: string | null;
}

/** Usual colony, a small lodge and its pair, a dam too long for its lodge, a small and a large pile. [practice] */
const USUAL = { low: 4, high: 8 };
const PAIR = { low: 2, high: 4 };
const SMALL_LODGE = feet(10);
const DAM_PER_LODGE = 12;
const SMALL_PILE = feet(7);
const LARGE_PILE = feet(20);

/**
 * A first range for a beaver colony from lodge, dam, pile and camera. It is where counting begins, not where it ends.
 *
 * What was caught since is taken off: the range is of those that are left.
 *
 * @source common practice: four to eight is usual; a camera count is a floor
 */
export function colonyRange(evidence: ColonyEvidence, system: System): ColonyRange {
  const { floor, young, lodgeAcross, damLength, told, caught } = evidence;
  const first = told ? { ...told, reasons: [toldReason(told)] } : bySign(evidence, system);
  const { reasons } = first;
  let { low, high } = first;
  if (young && !told) {
    low = Math.max(low, 3);
    reasons.push('small ones were seen: a pair with young, three at least');
  }
  if (floor > 0) {
    reasons.push(`the camera showed ${floor}: no fewer`);
    low = Math.max(low, floor);
  }
  high = Math.max(high, low);
  // the range is wrong once more than all of it are caught
  const outrun = caught.count > high;
  if (caught.count > 0) {
    reasons.push(
      `${caught.count} caught here since ${caught.since}: ${outrun ? 'more lived here than its signs told; count anew' : 'taken off'}`,
    );
    low = Math.max(0, low - caught.count, caught.stillThere);
    high = Math.max(low, high - caught.count);
  }
  const tooLong = damLength !== null && lodgeAcross !== null && damLength > DAM_PER_LODGE * lodgeAcross;
  return {
    low,
    high: outrun ? null : high,
    reasons,
    second: tooLong
      ? `A dam of ${printWay(damLength, system)} is too large for a family with a lodge of ${printWay(lodgeAcross, system)}: look for a second lodge (rule of thumb: over ${DAM_PER_LODGE} times its width).`
      : null,
  };
}

const toldReason = ({ low, high, why }: NonNullable<ColonyEvidence['told']>): string =>
  `${low === high ? low : `${low} to ${high}`} lived here at first, you wrote${why ? `: ${why}` : ''}`;

/** What lodge and pile tell of those that lived there at first. */
function bySign({ lodgeAcross, pileExtent }: Pick<ColonyEvidence, 'lodgeAcross' | 'pileExtent'>, system: System) {
  const small = lodgeAcross !== null && lodgeAcross < SMALL_LODGE;
  let { low, high } = small ? PAIR : USUAL;
  const reasons = [
    small
      ? `a lodge of ${printWay(lodgeAcross, system)} across is a young pair’s: two to four (rule of thumb)`
      : lodgeAcross === null
        ? 'four to eight is usual (rule of thumb); the lodge was not measured'
        : `a lodge of ${printWay(lodgeAcross, system)} across: four to eight is usual (rule of thumb)`,
  ];
  if (pileExtent !== null && pileExtent >= LARGE_PILE) {
    low += 1;
    high += 1;
    reasons.push(`a pile of ${printWay(pileExtent, system)} feeds more: one up (rule of thumb)`);
  } else if (pileExtent !== null && pileExtent < SMALL_PILE) {
    low = Math.max(1, low - 1);
    high = Math.max(low, high - 2);
    reasons.push(`a pile of ${printWay(pileExtent, system)} feeds few: fewer (rule of thumb)`);
  }
  return { low, high, reasons };
}

/** The range as it heads a page: `4 to 8 beavers, as a first range`. */
export function rangeText({ low, high }: Pick<ColonyRange, 'low' | 'high'>): string {
  if (high === null)
    return low > 0 ? `${low} beavers at least are left, how many more is not known.` : 'How many beavers are left is not known.';
  return `${low === high ? low : `${low} to ${high}`} beavers, as a first range.`;
}
