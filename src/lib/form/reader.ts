import { clockOf, wallSaid } from '#core/time/clock';
import { readLocalTime } from '#core/time/localTime';
import { parseLength, smallUnit, type LengthUnit } from '#core/units/length';
import { parseWeight } from '#core/units/weight';
import type { Written } from '#core/record/written';
import type { Who } from '#lib/season/who';

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
      const read = readLocalTime(text(name), zone, text(`${name}.which`), wallSaid(clockOf(person, zone).hours));
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
