import { OUTCOMES, type Outcome } from '../record/checks';

/** One letter an outcome, written on paper with a cold hand and typed back; no two are alike, and none needs the shift key. */
export const LETTERS: Record<Outcome, string> = {
  untouched: 'u',
  catch: 'c',
  'sprung empty': 's',
  knocked: 'k',
  plugged: 'p',
  miss: 'm',
  escaped: 'e',
  missing: 'x',
  stolen: 't',
  buried: 'v',
  'out of water': 'd',
  flooded: 'f',
  'frozen in': 'i',
  'bait taken': 'b',
  'not reached': 'n',
};

/** The outcome of a letter, however it was written. @returns null where no outcome has it */
export function outcomeOf(letter: string): Outcome | null {
  const typed = letter.trim().toLowerCase();
  return OUTCOMES.find((o) => LETTERS[o] === typed || o === typed) ?? null;
}

/** "u untouched, c catch …": the key of the letters. */
export const lettersText = (): string => OUTCOMES.map((o) => `${LETTERS[o]} ${o}`).join(', ');

/** A time as it is scribbled: 815, 8:15, 8.15, 0815, 8:15 pm. @returns hours and minutes as 08:15; null where it is none */
export function clockTyped(text: string): string | null {
  const found = /^(\d{1,2})[:.h]?(\d{2})?\s*(am|pm)?$/i.exec(text.trim());
  if (!found) return null;
  const half = found[3]?.toLowerCase();
  const hour = Number(found[1]) + (half === 'pm' && Number(found[1]) < 12 ? 12 : half === 'am' && Number(found[1]) === 12 ? -12 : 0);
  const minute = Number(found[2] ?? 0);
  if (hour > 23 || minute > 59) return null;
  return `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;
}
