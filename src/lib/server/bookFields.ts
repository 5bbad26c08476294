import type { BookPart } from '#core/rules/book';
import { PART_FORMS } from '#core/rules/fields';
import type { System } from '#core/units/factors';
import { printLength, printWay } from '#core/units/length';

/** A rule as its form shows it, by field; what is ticked is a list. */
export function ruleFieldTexts(part: BookPart, rule: object | undefined, system: System): Record<string, string | string[]> {
  return Object.fromEntries(
    PART_FORMS[part].fields.map(({ name, kind }) => {
      const value = name.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown> | null | undefined)?.[key], rule);
      if (kind === 'many') return [name, Array.isArray(value) ? (value as string[]) : []];
      if (kind === 'sizes') return [name, Array.isArray(value) ? value.join(', ') : ''];
      if (kind === 'yes') return [name, value === true ? 'yes' : 'no'];
      if (typeof value === 'number' && kind === 'length') return [name, printLength(value, system)];
      if (typeof value === 'number' && kind === 'way') return [name, printWay(value, system)];
      return [name, typeof value === 'string' || typeof value === 'number' ? String(value) : ''];
    }),
  );
}
