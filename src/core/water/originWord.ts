import type { Origin } from './need';

/** Where a figure comes from, as it is said beside it. */
const WORDS: Record<Origin, string> = {
  measured: 'you measured',
  yours: 'you measured',
  practice: 'rule of thumb',
  published: 'published',
  computed: 'calculated',
};
export const originWord = (origin: Origin): string => WORDS[origin];
