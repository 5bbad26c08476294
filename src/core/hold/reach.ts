import type { Build } from '../animals/species';
import { inches } from '../units/factors';

/** By what the animal is held. */
export type Held = 'front foot' | 'hind foot' | 'body';

/** What a hind-foot catch reaches over its body. [practice] */
const STRETCH = 0.1;

/** A wrap nearer to the anchor than this is chewed through or broken. [practice] */
export const SAFE_WRAP = inches(60);

/**
 * How far an animal reaches beyond the end of its tether, m: from the forefoot to its nose, its body and a hand by the hind foot,
 * what is left of the loop and its body in a snare.
 *
 * @param loop circumference of the loop that is left outside the animal, m; counted for a snare only
 * @source practice, by species and age
 */
export function animalReach(build: Pick<Build, 'body' | 'forearmToNose'>, held: Held, loop = 0): number {
  if (held === 'front foot') return build.forearmToNose;
  return held === 'hind foot' ? build.body + STRETCH : build.body + loop;
}

/** How far a held animal sweeps round what holds it, m: to its nose, or with its body the other way; the larger. [practice] */
export const sweepOf = (build: Pick<Build, 'body' | 'forearmToNose'>, held: Held): number => Math.max(animalReach(build, held), build.body);

/**
 * What wraps round a pole take off a tether, m: 2πρ each.
 *
 * @param turns wraps, 0 or more
 * @param thickness of the pole, m
 * @throws RangeError when either is negative
 * @source circumference of a circle
 */
export function wrapsTake(turns: number, thickness: number): number {
  if (turns < 0 || thickness < 0) throw new RangeError(`wraps and thickness are 0 or more, got ${turns} and ${thickness}`);
  return Math.PI * thickness * turns;
}

/** Turns after which nothing of a tether is left, m over m. */
export const turnsUntilTaut = (tether: number, thickness: number): number => Math.floor(tether / (Math.PI * thickness));

/** By how much two circles can meet, m: positive when stakes stand nearer than the two reaches together. A warning, never a refusal. */
export const circlesMeetBy = (apart: number, one: number, two: number): number => one + two - apart;
