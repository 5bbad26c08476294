import type { System } from '../units/factors';
import { printWay } from '../units/length';
import { way, type Position } from './geodesic';

/** What a receiver says of where it is. */
export interface Heard {
  at: Position;
  /** m, to which it is sure */
  within: number;
}

/** A fix that is less sure than this is left out, m; places are kept at least so far apart, m. [practice] */
const UNSURE = 20;
const STEP = 3;

/** Whether a place heard while a shore is walked is one of its corners: sure enough, and farther from the last than both steps and doubt. */
export const isStep = (last: Position | undefined, { at, within }: Heard): boolean =>
  within <= UNSURE && (last === undefined || way(last, at).distance >= Math.max(STEP, within / 2));

/** How a walk goes, in a sentence. @param heard the last fix, with how sure it was; null before the first */
export const walkText = (kept: number, heard: Heard | null, system: System): string =>
  heard === null
    ? 'Waiting for the receiver.'
    : heard.within > UNSURE
      ? `The receiver is sure to ${printWay(heard.within, system)} only: over ${printWay(UNSURE, system)} nothing is kept (rule of thumb).`
      : `${kept === 1 ? 'One place' : `${kept} places`} kept, sure to ${printWay(heard.within, system)}. Walk the water’s edge.`;
