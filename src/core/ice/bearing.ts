import { INCH, type System } from '../units/factors';
import { printLength } from '../units/length';

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

/** What clear ice carries, kg: `P = 3.5·h²`, h in cm. @source Gold (1971), from memory; 10 cm gives 350 kg */
export const goldLoad = (ice: number): number => 3.5 * (ice * 100) ** 2;

/** A sheet hangs hollow when the water fell by this much under it since it froze over, m. [practice] */
export const HOLLOW = 0.05;

export interface Bearing {
  hollow: boolean;
  sentence: string;
  rows: { load: string; asks: string; says: string }[];
}

/**
 * What the published figures ask for against the ice at a place. Never that it is safe; and nothing at all when the sheet may hang hollow.
 *
 * @param ice the thinnest that may be there, m
 * @param white it is white (snow) ice: the table asks for double
 * @param fell how far the water fell since the sheet froze over, m
 */
export function bearing(ice: number, white: boolean, fell: number, system: System): Bearing {
  if (fell > HOLLOW)
    return {
      hollow: true,
      rows: [],
      sentence: `The water fell ${printLength(fell, system)} since it froze over: the sheet may hang hollow with nothing under it. No figure holds for it. Stay off.`,
    };
  const rows = BEARING_TABLE.map(({ load, clear }) => {
    const asks = clear * (white ? 2 : 1);
    return {
      load,
      asks: printLength(asks, system),
      says:
        Math.abs(ice - asks) < INCH / 8
          ? 'right at the figure'
          : ice >= asks
            ? `the table's figure is reached by ${printLength(ice - asks, system)}`
            : `${printLength(asks - ice, system)} short`,
    };
  });
  const load = goldLoad(white ? ice / 2 : ice);
  const heavy = system === 'us' ? `${Math.round(load / 0.45359237)} lb` : `${Math.round(load)} kg`;
  return {
    hollow: false,
    rows,
    sentence: `At the thinnest that may be there, ${printLength(ice, system)}${white ? ' of white ice' : ''}, Gold's relation gives ${heavy} standing still (1971, from memory).`,
  };
}

/** Days from now after which the thickest and the thinnest course reach a thickness; null where one does not. Shown only as a range. */
export function firstDays(
  course: readonly { at: number; low: number; high: number }[],
  now: number,
  wanted: number,
): { earliest: number | null; latest: number | null } {
  const first = (pick: 'low' | 'high'): number | null => course.find((p) => p.at >= now && p[pick] >= wanted)?.at ?? null;
  return { earliest: first('high'), latest: first('low') };
}
