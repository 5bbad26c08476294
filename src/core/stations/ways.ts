import { many } from '../units/many';
import { latest } from './measures';
import type { Station } from './placed';

/**
 * How many of the counted ways of a place have no set: the passages of a bridge, the approaches of a latrine. Empty where none were counted.
 *
 * @param sets that stand at it and at the locations that belong to it
 */
export function waysText({ measures }: Pick<Station, 'measures'>, sets: number): string {
  const [what, one] = measures.some((m) => m.what === 'passages')
    ? (['passages', 'passage'] as const)
    : (['approaches', 'approach'] as const);
  const counted = latest(measures, what)?.value;
  if (counted === undefined) return '';
  const open = Math.max(0, counted - sets);
  const has = sets === 0 ? 'none has a set' : `${Math.min(sets, counted)} with a set`;
  return `${many(counted, one, what)}, ${has}${open > 0 && sets > 0 ? `: ${open} without` : ''}.`;
}
