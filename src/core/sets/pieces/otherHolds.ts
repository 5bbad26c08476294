import { BUILDS, type BuildKey } from '../../animals/species';
import { bagMass, FILLS, pullOf, sunkShare, worstAngle, type Fill } from '../../hold/bag';
import { landAndWater } from '../../hold/liveHold';
import { animalReach, SAFE_WRAP, sweepOf, turnsUntilTaut, wrapsTake } from '../../hold/reach';
import type { Profile } from '../../hold/slide';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { levelThen, numberOf, type Laying } from '../setType';
import { MARGIN, profileOf, type SlideOf } from './profile';
import { onBed } from './block';

/** What holds a foothold where no slide leads to deep water: a live hold, a tangle pole, a bag of fill. */

/** Friction of a bag on the bed. [practice] */
const MU = 0.5;

export function tanglePole(laying: Laying, { numbers }: SlideOf, [x, z]: [number, number]): Part {
  const thick = numberOf(laying, { numbers }, 'poleThick');
  const tall = levelThen(laying) - z + inches(18);
  return onBed('support', 'tangle', [x, 0, z - inches(18)], [tall, thick, thick], {
    stock: `tangle stake ${printLength(tall, laying.system)}`,
  });
}

/** A live hold needs land at the highest level and water at the lowest within its circle; without a profile it is uncertain. */
export function liveFinding(laying: Laying, { numbers, build, held, bank = inches(20) }: SlideOf): Finding {
  const wire = numberOf(laying, { numbers }, 'wire');
  const reach = wire + sweepOf(BUILDS[build], held);
  const base = { reach, safe: SAFE_WRAP, wraps: wire < SAFE_WRAP };
  const profile = profileOf(laying, bank);
  if (!profile) return found('live', 'unknown', 'practice', base);
  const around: Profile = [
    ...profile
      .map(([x, z]): [number, number] => [x, z])
      .reverse()
      .map(([x, z]): [number, number] => [-x, z]),
    [reach, levelThen(laying) + inches(14)],
  ];
  const { land, water } = landAndWater(around, reach, { lowest: levelThen(laying) - inches(8), highest: levelThen(laying) + inches(8) });
  const lives = land > 0 && water > 0;
  return found('live', !lives ? 'fails' : base.wraps ? 'warns' : 'holds', 'practice', { ...base, land: land > 0, water });
}

/** What a tangle pole leaves of the reach. */
export function tangleFinding(laying: Laying, { numbers, build, held }: SlideOf): Finding {
  const wire = numberOf(laying, { numbers }, 'wire');
  const thick = numberOf(laying, { numbers }, 'poleThick');
  const { stopDepth: depth } = laying.numbers;
  const turns = turnsUntilTaut(wire, thick);
  const left = wire - wrapsTake(turns, thick);
  const wanted = animalReach(BUILDS[build], held) + left + MARGIN;
  const verdict = depth === undefined ? 'unknown' : depth >= wanted ? 'holds' : 'fails';
  const values = { thick, turn: wrapsTake(1, thick), turns, left, wire, wanted, depth };
  return found('tangle', verdict, 'practice', values, { field: 'stopDepth' });
}

export const bagOf = (build: BuildKey, how: 'swimming' | 'footed', fill: Fill): number | null =>
  bagMass(pullOf(BUILDS[build].weight.high, how), worstAngle(MU), 0, MU, sunkShare(FILLS[fill]));

/** What a bag was filled with. */
export const fillOf = (choices: Readonly<Record<string, string>>): Fill => (choices.fill === 'mud and stones' ? 'mud and stones' : 'rock');

/** Whether a bag of a typed weight stays where it lies: it does while the animal swims, or where it has no footing over it. Not told without weight and depth. */
export function bagFinding(laying: Laying, { numbers, build, held }: SlideOf, fill: Fill): Finding {
  const { bag, stopDepth: depth } = laying.numbers;
  const [swimming, footed] = [bagOf(build, 'swimming', fill), bagOf(build, 'footed', fill)];
  const wanted = animalReach(BUILDS[build], held) + numberOf(laying, { numbers }, 'chain') + MARGIN;
  const values = { animal: BUILDS[build].called.replace(/^an? /, ''), fill, bag, swimming, footed, depth, wanted };
  const field = bag === undefined ? 'bag' : 'stopDepth';
  return found('bag', bagVerdict(values), 'practice', values, { field });
}

function bagVerdict({ bag, swimming, footed, depth, wanted }: BagAsked): Finding['verdict'] {
  if (bag === undefined) return 'unknown';
  if (swimming === null || bag < swimming) return 'fails';
  if (footed !== null && bag >= footed) return 'holds';
  return depth === undefined ? 'unknown' : depth >= wanted ? 'holds' : 'warns';
}

interface BagAsked {
  bag: number | undefined;
  swimming: number | null;
  footed: number | null;
  depth: number | undefined;
  wanted: number;
}
