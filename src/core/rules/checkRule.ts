import { z } from 'zod';

/** How often a set is checked, as it is kept. */
export const checkRuleSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('elapsed'),
    hours: z
      .number()
      .min(1)
      .max(24 * 30),
  }),
  z.strictObject({ kind: z.literal('calendarDay'), days: z.number().int().min(1).max(30) }),
  z.strictObject({ kind: z.literal('daylight'), days: z.number().int().min(1).max(30), after: z.number().int().min(-120).max(180) }),
]);
