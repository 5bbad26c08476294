import { z } from 'zod';
import { KINDS, type Kind } from '#core/record/kinds';

/** Most that one sending holds: a device with more waiting sends again. */
export const MOST_FORMS = 60;

const entrySchema = z.strictObject({
  id: z.uuid(),
  kind: z.enum(KINDS as [Kind, ...Kind[]]),
  occurredAt: z.iso.datetime(),
  by: z.uuid().nullable(),
  body: z.looseObject({ id: z.uuid() }),
  opened: z.uuid().optional(),
});

/** What a device sends: forms in the order in which they were filled in, each with its entries, as the shape of bodies was when it made them. */
export const outboxSchema = z.strictObject({
  version: z.number().int().min(1),
  forms: z.array(z.array(entrySchema).min(1).max(40)).min(1).max(MOST_FORMS),
});

export type SentEntry = z.infer<typeof entrySchema>;

/** What became of an entry: in the book, in it already, kept until somebody decides, or left out by somebody. */
export type Fate = 'taken' | 'already here' | 'held' | 'left';
export interface Answered {
  id: string;
  fate: Fate;
  /** why it is held, as a sentence */
  reason: string;
}
