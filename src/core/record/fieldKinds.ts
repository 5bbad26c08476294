import { z } from 'zod';

/** How a field is shown and typed; everything is stored in SI. What is `drawn` or comes from a file is not typed in a form. */
export type FieldKind = 'text' | 'length' | 'level' | 'weight' | 'instant' | 'date' | 'number' | 'yes' | 'choice' | 'link' | 'drawn';

export interface FieldMeta {
  label: string;
  kind: FieldKind;
}

declare module 'zod' {
  interface GlobalMeta {
    field?: FieldMeta;
  }
}

const said = (label: string, kind: FieldKind) => ({ field: { label, kind } });

/** An id made by whoever writes the record, so that a thing sent twice is one thing. */
export const id = (label = 'id') => z.uuid({ error: 'This is not an id of this record.' }).meta(said(label, 'link'));

export const name = (label: string, max = 80) =>
  z
    .string({ error: `${label} is needed.` })
    .trim()
    .min(1, { error: `${label} is needed.` })
    .max(max, { error: `${label} has more than ${max} characters.` })
    .meta(said(label, 'text'));

export const note = (label: string, max = 2000) =>
  z
    .string()
    .trim()
    .max(max, { error: `${label} has more than ${max} characters.` })
    .default('')
    .meta(said(label, 'text'));

/** An instant to the whole minute, as the record keeps times of work. */
export const instant = (label: string) =>
  z.iso
    .datetime({ error: `${label} is not a time.` })
    .refine((text) => new Date(text).getTime() % 60_000 === 0, { error: `${label} is kept to the whole minute.` })
    .meta(said(label, 'instant'));

export const date = (label: string) => z.iso.date({ error: `${label} is not a date; write it like 2026-12-05.` }).meta(said(label, 'date'));

/** A length in metres within a range; `say` words the refusal. */
export const length = (label: string, min: number, max: number, say: string, kind: 'length' | 'level' = 'length') =>
  z
    .number({ error: `${label} is not a length.` })
    .min(min, { error: say })
    .max(max, { error: say })
    .meta(said(label, kind));

export const choice = <const T extends readonly [string, ...string[]]>(label: string, options: T) =>
  z.enum(options, { error: `${label} is one of: ${options.join(', ')}.` }).meta(said(label, 'choice'));

export const yes = (label: string) => z.boolean().meta(said(label, 'yes'));

/** Marks a part of a body that no form lists: a shape on the map, the events of a camera. */
export const drawn = <T extends z.ZodType>(schema: T, label: string): T => schema.meta(said(label, 'drawn')) as T;

/** Where a thing lies, degrees WGS84. */
export const latitude = () => count('Latitude', -90, 90);
export const longitude = () => count('Longitude', -180, 180);

export const count = (label: string, min: number, max: number) =>
  z
    .number({ error: `${label} is not a number.` })
    .min(min, { error: `${label} is at least ${min}.` })
    .max(max, { error: `${label} is at most ${max}.` })
    .meta(said(label, 'number'));
