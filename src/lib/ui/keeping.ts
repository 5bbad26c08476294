import type { SubmitFunction } from '@sveltejs/kit';
import { waiting } from './waiting.svelte';

/** For `use:enhance`: after an answer the form keeps what was typed, also while it was under way; until then the page says that it waits. */
export const keeping: SubmitFunction = ({ formData: sent }) => {
  waiting.forms += 1;
  return async ({ update, result, formElement }) => {
    waiting.forms -= 1;
    const values = result.type === 'failure' ? (result.data as { values?: Record<string, unknown> } | undefined)?.values : undefined;
    if (values) Object.assign(values, changedSince(sent, new FormData(formElement)));
    await update({ reset: false });
  };
};

/** What the form holds otherwise than it was sent, by field. */
function changedSince(sent: FormData, now: FormData): Record<string, string | string[]> {
  const texts = (form: FormData, name: string): string[] => form.getAll(name).filter((v) => typeof v === 'string');
  return Object.fromEntries(
    [...new Set([...sent.keys(), ...now.keys()])].flatMap((name): [string, string | string[]][] => {
      const [before, typed] = [texts(sent, name), texts(now, name)];
      if (before.join('\n') === typed.join('\n')) return [];
      const [first] = typed;
      return [[name, typed.length === 1 && first !== undefined ? first : typed]];
    }),
  );
}
