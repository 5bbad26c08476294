import type { DeviceClass } from '../devices/sizes';
import type { Outcome } from '../record/checks';
import type { Check } from '../record/kinds';
import type { Verdict } from '../water/need';

/** The answer a check begins with: what the level itself already says, otherwise untouched. */
export function likelyOutcome(verdict: Verdict): Outcome {
  if (verdict === 'outOfWater' || verdict === 'aground') return 'out of water';
  if (verdict === 'tooDeep' || verdict === 'heldUnder') return 'flooded';
  return verdict === 'frozen' ? 'frozen in' : 'untouched';
}

/** How many visits in a row, newest first, found everything untouched. */
export function untouchedInARow(visits: readonly Pick<Check, 'devices'>[]): number {
  const first = visits.findIndex(({ devices }) => !devices.every((d) => d.outcome === 'untouched'));
  return first === -1 ? visits.length : first;
}

/** Whether this look is the second untouched in a row, at which the questions are asked. */
export const asksNow = (visitsBefore: readonly Pick<Check, 'devices'>[]): boolean => untouchedInARow(visitsBefore) >= 1;

/** What was used at a place before, by you or by others: what was taught there is not set again. */
export const USED_BEFORE = ['not known', 'nothing', 'body-grips', 'snares', 'footholds', 'more than one kind'] as const;

/** What was not taught at a place where one kind was used. [practice] */
const OTHERS: Partial<Record<string, [DeviceClass, string][]>> = {
  'body-grips': [
    ['snare', 'a bare snare in the same run'],
    ['foothold', 'a foothold at the way out'],
  ],
  snares: [
    ['foothold', 'a foothold at the way out'],
    ['bodyGrip', 'a body-grip low in the run'],
  ],
  footholds: [
    ['snare', 'a bare snare in the same run'],
    ['bodyGrip', 'a body-grip low in the run'],
  ],
};

/** The one change that the answers point to; what stands there already is never offered. @param stands classes of the devices that stand there. [practice] */
export function oneChange(answers: { seenOnCamera: string; inUse: string; usedBefore: string }, stands: readonly DeviceClass[]): string {
  const { usedBefore: before } = answers;
  if (answers.inUse === 'no') return 'The place is not in use: move it to the next place with fresh sign. More lure will not help.';
  if (answers.seenOnCamera === 'yes')
    return 'It is seen and not taken: change tonight. Fewer or thinner fence sticks first, then another trap.';
  const others = OTHERS[before]?.filter(([device]) => !stands.includes(device)).map(([, how]) => how) ?? [];
  if (others.length > 0) return `${before.charAt(0).toUpperCase()}${before.slice(1)} were used here: try ${others.join(' or ')}.`;
  if (answers.inUse === 'yes') return 'The place is in use: leave it one more night, and hang the one camera here.';
  return 'Look for fresh sign before anything else: cuttings, wet slide, mud in the water. Without any, move it.';
}

/** Where a missing device can lie, in the order to look; always before it is called stolen. */
export const WHERE_MISSING: readonly string[] = [
  'from the anchor outward, along the cable',
  'in the circle of the tether, under cut banks',
  'at the deep end of the slide',
  'under the repair of the dam',
  'over the far side of the dam',
  'then on the camera',
];

/** What to do first where the set is on a slide: an empty bed is the expected catch. */
export const SLIDE_FIRST =
  'On a slide an empty bed is the expected catch: draw the deep end first. Only when nothing hangs there is it missing.';
