import { QUESTION_IDS, type Answers, type QuestionId } from './questions';

/** Why nothing is caught: causes with what speaks for each. Priors and weights are practice, and shown as such. */

export const CAUSES = ['notInUse', 'mechanical', 'goneRound', 'deviceKnown', 'lureShy', 'disturbed', 'tooSoon'] as const;
export type Cause = (typeof CAUSES)[number];

interface Speaks {
  prior: number;
  /** how much likelier an answer is under this cause than under the others; 1 where it is left out */
  weighs: Partial<Record<QuestionId, Readonly<Record<string, number>>>>;
}

/** @source common practice */
const TABLE: Readonly<Record<Cause, Speaks>> = {
  notInUse: {
    prior: 0.3,
    weighs: {
      inUse: { fresh: 0.12, old: 1.3, no: 7 },
      seen: { none: 1.6, passes: 0.1, turns: 0.1 },
      waited: { few: 0.8, long: 1.4 },
    },
  },
  mechanical: { prior: 0.22, weighs: { level: { stood: 0.6, moved: 6 }, fires: { yes: 0.3, no: 8 } } },
  goneRound: {
    prior: 0.14,
    weighs: { seen: { none: 0.6, passes: 2.5, turns: 3 }, across: { open: 0.4, wall: 3 }, sky: { under: 0.6, sky: 2.5 } },
  },
  deviceKnown: { prior: 0.12, weighs: { before: { nothing: 0.25, same: 4, other: 0.7 }, seen: { turns: 2.5 }, inUse: { fresh: 1.3 } } },
  lureShy: { prior: 0.07, weighs: { lure: { none: 0.05, plenty: 3 }, seen: { turns: 1.8 } } },
  disturbed: { prior: 0.06, weighs: { people: { nobody: 0.3, walkers: 3, trapper: 3.5 } } },
  tooSoon: { prior: 0.09, weighs: { waited: { few: 3.5, some: 1, long: 0.1 } } },
};

export interface Likely {
  cause: Cause;
  /** of 1 */
  share: number;
}

/** Every cause by how likely the answers make it, the likeliest first; shares add up to 1. @source Bayes’ rule, the answers taken as independent */
export function likelyCauses(answers: Answers): Likely[] {
  const raw = CAUSES.map((cause) => {
    const { prior, weighs } = TABLE[cause];
    const weight = QUESTION_IDS.reduce((product, q) => product * (weighs[q]?.[answers[q] ?? ''] ?? 1), prior);
    return { cause, weight };
  });
  const sum = raw.reduce((total, { weight }) => total + weight, 0);
  return raw.map(({ cause, weight }) => ({ cause, share: weight / sum })).sort((a, b) => b.share - a.share);
}

/** Those that are looked at before an animal is called shy. */
const SHY: readonly Cause[] = ['goneRound', 'deviceKnown', 'lureShy', 'disturbed'];
/** What is not settled and at least so likely beside the likeliest is looked at first. [practice] */
const FIRST_FROM = 0.3;

/**
 * What is looked at first. A place that nobody saw used comes before a fault of the gear, and both before shyness,
 * as long as they are not much less likely and nobody settled them.
 */
export function firstCause(answers: Answers): Likely {
  const [top, ...rest] = likelyCauses(answers);
  if (!top) throw new RangeError('there is no cause');
  const open: Partial<Record<Cause, boolean>> = {
    notInUse: answers.inUse === undefined || answers.inUse === 'unknown' || answers.inUse === 'old',
    mechanical: answers.fires === undefined || answers.fires === 'unknown' || answers.level === 'unknown',
  };
  const before: readonly Cause[] = SHY.includes(top.cause) ? ['notInUse', 'mechanical'] : top.cause === 'mechanical' ? ['notInUse'] : [];
  const earlier = before.flatMap((cause) => rest.filter((r) => r.cause === cause && open[cause] && r.share >= FIRST_FROM * top.share));
  return earlier[0] ?? top;
}

/** Nights until what was changed has shown whether it helps. [practice] */
export const LOOK_AGAIN: Readonly<Record<Cause, number>> = {
  notInUse: 1,
  mechanical: 1,
  goneRound: 3,
  deviceKnown: 4,
  lureShy: 4,
  disturbed: 5,
  tooSoon: 3,
};
