import type { NewEntry } from '#core/record/entry';
import { issuesOf } from '#core/record/issues';
import { SCHEMAS } from '#core/record/kinds';
import type { Reader } from './reader';

/**
 * Entries as they are, where every schema takes them; null with a sentence at each field where one does not.
 *
 * @param field names the form's field for a path of the record
 */
export function againstSchemas(read: Reader, entries: NewEntry[], field: (path: string) => string = (path) => path): NewEntry[] | null {
  for (const { kind, body } of entries) {
    const parsed = SCHEMAS[kind].safeParse(body);
    if (!parsed.success) for (const [path, sentence] of Object.entries(issuesOf(parsed.error))) read.refuse(field(path), sentence);
  }
  return read.ok() ? entries : null;
}
