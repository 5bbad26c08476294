import { ICE_RATIO } from '../ice/growth';
import { INCH } from '../units/factors';
import type { Axis } from './levels';
import { evaluate, fixed, follows, plus, type Linear } from './linear';
import type { Known } from './levels';
import { bottomAt, type Part } from './part';

/** How a device stands to the water. `unknown` is a verdict of its own. */
export const VERDICTS = [
  'spent',
  'outOfWater',
  'heldUnder',
  'aground',
  'noLongerSubmerging',
  'frozen',
  'tooDeep',
  'perhaps',
  'nearEdge',
  'unknown',
  'fine',
] as const;
export type Verdict = (typeof VERDICTS)[number];
export type Broken = Exclude<Verdict, 'spent' | 'perhaps' | 'nearEdge' | 'unknown' | 'fine'>;

/** What ends a range, and the verdict it comes to; said by `words/ends.ts`. */
export const ENDS = {
  outOfWater: 'outOfWater',
  bare: 'outOfWater',
  narrow: 'outOfWater',
  halfOut: 'outOfWater',
  pushedAside: 'outOfWater',
  poleOnJaws: 'outOfWater',
  climbsElsewhere: 'outOfWater',
  heldUnder: 'heldUnder',
  aground: 'aground',
  noLongerSubmerging: 'noLongerSubmerging',
  frozen: 'frozen',
  tooDeep: 'tooDeep',
  swumOver: 'tooDeep',
  swumUnder: 'tooDeep',
  goneRound: 'tooDeep',
  topUnder: 'tooDeep',
  baitWet: 'tooDeep',
  flooded: 'tooDeep',
} as const satisfies Record<string, Broken>;
export type End = keyof typeof ENDS;

export type Datum =
  'pond' | 'tail' | 'iceTop' | 'iceUnderside' | { line: Linear } | { bed: number } | { ceiling: number } | { crest: number };
export type Spot = 'bottom' | 'top';
export type Origin = 'measured' | 'yours' | 'practice' | 'published' | 'computed';

export interface Limits {
  min?: number;
  max?: number;
}

export type Young = 'kits' | 'females';

/**
 * What has to be where: the elevation of a spot of a part minus that of a datum must lie between min and max, m; under the datum is negative.
 * With `share` the value is the part's height under the datum as a share of its own height, 0 to 1.
 * Between `min` and `max` it surely works for adults; `aim` is where it is put while the set is made, and missing that is no fault.
 */
export interface Need extends Limits {
  id: string;
  device: string;
  of: { part: string; spot: Spot } | { part: string; share: true };
  from: Datum | { part: string; spot: Spot };
  aim?: Limits;
  /** to where it may work, where the sure range ends: two schools, or something nobody measured */
  perhaps?: Limits;
  /** the measure that would settle what is in doubt, as an order: `Measure how far it stands before the hole` */
  decides?: string;
  /** from this height down the young begin to pass, before it ends for adults */
  young?: { at: number; who: Young };
  /** says only whether hands reach it: the set fishes on beyond it */
  serves?: true;
  broken: { min?: End; max?: End };
  /** What the spot is called in a sentence: `top of the jaws`. */
  called: string;
  origin: Origin;
}

/** The datum as an elevation. */
export function datumLine(datum: Datum): Linear {
  if (datum === 'pond' || datum === 'tail') return follows(datum);
  if (datum === 'iceTop') return { k: 0, pond: 1, sheet: 1 - ICE_RATIO };
  if (datum === 'iceUnderside') return { k: 0, pond: 1, sheet: -ICE_RATIO };
  if ('line' in datum) return datum.line;
  if ('bed' in datum) return fixed(datum.bed);
  return fixed('ceiling' in datum ? datum.ceiling : datum.crest);
}

const partOf = (parts: Part[], id: string): Part => {
  const part = parts.find((p) => p.id === id);
  if (!part) throw new RangeError(`a need speaks of the part “${id}”, which the layout does not list`);
  return part;
};

