import type { Step } from '../setType';

/** Steps that many types share, with their caution. */

export const SETTER = 'A 330 breaks hands: setter and rope within reach.';
export const LEVERS = 'Tip the loose jaw up while setting. Never kneel on the levers; a No. 5 takes paired setters.';
export const FLOODS = 'Opening a dam floods those below; ask the owner and the local law first.';
export const WADING = 'Water plus sink against the waders first; sinking past the knee means do not step in.';
export const CULVERTS = 'Nobody enters a culvert; current under a bridge is stronger than it looks.';

/** Hooks off while they can be reached; what comes after keeps hands out of the jaws. */
export const hooksOff = (when: string): Step => ({
  do: `Take both safety hooks off ${when}.`,
  lastReach: true,
  caution: 'From here hands hold springs and frame only, never inside the jaws.',
});

export const setGrip = (small = false): Step => ({
  do: small
    ? 'Set it by hand or with the setter, hook on, dog in its notch.'
    : 'Compress the springs with the setter, hooks on, set the dog.',
  caution: small ? 'Springs held by the eyes, fingers out of the jaws.' : SETTER,
});

export const feelSwing: Step = { do: 'Feel with a stick that nothing stands in the swing.', caution: 'Use a stick, not a hand.' };

export const bedLast = (where: string): Step => ({
  do: `Cock the trap aside and bed it last ${where}, loose jaw to the middle of the approach, so that it does not rock.`,
  lastReach: true,
  caution: LEVERS,
});

export const hangLoop = (where: string): Step => ({ do: `Load the cable behind the lock and hang the loop ${where}.`, lastReach: true });

export const nudge: Step = {
  do: 'Nudge the support: only the loop may move, and it should snap shut. Hang it again.',
  caution: 'From here only the support is touched; the loop closes on a finger too.',
};

export const anchorFirst: Step = { do: 'Anchor the tail before the loop is opened.' };
