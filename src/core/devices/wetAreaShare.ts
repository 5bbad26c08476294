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
  return (radius ** 2 * Math.acos(centre / radius) - centre * Math.sqrt(2 * radius * depth - depth ** 2)) / (Math.PI * radius ** 2);
}
