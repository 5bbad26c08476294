import { parseDegrees } from '#core/units/degrees';
import type { Reader } from '#lib/form/reader';

/** Where a line lies as it was typed; both null when both fields are empty. A fault stands in the reader. */
export function readPlace(read: Reader): { lat: number | null; lon: number | null } {
  const of = (axis: 'lat' | 'lon'): number | null => {
    if (read.text(axis) === '') return null;
    const parsed = parseDegrees(read.text(axis), axis);
    if (parsed.ok) return parsed.value;
    read.refuse(axis, parsed.sentence);
    return null;
  };
  const [lat, lon] = [of('lat'), of('lon')];
  if (read.text('lat') === '' && read.text('lon') !== '') read.refuse('lat', 'A place needs both: type the latitude too, or empty both.');
  if (read.text('lon') === '' && read.text('lat') !== '') read.refuse('lon', 'A place needs both: type the longitude too, or empty both.');
  return { lat, lon };
}
