import { z } from 'zod';
import { shapeSchema, type Shape } from '../record/scouting';

/** What a thing of the map is in a file. A point or shape of another program carries no record of ours. */
export const EXCHANGED = ['site', 'station', 'ground', 'set'] as const;

/** One thing of the map, on its way out or in: its shape, its name, and every property of ours. */
export const exchangeSchema = z.strictObject({
  record: z.enum(EXCHANGED, { error: 'This is not a site, a location or a piece of ground.' }).nullable(),
  id: z.uuid({ error: 'Its id is not one of this record.' }).nullable(),
  name: z.string().trim().max(200, { error: 'Its name has more than 200 characters.' }),
  shape: shapeSchema,
  properties: z.record(z.string().max(80), z.json()),
});
export type Exchange = z.infer<typeof exchangeSchema>;

/** What is written beside name and shape so that a file read back gives the same thing: one text, in formats without types. */
export const stamp = ({ record, id, properties }: Exchange): string => JSON.stringify({ record, id, properties });

/** The stamp of a thing of ours read back; null when the text is none. */
export function readStamp(text: string): Pick<Exchange, 'record' | 'id' | 'properties'> | null {
  try {
    const parsed = exchangeSchema.pick({ record: true, id: true, properties: true }).safeParse(JSON.parse(text));
    return parsed.success ? parsed.data : null;
  } catch {
    return null;
  }
}

/** Text as it may stand in XML: marks escaped, characters that XML cannot hold left out. */
export const xmlText = (text: string): string =>
  [...text]
    .filter((c) => c === '\t' || c === '\n' || c === '\r' || c >= ' ')
    .join('')
    .replace(/[\uFFFE\uFFFF]/g, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');

/** Two shapes within a centimetre of each other in every point are the same place. */
export function sameShape(a: Shape, b: Shape): boolean {
  const flat = (shape: Shape): number[] => (shape.coordinates as unknown as number[]).flat(3) as unknown as number[];
  const [one, other] = [flat(a), flat(b)];
  return a.type === b.type && one.length === other.length && one.every((n, i) => Math.abs(n - (other[i] ?? NaN)) < 1e-7);
}
