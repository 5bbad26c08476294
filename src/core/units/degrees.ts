export type Degrees = { ok: true; value: number } | { ok: false; sentence: string };

const HEMISPHERES = { lat: { N: 1, S: -1 }, lon: { E: 1, W: -1 } } as const;
const MOST = { lat: 90, lon: 180 } as const;
const CALLED = { lat: 'latitude', lon: 'longitude' } as const;

/**
 * Reads a latitude or longitude in degrees as people write it: `44.9`, `-90,5`, `44.9 N`, `90.5° W`.
 *
 * @returns decimal degrees, north and east positive; else what was wrong and what would be right
 */
export function parseDegrees(text: string, axis: 'lat' | 'lon'): Degrees {
  const letters: Readonly<Record<string, 1 | -1>> = HEMISPHERES[axis];
  const match = /^([-−+]?)(\d+(?:[.,]\d+)?)\s*°?\s*([a-z]?)$/i.exec(text.trim());
  const letter = match?.[3]?.toUpperCase() ?? '';
  const no = (sentence: string): Degrees => ({ ok: false, sentence });
  const like = axis === 'lat' ? '44.9 or 44.9 N' : '-90.5 or 90.5 W';
  if (!match) return no(`“${text.trim().slice(0, 30)}” is not a number of degrees. Write a ${CALLED[axis]} like ${like}.`);
  if (letter !== '' && !(letter in letters)) return no(`A ${CALLED[axis]} has no ${letter}: write it like ${like}.`);
  if (letter !== '' && match[1] !== '') return no(`Write a sign or a letter, not both: ${like}.`);
  const sign = match[1] === '-' || match[1] === '−' ? -1 : (letters[letter] ?? 1);
  const value = sign * Number(match[2]?.replace(',', '.'));
  if (Math.abs(value) > MOST[axis]) return no(`A ${CALLED[axis]} lies between −${MOST[axis]} and ${MOST[axis]} degrees.`);
  return { ok: true, value };
}
