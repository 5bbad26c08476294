import { freezingDegreeDays, thawingDegreeDays, type WeatherHour } from '../weather/hours';

/** Density of floating ice against water. @source 0.917, any handbook */
export const ICE_RATIO = 0.917;

/**
 * How fast ice grows on a water, cm per √(°C·day).
 *
 * @source USACE EM 1110-2-1612, from memory
 */
export const ICE_WATERS = {
  'windy lake': { words: 'windy lake without snow', low: 2.4, high: 2.7 },
  lake: { words: 'average lake with snow', low: 1.7, high: 2.4 },
  river: { words: 'average river with snow', low: 1.4, high: 1.7 },
  'small river': { words: 'sheltered small river', low: 0.7, high: 1.4 },
} as const;
export type IceWater = keyof typeof ICE_WATERS;
export const ICE_WATER_IDS = Object.keys(ICE_WATERS) as [IceWater, ...IceWater[]];

/** Thaw in cm per °C·day: low and high. [practice] */
export const THAW = { low: 0.4, high: 1 } as const;

/**
 * Thickness after some frost, m (Stefan): `h² = h0² + α²·FDD` in cm.
 *
 * @param h0 thickness before, m
 * @param alpha cm per √(°C·day)
 * @param fdd frost, °C·days
 * @throws RangeError for a negative thickness, alpha or frost
 */
export function grown(h0: number, alpha: number, fdd: number): number {
  if (h0 < 0 || alpha < 0 || fdd < 0) throw new RangeError('thickness, alpha and frost are not negative');
  return Math.sqrt((h0 * 100) ** 2 + alpha * alpha * fdd) / 100;
}

/** Thickness left after some thaw, m. @param tdd warmth over 0 °C, °C·days */
export const thawed = (h0: number, k: number, tdd: number): number => Math.max(0, h0 - (k * tdd) / 100);

/** The alpha that two measurements tell, cm per √(°C·day); null when it did not grow or hardly froze between them. */
export function alphaOf(before: number, after: number, fdd: number): number | null {
  if (fdd < 3 || after <= before) return null;
  return Math.sqrt(((after * 100) ** 2 - (before * 100) ** 2) / fdd);
}

export interface Measured {
  /** ms */
  at: number;
  /** m */
  thickness: number;
}

export interface IceCourse {
  /** ms */
  at: number;
  low: number;
  middle: number;
  high: number;
}

export interface Growth {
  low: number;
  middle: number;
  high: number;
  /** measurements of this very water that corrected it; 0 when it is its class alone */
  from: number;
}

/** A tape through a hole is right to this, m. [practice] */
const TAPE = 0.006;
/** A water's own alpha may be off by this share. [practice] */
const OWN_DOUBT = 0.12;

/** The alpha of a water: its class, or what its own measurements told. */
export function growthOf(water: IceWater, measured: readonly Measured[], hours: readonly WeatherHour[]): Growth {
  const { low, high } = ICE_WATERS[water];
  const sorted = [...measured].sort((a, b) => a.at - b.at);
  const told = sorted.slice(1).flatMap((after, i) => {
    const before = sorted[i] as Measured;
    const warm = thawingDegreeDays(hours, before.at, after.at);
    const alpha = warm > 2 ? null : alphaOf(before.thickness, after.thickness, freezingDegreeDays(hours, before.at, after.at));
    return alpha === null || alpha > 4 ? [] : [alpha];
  });
  if (told.length === 0) return { low, middle: (low + high) / 2, high, from: 0 };
  const middle = told.reduce((sum, a) => sum + a, 0) / told.length;
  return { low: middle * (1 - OWN_DOUBT), middle, high: middle * (1 + OWN_DOUBT), from: told.length };
}

/**
 * The course of the sheet from its last measurement on, hour by hour: grows with frost, melts with warmth.
 *
 * @param factor share of the open sheet's thickness at this place (a run, a spring)
 * @returns a point every three hours, thickness in m
 */
export function iceCourse(start: Measured, growth: Growth, hours: readonly WeatherHour[], until: number, factor = 1): IceCourse[] {
  const step = 3 * 3_600_000;
  let [low, middle, high] = [Math.max(0, start.thickness - TAPE), start.thickness, start.thickness + TAPE];
  const points: IceCourse[] = [{ at: start.at, low: low * factor, middle: middle * factor, high: high * factor }];
  for (let at = start.at; at < until; at += step) {
    const to = Math.min(at + step, until);
    const [fdd, tdd] = [freezingDegreeDays(hours, at, to), thawingDegreeDays(hours, at, to)];
    low = thawed(grown(low, growth.low, fdd), THAW.high, tdd);
    middle = thawed(grown(middle, growth.middle, fdd), (THAW.low + THAW.high) / 2, tdd);
    high = thawed(grown(high, growth.high, fdd), THAW.low, tdd);
    points.push({ at: to, low: low * factor, middle: middle * factor, high: high * factor });
  }
  return points;
}

/** The thickness at a time of a course, m; its ends held. */
export function iceAt(course: readonly IceCourse[], at: number): { low: number; middle: number; high: number } | null {
  const after = course.findIndex((p) => p.at >= at);
  const last = course.at(-1);
  if (!last) return null;
  if (after === -1) return last;
  const [a, b] = [course[after - 1], course[after] as IceCourse];
  if (!a) return b;
  const share = (at - a.at) / (b.at - a.at || 1);
  const mix = (pick: 'low' | 'middle' | 'high'): number => a[pick] + share * (b[pick] - a[pick]);
  return { low: mix('low'), middle: mix('middle'), high: mix('high') };
}

/**
 * Ice over a place against that of the open sheet, where it was not measured there. [practice]
 * Runs and vents are kept thin by traffic and warm breath, springs and inlets by their water.
 */
export const PLACE_FACTORS: Record<string, { factor: number; why: string }> = {
  run: { factor: 0.5, why: 'a run is kept thin by those who swim in it' },
  lodge: { factor: 0.5, why: 'warm air from the lodge' },
  'bank den': { factor: 0.5, why: 'a den is kept open from within' },
  channel: { factor: 0.7, why: 'water moves in a channel' },
  culvert: { factor: 0.4, why: 'water runs in a culvert' },
  dam: { factor: 0.6, why: 'water draws to the leaks' },
  crossover: { factor: 0.6, why: 'water draws to the gap' },
  bridge: { factor: 0.6, why: 'water runs fast under a bridge' },
  'feed bed': { factor: 0.8, why: 'they open it where they feed' },
};
/** Where an inlet or a spring was seen at a place. [practice] */
export const INLET_FACTOR = { factor: 0.5, why: 'an inlet or a spring brings warmer water' };

/** The factor of a place: its own measurement against the sheet, else by what was seen there and by its kind. */
export function placeFactor(
  { kind, feeds }: { kind: string; feeds: boolean },
  own: { here: number; sheet: number } | null,
): { factor: number; why: string; origin: 'measured' | 'practice' } {
  if (own && own.sheet > 0.01)
    return { factor: Math.min(1.5, own.here / own.sheet), why: 'measured here against the open sheet', origin: 'measured' };
  if (feeds) return { ...INLET_FACTOR, origin: 'practice' };
  return { ...(PLACE_FACTORS[kind] ?? { factor: 1, why: 'like the open sheet' }), origin: 'practice' };
}

/** Height of the ice's top over the water, m; negative when snow presses it under and water comes up the hole. @param snow m, @param density kg/m³ */
export const freeboard = (ice: number, snow = 0, density = 200): number => (1 - ICE_RATIO) * ice - (density / 1000) * snow;
