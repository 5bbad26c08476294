import { z } from 'zod';
import { SPECIES } from '../animals/species';
import { DEVICE_CLASSES, SIZES } from '../devices/sizes';
import { attractSchema, MOST_LURES } from '../lure/lure';
import { id, instant } from '../record/fieldKinds';
import { isZone, SET_STATES } from '../record/season';
import { SET_TYPE_IDS } from '../sets/catalogue';
import { STATION_KINDS } from '../stations/kinds';
import { WATER_KINDS } from '../record/places';

/**
 * A set as it is shown to an experienced friend: facts, not pictures, so that his program draws and computes them anew in his own
 * units. It names no owner, no position and no person but its writer. Lengths m, levels m in the datum of the water.
 */

export const CARD_FORMAT = 'zaprud card';
export const REPLY_FORMAT = 'zaprud reply';
export const CARD_VERSION = 1;

const level = z.number().min(-100).max(4000);
const levels = z.strictObject({ pond: level.optional(), tail: level.optional(), sheet: z.number().min(0).max(3).optional() });
const line = (most: number) => z.string().trim().max(most);

export const cardSchema = z.strictObject({
  format: z.literal(CARD_FORMAT, { error: 'This is no card of a set: a card says “format”: “zaprud card”.' }),
  version: z.literal(CARD_VERSION, {
    error: 'This card was written by a later program: get it written anew by yours, or bring yours up to date.',
  }),
  from: line(80),
  written: instant('Written at'),
  /** of its place: its looks are told by the clock there; left out by cards of before */
  zone: z.string().max(60).refine(isZone, { error: 'No such time zone: a card says it like America/Chicago.' }).optional(),
  set: z.strictObject({
    id: id(),
    number: z.number().int().min(1).max(9999),
    name: line(60),
    type: z.enum(SET_TYPE_IDS, { error: 'This type of set is not in this program.' }),
    species: z.enum(SPECIES),
    state: z.enum(SET_STATES),
    anchor: line(200),
    since: instant('Set since').nullable(),
  }),
  numbers: z.record(z.string().max(40), z.number()),
  choices: z.record(z.string().max(40), z.string().max(40)),
  lures: z.array(attractSchema).max(MOST_LURES).optional(),
  devices: z.record(
    z.string().max(20),
    z
      .strictObject({ class: z.enum(DEVICE_CLASSES), size: z.string().max(20) })
      .refine(({ class: kind, size }) => SIZES[kind].includes(size), { error: 'This size of trap is not known here.' }),
  ),
  place: z.strictObject({
    name: line(80),
    kind: z.enum(STATION_KINDS),
    surface: z.enum(['pond', 'tail']),
    along: z.number().min(0).max(100_000),
    /** elevation of its bed; null where nobody measured it */
    bed: level.nullable(),
    water: line(80),
    waterKind: z.enum(WATER_KINDS),
    profile: z.array(z.strictObject({ along: z.number().min(0).max(100_000), bed: z.number().min(-15).max(30) })).max(500),
  }),
  then: levels,
  now: levels,
  /** where its gauges hang */
  gauges: z.strictObject({ pond: level, tail: level }),
  /** what its water is expected to do, hours from then on */
  ahead: z.array(z.strictObject({ hours: z.number().min(0).max(200), low: level, middle: level, high: level })).max(12),
  /** what every look found, oldest first */
  outcomes: z.array(z.strictObject({ at: instant('Looked at'), found: line(300), changed: line(300) })).max(400),
  /** what the record says of its place, in sentences */
  told: z.array(line(400)).max(12),
  questions: line(2000),
});
export type Card = z.infer<typeof cardSchema>;

/** What a friend answers to a card. */
export const replyFileSchema = z.strictObject({
  format: z.literal(REPLY_FORMAT, { error: 'This is no reply to a card: a reply says “format”: “zaprud reply”.' }),
  version: z.literal(CARD_VERSION, { error: 'This reply was written by a later program: paste its text instead.' }),
  set: id(),
  from: line(80),
  written: instant('Written at'),
  text: line(4000).min(1, { error: 'The reply is empty.' }),
});
export type ReplyFile = z.infer<typeof replyFileSchema>;

type Read<T> = { ok: true; value: T } | { ok: false; sentence: string };

/** A file of one of the two sorts. What is wrong is said with its place in the file. */
export function readFile<S extends typeof cardSchema | typeof replyFileSchema>(text: string, schema: S): Read<z.infer<S>> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, sentence: 'This is not JSON: choose the file as it was saved, unchanged.' };
  }
  const parsed = schema.safeParse(value);
  if (parsed.success) return { ok: true, value: parsed.data as z.infer<S> };
  const [first] = parsed.error.issues;
  const place = first?.path.join('.') ?? '';
  return { ok: false, sentence: `${place ? `At ${place}: ` : ''}${first?.message ?? 'it is not understood.'}` };
}
