import { FOOT, type System } from '../units/factors';
import { speedText } from '../units/speed';
import { parseLength, printLength, smallUnit, type Gauge, type Parsed } from '../units/length';
import { MEASURES, type Measure, type MeasureId } from './measures';

/** A measure as it is written: lengths on the tape, angles and bearings in degrees, yes or no. */
export function printMeasure(what: MeasureId, value: number, system: System): string {
  const { unit }: Measure = MEASURES[what];
  if (unit === 'length') return printLength(value, system);
  if (unit === 'yes') return value === 1 ? 'yes' : 'no';
  if (unit === 'angle' || unit === 'bearing') return `${Math.round(value)}°`;
  return unit === 'speed' ? speedText(value, system) : String(value);
}

/** Reads a measure as people write it. */
export function parseMeasure(what: MeasureId, text: string, system: System, words: Gauge): Parsed {
  const { unit, label }: Measure = MEASURES[what];
  if (unit === 'length') return parseLength(text, smallUnit(system), words);
  if (unit === 'yes') return { ok: true, value: text === 'yes' ? 1 : 0 };
  const value = Number(
    text
      .trim()
      .replace(/°$|\s*(?:m|ft)\/s$/, '')
      .replace(',', '.'),
  );
  const most = { angle: 90, bearing: 360, count: 99, speed: system === 'us' ? 30 : 10 }[unit];
  if (text.trim() !== '' && Number.isFinite(value) && value >= 0 && value <= most && (unit !== 'count' || Number.isInteger(value)))
    return { ok: true, value: unit === 'speed' && system === 'us' ? value * FOOT : value };
  return {
    ok: false,
    sentence: `${label} is a ${unit === 'count' ? 'whole number' : 'number'} between 0 and ${most}${unit === 'speed' ? ` ${system === 'us' ? 'ft' : 'm'}/s` : unit === 'count' ? '' : ' degrees'}; “${text.trim().slice(0, 30)}” is not.`,
  };
}

/** Reads a bed profile: one `distance depth` a line (`6 ft, 14 in`), both in any form. */
export function parseProfile(
  text: string,
  system: System,
  words: Gauge,
): { ok: true; points: { distance: number; depth: number }[] } | { ok: false; sentence: string } {
  const points: { distance: number; depth: number }[] = [];
  for (const line of text.split('\n').filter((l) => l.trim() !== '')) {
    const [away = '', deep = ''] = line.split(/[,;\t]| {2,}/).map((s) => s.trim());
    const distance = parseLength(away, system === 'us' ? 'ft' : 'm', words);
    const depth = parseLength(deep, smallUnit(system), words);
    if (!distance.ok || !depth.ok)
      return {
        ok: false,
        sentence: `“${line.trim().slice(0, 40)}” is not a distance and a depth. Write one pair a line, like ${system === 'us' ? '6 ft, 14 in' : '2 m, 35 cm'}.`,
      };
    points.push({ distance: distance.value, depth: depth.value });
  }
  if (points.length === 1) return { ok: false, sentence: 'A bed profile has two points at least.' };
  return { ok: true, points: points.sort((a, b) => a.distance - b.distance) };
}
