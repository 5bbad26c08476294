import type { Ground } from '../record/kinds';
import type { Position } from './geodesic';

/** Whether a position lies inside a ring; plane geometry, good for the ground of one site. A position on the edge may fall to either side. */
export function inside([x, y]: Position, ring: readonly Position[]): boolean {
  let within = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const [a, b] = [ring[i], ring[j]];
    if (!a || !b) continue;
    const crosses = a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0];
    if (crosses) within = !within;
  }
  return within;
}

/** The boundaries of permission among the ground on the map. */
export const boundariesOf = (ground: readonly Pick<Ground, 'kind' | 'shape'>[]): [number, number][][] =>
  ground.flatMap((g) => (g.kind === 'boundary of permission' && g.shape.type === 'Polygon' ? [g.shape.coordinates[0] ?? []] : []));

/**
 * The sentence for a position that lies outside all the ground its site has leave for; null when it is inside, or when no boundary was drawn.
 * It speaks of the drawn boundary alone.
 */
export function outsideSentence(name: string, at: Position, boundaries: readonly (readonly Position[])[]): string | null {
  if (boundaries.length === 0 || boundaries.some((ring) => inside(at, ring))) return null;
  return `${name} lies outside the boundary of permission that was drawn: ask the owner, or correct the place.`;
}
