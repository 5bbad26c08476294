import { stamp, xmlText, type Exchange } from './exchange';

/** Writes things of the map as KML 2.2 placemarks, the record of ours in the extended data. */
export function toKml(things: readonly Exchange[]): string {
  const line = (points: readonly (readonly number[])[]): string => points.map(([lon, lat]) => `${lon},${lat}`).join(' ');
  const shape = ({ shape: s }: Exchange): string => {
    if (s.type === 'Point') return `<Point><coordinates>${line([s.coordinates])}</coordinates></Point>`;
    if (s.type === 'LineString') return `<LineString><coordinates>${line(s.coordinates)}</coordinates></LineString>`;
    return `<Polygon><outerBoundaryIs><LinearRing><coordinates>${line(s.coordinates[0] ?? [])}</coordinates></LinearRing></outerBoundaryIs></Polygon>`;
  };
  const marks = things.map(
    (thing) =>
      `<Placemark><name>${xmlText(thing.name)}</name><description>${xmlText(String(thing.properties.note ?? ''))}</description><ExtendedData><Data name="zaprud"><value>${xmlText(stamp(thing))}</value></Data></ExtendedData>${shape(thing)}</Placemark>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>\n<kml xmlns="http://www.opengis.net/kml/2.2"><Document>\n${marks.join('\n')}\n</Document></kml>\n`;
}
