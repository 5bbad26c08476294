import type { BuildKey } from '../../animals/species';
import type { Held } from '../../hold/reach';
import type { Profile } from '../../hold/slide';
import { inches } from '../../units/factors';
import { levelThen, type Laying, type NumberSpec } from '../setType';

/** What every hold of a foothold calculates with: the measured bed, the margin, whom it holds. */

/** Extra depth behind the animal's reach. [practice] */
export const MARGIN = inches(6);
/** Distances from the water's edge at which the bed's profile is measured, m. */
const OUT = [inches(36), inches(72), inches(108), inches(144)] as const;

export interface SlideOf {
  numbers: Record<'wire' | 'chain' | 'poleThick', NumberSpec>;
  build: BuildKey;
  held: Held;
  /** x of the bank stake, m */
  bank?: number;
  device?: string;
}

/** The bed from the bank stake outward, where two depths of it were measured; null otherwise. @param bank x of the stake, m */
export function profileOf(laying: Laying, bank: number): Profile | null {
  const surface = levelThen(laying);
  const edge = bank - inches(10);
  const read = [laying.numbers.out3, laying.numbers.out6, laying.numbers.out9, laying.numbers.out12].flatMap((depth, i): Profile =>
    depth === undefined ? [] : [[edge + (OUT[i] ?? 0), surface - depth]],
  );
  return read.length < 2 ? null : [[0, surface + inches(6)], [edge, surface], ...read];
}
