import type { Body } from '#core/record/kinds';
import { FOOT } from '#core/units/factors';
import type { Reader } from '#lib/form/reader';
import { bodyOf, type Written } from '#core/record/written';

/** A field for an area on a page: square feet or square metres, in m². */
export const squareOf = (system: 'us' | 'metric'): number => (system === 'us' ? FOOT ** 2 : 1);

/**
 * A water with the two numbers that its forecast needs, as they were typed beside something else: its area now and its rise in a day.
 *
 * @param level what the gauge shows now, m
 * @returns null when neither was typed, or both are as they were
 */
export function readPond(read: Reader, water: Written<Body<'water'>>, at: Date, level: number): Body<'water'> | null {
  const text = read.text('area').replace(/[ ,]/g, '');
  const area = text === '' ? null : Number(text) * squareOf(read.who.person.system);
  if (area !== null && !(area >= 1 && area <= 1e7)) read.refuse('area', 'The area of a pond is above 0 and under 1000 hectares.');
  const rise = read.length('rise');
  if (rise !== undefined && (rise < 0 || rise > 1)) read.refuse('rise', 'A pond rises between 0 and 3 ft in a day.');
  if ((area === null && rise === undefined) || !read.ok()) return null;
  const areas = area === null ? water.areas : [{ level, at: at.toISOString(), area }];
  return { ...bodyOf(water), areas, rise: rise ?? water.rise };
}
