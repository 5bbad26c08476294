import { z } from 'zod';

/** What a person of a crew may do, from most to least. */
export const ROLES = ['owner', 'trapper', 'helper', 'reader'] as const;
export type Role = (typeof ROLES)[number];
export const roleSchema = z.enum(ROLES, { error: 'Choose what this person may do: owner, trapper, helper or client.' });

export const ROLE_WORDS: Record<Role, { name: string; may: string }> = {
  owner: { name: 'owner', may: 'everything, and who may come in' },
  trapper: { name: 'trapper', may: 'everything of the line' },
  helper: { name: 'helper', may: 'reads everything and writes checks; corrects nothing' },
  reader: { name: 'client', may: 'only the waters shared with him' },
};

/** What a check brings along: readings, how the set was left, what it used up, ice, a break found mended. */
const WITH_CHECK = ['check', 'reading', 'set', 'device', 'stockMove', 'ice', 'opening'];

/** What is asked of the book, as far as a role decides on it. */
export interface Asked {
  kind: string;
  /** it is about the one himself who writes it */
  own?: boolean;
  /** the entry that it puts right or takes back */
  corrects: boolean;
}

/**
 * Why somebody in a role may not write these entries as one batch; null where he may.
 *
 * A helper writes checks with what belongs to them (a reading, a remake, ice), as one batch, his own settings, and a word left for the others. [practice]
 */
export function whyNot(role: Role, entries: readonly Asked[]): string | null {
  if (role === 'owner' || role === 'trapper') return null;
  if (role === 'reader') return 'Who reads along writes nothing.';
  if (entries.some(({ corrects }) => corrects)) return 'A helper corrects nothing: tell the one whose line it is.';
  const isCheck = entries.some(({ kind }) => kind === 'check') && entries.every(({ kind }) => WITH_CHECK.includes(kind));
  const isHis = entries.every(({ kind, own }) => (kind === 'person' && own) || kind === 'leftWord');
  return isCheck || isHis ? null : 'A helper writes checks: this is for the one whose line it is.';
}
