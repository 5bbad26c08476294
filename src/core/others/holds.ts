import { BODY_GRIPS, FOOTHOLDS } from '../devices/sizes';
import type { FilledPosition } from '../sets/setType';
import { inches } from '../units/factors';

/** Whom a device holds: one answer for the anchor, for who else is met, and for the form of a catch. */

export const STRANGERS = ['beaver', 'otter', 'raccoon', 'mink', 'muskrat', 'duck', 'dog', 'bird of prey'] as const;
export type Stranger = (typeof STRANGERS)[number];

/** The least opening of a body-grip that holds it, the least spread of a foothold, and the least loop; m. [practice] */
export const HOLDS: Readonly<Record<Stranger, { grip: number; foot: number; loop: number }>> = {
  beaver: { grip: inches(6.9), foot: inches(5.4), loop: inches(6) },
  otter: { grip: inches(5.4), foot: inches(4.7), loop: inches(4.5) },
  raccoon: { grip: inches(4.7), foot: inches(3.9), loop: inches(4) },
  mink: { grip: 0, foot: 0, loop: Infinity },
  muskrat: { grip: 0, foot: 0, loop: Infinity },
  duck: { grip: inches(4.7), foot: 0, loop: Infinity },
  dog: { grip: inches(5.9), foot: inches(4.7), loop: inches(6) },
  'bird of prey': { grip: inches(5.9), foot: inches(3.9), loop: Infinity },
};

/** Whether a device of that class and size can hold an animal. */
export function canHold({ class: kind, size }: FilledPosition, who: Stranger): boolean {
  const least = HOLDS[who];
  if (kind === 'bodyGrip') return (BODY_GRIPS[size]?.opening ?? 0) >= least.grip;
  if (kind === 'foothold') return (FOOTHOLDS[size]?.spread ?? 0) >= least.foot;
  return kind === 'snare' ? Number.isFinite(least.loop) : who === 'raccoon';
}
