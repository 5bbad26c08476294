import { LURE_PLACES, LURES, MOST_LURES, type Attract } from './lure';

/** What a form says of what draws: `as built` where it says nothing, blind, or one row a lure. */
export interface Typed {
  /** undefined: the type's own stands */
  lures: Attract[] | undefined;
  /** what was not understood, by field */
  faults: Record<string, string>;
}

/** The fields of one row. */
export const lureField = (row: number, name: 'what' | 'where' | 'amount' | 'stock'): string => `lure.${row}.${name}`;

/** @param text what stands in a field, trimmed; empty where there is none */
export function luresFrom(text: (field: string) => string): Typed {
  const how = text('lure');
  if (how === 'blind') return { lures: [], faults: {} };
  if (how !== 'own') return { lures: undefined, faults: {} };
  const faults: Record<string, string> = {};
  const lures = Array.from({ length: MOST_LURES }, (_, row) => row).flatMap((row): Attract[] => {
    const what = LURES.find((l) => l === text(lureField(row, 'what')));
    if (!what) return [];
    const typed = text(lureField(row, 'amount'));
    const amount = typed === '' ? 1 : Number(typed.replace(',', '.'));
    if (!(amount >= 0.1 && amount <= 100))
      faults[lureField(row, 'amount')] = `“${typed.slice(0, 20)}” is no number of portions: write it like 1 or 0.5, at most 100.`;
    const where = LURE_PLACES.find((p) => p === text(lureField(row, 'where'))) ?? 'on the bank';
    return [{ what, where, amount, stock: text(lureField(row, 'stock')) || null }];
  });
  if (lures.length === 0) faults.lure = 'Say what draws in one row at least, or choose blind.';
  return { lures, faults };
}

/** What such a form begins with. */
export const lureFields = (lures: readonly Attract[] | undefined): Record<string, string> => ({
  lure: lures === undefined ? '' : lures.length === 0 ? 'blind' : 'own',
  ...Object.fromEntries(
    (lures ?? []).flatMap(({ what, where, amount, stock }, row) => [
      [lureField(row, 'what'), what],
      [lureField(row, 'where'), where],
      [lureField(row, 'amount'), String(amount)],
      [lureField(row, 'stock'), stock ?? ''],
    ]),
  ),
});
