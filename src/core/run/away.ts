import { deadlineAfter, type CheckRule } from '../time/deadline';
import type { Place } from '../time/sun';

/** Days on which nobody can come: which sets can stay, which are pulled, and what somebody who takes over would owe. */

export interface Standing {
  id: string;
  /** the interval of that set, by its rulebook or its line */
  every: CheckRule;
  /** when it is due now; null where nobody looked yet */
  deadline: Date | null;
}

export interface WhileAway {
  id: string;
  /** its check holds until somebody is back, if it is looked at before leaving */
  stays: boolean;
  /** when it falls due after a last look before leaving: pulled by then, or taken over from there on */
  due: Date;
  /** it falls due even before leaving */
  owedBefore: Date | null;
  /** the checks that somebody who takes over would make, each at its deadline */
  checks: Date[];
}

/** A line left for longer is pulled; nobody is asked to take over so long, days. [practice] */
export const MOST_AWAY = 90;

/**
 * What each set owes while nobody comes, those first that fall due first.
 *
 * @param leaving when the last looks are made; `back` when somebody looks again
 * @throws RangeError when somebody is back before he leaves, or later than `MOST_AWAY` after
 */
export function whileAway(
  sets: readonly Standing[],
  { leaving, back, zone, place }: { leaving: Date; back: Date; zone: string; place: Place },
): WhileAway[] {
  if (back <= leaving) throw new RangeError('the way back lies after the leaving');
  if (back.getTime() - leaving.getTime() > MOST_AWAY * 86_400_000) throw new RangeError(`at most ${MOST_AWAY} days are worked out`);
  return sets
    .map(({ id, every, deadline }): WhileAway => {
      const due = deadlineAfter(leaving, every, zone, place);
      const checks: Date[] = [];
      // a check by the end of a date is made on that date, not on the midnight after it
      const madeAt = (at: Date): Date => (every.kind === 'elapsed' ? at : new Date(at.getTime() - 1));
      for (let at = due; at < back; at = deadlineAfter(madeAt(at), every, zone, place)) checks.push(at);
      return { id, due, checks, stays: checks.length === 0, owedBefore: deadline && deadline < leaving ? deadline : null };
    })
    .sort((a, b) => a.due.getTime() - b.due.getTime());
}
