import type { Shape } from '../record/scouting';
import { way, type Position } from './geodesic';
import { pointsOf } from './points';

type Point = [number, number];

/** The drawn shore of a water and its dams round a place, m: x toward the nearest bank, the open water at −x, y to the left of one who looks at the bank. */
export interface OwnShore {
  ring: Point[];
  dams: Point[][];
  /** how far the bank lies from the place, m; negative where it was placed on land */
  bank: number;
  /** bearing of the x axis, degrees */
  toward: number;
}

/**
 * A water's own shore as it is seen from a place, turned so that the bank lies ahead.
 *
 * @param at where the place lies
 * @param facing bearing of the x axis where it was measured, degrees; else it leads to the nearest bank
 * @returns null where no shore was drawn: nothing is made up
 */
export function ownShore(
  ground: readonly { water: string | null; kind: string; shape: Shape }[],
  water: string,
  at: Position,
  facing: number | null = null,
): OwnShore | null {
  const own = ground.filter((g) => g.water === water);
  const shore = own.find((g) => g.kind === 'shore');
  const points = shore ? pointsOf(shore.shape).points : [];
  if (points.length < 3) return null;
  const local = (p: Position): Point => {
    const { distance, bearing } = way(at, p);
    return [distance * Math.sin((bearing * Math.PI) / 180), distance * Math.cos((bearing * Math.PI) / 180)];
  };
  const ring = points.map(local);
  const edges = ring.map((from, i) => ({
    from,
    to: ring[(i + 1) % ring.length] as Point,
    near: nearest(from, ring[(i + 1) % ring.length] as Point),
  }));
  const { from, to, near } = edges.reduce((a, b) => (Math.hypot(...b.near) < Math.hypot(...a.near) ? b : a));
  const far = Math.hypot(...near);
  const wet = isInside(ring, [0, 0]);
  const toward = facing ?? outward(ring, near, [to[0] - from[0], to[1] - from[1]]);
  const [east, north] = [Math.sin((toward * Math.PI) / 180), Math.cos((toward * Math.PI) / 180)];
  const turned = ([e, n]: Point): Point => [e * east + n * north, n * east - e * north];
  return {
    ring: ring.map(turned),
    dams: own.filter((g) => g.kind === 'dam crest').map((g) => pointsOf(g.shape).points.map(local).map(turned)),
    bank: wet ? far : -far,
    toward,
  };
}

/** The point of a stretch that is nearest to the origin. */
function nearest([x1, y1]: Point, [x2, y2]: Point): Point {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const part = Math.min(Math.max(-(x1 * dx + y1 * dy) / (dx * dx + dy * dy || 1), 0), 1);
  return [x1 + part * dx, y1 + part * dy];
}

/** Bearing from the water to the land across a stretch of shore, degrees. */
function outward(ring: readonly Point[], [x, y]: Point, [dx, dy]: Point): number {
  const long = Math.hypot(dx, dy) || 1;
  const [east, north] = [dy / long, -dx / long];
  const out = isInside(ring, [x + east * 0.01, y + north * 0.01]) ? -1 : 1;
  return ((Math.atan2(out * east, out * north) * 180) / Math.PI + 360) % 360;
}

/** Whether a point lies in a ring. */
function isInside(ring: readonly Point[], [x, y]: Point): boolean {
  let inside = false;
  for (const [i, [x1, y1]] of ring.entries()) {
    const [x2, y2] = ring[(i + 1) % ring.length] as Point;
    if (y1 > y !== y2 > y && x1 + ((y - y1) / (y2 - y1)) * (x2 - x1) > x) inside = !inside;
  }
  return inside;
}
