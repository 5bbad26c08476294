import type { Check } from '../record/kinds';
import type { Look } from '../sets/view';
import { spentAs } from './spent';

/**
 * What is known of a device after one more visit of its set. A visit before its last look changes nothing of it.
 *
 * @param look what was known until then; undefined where nobody looked
 */
export function lookAfter(look: Look | undefined, visit: Check, stay: string): Look {
  const before = look ?? { at: null, spent: null, missed: null };
  const own = visit.devices.find((d) => d.stay === stay);
  const at = new Date(visit.at);
  if (!own || (before.at && at < before.at)) return before;
  if (own.outcome === 'not reached') {
    const isNewer = !before.missed || new Date(before.missed.at) <= at;
    return isNewer ? { ...before, missed: { at: visit.at, why: own.searched } } : before;
  }
  const left = visit.change === 'as it was' ? spentAs(own) : null;
  const spent = visit.change !== 'as it was' ? null : left ? { outcome: left, at: visit.at } : before.spent;
  const missed = before.missed && new Date(before.missed.at) > at ? before.missed : null;
  return { at, spent, missed };
}
