import { INCH } from '../units/factors';

/** Said with every figure on ice. */
export const ICE_CAUTION =
  'No ice is safe. It is thinner over runs, vents, inlets and springs, and after a thaw or a fall of the water. Cut a hole and measure before every step; local advice goes first.';

/** Clear ice that a common table of agencies asks for, m; double for white ice. @source common agency table, from memory */
export const BEARING_TABLE = [
  { load: 'one person on foot', clear: 4 * INCH },
  { load: 'a snowmobile or a loaded sled', clear: 5 * INCH },
  { load: 'a small car', clear: 8 * INCH },
  { load: 'a truck', clear: 12 * INCH },
] as const;

/** A sheet hangs hollow when the water fell by this much under it since it froze over, m. [practice] */
export const HOLLOW = 0.05;

export interface Bearing {
  /** the thinnest that may be there, m */
  ice: number;
  white: boolean;
  /** how far the water fell since the sheet froze over, m */
  fell: number;
  /** the sheet may hang with nothing under it: no figure holds */
  hollow: boolean;
  /** what the table asks for each load, m, and by how much the ice is over it, m; none of a hollow sheet */
  rows: { load: string; asks: number; over: number }[];
}

/**
 * What the published figures ask for against the ice at a place. Never that it is safe; and nothing at all when the sheet may hang hollow.
 *
 * @param ice the thinnest that may be there, m
 * @param white it is white (snow) ice: the table asks for double
 * @param fell how far the water fell since the sheet froze over, m
 */
export function bearing(ice: number, white: boolean, fell: number): Bearing {
  const hollow = fell > HOLLOW;
  const rows = BEARING_TABLE.map(({ load, clear }) => ({ load, asks: clear * (white ? 2 : 1), over: ice - clear * (white ? 2 : 1) }));
  return { ice, white, fell, hollow, rows: hollow ? [] : rows };
}

/** Clear ice that the table asks for one person on foot, m; double for white ice. */
export const clearAsked = (white: boolean): number => BEARING_TABLE[0].clear * (white ? 2 : 1);

/** What is known of the ice where somebody wants to stand. */
export interface IceHere {
  /** the thinnest that may be there, m */
  thin: number;
  white: boolean;
  /** how far the water fell since it froze over, m; null where it was not read */
  fell: number | null;
}

/** Whether the thinnest that may be there is under the table's figure for one person, or the sheet may hang hollow. */
export const iceShort = ({ thin, white, fell }: IceHere): boolean => (fell !== null && fell > HOLLOW) || thin < clearAsked(white);

/** Days from now after which the thickest and the thinnest course reach a thickness; null where one does not. Shown only as a range. */
export function firstDays(
  course: readonly { at: number; low: number; high: number }[],
  now: number,
  wanted: number,
): { earliest: number | null; latest: number | null } {
  const first = (pick: 'low' | 'high'): number | null => course.find((p) => p.at >= now && p[pick] >= wanted)?.at ?? null;
  return { earliest: first('high'), latest: first('low') };
}
