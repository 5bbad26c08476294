/** Steel in water weighs this share of what it weighs in air. @source 1 − 1000/7850 */
export const STEEL_IN_WATER = 0.873;

/** A trap keeps its animal down when it pulls with this share of the animal's weight. [practice] */
const KEEPS_DOWN = 0.4;

/**
 * What a trap pulls down under water against what its animal needs, kg.
 *
 * @param trap weight of the trap in air, kg
 * @param animal weight of the animal, kg
 * @returns pull, what is wanted, and the difference; a negative one does not hold it down
 */
export function keepsDown(trap: number, animal: number): { pulls: number; wanted: number; spare: number } {
  const pulls = STEEL_IN_WATER * trap;
  const wanted = KEEPS_DOWN * animal;
  return { pulls, wanted, spare: pulls - wanted };
}
