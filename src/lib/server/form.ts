import { fail } from '@sveltejs/kit';
import type { Reader } from '#lib/form/reader';
import { Refusal } from './record/refusal';
import { staleText } from './stale';

/** What a page gets back when its form was refused: a sentence on top, one beside each field, and all that was typed. */
export function refused(read: Reader, problem = 'Not saved: look at the marked fields.', status = 400, newer: string | null = null) {
  return fail(status, { problem, errors: read.errors, values: read.values, newer });
}

/**
 * Runs a writing and turns a refusal into the sentences of its form.
 *
 * @param field names the form's field for a path of the record (`settings.0.numbers.depth` → `n.depth`)
 */
export async function attempt<T>(
  read: Reader,
  write: () => Promise<T>,
  field: (path: string) => string = (path) => path,
): Promise<{ done: T } | { failure: ReturnType<typeof refused> }> {
  if (!read.ok()) return { failure: refused(read) };
  try {
    return { done: await write() };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    for (const [path, sentence] of Object.entries(error.fields)) read.refuse(field(path), sentence);
    if (error.stale) {
      const problem = await staleText(error.stale, read.who);
      return { failure: refused(read, problem, 409, error.stale.latest.id) };
    }
    const general = error.fields.form ?? error.fields.id;
    return {
      failure: refused(
        read,
        general ?? 'Not saved: look at the marked fields.',
        error.code === 'conflict' || error.code === 'differs' ? 409 : 400,
      ),
    };
  }
}
