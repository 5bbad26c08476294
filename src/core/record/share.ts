import { z } from 'zod';
import { date, drawn, id, note } from './fieldKinds';

/** Who goes to which sets on a day, each in his order; said anew, it takes the place of what was said before. */
export const shareSchema = z
  .strictObject({
    id: id(),
    line: id('Line'),
    day: date('Day'),
    parts: drawn(
      z
        .array(z.strictObject({ person: id('Who goes'), stops: z.array(id('Set')).max(200) }))
        .min(1)
        .max(4),
      'Parts',
    ),
    note: note('Note', 300),
  })
  .refine(({ parts }) => new Set(parts.map((p) => p.person)).size === parts.length, {
    path: ['parts'],
    error: 'Each part of the day is another person’s: choose two that are not the same.',
  })
  .refine(
    ({ parts }) => {
      const all = parts.flatMap((p) => p.stops);
      return new Set(all).size === all.length;
    },
    { path: ['parts'], error: 'A set is on one list alone.' },
  );
