import type { Shape } from '../record/scouting';

const pair = ([lon, lat]: readonly number[]): string => `${lon} ${lat}`;

/** A shape as well-known text, for a column of a table. @source OGC simple features, from memory */
export function toWkt(shape: Shape): string {
  if (shape.type === 'Point') return `POINT (${pair(shape.coordinates)})`;
  if (shape.type === 'LineString') return `LINESTRING (${shape.coordinates.map(pair).join(', ')})`;
  return `POLYGON (${shape.coordinates.map((ring) => `(${ring.map(pair).join(', ')})`).join(', ')})`;
}
