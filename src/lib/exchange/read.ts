import type Feature from 'ol/Feature';
import GeoJSON from 'ol/format/GeoJSON';
import GPX from 'ol/format/GPX';
import KML from 'ol/format/KML';
import WKT from 'ol/format/WKT';
import { Point, type Geometry, type SimpleGeometry } from 'ol/geom';
import { readStamp, type Exchange } from '#core/formats/exchange';
import { csvRows } from './csv';

export type ReadFile = { ok: true; things: Exchange[]; thinned: string } | { ok: false; sentence: string };

/** More than this is not read at all. */
const LARGEST = 25 * 1024 * 1024;
/** A line longer than this is thinned until it fits: within a metre, and where that is not enough within two, four and so on. */
const MOST_POINTS = 3000;
const NAMESPACE = 'urn:zaprud:record:1';
const DEGREE = 111_320;

const isXml = (name: string): boolean => /\.(gpx|kml)$/i.test(name);

/** Reads a GPX, GeoJSON, KML or CSV file of the map. Nothing in it is run or fetched; a file with a document type or entities of its own is refused. */
export function readFile(name: string, text: string): ReadFile {
  if (text.length > LARGEST) return { ok: false, sentence: 'That file has more than 25 MB: split it first.' };
  if (text.trim() === '') return { ok: false, sentence: 'That file is empty.' };
  if (isXml(name) && /<!(DOCTYPE|ENTITY)/i.test(text))
    return { ok: false, sentence: 'That file defines entities of its own, which Zaprud does not read. Save it again without its DOCTYPE.' };
  try {
    if (/\.csv$/i.test(name)) return fromCsv(text);
    const features = featuresOf(name, text);
    if (!features) return { ok: false, sentence: 'That is not a file Zaprud reads: take GPX, GeoJSON, KML or CSV.' };
    return thin(features.flatMap(spread));
  } catch (error) {
    return {
      ok: false,
      sentence: `That file is broken and nothing was taken from it: ${error instanceof Error ? error.message.split('\n')[0] : 'it cannot be read'}`,
    };
  }
}

function featuresOf(name: string, text: string): Feature[] | null {
  if (/\.(geojson|json)$/i.test(name)) return new GeoJSON().readFeatures(text) as Feature[];
  if (!isXml(name)) return null;
  const xml = new DOMParser().parseFromString(text, 'application/xml');
  const fault = xml.querySelector('parsererror');
  if (fault) throw new Error((fault.querySelector('div')?.textContent ?? fault.textContent ?? 'the XML is not well formed').trim());
  if (/\.kml$/i.test(name)) return new KML({ extractStyles: false }).readFeatures(xml) as Feature[];
  return new GPX({
    readExtensions: (feature, node) => {
      const own = (node as Element | undefined)?.getElementsByTagNameNS(NAMESPACE, 'record')[0]?.textContent;
      if (own) feature.set('zaprud', own);
    },
  }).readFeatures(xml) as Feature[];
}

/** The single shapes of a many-part one, by whatever its kind calls them. */
function partsOf(geometry: Geometry): Geometry[] {
  const many = geometry as Partial<Record<'getLineStrings' | 'getPoints' | 'getPolygons' | 'getGeometries', () => Geometry[]>>;
  const parts = many.getLineStrings?.() ?? many.getPoints?.() ?? many.getPolygons?.() ?? many.getGeometries?.();
  return parts ? parts.flatMap(partsOf) : [geometry];
}

/** One thing for every part of a many-part shape. */
function spread(feature: Feature): { name: string; geometry: Geometry; properties: Record<string, unknown> }[] {
  const { geometry: _, ...properties } = feature.getProperties();
  const geometry = feature.getGeometry();
  const name = String(properties.name ?? '');
  if (!geometry) return [];
  const parts = partsOf(geometry);
  return parts.map((part, i) => ({ name: parts.length > 1 ? `${name} ${i + 1}`.trim() : name, geometry: part, properties }));
}

