import { setTypeOf } from '../sets/catalogue';
import { numbersSchema } from '../sets/typeSchema';
import { sorted } from './carry';
import type { Body, Kind } from './kinds';

/**
 * What a new body says that its schema alone does not hold: numbers outside the ranges of a set's type, at `settings.<i>.numbers.<key>`.
 * A setting that stood in the record before is history and stays as it was, so that a range that was narrowed since blocks no pull and no correction.
 *
 * @param before the truth until now; null for a new thing
 */
export function faultsOf<K extends Kind>(kind: K, body: Body<K>, before: Body<K> | null): Record<string, string> {
  if (kind !== 'set') return {};
  const set = body as Body<'set'>;
  const held = new Set(((before as Body<'set'> | null)?.settings ?? []).map(({ id, numbers }) => JSON.stringify(sorted([id, numbers]))));
  const faults: Record<string, string> = {};
  set.settings.forEach(({ id, numbers }, i) => {
    if (held.has(JSON.stringify(sorted([id, numbers])))) return;
    const parsed = numbersSchema(setTypeOf(set.type)).safeParse(numbers);
    for (const { path, message } of parsed.error?.issues ?? []) faults[['settings', i, 'numbers', ...path].join('.')] ??= message;
  });
  return faults;
}
