/** A colony that lives by the rules of thumb, and what its traps took night by night. */
export interface Removed {
  nights: { caught: number; effort: number }[];
  /** nights before a camera of the water without one, after the last of them */
  quiet: number;
  left: number;
}

export interface Rules {
  /** the mean of those that live there */
  lived: number;
  /** trap nights, and devices in range each night */
  nights: number;
  devices: number;
  /** nights that a camera watches afterwards */
  watched: number;
}

/** How often a camera shows each animal that is there, a night. */
const SHOWN = 0.35;

/**
 * Draws a colony: how many live there from arrivals, how easily one is taken from the second smallest of nineteen even chances, then every animal
 * of every night by itself. It knows nothing of any estimate.
 *
 * @param random even chances from 0 to 1
 */
export function simulateRemoval(random: () => number, { lived, nights, devices, watched }: Rules): Removed {
  const taken = Array.from({ length: 19 }, random).sort((a, b) => a - b)[1] ?? 0;
  let left = 0;
  for (let time = -Math.log(1 - random()); time < lived; time -= Math.log(1 - random())) left += 1;
  const own: Removed['nights'] = [];
  for (let night = 0; night < nights; night += 1) {
    let caught = 0;
    for (let animal = 0; animal < left; animal += 1) if (random() < 1 - (1 - taken) ** devices) caught += 1;
    left -= caught;
    own.push({ caught, effort: devices });
  }
  let quiet = 0;
  for (let night = 0; night < watched; night += 1) {
    let seen = false;
    for (let animal = 0; animal < left; animal += 1) if (random() < SHOWN) seen = true;
    if (!seen) quiet += 1;
  }
  return { nights: own, quiet: quiet === watched ? quiet : 0, left };
}
