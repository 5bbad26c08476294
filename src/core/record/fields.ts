import { z } from 'zod';
import { setTypeOf } from '../sets/catalogue';
import { measureOf } from '../stations/measures';
import { instantText } from '../time/localTime';
import type { System } from '../units/factors';
import { printLength, printLevel } from '../units/length';
import { printWeight } from '../units/weight';
import type { FieldKind } from './fieldKinds';
import { SCHEMAS, type Kind } from './kinds';
import { numberSpec } from '../sets/setType';

/** Links that a correction may set anew: what was done, where and with what. The id of a thing itself never changes. */
const OPEN_LINKS: readonly string[] = ['station', 'device', 'by', 'gauge', 'water', 'site', 'set', 'parent'];

/** One leaf of a record as a form shows it: where it lies in the body, how it is typed, and its text. */
export interface RecordField {
  path: (string | number)[];
  label: string;
  kind: FieldKind;
  text: string;
  options: string[];
  /** whether the field may stay empty */
  optional: boolean;
}

type Schema = z.ZodType;

/** Takes off what wraps a schema (nullable, default, optional), and keeps the label it or its wrapping carries. */
function bare(schema: Schema): { inner: Schema; label: string; kind: FieldKind | null; optional: boolean } {
  let inner = schema;
  let meta = z.globalRegistry.get(inner)?.field;
  let optional = false;
  while (inner instanceof z.ZodNullable || inner instanceof z.ZodDefault || inner instanceof z.ZodOptional) {
    if (inner instanceof z.ZodNullable) optional = true;
    inner = inner.unwrap() as Schema;
    meta ??= z.globalRegistry.get(inner)?.field;
  }
  return { inner, label: meta?.label ?? '', kind: meta?.kind ?? null, optional };
}

/**
 * Every leaf of a body that a person may correct, in the order of its schema. A thing's own id is left out; a link carries the id it points to.
 *
 * @param zone the line's time zone, in which instants are typed
 */
export function fieldsOf(kind: Kind, body: unknown, system: System, zone: string): RecordField[] {
  return walk(SCHEMAS[kind] as Schema, body, [], { system, zone, body: body as Record<string, unknown> });
}

interface Context {
  system: System;
  zone: string;
  body: Record<string, unknown>;
}

function walk(schema: Schema, value: unknown, path: (string | number)[], context: Context, trail = ''): RecordField[] {
  const { inner, label, kind, optional } = bare(schema);
  const said = label || words(String(path.at(-1) ?? ''));
  if (kind === 'drawn') return [];
  if (kind === 'link' && !OPEN_LINKS.includes(String(path.at(-1)))) return [];
  if (inner instanceof z.ZodDiscriminatedUnion) {
    const own = (inner.options as unknown as z.ZodObject[]).find((option) => option.safeParse(value).success);
    return own ? walk(own, value, path, context, trail) : [];
  }
  if (inner instanceof z.ZodObject) {
    if (value === null || typeof value !== 'object') return [];
    return Object.entries(inner.shape).flatMap(([key, child]) =>
      walk(child as Schema, (value as Record<string, unknown>)[key], [...path, key], context, trail),
    );
  }
  if (inner instanceof z.ZodArray) {
    const items = (value as unknown[] | undefined) ?? [];
    if (bare(inner.element as Schema).inner instanceof z.ZodObject)
      return items.flatMap((item, i) =>
        walk(inner.element as Schema, item, [...path, i], context, items.length > 1 ? `${i + 1}. ` : trail),
      );
    return [{ path, label: trail + said, kind: 'text', text: items.join(', '), options: [], optional: true }];
  }
  if (inner instanceof z.ZodRecord)
    return Object.entries((value as Record<string, unknown> | undefined) ?? {}).map(([key, item]) =>
      recordField(key, item, [...path, key], context, trail),
    );
  if (inner instanceof z.ZodLiteral) return [];
  const options = inner instanceof z.ZodEnum ? (inner.options as string[]) : [];
  const shown =
    measureKind(path, context) ??
    kind ??
    (typeof value === 'number' ? 'number' : typeof value === 'boolean' ? 'yes' : options.length > 0 ? 'choice' : 'text');
  return [
    {
      path,
      label: trail + said,
      kind: shown,
      text: print(value, shown, context),
      options,
      optional: optional || (inner instanceof z.ZodString && shown === 'text'),
    },
  ];
}

/** The value of a measure is a length when its kind says so. */
function measureKind(path: (string | number)[], { body }: Context): FieldKind | null {
  if (path[0] !== 'measures' || path[2] !== 'value') return null;
  const what = (body.measures as { what: string }[] | undefined)?.[Number(path[1])]?.what ?? '';
  return measureOf(what)?.unit === 'length' ? 'length' : 'number';
}

const KIND_OF = { length: 'length', share: 'number', weight: 'weight' } as const;

/** Numbers of a set are lengths, shares or weights by its type; own measures of a person are lengths. */
function recordField(key: string, value: unknown, path: (string | number)[], context: Context, trail: string): RecordField {
  const spec =
    typeof context.body.type === 'string' && path.includes('numbers') ? numberSpec(setTypeOf(context.body.type), key) : undefined;
  const kind: FieldKind = typeof value !== 'number' ? 'text' : spec ? KIND_OF[spec.unit] : 'length';
  return { path, label: trail + (spec?.label ?? words(key)), kind, text: print(value, kind, context), options: [], optional: false };
}

const words = (key: string): string => {
  const spaced = key.replace(/([A-Z])/g, ' $1').toLowerCase();
  return spaced.charAt(0).toUpperCase() + spaced.slice(1);
};

function print(value: unknown, kind: FieldKind, { system, zone }: Context): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'number') {
    if (kind === 'length') return printLength(value, system);
    if (kind === 'level') return printLevel(value, system);
    if (kind === 'weight') return printWeight(value, system);
    return String(Math.round(value * 1e6) / 1e6);
  }
  if (kind === 'instant') return instantText(new Date(String(value)), zone);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return String(value);
}

/**
 * The body with one leaf replaced; everything else is the same value.
 *
 * @throws RangeError when the path does not lie in the body
 */
export function withLeaf<T>(body: T, path: (string | number)[], value: unknown): T {
  const [key, ...rest] = path;
  if (key === undefined) return value as T;
  if (typeof body !== 'object' || body === null) throw new RangeError(`nothing lies at ${path.join('.')}`);
  const child = (body as Record<string | number, unknown>)[key];
  const next = rest.length === 0 ? value : withLeaf(child, rest, value);
  if (Array.isArray(body)) return body.map((item, i) => (i === key ? next : item)) as T;
  return { ...body, [key]: next };
}
