import { way, type Position } from '../ground/geodesic';
import type { Shape } from '../record/scouting';

export interface GroundPlan {
  width: number;
  height: number;
  shapes: { id: string; kind: string; name: string; d: string; closed: boolean }[];
  points: { id: string; x: number; y: number; text: string; strong: boolean }[];
  /** a bar of `metres`, px long */
  bar: { px: number; metres: number };
}

/** A small map for paper: shapes and numbered points, north up, to scale, fitted into a box. Plane geometry around its middle: good for one site. */
export function groundPlan(
  shapes: readonly { id: string; kind: string; name: string; shape: Shape }[],
  points: readonly { id: string; at: Position; text: string; strong: boolean }[],
  size: { width: number; height: number },
): GroundPlan {
  const all: Position[] = [...points.map((p) => p.at), ...shapes.flatMap(({ shape }) => ring(shape))];
  const lons = all.map(([lon]) => lon);
  const lats = all.map(([, lat]) => lat);
  const west = Math.min(...lons);
  const north = Math.max(...lats);
  const corner: Position = [west, north];
  const across = Math.max(1, way(corner, [Math.max(...lons), north]).distance);
  const down = Math.max(1, way(corner, [west, Math.min(...lats)]).distance);
  const pad = 24;
  const scale = Math.min((size.width - 2 * pad) / across, (size.height - 2 * pad) / down);
  const span = { lon: Math.max(...lons) - west || 1, lat: north - Math.min(...lats) || 1 };
  const place = ([lon, lat]: Position) => ({
    x: pad + ((lon - west) / span.lon) * across * scale,
    y: pad + ((north - lat) / span.lat) * down * scale,
  });
  const metres = [10, 20, 50, 100, 200, 500].find((m) => m * scale > 60) ?? 1000;
  return {
    ...size,
    shapes: shapes.map(({ id, kind, name, shape }) => {
      const at = ring(shape).map(place);
      const closed = shape.type === 'Polygon';
      return {
        id,
        kind,
        name,
        closed,
        d: at.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('') + (closed ? 'Z' : ''),
      };
    }),
    points: points.map(({ id, at, text, strong }) => ({ id, ...place(at), text, strong })),
    bar: { px: metres * scale, metres },
  };
}

const ring = (shape: Shape): Position[] =>
  shape.type === 'Point' ? [shape.coordinates] : shape.type === 'LineString' ? shape.coordinates : (shape.coordinates[0] ?? []);
