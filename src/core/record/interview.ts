import { z } from 'zod';
import { CAUSES } from '../interview/causes';
import { choice, count, date, drawn, id, instant, name, note } from './fieldKinds';

/** The answers of one who catches nothing, of a set, a water or of neither, with what they pointed to. */
export const interviewSchema = z.strictObject({
  id: id(),
  set: id('Set').nullable().default(null),
  water: id('Water').nullable().default(null),
  at: instant('Asked at'),
  answers: drawn(z.record(z.string().max(20), z.string().max(20)), 'Answers'),
  cause: choice('First cause', CAUSES),
  share: count('How sure, of 1', 0.001, 1),
  again: date('Look again on'),
  note: note('Note', 300),
});

/** What an experienced friend answered to the card of a set; it stays with the set. */
export const replySchema = z.strictObject({
  id: id(),
  set: id('Set'),
  at: instant('Answered at'),
  from: name('Who answered'),
  text: name('The reply', 4000),
});
