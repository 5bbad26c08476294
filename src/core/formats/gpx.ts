import { stamp, xmlText, type Exchange } from './exchange';

const NAMESPACE = 'urn:zaprud:record:1';

/** Writes things of the map as GPX 1.1: points as waypoints, lines and areas as tracks, the record of ours in the extensions. */
export function toGpx(things: readonly Exchange[]): string {
  const about = (thing: Exchange): string =>
    `<name>${xmlText(thing.name)}</name><desc>${xmlText(String(thing.properties.note ?? ''))}</desc>`;
  const more = (thing: Exchange): string => `<extensions><z:record>${xmlText(stamp(thing))}</z:record></extensions>`;
  const at = (tag: string, [lon, lat]: readonly number[], inner = ''): string => `<${tag} lat="${lat}" lon="${lon}">${inner}</${tag}>`;
  const points = things.flatMap((t) => (t.shape.type === 'Point' ? [at('wpt', t.shape.coordinates, about(t) + more(t))] : []));
  const tracks = things.flatMap((t) => {
    if (t.shape.type === 'Point') return [];
    const line = t.shape.type === 'LineString' ? t.shape.coordinates : (t.shape.coordinates[0] ?? []);
    return [
      `<trk>${about(t)}<type>${t.shape.type === 'Polygon' ? 'area' : 'line'}</type>${more(t)}<trkseg>${line.map((p) => at('trkpt', p)).join('')}</trkseg></trk>`,
    ];
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="Zaprud" xmlns="http://www.topografix.com/GPX/1/1" xmlns:z="${NAMESPACE}">\n${[...points, ...tracks].join('\n')}\n</gpx>\n`;
}
