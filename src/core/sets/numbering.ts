/**
 * The number of a new set: that of its station, so that a user sees one number; where that station has a set already the next that neither a set nor a
 * station carries.
 */
export function numberFor(station: number, sets: readonly number[], stations: readonly number[]): number {
  if (!sets.includes(station)) return station;
  return Math.max(0, ...sets, ...stations) + 1;
}