const spotOf = (part: Part, spot: Spot, known: Known): number | null => {
  const bottom = bottomAt(part, known);
  return bottom === null ? null : bottom + (spot === 'top' ? part.height : 0);
};

/** Elevation of the datum that a need is taken from; null when an axis is not known. */
export function datumAt(need: Need, parts: Part[], known: Known): number | null {
  if (typeof need.from === 'object' && 'part' in need.from) return spotOf(partOf(parts, need.from.part), need.from.spot, known);
  return evaluate(datumLine(need.from), known);
}

/** The limits of a need as heights of its spot over the datum, m; a share becomes the height of the part's bottom. */
export function heightLimits(need: Need, parts: Part[], { min, max }: Limits = need): { min: number; max: number } {
  if (!('share' in need.of)) return { min: min ?? -Infinity, max: max ?? Infinity };
  const { height } = partOf(parts, need.of.part);
  return { min: max === undefined ? -Infinity : -max * height, max: min === undefined ? Infinity : -min * height };
}

/** The same need with its aim as its limits; one without an aim as it is. */
export const aimed = (need: Need): Need => (need.aim ? { ...need, min: need.aim.min, max: need.aim.max } : need);

/** The same need as far as it may work. */
export const stretched = (need: Need): Need => (need.perhaps ? { ...need, ...need.perhaps } : need);

/** Height of the need's spot over its datum, m (the bottom for a share); null when an axis is not known. */
export function heightAt(need: Need, parts: Part[], known: Known): number | null {
  const part = partOf(parts, need.of.part);
  const spot = spotOf(part, 'share' in need.of ? 'bottom' : need.of.spot, known);
  const datum = datumAt(need, parts, known);
  return spot === null || datum === null ? null : spot - datum;
}

/** What ends a need at a height of its spot, and whether that is sure; null where it holds. Exactly on a limit still holds, and a nanometre is no reason. */
export function endAt(need: Need, parts: Part[], height: number): { end: End; sure: boolean } | null {
  const side = sideOf(heightLimits(need, parts), height);
  if (!side) return null;
  const flipped = 'share' in need.of;
  const end = (side === 'min') === flipped ? need.broken.max : need.broken.min;
  const sure = need.perhaps === undefined || sideOf(heightLimits(need, parts, stretched(need)), height) !== null;
  return { end: end ?? (side === 'min' ? 'tooDeep' : 'outOfWater'), sure };
}

function sideOf({ min, max }: { min: number; max: number }, height: number): 'min' | 'max' | null {
  if (height < min - 1e-9) return 'min';
  return height > max + 1e-9 ? 'max' : null;
}

/** Whether the young pass already where it still works for adults. */
export function youngPass(need: Need, height: number): boolean {
  return need.young !== undefined && height < need.young.at - 1e-9;
}

/** The height a trapper aims for: the middle of the aim or of the range, or an inch inside its only limit. */
export function targetHeight(need: Need, parts: Part[]): number {
  const { min, max } = heightLimits(need, parts, need.aim ?? need);
  if (Number.isFinite(min) && Number.isFinite(max)) return (min + max) / 2;
  return Number.isFinite(max) ? max - INCH : min + INCH;
}

/** The levels along one axis at which a need's value bends: where a float grounds or its line goes taut. */
export function bends(need: Need, parts: Part[], axis: Axis, known: Known): number[] {
  const named = [need.of.part, ...(typeof need.from === 'object' && 'part' in need.from ? [need.from.part] : [])];
  return named.flatMap((id) => {
    const { z, limits } = partOf(parts, id);
    return [limits?.min, limits?.max].flatMap((limit) => {
      if (!limit) return [];
      const gap = plus(z, limit, -1);
      const slope = gap[axis] ?? 0;
      const rest = evaluate({ ...gap, [axis]: 0 }, known);
      return slope === 0 || rest === null ? [] : [-rest / slope];
    });
  });
}
