/** What a refused form brings back; any action's result fits it. */
export interface Kept {
  problem?: string;
  errors?: Record<string, string>;
  values?: Record<string, string | string[]>;
  /** the newer entry, when the thing was changed since the form was opened */
  newer?: string | null;
}

/** What was typed in a field, or else what the record holds. */
export function typed(kept: Kept | null | undefined, name: string, otherwise = ''): string {
  const value = kept?.values?.[name];
  return typeof value === 'string' ? value : (value?.[0] ?? otherwise);
}

/** Whether a box was ticked in a refused form; without one, what the record holds. */
export function ticked(kept: Kept | null | undefined, name: string, value: string, otherwise = false): boolean {
  if (!kept?.values) return otherwise;
  const all = kept.values[name];
  return Array.isArray(all) ? all.includes(value) : all === value;
}
