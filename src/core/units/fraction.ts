const GLYPHS: Record<string, number> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};
const SIXTEENTHS = ['', '1/16', '⅛', '3/16', '¼', '5/16', '⅜', '7/16', '½', '9/16', '⅝', '11/16', '¾', '13/16', '⅞', '15/16'];

/**
 * Reads an unsigned number as people write it: `7`, `7.5`, `1/2`, `1 1/2`, `1½`, `½`.
 *
 * @returns the number, or null when it is not one
 */
export function readNumber(text: string): number | null {
  const clean = text.trim().replace(',', '.');
  const glyph = /^(\d+)?\s*([¼½¾⅓⅔⅛⅜⅝⅞])$/.exec(clean);
  if (glyph) return Number(glyph[1] ?? 0) + (GLYPHS[glyph[2] ?? ''] ?? 0);
  const mixed = /^(?:(\d+)[\s-]+)?(\d+)\/(\d+)$/.exec(clean);
  if (mixed) {
    const below = Number(mixed[3]);
    return below === 0 ? null : Number(mixed[1] ?? 0) + Number(mixed[2]) / below;
  }
  return /^(\d+\.?\d*|\.\d+)$/.test(clean) ? Number(clean) : null;
}

/**
 * Writes an unsigned number with the nearest fraction of a tape: `9¼`, `½`, `12`.
 *
 * @param parts into how many parts one unit is divided, a divisor of 16
 * @throws RangeError when `parts` does not divide 16 or the number is negative
 */
export function writeFraction(value: number, parts: 2 | 4 | 8 | 16): string {
  if (value < 0) throw new RangeError(`a fraction is written without its sign, got ${value}`);
  const steps = Math.round(value * parts);
  const whole = Math.floor(steps / parts);
  const glyph = SIXTEENTHS[(steps - whole * parts) * (16 / parts)] ?? '';
  if (glyph === '') return String(whole);
  if (whole === 0) return glyph;
  return glyph.includes('/') ? `${whole} ${glyph}` : `${whole}${glyph}`;
}
