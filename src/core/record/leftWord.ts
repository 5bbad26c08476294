import { z } from 'zod';
import { id, instant, name, note } from './fieldKinds';

/** What somebody who went out left behind: who, where, by which way, back by when, and who waits for him. */
export const leftWordSchema = z
  .strictObject({
    id: id(),
    line: id('Line'),
    /** who went; the persons of the crew, or names of others */
    who: name('Who goes', 200),
    where: name('Where, by which way', 500),
    at: instant('Left at'),
    backBy: instant('Back by'),
    /** who stays at home and is told */
    home: note('Who waits at home', 200),
    /** what is to be done when he is not back */
    then: note('If nobody is back', 500),
    back: instant('Back at').nullable().default(null),
  })
  .refine(({ at, backBy }) => backBy > at, { path: ['backBy'], error: 'Back by lies after leaving.' });
