import { fail } from '@sveltejs/kit';
import { readLocalTime } from '#core/time/localTime';
import { parseLength, smallUnit, type LengthUnit } from '#core/units/length';
import { parseWeight } from '#core/units/weight';
import { Refusal } from './record/refusal';
import type { Written } from './record/upsert';
import { staleText } from './stale';
import type { Who } from './who';

export type Typed = Record<string, string | string[]>;

/**
 * Reads a form as it was typed. Every refused field leaves its sentence in `errors`; `values` keeps all that was typed.
 */
export function reader(data: FormData, who: Who) {
  const { person, words } = who;
  const errors: Record<string, string> = {};
  const values: Typed = {};
  for (const key of new Set(data.keys())) {
    const all = data.getAll(key).filter((v): v is string => typeof v === 'string');
    values[key] = all.length > 1 ? all : (all[0] ?? '');
    if (all.some((v) => v.includes('\0'))) errors[key] = 'There is a character in it that cannot be kept: type it anew.';
  }
  const text = (name: string): string => String(data.get(name) ?? '').trim();
  const taken = (name: string, parsed: { ok: true; value: number } | { ok: false; sentence: string }): number | undefined => {
    if (parsed.ok) return parsed.value;
    errors[name] = parsed.sentence;
    return undefined;
  };
  return {
    who,
    errors,
    values,
    text,
    many: (name: string): string[] => data.getAll(name).filter((v): v is string => typeof v === 'string'),
    has: (name: string): boolean => data.has(name),
    /** metres; undefined when the field is empty or refused */
    length: (name: string, unit: LengthUnit = smallUnit(person.system)) =>
      text(name) === '' ? undefined : taken(name, parseLength(text(name), unit, words)),
    /** kilograms; undefined when the field is empty or refused */
    weight: (name: string) => (text(name) === '' ? undefined : taken(name, parseWeight(text(name), person.system))),
    number: (name: string): number | undefined => {
      if (text(name) === '') return undefined;
      const value = Number(text(name).replace(',', '.').replace('−', '-'));
      if (!Number.isFinite(value)) errors[name] = `“${text(name).slice(0, 40)}” is not a number.`;
      return Number.isFinite(value) ? value : undefined;
    },
    instant: (name: string, zone: string): Date | undefined => {
      const read = readLocalTime(text(name), zone, text(`${name}.which`));
      if (read.ok) return read.at;
      errors[name] = read.sentence;
      return undefined;
    },
    /** notes a fault beside a field */
    refuse: (name: string, sentence: string): void => {
      errors[name] ??= sentence;
    },
    ok: (): boolean => Object.keys(errors).length === 0,
  };
}

export type Reader = ReturnType<typeof reader>;

/** On which entry a form about a thing was opened, and on top of which newer one its sender wants it; the newest where the form does not say. */
export function openedOn(read: Reader, thing: Written<object>): { opened: string; onto?: string } {
  const onto = read.text('onto');
  return { opened: read.text('opened') || thing.entry, ...(onto ? { onto } : {}) };
}

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
