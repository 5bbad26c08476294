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

/** The water's edge from the bank stake, m. @param bank x of the stake, m */
export const edgeOf = (bank: number): number => bank - inches(10);

/**
 * The bed from the bank stake outward, where two depths of it were measured; null otherwise. A depth that was typed at the stop is a point of it, where the
 * wire ends.
 *
 * @param bank x of the stake, m
 */
export function profileOf(laying: Laying, bank: number): Profile | null {
  const surface = levelThen(laying);
  const edge = edgeOf(bank);
  const { out3, out6, out9, out12, stopDepth, wire } = laying.numbers;
  const read = [out3, out6, out9, out12].flatMap((depth, i): [number, number][] =>
    depth === undefined ? [] : [[edge + (OUT[i] ?? 0), surface - depth]],
  );
  if (read.length < 2) return null;
  const stop = stopDepth === undefined || wire === undefined ? null : stopAt(wire, surface, stopDepth);
  const around = stop ? [...read.filter(([x]) => Math.abs(x - stop[0]) > inches(6)), stop].sort((a, b) => a[0] - b[0]) : read;
  return [[0, surface + inches(6)], [edge, surface], ...around.filter(([x]) => x > edge)];
}

/** Where a straight wire from a stake six inches over the water ends in a depth. */
const stopAt = (wire: number, surface: number, depth: number): [number, number] => [
  Math.sqrt(Math.max(wire ** 2 - (depth + inches(6)) ** 2, 0.01)),
  surface - depth,
];
