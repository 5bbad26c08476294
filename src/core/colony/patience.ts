import type { LocalState, SetHistory } from './looks';
import type { Shares } from './fears';

/** Nights that a blind set gets before it is judged, and after which it has had its time. [practice] */
export const BLIND = { least: 4, most: 7 } as const;
/** A device that takes less than this a pass is changed. [practice] */
const POOR = 0.2;
/** A fault that likely is looked for before anything else is done. [practice] */
const LIKELY_FAULT = 0.35;

export type Call = 'wait' | 'change' | 'cannotTell' | 'tryIt' | 'notInUse' | 'putBack' | 'known';

/** Whether a set is waited for, changed tonight, or cannot be judged yet. */
export interface Patience {
  call: Call;
  /** nights in its working range since it last caught or was set */
  nights: number;
  /** nights since then in which it stood out of its range */
  out: number;
  /** nights with an animal seen there that it did not touch */
  passes: number;
  /** at most so large is its chance a pass, of one; null where nobody passed */
  atMost: number | null;
  /** in the next nights of waiting at most so large is the chance that it catches */
  waiting: number | null;
}

/**
 * The largest chance a pass that still goes with so many passes and no contact: one-sided, 97.5%.
 *
 * @source the exact binomial limit at nothing of n: 1 − 0.025^(1/n); 20 passes: 17%
 */
export const mostAPass = (passes: number): number | null => (passes === 0 ? null : 1 - 0.025 ** (1 / passes));

/** What to do with a set that has caught nothing lately. @param out nights out of its range since it last caught or was set @param states what may be wrong with it @param isFeared they have learned to shy from its device */
export function patienceOf(
  { looks, passes }: Pick<SetHistory, 'looks' | 'passes'>,
  {
    out,
    states,
    inRange,
    isFeared,
    begun,
  }: { out: number; states: Shares<LocalState>; inRange: boolean | null; isFeared: boolean; begun: Date },
): Patience {
  const last = looks.filter((l) => l.saw !== 'untouched').at(-1)?.at ?? begun;
  const since = looks.filter((l) => l.at > last);
  const nights = since.reduce((sum, l) => sum + l.nights, 0);
  const passed = passes.filter((p) => p.at > last).length;
  const atMost = mostAPass(passed);
  const watched = Math.max(1, nights);
  const waiting = atMost === null ? null : 1 - (1 - atMost) ** ((passed / watched) * BLIND.least);
  const call = ((): Call => {
    if (inRange === false) return 'putBack';
    if (states.mechanical >= LIKELY_FAULT) return 'tryIt';
    if (isFeared) return 'known';
    if (atMost !== null && atMost < POOR) return 'change';
    if (passed === 0 && nights >= BLIND.least && states.notInUse >= 0.5) return 'notInUse';
    if (passed === 0 && nights > BLIND.most) return 'change';
    if (nights < BLIND.least && passed === 0) return 'wait';
    return 'cannotTell';
  })();
  return { call, nights, out, passes: passed, atMost, waiting };
}
