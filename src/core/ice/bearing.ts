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
  const short = clearAsked(white) - ice;
  const against = short > INCH / 8 ? `${printLength(short, system)} short` : 'reached, which is no promise';
  return {
    hollow: false,
    rows,
    sentence: `At the thinnest that may be there ${printLength(ice, system)}${white ? ' of white ice' : ''}; the table asks ${printLength(clearAsked(white), system)} for one person on foot: ${against}.`,
  };
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
