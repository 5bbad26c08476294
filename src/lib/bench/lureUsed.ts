import type { Setting, TrapSet } from '#core/record/kinds';
import { sameLures } from '#core/lure/lure';
import { idBeside } from '#lib/form/newId';
import type { NewEntry } from '#core/record/entry';

const luresOf = ({ settings }: Pick<TrapSet, 'settings'>): Setting['lures'] => settings.at(-1)?.lures;

/**
 * What a set takes out of jars and bundles as it goes live, or as something else is put to it: once, by the form that said so.
 *
 * @param form the entry of the form: sent twice it takes once
 */
export function lureUsed(
  set: TrapSet,
  before: TrapSet | undefined,
  form: string,
  common: Pick<NewEntry, 'crew' | 'occurredAt' | 'by'>,
): NewEntry[] {
  const lures = luresOf(set) ?? [];
  const stood = before?.state === 'live' && sameLures(luresOf(before) ?? [], lures);
  if (set.state !== 'live' || stood) return [];
  return lures.flatMap(({ stock, amount, what }, n): NewEntry[] =>
    stock === null
      ? []
      : [
          {
            ...common,
            id: idBeside(form, `lure ${n}`),
            kind: 'stockMove',
            body: {
              ...{ id: idBeside(form, `lure move ${n}`), stock, at: common.occurredAt.toISOString() },
              ...{ why: 'used', amount: -amount, count: null, set: set.id, note: what },
            },
          },
        ],
  );
}
