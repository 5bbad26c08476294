import { stamp, type Exchange } from './exchange';

/** Writes things of the map as GeoJSON (RFC 7946): longitude first, the record of ours under `zaprud`. */
export const toGeoJson = (things: readonly Exchange[]): string =>
  JSON.stringify(
    {
      type: 'FeatureCollection',
      features: things.map((thing) => ({
        type: 'Feature',
        ...(thing.id ? { id: thing.id } : {}),
        geometry: thing.shape,
        properties: { name: thing.name, kind: thing.properties.kind ?? null, zaprud: stamp(thing) },
      })),
    },
    null,
    1,
  );
