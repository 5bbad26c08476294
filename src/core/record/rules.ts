import { z } from 'zod';
import { rulebookSchema } from '../rules/book';
import { count, drawn, id, instant, note } from './fieldKinds';

/** A rulebook of the crew: each version of it is an entry, the number is how many there were. */
export const ownBookSchema = z.strictObject({
  id: id(),
  version: count('Version', 1, 100_000).int({ error: 'A version is a whole number.' }),
  book: drawn(rulebookSchema, 'Rules'),
  note: note('Copied from what, by whom', 300),
});

/** Somebody was told of a catch, as a rule of the book asks. */
export const dutySchema = z.strictObject({
  id: id(),
  catch: id('Catch'),
  rule: z.string().min(1).max(40),
  at: instant('Told at'),
  note: note('Who was told, and how', 300),
});
