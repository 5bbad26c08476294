import { many } from '../units/many';

/** What an animal did before a camera, as far as the picture tells. */
export const DID = ['not seen', 'passed', 'went round', 'over it', 'at the set'] as const;
export type Did = (typeof DID)[number];

export interface SeenAtSet {
  at: Date;
  species: string;
  did: Did;
  /** the set its camera looks at; null where it looks at all of its place, or nobody said */
  set: string | null;
}

/** What was seen at a place, as far as it may have been at one of its sets. */
export const seenBy = <T extends { set: string | null }>(events: readonly T[], set: string): T[] =>
  events.filter((e) => e.set === null || e.set === set);

/**
 * What the camera at a place saw since its set was looked at, and what that asks for; empty where it saw nothing since.
 *
 * @source common practice: who goes round has found a gap; who passes untouched is met by nothing
 */
export function seenAtSet(events: readonly SeenAtSet[], since: Date | null): string {
  const late = events.filter((e) => since === null || e.at > since);
  if (late.length === 0) return '';
  const times = (did: Did): number => late.filter((e) => e.did === did).length;
  const kinds = [...new Set(late.map((e) => e.species))].join(', ');
  const saw = `The camera here saw ${many(late.length, 'animal')} since the last look (${kinds})`;
  const [round, over] = [times('went round'), times('over it')];
  if (round > 0) return `${saw}; ${round} went round: close the gap beside it, or move it into the way.`;
  if (over > 0) return `${saw}; ${over} went over it: put it higher, or a pole over it.`;
  return `${saw}${times('passed') > 0 ? `; ${times('passed')} passed it` : ''}.`;
}
