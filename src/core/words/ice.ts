import { clearAsked, HOLLOW, type Bearing, type IceHere } from '../ice/bearing';
import { INCH, type System } from '../units/factors';
import { printLength } from '../units/length';

/** What is said instead of wading where ice is: the shortfall against the table with its caution, or whom to ask. Never that it can be stood on. */
export function iceStanding({ thin, white, fell }: IceHere, system: System): string {
  if (fell !== null && fell > HOLLOW)
    return `Ice, and the water fell ${printLength(fell, system)} since it froze over: it may hang hollow. Stay off.`;
  const asked = clearAsked(white);
  const kind = white ? 'white ice' : 'ice';
  if (thin < asked)
    return `Ice: maybe only ${printLength(thin, system)}, ${asked - thin < INCH / 8 ? 'just under' : `${printLength(asked - thin, system)} short of`} the ${printLength(asked, system)} of ${kind} that the table asks for one person. Stay off.`;
  return `Ice: ${printLength(thin, system)} at the thinnest by the course, nobody measured just here. Ask someone who did, and measure before every step: no ice is safe.`;
}

/** What the table's figures say of a sheet, as a sentence and row by row. */
export function bearingText({ ice, white, fell, hollow, rows }: Bearing, system: System) {
  const length = (metres: number): string => printLength(metres, system);
  if (hollow) {
    const sentence = `The water fell ${length(fell)} since it froze over: the sheet may hang hollow with nothing under it. No figure holds for it. Stay off.`;
    return { sentence, rows: [] };
  }
  const says = (over: number): string => {
    if (Math.abs(over) < INCH / 8) return 'right at the figure';
    return over > 0 ? `the table's figure is reached by ${length(over)}` : `${length(-over)} short`;
  };
  const short = clearAsked(white) - ice;
  const against = short > INCH / 8 ? `${length(short)} short` : 'reached, which is no promise';
  const what = `At the thinnest that may be there ${length(ice)}${white ? ' of white ice' : ''}`;
  return {
    sentence: `${what}; the table asks ${length(clearAsked(white))} for one person on foot: ${against}.`,
    rows: rows.map(({ load, asks, over }) => ({ load, asks: length(asks), says: says(over) })),
  };
}
