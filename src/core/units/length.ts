import { FOOT, INCH, type System } from './factors';
import { readNumber, writeFraction } from './fraction';

/** Words that stand for a length: the body gauge (`knee`) and stored tools (`axe handle`), in metres. */
export type Gauge = Readonly<Record<string, number>>;

export type LengthUnit = 'in' | 'ft' | 'cm' | 'm';
export type Parsed = { ok: true; value: number } | { ok: false; sentence: string };

const METRES: Record<LengthUnit, number> = { in: INCH, ft: FOOT, cm: 0.01, m: 1 };
const UNIT_WORDS: [RegExp, LengthUnit | 'mm'][] = [
  [/^(?:"|″|''|in|ins|inch|inches)$/, 'in'],
  [/^(?:'|′|ft|foot|feet)$/, 'ft'],
  [/^mm$/, 'mm'],
  [/^cm$/, 'cm'],
  [/^(?:m|metre|metres|meter|meters)$/, 'm'],
];
const NUMBER = String.raw`\d*[.,]?\d*(?:[\s-]+\d+\/\d+|\/\d+)?\s*[¼½¾⅓⅔⅛⅜⅝⅞]?`;
const UNIT = String.raw`"|″|''|'|′|inches|inch|ins|in|feet|foot|ft|mm|cm|metres|metre|meters|meter|m`;
const ONE = new RegExp(`^(${NUMBER})\\s*(${UNIT})?$`);
const TWO = new RegExp(`^(\\d+)\\s*(?:'|′|ft|foot|feet)[\\s,-]*(${NUMBER})\\s*(?:"|″|''|inches|inch|ins|in)?$`);

/** An example in the field's own unit, for the sentence of a refused entry. */
const EXAMPLE: Record<LengthUnit, string> = { in: '9 1/2 in', ft: '7\' 6"', cm: '24 cm', m: '0.75 m' };

/**
 * Reads a length as people write it: `7'6"`, `7 ft 6 in`, `30"`, `1 1/2"`, `1½`, `0.75 m`, `75cm`, `−3 in`, `knee`, `axe handle`.
 *
 * @param text what was typed
 * @param unit the field's own unit, taken by a bare number
 * @param words body gauge and tools of the user, in metres
 * @returns metres, or the sentence that says what was not understood, with an example
 */
export function parseLength(text: string, unit: LengthUnit, words: Gauge = {}): Parsed {
  const typed = text.trim().toLowerCase();
  if (typed === '') return { ok: false, sentence: `A length is needed here, for example ${EXAMPLE[unit]}.` };
  const negative = /^[-−–]/.test(typed);
  const body = typed.replace(/^[-−–+]\s*/, '').replace(/\s+/g, ' ');
  const metres = (Object.hasOwn(words, body) ? words[body] : undefined) ?? readTwo(body) ?? readOne(body, unit);
  if (metres === undefined || metres === null || !Number.isFinite(metres)) {
    const known = Object.keys(words).length > 0 ? `, or one of your own measures: ${Object.keys(words).join(', ')}` : '';
    return {
      ok: false,
      sentence: `“${text.trim().slice(0, 40)}” is not a length Zaprud can read. Write it like ${EXAMPLE[unit]}${known}.`,
    };
  }
  return { ok: true, value: negative ? -metres : metres };
}

function readTwo(body: string): number | null {
  const match = TWO.exec(body);
  if (!match) return null;
  const rest = (match[2] ?? '').trim();
  if (rest === '') return null;
  const small = readNumber(rest);
  return small === null ? null : Number(match[1]) * FOOT + small * INCH;
}

function readOne(body: string, unit: LengthUnit): number | null {
  const match = ONE.exec(body);
  if (!match) return null;
  const amount = readNumber(match[1] ?? '');
  if (amount === null) return null;
  if (!match[2]) return amount * METRES[unit];
  const word = match[2];
  const found = UNIT_WORDS.find(([pattern]) => pattern.test(word))?.[1];
  if (!found) return null;
  return found === 'mm' ? amount / 1000 : amount * METRES[found];
}

/**
 * Writes a length as on a tape: nearest ¼ in (`7 ft 6 in` from 4 ft up) or nearest ½ cm (`1.25 m` from 1 m up).
 * A negative length carries a real minus sign.
 */
export function printLength(metres: number, system: System): string {
  const sign = metres < 0 ? '−' : '';
  const size = Math.abs(metres);
  if (system === 'metric') {
    const half = Math.round(size * 200) / 2;
    if (half === 0) return '0 cm';
    return half < 100 ? `${sign}${half} cm` : `${sign}${half / 100} m`;
  }
  const quarters = Math.round((size / INCH) * 4);
  if (quarters === 0) return '0 in';
  if (quarters < 48 * 4) return `${sign}${writeFraction(quarters / 4, 4)} in`;
  const whole = Math.floor(quarters / 48);
  const rest = quarters / 4 - whole * 12;
  return rest === 0 ? `${sign}${whole} ft` : `${sign}${whole} ft ${writeFraction(rest, 4)} in`;
}

/** Writes a level against a gauge: inches or centimetres only, never feet, as gauge boards are read. */
export function printLevel(metres: number, system: System): string {
  if (system === 'metric') return printLength(metres, 'metric');
  const sign = metres < 0 ? '−' : '';
  const text = writeFraction(Math.abs(metres) / INCH, 4);
  return text === '0' ? '0 in' : `${sign}${text} in`;
}

/** Writes a way on the ground: whole feet or metres. */
export function printWay(metres: number, system: System): string {
  return system === 'us' ? `${Math.round(metres / FOOT)} ft` : `${Math.round(metres)} m`;
}

/** The small unit of a system, for a field that takes depths. */
export const smallUnit = (system: System): LengthUnit => (system === 'us' ? 'in' : 'cm');
