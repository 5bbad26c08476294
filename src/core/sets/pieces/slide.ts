import { BUILDS, type Build, type BuildKey } from '../../animals/species';
import { bagMass, pullOf, sunkShare, worstAngle, FILLS } from '../../hold/bag';
import { landAndWater } from '../../hold/liveHold';
import { animalReach, SAFE_WRAP, turnsUntilTaut, wrapsTake, type Held } from '../../hold/reach';
import { restAt, shortestSlide, type Profile } from '../../hold/slide';
import { inches } from '../../units/factors';
import { printLength, printLevel } from '../../units/length';
import type { Finding } from '../../water/finding';
import { fixed } from '../../water/linear';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { level as across, upright as mark, type Piece } from '../design';
import { levelThen, measured, numberOf, practised, type ChoiceSpec, type Laying, type NumberSpec } from '../setType';
import { linePart } from './hold';

/** How a foothold lets go of its catch: slide to deep water, live hold, tangle pole, bag of fill. */

/** Extra depth behind the animal's reach. [practice] */
const MARGIN = inches(6);
/** Friction of a bag on the bed. [practice] */
const MU = 0.5;
/** The bank stake stands beside the way, m. */
const ASIDE = inches(9);

/** Distances from the water's edge at which the bed's profile is measured, m. */
const OUT = [inches(36), inches(72), inches(108), inches(144)] as const;

export const SLIDE_NUMBERS: Record<string, NumberSpec> = {
  chain: practised('Chain', 'trap to the lock', 14, [4, 118]),
  stopDepth: measured('Depth at the stop', 'water over the deep end of the slide', [0, 236], 1),
  wire: practised('Wire or tether', 'bank stake to the deep end; anchor to the trap of a live hold', 120, [20, 472]),
  out3: measured('Depth 3 ft out', 'of the water’s edge: two such depths make a profile', [0, 236], 1),
  out6: measured('Depth 6 ft out', 'of the water’s edge', [0, 236], 1),
  out9: measured('Depth 9 ft out', 'of the water’s edge', [0, 236], 1),
  out12: measured('Depth 12 ft out', 'of the water’s edge', [0, 236], 1),
  poleThick: practised('Tangle pole', 'its thickness', 3, [1, 10]),
};

export const HOLD: ChoiceSpec = {
  label: 'Hold',
  options: { slide: 'slide wire to deep water', live: 'live hold', tangle: 'tangle pole in deep water', bag: 'bag of fill on a cable' },
  default: 'slide',
};

/** Depth that chain, the way from forefoot to nose and some inches want at the stop, m. */
export const wantedDepth = (chain: number, build: Pick<Build, 'forearmToNose'>): number => chain + build.forearmToNose + MARGIN;

/** The depth at the stop of a slide. */
export const stopNeed = (laying: Laying, wanted: number, device = 'trap'): Need => ({
  id: 'stop',
  device,
  of: { part: 'stop', spot: 'bottom' },
  from: laying.place.surface,
  max: -wanted,
  broken: { max: 'noLongerSubmerging' },
  called: 'deep end of the slide',
  origin: 'practice',
});

/** The bed from the bank stake outward, where two depths of it were measured; null otherwise. @param bank x of the stake, m */
export function profileOf(laying: Laying, bank: number): Profile | null {
  const surface = levelThen(laying);
  const edge = bank - inches(10);
  const read = [laying.numbers.out3, laying.numbers.out6, laying.numbers.out9, laying.numbers.out12].flatMap((depth, i): Profile =>
    depth === undefined ? [] : [[edge + (OUT[i] ?? 0), surface - depth]],
  );
  return read.length < 2 ? null : [[0, surface + inches(6)], [edge, surface], ...read];
}

interface Deep {
  out: number;
  z: number;
}

/** Where the stop lies: by the profile, otherwise straight to the typed or wanted depth. */
function deepEnd(laying: Laying, wire: number, wanted: number, bank: number): Deep {
  const surface = levelThen(laying);
  const profile = profileOf(laying, bank);
  const rest = profile && restAt(profile, wire, surface, 0);
  if (rest) return { out: rest.out, z: surface - rest.depth };
  const z = surface - (laying.numbers.stopDepth ?? wanted);
  return { out: Math.sqrt(Math.max(wire ** 2 - (surface + inches(6) - z) ** 2, 0.25)), z };
}

/** The deep end of a slide and its stake on the bank. @param bank x of the stake, m */
export function slideParts(laying: Laying, wire: number, wanted: number, bank = inches(20), device = 'trap'): Part[] {
  const { out, z } = deepEnd(laying, wire, wanted, bank);
  const surface = levelThen(laying);
  return [
    {
      id: 'stop',
      kind: 'slideStop',
      device,
      bearer: 'bed',
      x: bank - out,
      y: 0,
      z: fixed(z),
      height: inches(3),
      wide: inches(3),
      across: inches(3),
      stock: 'one-way lock and stop',
    },
    {
      id: 'stake',
      kind: 'stake',
      bearer: 'bank',
      x: bank,
      y: ASIDE,
      z: fixed(surface - inches(18)),
      height: inches(24),
      wide: inches(1),
      across: inches(1),
      tiedTo: 'stop',
      stock: 'bank stake 24 in',
    },
    linePart(
      'slideWire',
      [bank - out, 0, z + inches(2)],
      [bank, ASIDE, surface + inches(5)],
      `slide wire ${printLength(wire, laying.system)}`,
      'stop',
    ),
  ];
}

