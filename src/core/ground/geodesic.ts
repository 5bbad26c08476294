import geodesic from 'geographiclib-geodesic';

/** A position in degrees, WGS84: longitude first, as GeoJSON writes it. */
export type Position = readonly [lon: number, lat: number];

const earth = geodesic.Geodesic.WGS84;

/** Distance (m) and bearing at the start (degrees, 0 to 360) of the shortest way between two positions. @source GeographicLib (Karney 2013), the package */
export function way(from: Position, to: Position): { distance: number; bearing: number } {
  const { s12, azi1 } = earth.Inverse(from[1], from[0], to[1], to[0]);
  return { distance: s12 ?? 0, bearing: ((azi1 ?? 0) + 360) % 360 };
}

/** The position reached from another by a bearing (degrees) and a distance (m). */
export function moved(from: Position, bearing: number, distance: number): Position {
  const { lon2, lat2 } = earth.Direct(from[1], from[0], bearing, distance);
  return [lon2 ?? from[0], lat2 ?? from[1]];
}

/** Length of a line, m. */
export const lineLength = (line: readonly Position[]): number =>
  line.slice(1).reduce((sum, to, i) => sum + way(line[i] ?? to, to).distance, 0);

/** Area (m²) and perimeter (m) of a ring; whether it is closed at its end or not makes no difference. */
export function areaOf(ring: readonly Position[]): { area: number; perimeter: number } {
  const polygon = earth.Polygon(false);
  const [first, last] = [ring[0], ring.at(-1)];
  const open = first && last && ring.length > 1 && first[0] === last[0] && first[1] === last[1] ? ring.slice(0, -1) : ring;
  for (const [lon, lat] of open) polygon.AddPoint(lat, lon);
  const { area, perimeter } = polygon.Compute(false, true);
  return { area: Math.abs(area ?? 0), perimeter };
}

/** The position a given way along a line, m from its start; its ends beyond them. */
export function alongLine(line: readonly Position[], distance: number): Position {
  let left = Math.max(0, distance);
  for (let i = 0; i + 1 < line.length; i += 1) {
    const [a, b] = [line[i], line[i + 1]];
    if (!a || !b) break;
    const step = way(a, b);
    if (left <= step.distance) return moved(a, step.bearing, left);
    left -= step.distance;
  }
  const last = line.at(-1);
  if (!last) throw new RangeError('a line needs a position');
  return last;
}

/**
 * Where a position lies beside a line: the way along it to the nearest point, that point, and how far off it, m. Null for a line of fewer than two positions.
 *
 * @source plane trigonometry on each stretch: right to a part in a thousand for what is drawn of one water
 */
export function besideLine(line: readonly Position[], at: Position): { along: number; off: number; nearest: Position } | null {
  let best: { along: number; off: number; stretch: number; from: Position; bearing: number } | null = null;
  let before = 0;
  for (const [i, to] of line.slice(1).entries()) {
    const from = line[i] as Position;
    const stretch = way(from, to);
    const there = way(from, at);
    const turn = ((there.bearing - stretch.bearing) * Math.PI) / 180;
    const ahead = Math.min(Math.max(there.distance * Math.cos(turn), 0), stretch.distance);
    const off = Math.hypot(there.distance * Math.cos(turn) - ahead, there.distance * Math.sin(turn));
    if (!best || off < best.off) best = { along: before + ahead, off, stretch: ahead, from, bearing: stretch.bearing };
    before += stretch.distance;
  }
  return best && { along: best.along, off: best.off, nearest: moved(best.from, best.bearing, best.stretch) };
}

const POINTS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;

/** A bearing in words: `north-west`. */
export const compass = (bearing: number): string => POINTS[Math.round((((bearing % 360) + 360) % 360) / 45) % 8] ?? 'north';
