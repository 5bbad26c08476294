import { INCH } from '../units/factors';

/** Within this of a side arm a stick steadies the trap; the jaw sweeps little there. [practice] */
const STEADIES = INCH;

export type Swing = 'clear' | 'steadies' | 'blocks';

/**
 * Whether an upright meets the jaws when they swing: the crossbars sweep a half-disc of half the opening before and behind the trap's plane,
 * over the whole width between the side arms.
 *
 * @param along distance from the trap's plane along the travel, m
 * @param across distance from the middle of the trap, m
 * @param opening of the trap, m
 * @param thick of the stick, m
 * @throws RangeError when the opening is not positive
 * @source the circle of a hinged bar; the tolerance at the arm is practice
 */
export function jawSwing(along: number, across: number, opening: number, thick: number): Swing {
  if (!(opening > 0)) throw new RangeError(`a trap has an opening above 0, got ${opening}`);
  const radius = opening / 2;
  if (Math.abs(along) - thick / 2 >= radius) return 'clear';
  const toArm = radius - (Math.abs(across) - thick / 2);
  if (toArm <= 1e-9) return 'clear';
  return toArm <= STEADIES + thick + 1e-9 ? 'steadies' : 'blocks';
}
