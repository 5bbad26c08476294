import { carry } from './carry';

/** What folding needs of an entry. */
export interface Folded {
  id: string;
  corrects: string | null;
  /** the entry on whose truth a whole body was written; null for the first of a thing */
  opened: string | null;
  withdrawn: boolean;
  /** a withdrawal of the first version emptied its subject, whatever was written before */
  version: number;
  body: unknown;
}

/**
 * The truth that a subject's entries leave behind; null when nothing of it is left.
 *
 * An entry changes what it changed against the body it was written on, so that taking one back leaves what others wrote later.
 * A withdrawal takes its entry out with the entries that this one corrected.
 *
 * @param entries all of one subject, oldest first
 */
export function fold(entries: readonly Folded[]): unknown {
  const byId = new Map<string, Folded>();
  const after = new Map<string, unknown>();
  const gone = new Set<string>();
  const step = (truth: unknown, entry: Folded): unknown => {
    const base = entry.corrects ? byId.get(entry.corrects)?.body : entry.opened ? after.get(entry.opened) : null;
    return base !== null && base !== undefined && truth !== null ? carry(base, entry.body, truth) : entry.body;
  };
  let truth: unknown = null;
  entries.forEach((entry, n) => {
    byId.set(entry.id, entry);
    if (entry.withdrawn) {
      const before = entries.slice(0, n);
      if (entry.version === 1) for (const e of before) gone.add(e.id);
      for (let e = byId.get(entry.corrects ?? ''); e; e = byId.get(e.corrects ?? '')) gone.add(e.id);
      truth = before.filter((e) => !e.withdrawn && !gone.has(e.id)).reduce<unknown>(step, null);
    } else truth = step(truth, entry);
    after.set(entry.id, truth);
  });
  return truth;
}
