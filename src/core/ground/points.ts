import type { Shape } from '../record/scouting';
import { areaOf, compass, lineLength, moved, way, type Position } from './geodesic';

export type Points = { ok: true; points: Position[] } | { ok: false; sentence: string };
export const FORMS = ['point', 'line', 'area'] as const;
export type Form = (typeof FORMS)[number];

const DEGREES = String.raw`([-−+]?\d+(?:\.\d+)?)°?(?:\s*(\d+(?:\.\d+)?)['′](?:\s*(\d+(?:\.\d+)?)["″])?)?\s*([NSEW])?`;
const PAIR = new RegExp(`^${DEGREES}[\\s,;]+${DEGREES}$`, 'i');
const EXAMPLE = '45.51230, -90.48710';

function degrees(whole = '', minutes = '0', seconds = '0', side = ''): number {
  const value = Number(whole.replace('−', '-'));
  const size = Math.abs(value) + Number(minutes) / 60 + Number(seconds) / 3600;
  return value < 0 || /[SW]/i.test(side) ? -size : size;
}

/**
 * Reads typed coordinates, one place a line: latitude then longitude, in degrees (`45.51230, -90.48710`) or with minutes (`45°30'44" N 90°29'14" W`).
 *
 * @returns the places, or the sentence that says which line was not understood
 */
export function parsePoints(text: string): Points {
  const points: Position[] = [];
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
  for (const [i, line] of lines.entries()) {
    const match = PAIR.exec(line.trim());
    if (!match)
      return {
        ok: false,
        sentence: `Line ${i + 1}, “${line.trim().slice(0, 40)}”, is not a latitude and a longitude. Write it like ${EXAMPLE}.`,
      };
    const lat = degrees(match[1], match[2] ?? '0', match[3] ?? '0', match[4]);
    const lon = degrees(match[5], match[6] ?? '0', match[7] ?? '0', match[8]);
    if (Math.abs(lat) > 90 || Math.abs(lon) > 180)
      return { ok: false, sentence: `Line ${i + 1}: a latitude lies between −90 and 90, a longitude between −180 and 180, in this order.` };
    points.push([lon, lat]);
  }
  return { ok: true, points };
}

/** Places as typed coordinates, one a line, to a centimetre. */
export const printPoints = (points: readonly Position[]): string =>
  points.map(([lon, lat]) => `${lat.toFixed(7)}, ${lon.toFixed(7)}`).join('\n');

/** Along what the ways of a water are told: its drawn stream line or shore; null where none was drawn. */
export function lineOf(ground: readonly { water: string | null; kind: string; shape: Shape }[], water: string): Position[] | null {
  const line = ground.find((g) => g.water === water && (g.kind === 'stream line' || g.kind === 'shore'));
  const points = line ? pointsOf(line.shape).points : [];
  return points.length > 1 ? points : null;
}

/** The places of a shape; an area's ring without its repeated end. */
export function pointsOf(shape: Shape): { form: Form; points: Position[] } {
  if (shape.type === 'Point') return { form: 'point', points: [shape.coordinates] };
  if (shape.type === 'LineString') return { form: 'line', points: shape.coordinates };
  return { form: 'area', points: (shape.coordinates[0] ?? []).slice(0, -1) };
}

/** A shape out of places. */
export function shapeOf(form: Form, points: readonly Position[]): { ok: true; shape: Shape } | { ok: false; sentence: string } {
  const at = points.map(([lon, lat]): [number, number] => [lon, lat]);
  const [first] = at;
  if (form === 'point')
    return first && at.length === 1
      ? { ok: true, shape: { type: 'Point', coordinates: first } }
      : { ok: false, sentence: 'A point is one place: one line of latitude and longitude.' };
  if (form === 'line')
    return at.length >= 2
      ? { ok: true, shape: { type: 'LineString', coordinates: at } }
      : { ok: false, sentence: 'A line needs two places at least, one a line.' };
  return first && at.length >= 3
    ? { ok: true, shape: { type: 'Polygon', coordinates: [[...at, first]] } }
    : { ok: false, sentence: 'An area needs three corners at least, one a line.' };
}

/** The last place moved on by a bearing and a distance: how a shape is typed by compass and pace. */
export function walkedOn(points: readonly Position[], bearing: number, distance: number): Position | null {
  const last = points.at(-1);
  return last ? moved(last, bearing, distance) : null;
}

export interface Measured {
  length: number;
  /** m²; null for a point or a line */
  area: number | null;
  /** degrees from the first place to the last; null for a point or an area */
  bearing: number | null;
}

/** Length or perimeter, area and bearing of a shape. */
export function measured(form: Form, points: readonly Position[]): Measured {
  if (form === 'area') {
    const { area, perimeter } = areaOf(points);
    return { length: perimeter, area, bearing: null };
  }
  const [first, last] = [points[0], points.at(-1)];
  return {
    length: lineLength(points),
    area: null,
    bearing: form === 'line' && first && last && points.length > 1 ? way(first, last).bearing : null,
  };
}

const ACRE = 4046.8564224;

/** What was measured on the map, in words. @source the international acre: 4046.8564224 m² */
export function measuredSentence(form: Form, points: readonly Position[], system: 'us' | 'metric'): string {
  const ft = (m: number): string => (system === 'us' ? `${Math.round(m / 0.3048)} ft` : `${Math.round(m)} m`);
  if (points.length === 0) return 'Nothing drawn yet.';
  if (points.length === 1) return 'One place.';
  const { length, area, bearing } = measured(form, points);
  if (form === 'area' && points.length > 2)
    return `${points.length} corners, ${ft(length)} around, ${system === 'us' ? `${((area ?? 0) / ACRE).toFixed(2)} acres` : `${((area ?? 0) / 10_000).toFixed(2)} ha`}.`;
  return `${points.length} places, ${ft(length)} long${bearing === null ? '' : `, bearing ${Math.round(bearing)}° (${compass(bearing)}) from first to last`}.`;
}
