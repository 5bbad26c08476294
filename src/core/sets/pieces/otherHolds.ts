import { BUILDS, type BuildKey } from '../../animals/species';
import { bagMass, pullOf, sunkShare, worstAngle, FILLS } from '../../hold/bag';
import { landAndWater } from '../../hold/liveHold';
import { animalReach, SAFE_WRAP, turnsUntilTaut, wrapsTake } from '../../hold/reach';
import type { Profile } from '../../hold/slide';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Finding } from '../../water/finding';
import { fixed } from '../../water/linear';
import type { Part } from '../../water/part';
import { levelThen, numberOf, type Laying } from '../setType';
import { MARGIN, profileOf, type SlideOf } from './profile';

/** What holds a foothold where no slide leads to deep water: a live hold, a tangle pole, a bag of fill. */

/** Friction of a bag on the bed. [practice] */
const MU = 0.5;

export function tanglePole(laying: Laying, { numbers }: SlideOf, [x, z]: [number, number]): Part {
  const thick = numberOf(laying, { numbers }, 'poleThick');
  const tall = levelThen(laying) - z + inches(18);
  return {
    id: 'tangle',
    kind: 'support',
    bearer: 'bed',
    x,
    y: 0,
    z: fixed(z - inches(18)),
    height: tall,
    wide: thick,
    across: thick,
    stock: `tangle pole ${printLength(tall, laying.system)}`,
  };
}

/** A live hold needs land at the highest level and water at the lowest within its circle; without a profile it is uncertain. */
export function liveFinding(laying: Laying, { numbers, build, held, bank = inches(20) }: SlideOf): Finding {
  const print = (m: number) => printLength(m, laying.system);
  const wire = numberOf(laying, { numbers }, 'wire');
  const reach = wire + animalReach(BUILDS[build], held);
  const base = { id: 'live', about: 'Live hold', figure: print(reach), origin: 'practice' as const };
  const wraps = wire < SAFE_WRAP ? ` The cable is shorter than ${print(SAFE_WRAP)}: it wraps and is chewed near the anchor.` : '';
  const profile = profileOf(laying, bank);
  if (!profile)
    return {
      ...base,
      verdict: 'unknown',
      sentence: `About ten feet of tether, land and water both in reach. Without a measured profile it stays uncertain whether the catch lives.${wraps}`,
    };
  const around: Profile = [
    ...profile
      .map(([x, z]): [number, number] => [x, z])
      .reverse()
      .map(([x, z]): [number, number] => [-x, z]),
    [reach, levelThen(laying) + inches(14)],
  ];
  const { land, water } = landAndWater(around, reach, { lowest: levelThen(laying) - inches(8), highest: levelThen(laying) + inches(8) });
  return land > 0 && water > 0
    ? {
        ...base,
        verdict: wraps ? 'warns' : 'holds',
        sentence: `Within ${print(reach)} lie land that is dry with the water 8 in higher, and ${print(water)} of water with it 8 in lower.${wraps}`,
      }
    : {
        ...base,
        verdict: 'fails',
        sentence: `Within ${print(reach)} there is ${land <= 0 ? 'no land that stays dry' : 'no water left'} when the level moves 8 in: move the anchor, or submerge.${wraps}`,
      };
}

/** What a tangle pole leaves of the reach. */
export function tangleFinding(laying: Laying, { numbers, build, held }: SlideOf): Finding {
  const print = (m: number) => printLength(m, laying.system);
  const wire = numberOf(laying, { numbers }, 'wire');
  const thick = numberOf(laying, { numbers }, 'poleThick');
  const { stopDepth } = laying.numbers;
  const turns = turnsUntilTaut(wire, thick);
  const wanted = animalReach(BUILDS[build], held) + wire - wrapsTake(turns, thick) + MARGIN;
  const base = { id: 'tangle', field: 'stopDepth', about: 'Tangle pole', figure: `${turns} turns`, origin: 'practice' as const };
  const facts = `Each turn round ${print(thick)} takes ${print(wrapsTake(1, thick))}: after ${turns} turns ${print(wire - wrapsTake(turns, thick))} of ${print(wire)} are left. ${print(wanted)} of water are wanted at the pole then.`;
  if (stopDepth === undefined) return { ...base, verdict: 'unknown', sentence: `${facts} Measure the depth there.` };
  return stopDepth >= wanted
    ? { ...base, verdict: 'holds', sentence: `${facts} There are ${print(stopDepth)}. If it meets rock, move it.` }
    : {
        ...base,
        verdict: 'fails',
        sentence: `${facts} There are only ${print(stopDepth)}: deeper by ${print(wanted - stopDepth)}, or a slide wire.`,
      };
}

export const bagOf = (build: BuildKey, how: 'swimming' | 'footed', fill: keyof typeof FILLS): number | null =>
  bagMass(pullOf(BUILDS[build].weight.high, how), worstAngle(MU), 0, MU, sunkShare(FILLS[fill]));

export function bagFinding(laying: Laying, build: BuildKey): Finding {
  const weight = (kg: number | null): string =>
    kg === null ? 'no bag' : laying.system === 'us' ? `${Math.round(kg / 0.45359237)} lb` : `${Math.round(kg)} kg`;
  const swimming = bagOf(build, 'swimming', 'rock');
  return {
    id: 'bag',
    verdict: 'warns',
    about: 'Bag of fill',
    figure: weight(swimming),
    origin: 'practice',
    sentence: `Against the largest ${BUILDS[build].called.replace(/^an? /, '')}: ${weight(swimming)} of rock while it swims, ${weight(bagOf(build, 'footed', 'rock'))} once it has a footing; of mud and stones ${weight(bagOf(build, 'swimming', 'mud and stones'))} and ${weight(bagOf(build, 'footed', 'mud and stones'))}. Practice uses far lighter bags and relies on deep water with no footing.`,
  };
}
