import { inches } from '../units/factors';

/** Lock, swivel and ferrules. [practice] */
export const FITTINGS = inches(5);

/**
 * Minimum breaking strength, N. @source MIL-DTL-83420 (7×7, 7×19) and MIL-DTL-87161 (1×19), from memory
 */
export const BREAKS_AT: Record<string, number> = {
  '1×19 5/64': 800 * 4.4482216,
  '7×7 3/32': 920 * 4.4482216,
  '7×19 1/8': 2000 * 4.4482216,
};

/** Loop cable for a loop, m: its circumference and the fittings. @param diameter inside, m */
export const loopCable = (diameter: number): number => Math.PI * diameter + FITTINGS;

/**
 * The largest loop that a length of loop cable allows, m.
 *
 * @example largestLoop(0.9144) // 0.2506: 3 ft give a 9.87 in loop
 */
export const largestLoop = (cable: number): number => Math.max(0, (cable - FITTINGS) / Math.PI);

/**
 * Where a loop sits on its support, from the stick's foot, m: push-in and depth less the share that is under.
 *
 * @param share of the diameter under water, 0 to 1
 * @returns lowest and highest point of the loop
 * @example loopOnStick(0.254, 0.3048, 0.2286, 2 / 3) // 16 and 25 in
 */
export function loopOnStick(pushIn: number, depth: number, diameter: number, share: number): { low: number; high: number } {
  const low = pushIn + depth - share * diameter;
  return { low, high: low + diameter };
}
