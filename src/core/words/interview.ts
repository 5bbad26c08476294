import type { Cause } from '../interview/causes';

/** A cause in words: what it is, what would decide it, and the one thing to change. */

export const CAUSE_WORDS: Readonly<Record<Cause, { is: string; decides: string; change: string }>> = {
  notInUse: {
    is: 'The place is not in use.',
    decides: 'Lay a twig across the way, or smooth a foot of mud, and look tomorrow: moved or tracked means used.',
    change: 'Move it to the next place with fresh sign. More lure will not help.',
  },
  mechanical: {
    is: 'It does not work as it stands: level, trigger or support.',
    decides: 'Touch the trigger with a stick, hands off the jaws; and compare the water with the mark of the day it was set.',
    change: 'Set it again at the level of now, tried with a stick.',
  },
  goneRound: {
    is: 'They see it and go round.',
    decides: 'Tracks or a camera beside it: they turn before the fence, or pass at its side.',
    change: 'Take the fence down to a thin stick or two, and lower what shows against the sky.',
  },
  deviceKnown: {
    is: 'They know this kind of trap.',
    decides: 'Another kind at the same place takes one within four nights, and this one does not.',
    change: 'Set another kind here: a bare snare or a foothold where body-grips stood, a body-grip low in the run where they did not.',
  },
  lureShy: {
    is: 'The lure keeps them off.',
    decides: 'They come to within a few feet and turn; a blind set beside it is met.',
    change: 'Leave it blind: no lure, no bait, and wash what holds the scent.',
  },
  disturbed: {
    is: 'They stay away because of who else comes there.',
    decides: 'Fresh boot or dog tracks beside old sign of the animal.',
    change: 'Move it out of sight of the path, or visit it only when you must, by the water.',
  },
  tooSoon: {
    is: 'It has not stood long enough to tell.',
    decides: 'Four nights at a place that is used.',
    change: 'Leave it as it is.',
  },
};

/** How sure, in tenths: `about 6 in 10`. */
export const sureText = (share: number): string => {
  const tenths = Math.min(9, Math.max(1, Math.round(share * 10)));
  return `about ${tenths} in 10`;
};