/** The bed's line from the deep end of a hold to the trap; the rest of the ground follows from there. */
export function deepGround(laying: Laying, floor: number, { holds }: Piece): [number, number][] {
  const hold = holds?.[0];
  if (!hold?.deep) return [[-inches(50), floor - inches(8)]];
  const bank = hold.anchor[0];
  const profile = hold.kind === 'slide' ? profileOf(laying, bank) : null;
  if (profile) {
    const outward = profile.slice(2).map(([out, z]): [number, number] => [bank - out, z]);
    return outward.reverse().filter(([x]) => x < -inches(14));
  }
  const [x, z] = hold.deep;
  return [
    [x - inches(12), z],
    [Math.min(x + inches(12), -inches(13)), z],
  ];
}

export interface SlideOf {
  numbers: Record<string, NumberSpec>;
  build: BuildKey;
  held: Held;
  /** x of the bank stake, m */
  bank?: number;
  device?: string;
}

/** What the chosen hold takes and whether it works; a foothold has one of four. */
export function holdPiece(laying: Laying, own: SlideOf): Piece {
  const { numbers, build, held, bank = inches(20), device = 'trap' } = own;
  const how = laying.choices.hold ?? 'slide';
  const wire = numberOf(laying, { numbers }, 'wire');
  const chain = numberOf(laying, { numbers }, 'chain');
  const surface = levelThen(laying);
  const wanted = wantedDepth(chain, { forearmToNose: animalReach(BUILDS[build], held) });
  const anchor: [number, number, number] = [bank, ASIDE, surface + inches(6)];
  if (how === 'slide') {
    const parts = slideParts(laying, wire, wanted, bank, device);
    const stop = parts[0];
    const deep: [number, number] = [stop?.x ?? 0, stop?.z.k ?? 0];
    return {
      parts,
      needs: laying.numbers.stopDepth !== undefined || profileOf(laying, bank) ? [stopNeed(laying, wanted, device)] : [],
      holds: [{ kind: 'slide', device, anchor, tether: wire, held, build, deep }],
      supplies: [{ kind: 'wire', what: 'slide wire', amount: wire }],
      findings: [slideFinding(laying, wanted, { build, held, bank })],
      marks: [mark('stopDepth', 'Depth at the stop', 'side', deep[0], surface, deep[1])],
    };
  }
  if (how === 'live') {
    const line = linePart('tether', [0, 0, surface - inches(3)], anchor, `tether ${printLength(wire, laying.system)}`, 'pan');
    return {
      parts: [bankStake(bank, surface), line],
      holds: [{ kind: 'live', device, anchor, tether: wire, held, build }],
      supplies: [{ kind: 'cable', what: 'tether cable', amount: wire }],
      findings: [liveFinding(laying, own)],
    };
  }
  const deep: [number, number] = [-inches(30), surface - (laying.numbers.stopDepth ?? wanted)];
  if (how === 'tangle')
    return {
      parts: [
        tanglePole(laying, own, deep),
        linePart(
          'tether',
          [0, 0, surface - inches(3)],
          [deep[0] + inches(12), 0, deep[1] + inches(6)],
          `cable ${printLength(wire, laying.system)}`,
          'pan',
        ),
      ],
      holds: [{ kind: 'pole', device, anchor: [deep[0], 0, deep[1]], tether: wire, held, build, deep }],
      supplies: [{ kind: 'cable', what: 'tether cable', amount: wire }],
      findings: [tangleFinding(laying, own)],
      marks: [mark('stopDepth', 'Depth at the pole', 'side', deep[0] - inches(6), surface, deep[1])],
    };
  return {
    parts: [
      {
        id: 'bag',
        kind: 'bag',
        bearer: 'bed',
        x: deep[0],
        y: 0,
        z: fixed(deep[1]),
        height: inches(12),
        wide: inches(20),
        across: inches(16),
        stock: 'bag of fill',
      },
      linePart(
        'tether',
        [0, 0, surface - inches(3)],
        [deep[0] + inches(10), 0, deep[1] + inches(6)],
        `cable ${printLength(wire, laying.system)}`,
        'bag',
      ),
    ],
    holds: [{ kind: 'drowner', device, anchor: [deep[0], 0, deep[1]], tether: wire, held, build, deep }],
    supplies: [
      { kind: 'cable', what: 'tether cable', amount: wire },
      { kind: 'fill', what: 'rock for the bag', amount: bagOf(build, 'swimming', 'rock') ?? 0 },
    ],
    findings: [bagFinding(laying, build)],
    marks: [mark('stopDepth', 'Depth at the bag', 'side', deep[0], surface, deep[1])],
  };
}

