import type { FindingId, Finding } from '../words/finding';

/**
 * What cannot be built at all: holder and trigger, stand and trap, box and frame, pole and water, loop and bed exclude each other. [practice]
 * No reason lets it go live.
 */
const IMPOSSIBLE: readonly FindingId[] = [
  'clip',
  'stand',
  'boxFits',
  'rootRoom',
  'roof',
  'poleLong',
  'marksShort',
  'overBed',
  'loopInBed',
  'tooTall',
  'narrow',
  'slideShort',
];

/** What speaks against a design: what cannot be built, and what an old hand would only do with a reason. */
export function againstLive(findings: readonly Finding[]): { impossible: Finding[]; doubtful: Finding[] } {
  const fails = findings.filter((f) => f.verdict === 'fails');
  const cannot = (f: Finding): boolean => IMPOSSIBLE.includes(f.says);
  return { impossible: fails.filter(cannot), doubtful: fails.filter((f) => !cannot(f)) };
}
