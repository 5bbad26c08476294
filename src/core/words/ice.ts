import { clearAsked, HOLLOW, type IceHere } from '../ice/bearing';
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