function thin(parts: { name: string; geometry: Geometry; properties: Record<string, unknown> }[]): ReadFile {
  let before = 0;
  let after = 0;
  let furthest = 0;
  const things = parts.map(({ name, geometry, properties }): Exchange => {
    const own = typeof properties.zaprud === 'string' ? readStamp(properties.zaprud) : null;
    let shape = geometry;
    const count = (g: Geometry): number => (g as SimpleGeometry).getFlatCoordinates().length / (g as SimpleGeometry).getStride();
    before += count(geometry);
    for (let within = 1; count(shape) > MOST_POINTS && within < 300; within *= 2) {
      shape = geometry.simplify(within / DEGREE);
      furthest = Math.max(furthest, within);
    }
    after += count(shape);
    const flat = (at: number[]): [number, number] => [at[0] ?? NaN, at[1] ?? NaN];
    const type = shape.getType();
    const coordinates = (shape as SimpleGeometry).getCoordinates() as unknown;
    const line = (list: unknown): [number, number][] => (list as number[][]).map(flat);
    const polygon = type === 'Polygon' || closedTrack(properties, type, coordinates);
    return {
      record: own?.record ?? null,
      id: own?.id ?? null,
      name: name.slice(0, 200),
      shape:
        shape instanceof Point
          ? { type: 'Point', coordinates: flat(coordinates as number[]) }
          : polygon
            ? { type: 'Polygon', coordinates: type === 'Polygon' ? (coordinates as unknown[]).map(line) : [line(coordinates)] }
            : { type: 'LineString', coordinates: line(coordinates) },
      properties: own?.properties ?? (plain(properties) as Exchange['properties']),
    };
  });
  const thinned = before > after ? `Lines were thinned from ${before} to ${after} points, within ${furthest} m.` : '';
  return { ok: true, things, thinned };
}

/** An area goes into GPX as a track that says so, since GPX knows no areas. */
function closedTrack(properties: Record<string, unknown>, type: string, coordinates: unknown): boolean {
  if (properties.type !== 'area' || type !== 'LineString') return false;
  const list = coordinates as number[][];
  const [first, last] = [list[0], list.at(-1)];
  return list.length > 3 && first?.[0] === last?.[0] && first?.[1] === last?.[1];
}

const plain = (properties: Record<string, unknown>): Record<string, string | number | boolean | null> =>
  Object.fromEntries(
    Object.entries(properties).filter(
      (pair): pair is [string, string | number | boolean | null] =>
        pair[1] === null || ['string', 'number', 'boolean'].includes(typeof pair[1]),
    ),
  );

const LATITUDE = ['latitude', 'lat', 'y'];
const LONGITUDE = ['longitude', 'lon', 'lng', 'long', 'x'];

function fromCsv(text: string): ReadFile {
  const { rows, problem } = csvRows(text);
  if (problem) return { ok: false, sentence: problem };
  const first = rows[0];
  if (!first) return { ok: false, sentence: 'That table has no rows.' };
  const lat = LATITUDE.find((c) => c in first);
  const lon = LONGITUDE.find((c) => c in first);
  if (!('shape' in first) && (!lat || !lon)) return { ok: false, sentence: 'That table has no columns called latitude and longitude.' };
  const shapeIn = (text: string): Geometry | null => {
    if (text === '') return null;
    try {
      return new WKT().readGeometry(text) as Geometry;
    } catch {
      return new Point([NaN, NaN]);
    }
  };
  return thin(
    rows.map((row) => {
      const number = (column: string | undefined): number => (column && row[column] !== '' ? Number(row[column]) : NaN);
      const geometry = shapeIn(row.shape ?? '') ?? new Point([number(lon), number(lat)]);
      const { name = '', zaprud = '', ...rest } = row;
      return { name, geometry, properties: zaprud ? { zaprud } : rest };
    }),
  );
}
