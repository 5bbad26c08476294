import { ICE_RATIO } from './growth';

/** A snare pole under ice; metres, everything measured from its foot. */
export interface PolePlan {
  /** pushed into the bed */
  pushIn: number;
  /** bed to water line */
  depth: number;
  /** ice when it is set, and at the next check */
  ice: number;
  iceNext: number;
  loop: number;
  tiers: number;
  overlap: number;
  /** underside to the top of the first loop, and lowest loop over the bed */
  clearance: number;
  overBed: number;
}

export interface PoleMarks {
  bed: number;
  waterLine: number;
  underside: number;
  undersideNext: number;
  iceTop: number;
  /** top and bottom of each loop, the uppermost first */
  loops: { top: number; bottom: number }[];
}

/** Height over which the loops of a pole stand, m. */
export const loopSpan = ({ loop, tiers, overlap }: Pick<PolePlan, 'loop' | 'tiers' | 'overlap'>): number =>
  tiers * loop - (tiers - 1) * overlap;

/** By how much the water is too shallow for the pole, m; 0 or less when it goes. */
export const shortBy = (plan: PolePlan): number => ICE_RATIO * plan.iceNext + plan.clearance + loopSpan(plan) + plan.overBed - plan.depth;

/** The marks of a pole from its foot, m. The first loop hangs by the ice of the next check, not of today. */
export function poleMarks(plan: PolePlan): PoleMarks {
  const waterLine = plan.pushIn + plan.depth;
  const first = waterLine - ICE_RATIO * plan.iceNext - plan.clearance;
  return {
    bed: plan.pushIn,
    waterLine,
    underside: waterLine - ICE_RATIO * plan.ice,
    undersideNext: waterLine - ICE_RATIO * plan.iceNext,
    iceTop: waterLine + (1 - ICE_RATIO) * plan.ice,
    loops: Array.from({ length: plan.tiers }, (_, n) => {
      const top = first - n * (plan.loop - plan.overlap);
      return { top, bottom: top - plan.loop };
    }),
  };
}

/** Wire of a hanging trap, m: from the stick on the ice to the spring eye. @param eye elevation of the eye minus the jaw top, negative when it is lower */
export const hangingWire = (iceNext: number, clearance: number, eye: number): number => iceNext + clearance - eye;

/** Wire to cut, m: the drop, two turns of the stick, and what is twisted. @param allowance m [practice] */
export const wireToCut = (drop: number, stick: number, allowance: number): number => drop + 2 * Math.PI * stick + allowance;

/** Clearance of a part hung from the ice's top to the underside, m: `wire − h`; frozen in when it is not above 0. */
export const hangingClearance = (wire: number, ice: number): number => wire - ice;
