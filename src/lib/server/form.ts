import { error, fail } from '@sveltejs/kit';
import type { Reader } from '#lib/form/reader';
import { Refusal } from './record/refusal';
import { staleText } from './stale';

/** The form that an address without a page of its own was sent. */
export const formIn = (request: Request): Promise<FormData> => request.formData().catch(() => error(400, 'That is no form.'));

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
  } catch (fault) {
    if (!(fault instanceof Refusal)) throw fault;
    for (const [path, sentence] of Object.entries(fault.fields)) read.refuse(field(path), sentence);
    if (fault.stale) {
      const problem = await staleText(fault.stale, read.who);
      return { failure: refused(read, problem, 409, fault.stale.latest.id) };
    }
    const general = fault.fields.form ?? fault.fields.id;
    return {
      failure: refused(
        read,
        general ?? 'Not saved: look at the marked fields.',
        fault.code === 'conflict' || fault.code === 'differs' ? 409 : 400,
      ),
    };
  }
}
