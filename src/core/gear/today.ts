import type { TrapSet } from '../record/kinds';
import type { Carried } from './carry';

/** What a look and setting again take of a set's whole list: its tools, bait and lure; the rest stands there already. [practice] */
export const forLook = (list: readonly Carried[]): Carried[] =>
  list.filter(({ kind }) => kind === 'tool' || kind === 'bait' || kind === 'lure');

/** Why a set is on the load of a day; null where it is not. */
export type Reason = 'due' | 'to be set' | null;

/**
 * Whether a set belongs on the load of a day: a live one that is due by its end, a prepared one that may be set by then. A planned one waits for its day.
 *
 * @param opens day from which a prepared one may be set; none: at any time
 * @param deadline when a live one is to be looked at
 * @param end of the day
 */
export function onLoad(
  { state, opens }: Pick<TrapSet, 'state' | 'opens'>,
  deadline: string | null,
  { today, end }: { today: string; end: Date },
): Reason {
  if (state === 'live') return deadline !== null && Date.parse(deadline) < end.getTime() ? 'due' : null;
  return state === 'prepared' && (!opens || opens <= today) ? 'to be set' : null;
}
