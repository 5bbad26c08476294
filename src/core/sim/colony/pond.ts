import { ICE, MENDING } from './rules';

/** A pond that is lived on. Lengths m, areas m², from its level at rest. */
export interface Pond {
  area: number;
  /** what runs in without rain, m³/s */
  inflow: number;
  /** length of the crest that spills */
  crest: number;
  level: number;
  /** the leak that is open; null while the dam holds */
  leak: { width: number; sill: number; mended: number } | null;
  /** water that rain still brings, m³/s */
  runoff: number;
  /** °C·days of frost since it last thawed */
  frost: number;
}

/** The weather of one day. */
export interface Day {
  /** m */
  rain: number;
  /** mean, °C */
  air: number;
}

/** Flow over a level sill by its head, m³/s for a metre of width. @source broad-crested weir at critical depth, any handbook of hydraulics */
const overSill = (head: number): number => (head > 0 ? 1.705 * head ** 1.5 : 0);

const STEP = 600;
/** What rain of the ground around reaches the pond, and how long it takes to halve. [practice] */
const GATHERS = 30;
const HALVES = 18 * 3600;

/** A pond at rest: its crest spills what runs in. @param acres of water @param inflow m³/s */
export function pondAtRest(acres: number, inflow: number): Pond {
  return { area: acres * 4046.86, inflow, crest: 2, level: 0, leak: null, runoff: 0, frost: 0 };
}

/** Where the crest lies, so that it spills the usual inflow at the level of rest. */
const sillOf = ({ inflow, crest }: Pond): number => -((inflow / (1.705 * crest)) ** (2 / 3));

/** Lets an hour go by. */
export function runHour(pond: Pond, rain: number): void {
  pond.runoff += (rain * pond.area * GATHERS * Math.LN2) / HALVES;
  for (let second = 0; second < 3600; second += STEP) {
    const out = pond.crest * overSill(pond.level - sillOf(pond)) + leakFlow(pond);
    pond.level += ((pond.inflow + pond.runoff - out) * STEP) / pond.area;
    pond.runoff *= 0.5 ** (STEP / HALVES);
  }
}

const leakFlow = ({ leak, level }: Pond): number => (leak ? leak.width * (1 - leak.mended) * overSill(level - leak.sill) : 0);

/** Opens the dam. @param width m @param depth under the level, m */
export function openDam(pond: Pond, width: number, depth: number): void {
  pond.leak = { width, sill: pond.level - depth, mended: 0 };
}

/** An hour of mending by so many. @returns whether the leak is shut now */
export function mendHour(pond: Pond, animals: number): boolean {
  if (!pond.leak) return true;
  pond.leak.mended = Math.min(1, pond.leak.mended + animals / MENDING.hours);
  if (pond.leak.mended < 1) return false;
  pond.leak = null;
  return true;
}

/** A day of frost or thaw. */
export function freeze(pond: Pond, { air }: Day): void {
  pond.frost = Math.max(0, pond.frost - (air > 0 ? 3 * air : air));
}

/** Ice on still water, m. */
export const iceOn = ({ frost }: Pond): number => ICE.grows * Math.sqrt(frost);
export const isIced = (pond: Pond): boolean => iceOn(pond) >= ICE.over;

/**
 * Weather as a season may bring it, day by day: most days dry, a wet one in four, a storm now and then, cold from `cold` on.
 *
 * @param cold the day about which frost sets in; `days` or more for a season without ice
 */
export function drawWeather(random: () => number, days: number, cold: number): Day[] {
  let swing = 0;
  return Array.from({ length: days }, (_, day): Day => {
    swing = 0.7 * swing + (random() - 0.5) * 5;
    const chance = random();
    const rain = chance < 0.04 ? 0.025 + 0.025 * random() : chance < 0.25 ? 0.008 * random() : 0;
    return { rain, air: 5 - (9 / 12) * Math.max(0, day - cold + 6) + swing };
  });
}
