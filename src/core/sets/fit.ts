import type { System } from '../units/factors';
import type { Layout } from '../water/layout';
import type { Known } from '../water/levels';
import { endAt, heightAt } from '../water/need';
import { endLabel } from '../words/ends';
import { tell, type Finding, type FindingId } from '../words/finding';

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

/**
 * What speaks against a design: what cannot be built, and what an old hand would only do with a reason, named in a few words: what its figures say, and how
 * it lies at the levels at which it goes live.
 */
export function againstLive(design: Layout, known: Known, system: System): { impossible: Finding[]; doubtful: string[] } {
  const fails = design.findings.filter((f) => f.verdict === 'fails');
  const cannot = (f: Finding): boolean => IMPOSSIBLE.includes(f.says);
  const named = fails.filter((f) => !cannot(f)).map((f) => tell(f, system).about.toLowerCase());
  const lies = design.needs.flatMap((need) => {
    const height = need.serves ? null : heightAt(need, design.parts, known);
    const ended = height === null ? null : endAt(need, design.parts, height);
    // that a deep end submerges is a finding of its hold
    return height !== null && ended?.sure && ended.end !== 'noLongerSubmerging' ? [`${need.called} ${endLabel(ended.end, height)}`] : [];
  });
  return { impossible: fails.filter(cannot), doubtful: [...named, ...lies] };
}
