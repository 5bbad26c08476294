import { z } from 'zod';
import { SPECIES } from '../animals/species';
import { FRESHNESSES, SIGN_IDS } from '../sign/kinds';
import { choice, count, id, instant, note } from './fieldKinds';

/** A sign of animals at a station, as it was found. */
export const signSchema = z.strictObject({
  id: id(),
  station: id('Station'),
  at: instant('Seen at'),
  kind: choice('Sign', SIGN_IDS),
  species: choice('Species', SPECIES),
  freshness: choice('How old it looked', FRESHNESSES),
  count: count('How many', 1, 999).int({ error: 'How many is a whole number.' }).nullable().default(null),
  direction: note('Direction', 60),
  note: note('Note', 500),
});