const bankStake = (bank: number, surface: number): Part => ({
  id: 'stake',
  kind: 'stake',
  bearer: 'bank',
  x: bank,
  y: ASIDE,
  z: fixed(surface - inches(18)),
  height: inches(24),
  wide: inches(1),
  across: inches(1),
  stock: 'bank stake 24 in',
});

function tanglePole(laying: Laying, { numbers }: SlideOf, [x, z]: [number, number]): Part {
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

/** Whether the stop lies deep enough for the largest animal that is meant; with a profile also where it lies and the shortest wire. */
export function slideFinding(
  laying: Laying,
  wanted: number,
  { build, held, bank }: { build: BuildKey; held: Held; bank: number },
): Finding {
  const print = (m: number) => printLength(m, laying.system);
  const base = { id: 'slide', field: 'wire', about: 'Drowning depth', origin: 'practice' as const };
  const who = BUILDS[build].called;
  const profile = profileOf(laying, bank);
  const surface = levelThen(laying);
  const overBank = Math.hypot(bank - inches(10), inches(6));
  const wire = laying.numbers.wire;
  if (wire !== undefined && wire <= overBank)
    return {
      ...base,
      verdict: 'fails',
      figure: `short ${print(overBank - wire)}`,
      sentence: `The wire is shorter than the bank: ${print(overBank)} lead from its stake to the water’s edge and it has ${print(wire)}.`,
    };
  if (profile) {
    const chain = wanted - MARGIN;
    const rest = restAt(profile, laying.numbers.wire ?? inches(120), surface, chain);
    const best = shortestSlide(profile, surface, chain, MARGIN);
    const shortest =
      'wire' in best
        ? `The shortest wire that does it is ${print(best.wire)}.`
        : `The profile is short by ${print(best.shortBy)}: deeper water or a tangle pole, or a live hold.`;
    if (rest && rest.margin >= MARGIN - 1e-6)
      return {
        ...base,
        verdict: 'holds',
        figure: print(rest.depth),
        sentence: `The lock rests ${print(rest.out)} out in ${print(rest.depth)} of water; ${who} by the ${held} reaches ${print(chain)}. The margin of ${print(rest.margin)} is gone when the level falls to ${printLevel(surface - rest.margin, laying.system)}. ${shortest}`,
      };
    return {
      ...base,
      verdict: 'fails',
      figure: `short ${print(MARGIN - (rest?.margin ?? 0))}`,
      sentence: `The wire ends ${print(rest?.out ?? 0)} out in ${print(rest?.depth ?? 0)} of water, ${print(wanted)} wanted (chain, reach of ${who}, 6 in). ${shortest}`,
    };
  }
  const { stopDepth } = laying.numbers;
  if (stopDepth === undefined)
    return {
      ...base,
      verdict: 'unknown',
      figure: `${print(wanted)}?`,
      sentence: `Uncertain: the deep end was not measured. Chain and ${who}'s reach with 6 in to spare want ${print(wanted)} there.`,
    };
  const spare = stopDepth - wanted;
  if (spare < 0)
    return {
      ...base,
      verdict: 'fails',
      figure: `short ${print(-spare)}`,
      sentence: `${print(stopDepth)} of water, ${print(wanted)} wanted (chain, forearm to nose of ${who}, 6 in): short by ${print(-spare)}. Deeper water, a shorter chain, or a live hold.`,
    };
  return {
    ...base,
    verdict: 'holds',
    figure: print(stopDepth),
    sentence: `${print(wanted)} wanted for chain, reach and 6 in: the margin is gone when the level falls ${print(spare)}.`,
  };
}

/** A live hold needs land at the highest level and water at the lowest within its circle; without a profile it is uncertain. */
function liveFinding(laying: Laying, { numbers, build, held, bank = inches(20) }: SlideOf): Finding {
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
      sentence: `About ten feet of tether, land and water both in reach. Without a measured profile it stays uncertain whether the catch lives: between one in ten and one in two are reported drowned on the same length.${wraps}`,
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
function tangleFinding(laying: Laying, { numbers, build, held }: SlideOf): Finding {
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

const bagOf = (build: BuildKey, how: 'swimming' | 'footed', fill: keyof typeof FILLS): number | null =>
  bagMass(pullOf(BUILDS[build].weight.high, how), worstAngle(MU), 0, MU, sunkShare(FILLS[fill]));

function bagFinding(laying: Laying, build: BuildKey): Finding {
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

/** The wire along the bank as a length on the drawing. */
export const chainMark = (laying: Laying, numbers: Record<string, NumberSpec>, z: number): Piece => ({
  marks: [across('chain', 'Chain', 'side', z, 0, -numberOf(laying, { numbers }, 'chain'), -1)],
});
