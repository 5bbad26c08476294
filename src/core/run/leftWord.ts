import type { LeftWord } from '../record/kinds';

export type WordState = 'out' | 'overdue' | 'back';

/** Whether who left word is back, still out in time, or overdue. */
export function wordState({ backBy, back }: Pick<LeftWord, 'backBy' | 'back'>, now: Date): WordState {
  if (back !== null) return 'back';
  return new Date(backBy) < now ? 'overdue' : 'out';
}
