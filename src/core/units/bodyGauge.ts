import { inches } from './factors';
import type { Gauge } from './length';

export const BODY_WORDS = ['ankle', 'shin', 'knee', 'thigh', 'waist'] as const;

/** Heights over the sole of a person of middle size, m. [practice]; each person stores his own. */
export const TYPICAL_BODY: Record<(typeof BODY_WORDS)[number], number> = {
  ankle: inches(4),
  shin: inches(11),
  knee: inches(20.5),
  thigh: inches(29),
  waist: inches(40),
};

/**
 * The words a person may type for a length: his body gauge and his tools.
 *
 * @param own heights and tools the person measured, m, by word; a missing body word falls back to the typical value
 */
export function wordsOf(own: Gauge): Gauge {
  return Object.fromEntries(Object.entries({ ...TYPICAL_BODY, ...own }).map(([word, metres]) => [word.toLowerCase(), metres]));
}

/** How deep a person reaches and can stand, where he measured it; the only own measures that a set's numbers take. */
export const armAndWaders = (own: Gauge): Gauge =>
  Object.fromEntries(Object.entries(own).filter(([word]) => word === 'arm' || word === 'waders'));
