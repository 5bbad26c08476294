/** A bed from the bank outward: metres from the anchor, elevation. */
export type Profile = [out: number, z: number][];

export interface Rest {
  /** how far out the stop lies, m from the anchor */
  out: number;
  depth: number;
  /** taut wire from the anchor to it, m */
  wire: number;
  /** depth over the animal's reach, m; it is gone when the level falls so far */
  margin: number;
}

/** Elevation of the bed at a distance; the end points hold beyond the profile's ends. */
export function bedAt(profile: Profile, out: number): number {
  const first = profile[0];
  if (!first) throw new RangeError('a profile has two points at least');
  let before = first;
  for (const point of profile) {
    if (point[0] >= out)
      return point[0] === before[0] ? point[1] : before[1] + ((out - before[0]) / (point[0] - before[0])) * (point[1] - before[1]);
    before = point;
  }
  return before[1];
}

/**
 * Length of a wire drawn taut from the profile's first point to a place on it: it lies on the upper hull of the bank and the bed between.
 *
 * @param out metres from the anchor
 * @source shortest path above a polyline is its upper convex hull (any text of computational geometry)
 */
export function tautWire(profile: Profile, out: number): number {
  const points: Profile = [...profile.filter(([x]) => x < out), [out, bedAt(profile, out)]];
  const hull: Profile = [];
  for (const point of points) {
    while (hull.length > 1 && turnsUp(hull, point)) hull.pop();
    hull.push(point);
  }
  return hull.reduce((sum, [x, z], i) => {
    const next = hull[i + 1];
    return next ? sum + Math.hypot(next[0] - x, next[1] - z) : sum;
  }, 0);
}

function turnsUp(hull: Profile, [x, z]: [number, number]): boolean {
  const [a, b] = [hull.at(-2), hull.at(-1)];
  return a !== undefined && b !== undefined && (b[0] - a[0]) * (z - a[1]) - (b[1] - a[1]) * (x - a[0]) >= 0;
}

/**
 * Where a wire of a length lets the lock rest: the furthest place it reaches on the profile.
 *
 * @param reach chain and what the animal reaches beyond it, m
 * @returns null when the wire does not reach past the anchor
 */
export function restAt(profile: Profile, wire: number, level: number, reach: number): Rest | null {
  const last = profile.at(-1);
  const first = profile[0];
  if (!first || !last || wire <= 0) return null;
  let [near, far] = [first[0], last[0]];
  if (tautWire(profile, far) > wire) {
    for (let i = 0; i < 60; i += 1) {
      const middle = (near + far) / 2;
      if (tautWire(profile, middle) > wire) far = middle;
      else near = middle;
    }
  } else near = far;
  return restOf(profile, near, level, reach);
}

/**
 * The shortest slide that submerges: the nearest place deep enough for the reach with a margin. Crossings inside a segment count.
 *
 * @param margin water wanted over the reach, m
 * @returns the place, or by how much the deepest water of the profile is short
 */
export function shortestSlide(profile: Profile, level: number, reach: number, margin: number): Rest | { shortBy: number } {
  const wanted = level - reach - margin;
  for (let i = 0; i < profile.length; i += 1) {
    const [here, before] = [profile[i], profile[i - 1]];
    if (!here || here[1] > wanted) continue;
    if (!before || before[1] <= wanted) return restOf(profile, here[0], level, reach);
    const share = (before[1] - wanted) / (before[1] - here[1]);
    return restOf(profile, before[0] + share * (here[0] - before[0]), level, reach);
  }
  return { shortBy: Math.min(...profile.map(([, z]) => z)) - wanted };
}

function restOf(profile: Profile, out: number, level: number, reach: number): Rest {
  const depth = level - bedAt(profile, out);
  return { out, depth, wire: tautWire(profile, out), margin: depth - reach };
}
