import { grown } from './growth';

/** How fast a hole that was opened closes, cm per √(°C·day), from the slowest to the fastest: lying open, or under snow. [practice] */
export const HOLE_ALPHA = { open: { low: 1.7, high: 2.4 }, snow: { low: 0.7, high: 1 } } as const;
/** New ice of this thickness holds a set pole. [practice] */
export const HOLDS_POLE = 0.05;
/** How far a safety pole bears on sound ice on each side. [practice] */
const BEARS = 0.45;

/**
 * New ice in a hole, m: `min(sheet, α·√FDD)` since it was opened.
 *
 * @param sheet m @param fdd °C·days @param end the thin end decides what it carries, the thick end what it reaches
 */
export const newIce = (sheet: number, cover: keyof typeof HOLE_ALPHA, fdd: number, end: 'low' | 'high'): number =>
  Math.min(sheet, grown(0, HOLE_ALPHA[cover][end], fdd));

/** Whether new ice holds the set pole. */
export const holdsPole = (ice: number): boolean => ice >= HOLDS_POLE;

/** Length of a safety pole across a hole, m: the hole and its bearing on sound ice both sides. */
export const safetyPole = (hole: number): number => hole + 2 * BEARS;
