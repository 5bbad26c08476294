/**
 * Share of a round snare loop's area that is under water (band limits use the share of its diameter, never this).
 *
 * @param diameter inside diameter of the loop, m
 * @param immersion how far its lowest point lies under the surface, m; negative when it hangs clear
 * @returns 0 (clear of the water) to 1 (wholly under)
 * @throws RangeError when `diameter` is not positive
 * @source area of a circular segment, any handbook of mathematics
 * @example wetAreaShare(0.254, 0.1693) // 0.708, a 10 in loop two thirds under
 */
export function wetAreaShare(diameter: number, immersion: number): number {
  if (!(diameter > 0)) throw new RangeError(`a loop needs a diameter above 0, got ${diameter}`);
  const radius = diameter / 2;
  const depth = Math.min(Math.max(immersion, 0), diameter);
  const centre = radius - depth;
  const half = Math.sqrt(depth * (diameter - depth));
  const share = (radius ** 2 * Math.atan2(half, centre) - centre * half) / (Math.PI * radius ** 2);
  // near the ends two nearly equal terms are taken from each other: what is left may miss 0 or 1 by a rounding
  return Math.min(Math.max(share, 0), 1);
}
