import { ICE_RATIO } from '../ice/growth';
import { INCH } from '../units/factors';
import type { Axis } from './levels';
import { evaluate, fixed, follows, plus, type Linear } from './linear';
import type { Known } from './levels';
import { bottomAt, type Part } from './part';

/** How a device stands to the water. `unknown` is a verdict of its own. */
export const VERDICTS = [
  'outOfWater',
  'heldUnder',
  'aground',
  'noLongerSubmerging',
  'frozen',
  'tooDeep',
  'cannotReach',
  'nearEdge',
  'unknown',
  'fine',
] as const;
export type Verdict = (typeof VERDICTS)[number];
export type Broken = Exclude<Verdict, 'nearEdge' | 'unknown' | 'fine'>;

export type Datum =
  'pond' | 'tail' | 'iceTop' | 'iceUnderside' | { line: Linear } | { bed: number } | { ceiling: number } | { crest: number };
export type Spot = 'bottom' | 'top';
export type Origin = 'measured' | 'yours' | 'practice' | 'published' | 'computed';

/**
 * What has to be where: the elevation of a spot of a part minus that of a datum must lie between min and max, m; under the datum is negative.
 * With `share` the value is the part's height under the datum as a share of its own height, 0 to 1.
 * `target` is the value a trapper aims for, the middle of the range when left out.
 */
export interface Need {
  id: string;
  device: string;
  of: { part: string; spot: Spot } | { part: string; share: true };
  from: Datum | { part: string; spot: Spot };
  min?: number;
  max?: number;
  target?: number;
  broken: { min?: Broken; max?: Broken };
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
export function heightLimits(need: Need, parts: Part[]): { min: number; max: number } {
  if (!('share' in need.of)) return { min: need.min ?? -Infinity, max: need.max ?? Infinity };
  const { height } = partOf(parts, need.of.part);
  return { min: need.max === undefined ? -Infinity : -need.max * height, max: need.min === undefined ? Infinity : -need.min * height };
}

/** Height of the need's spot over its datum, m (the bottom for a share); null when an axis is not known. */
export function heightAt(need: Need, parts: Part[], known: Known): number | null {
  const part = partOf(parts, need.of.part);
  const spot = spotOf(part, 'share' in need.of ? 'bottom' : need.of.spot, known);
  const datum = datumAt(need, parts, known);
  return spot === null || datum === null ? null : spot - datum;
}

/** The verdict of one need at a height of its spot; exactly on a limit still holds. A nanometre is no reason. */
export function verdictAt(need: Need, parts: Part[], height: number): Broken | null {
  const { min, max } = heightLimits(need, parts);
  const lower = 'share' in need.of ? need.broken.max : need.broken.min;
  const upper = 'share' in need.of ? need.broken.min : need.broken.max;
  if (height < min - 1e-9) return lower ?? 'tooDeep';
  if (height > max + 1e-9) return upper ?? 'outOfWater';
  return null;
}

/** The height a trapper aims for: the type's target, the middle of the range, or an inch inside its only limit. */
export function targetHeight(need: Need, parts: Part[]): number {
  const { min, max } = heightLimits(need, parts);
  if (need.target !== undefined) {
    return 'share' in need.of ? -need.target * partOf(parts, need.of.part).height : need.target;
  }
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
