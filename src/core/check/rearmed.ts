import type { Check, CheckedDevice } from '../record/kinds';
import type { DeviceView } from '../sets/standing';

/** Outcomes at which nobody laid a hand on the device; empty: it was not looked at. */
const LEFT_ALONE: readonly string[] = ['', 'untouched', 'not reached'];

export interface FoundAt extends Pick<CheckedDevice, 'stay'> {
  outcome: string;
  flags: readonly string[];
  /** it lay spent since an earlier look */
  isSpent: boolean;
}

/** Each device of a set as it was found; with an empty outcome where it was not looked at. */
export const foundAt = (
  devices: readonly Pick<DeviceView, 'stay' | 'spent'>[],
  found: readonly { stay: string; outcome: string; flags: readonly string[] }[],
): FoundAt[] =>
  devices.map(({ stay, spent }) => {
    const { outcome = '', flags = [] } = found.find((d) => d.stay === stay) ?? {};
    return { stay, outcome, flags, isSpent: spent !== null };
  });

/**
 * The stays whose devices are armed again when a set is left as `change` says: what was found sprung, marked or caught in; all of them
 * where the set was put elsewhere, lower or higher. A trap that stood untouched beside it is not asked about again.
 *
 * @param isShifted it was put lower or higher
 */
export function rearmed(found: readonly FoundAt[], change: Check['change'], isShifted: boolean): string[] {
  if (change !== 'remade' && change !== 'moved') return [];
  const touched = found.filter(({ outcome, flags, isSpent }) => isSpent || flags.length > 0 || !LEFT_ALONE.includes(outcome));
  const all = change === 'moved' || isShifted || touched.length === 0;
  return (all ? found : touched).map(({ stay }) => stay);
}
