import { z } from 'zod';
import type { Species } from '../animals/species';
import { choice, count, id } from '../record/fieldKinds';
import type { Design, Supply } from '../sets/design';
import type { Part } from '../water/part';

/** What draws an animal to a set: bait and scent, where they lie, how much, and out of which jar. Everything here is common practice without a published source. */

export const LURES = ['castor lure', 'sac oil', 'food lure', 'peeled sticks', 'green wood', 'root or apple', 'fish', 'flesh'] as const;
export type Lure = (typeof LURES)[number];

/** Where it lies: what is roofed is not washed off. */
export const LURE_PLACES = ['on the bank', 'in the water', 'under a roof'] as const;
export type LurePlace = (typeof LURE_PLACES)[number];

/** So many are told of one set. */
export const MOST_LURES = 3;

export const attractSchema = z.strictObject({
  what: choice('What draws', LURES),
  where: choice('Where it lies', LURE_PLACES),
  amount: count('Portions', 0.1, 100),
  /** the jar or bundle in the shed that it is taken from; null where it is cut at the water or nobody said */
  stock: id('Jar').nullable(),
});
export type Attract = z.infer<typeof attractSchema>;

interface Drawing {
  kind: 'lure' | 'bait';
  draws: readonly Species[];
  /** nights it works in the open; null where it is counted by no nights */
  lasts: number | null;
}

const DRAWING: Readonly<Record<Lure, Drawing>> = {
  'castor lure': { kind: 'lure', draws: ['beaver', 'otter'], lasts: 7 },
  'sac oil': { kind: 'lure', draws: ['beaver', 'otter'], lasts: 10 },
  'food lure': { kind: 'lure', draws: ['beaver', 'muskrat'], lasts: 7 },
  'peeled sticks': { kind: 'bait', draws: ['beaver'], lasts: 14 },
  'green wood': { kind: 'bait', draws: ['beaver'], lasts: null },
  'root or apple': { kind: 'bait', draws: ['muskrat'], lasts: 5 },
  fish: { kind: 'bait', draws: ['mink', 'raccoon', 'otter'], lasts: 4 },
  flesh: { kind: 'bait', draws: ['mink', 'raccoon'], lasts: 4 },
};
/** A roof keeps rain off: it works so many times as long. */
const ROOFED = 2;

export const drawsOf = (lure: Lure): readonly Species[] => DRAWING[lure].draws;
export const kindOf = (lure: Lure): 'lure' | 'bait' => DRAWING[lure].kind;

/** Nights after which it is renewed; null where none of it is counted by nights. */
export function lastsNights(lures: readonly Attract[]): number | null {
  const nights = lures.flatMap(({ what, where }) => {
    const { lasts } = DRAWING[what];
    return lasts === null ? [] : [lasts * (where === 'under a roof' ? ROOFED : 1)];
  });
  return nights.length === 0 ? null : Math.min(...nights);
}

/** Whether rain washes it off: scent that lies open. */
export const washesOff = ({ what, where }: Attract): boolean => kindOf(what) === 'lure' && where !== 'under a roof';

/** In words: "castor lure, on the bank, 2 portions"; "blind: nothing draws" for none. */
export const lureText = (lures: readonly Attract[]): string =>
  lures.length === 0
    ? 'blind: nothing draws'
    : lures.map(({ what, where, amount }) => `${what}, ${where}${amount === 1 ? '' : `, ${amount} portions`}`).join('; ');

const isDrawing = ({ kind }: Supply): boolean => kind === 'lure' || kind === 'bait';

/** What draws to a set as its type is built, in words; empty where nothing does. */
export const builtWith = (supplies: readonly Supply[]): string =>
  [...new Set(supplies.filter(isDrawing).map(({ what }) => what))].join(' and ');

/**
 * A design with what somebody said draws to it in the place of what its type is built with.
 *
 * @param lures undefined where nobody said: the type's own stands; none of it is a blind set
 */
export function withLures<D extends Pick<Design, 'parts' | 'supplies' | 'needs'>>(design: D, lures: readonly Attract[] | undefined): D {
  if (!lures) return design;
  const supplies = [
    ...design.supplies.filter((s) => !isDrawing(s)),
    ...lures.map(({ what, amount, stock }): Supply => ({ kind: kindOf(what), what, amount, ...(stock ? { jar: stock } : {}) })),
  ];
  const called = lures.map(({ what }) => what).join(', ');
  const needed = new Set(design.needs.flatMap(({ of, from }) => [of.part, typeof from === 'object' && 'part' in from ? from.part : '']));
  const parts = design.parts.flatMap((part): Part[] => {
    if (part.kind !== 'bait') return [part];
    if (lures.length === 0 && !needed.has(part.id)) return [];
    return [{ ...part, stock: called || part.stock || '' }];
  });
  return { ...design, supplies, parts, usualLure: builtWith(design.supplies) };
}

/** What a remake does with it: fresh over the old, or nothing at a blind set. */
export const freshLure = (lures: readonly Attract[]): string =>
  lures.length === 0 ? 'A blind set: no bait and no scent, and none on the hands.' : `Fresh over the old: ${lureText(lures)}.`;

/** Whether the same draws at both; nothing said is not the same as a blind set. */
export const sameLures = (a: readonly Attract[] | undefined, b: readonly Attract[] | undefined): boolean =>
  a?.length === b?.length &&
  (a ?? []).every((own, n) => {
    const other = b?.[n];
    return own.what === other?.what && own.where === other.where && own.amount === other.amount && own.stock === other.stock;
  });
