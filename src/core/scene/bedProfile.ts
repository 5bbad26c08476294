/** A bed across a place, drawn: distance to the right, depth downward, both to one scale; px. */
export interface BedProfile {
  width: number;
  height: number;
  bed: string;
  water: string;
  surface: { y: number; from: number; to: number };
  points: { x: number; y: number }[];
}

const PAD = 14;

/**
 * Lays out a bed profile under a surface.
 *
 * @param points distance from the edge and depth when measured, m, in the order of distance; two at least
 * @param risen how far the surface stands over the one it was measured under, m
 */
export function bedProfile(points: readonly { distance: number; depth: number }[], risen: number, width: number): BedProfile {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || points.length < 2) throw new RangeError('a bed profile has two points at least');
  const span = last.distance - first.distance || 1;
  const deepest = Math.max(...points.map((p) => p.depth), 0.05);
  const over = Math.max(risen, 0) + 0.1;
  const scale = Math.min((width - 2 * PAD) / span, 260 / (deepest + over));
  const x = (distance: number): number => PAD + (distance - first.distance) * scale;
  const y = (depth: number): number => PAD + (depth + over) * scale;
  const height = y(deepest) + 2 * PAD;
  const at = points.map((p) => ({ x: x(p.distance), y: y(p.depth) }));
  const line = at.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L');
  const surface = y(-risen);
  return {
    width,
    height,
    bed: `M${line}L${x(last.distance).toFixed(1)} ${height}L${PAD} ${height}Z`,
    water: `M${PAD} ${surface.toFixed(1)}H${x(last.distance).toFixed(1)}L${[...at]
      .reverse()
      .map((p) => `${p.x.toFixed(1)} ${Math.max(p.y, surface).toFixed(1)}`)
      .join('L')}Z`,
    surface: { y: surface, from: PAD, to: x(last.distance) },
    points: at,
  };
}
