import type { RuleVerdict } from '#core/rules/judge';
import type { Verdict } from '#core/water/need';

/** The mark of an answer of the rulebook: what is against it, what it wants to know, what fits; a silent book is no approval. */
export const ANSWER_MARK: Readonly<Record<RuleVerdict, Verdict>> = {
  breaks: 'spent',
  asks: 'unknown',
  silent: 'unknown',
  told: 'fine',
  fits: 'fine',
};
