import type { Finding, FindingId } from '../words/finding';
import type { Severity } from './rule';

/** A big body-grip on dry ground takes dogs. [practice] */
const DANGEROUS: readonly FindingId[] = ['mouth'];
/** Warnings that mostly cost the catch; others only say what to look at. [practice] */
const LIKELY: readonly FindingId[] = [
  'skyline',
  'fence',
  'gapOver',
  'gapOverPole',
  'holeInReach',
  'boxTrigger',
  'air',
  'live',
  'stake',
  'weight',
  'fall',
  'circles',
];

/** How much it weighs what a design says of itself; null where it holds, or cannot be told. */
export function weighed({ says, verdict }: Pick<Finding, 'says' | 'verdict'>): Severity | null {
  if (verdict === 'fails') return DANGEROUS.includes(says) ? 'dangerous' : 'will fail';
  if (verdict !== 'warns') return null;
  return LIKELY.includes(says) ? 'likely to fail' : 'could be better';
}
