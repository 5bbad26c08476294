import { FOOT, INCH, type System } from './factors';
import { readNumber } from './fraction';

const NUMBER = String.raw`\d+(?:\.\d+)?(?:\s\d\/\d)?\s?[¼½¾⅛⅜⅝⅞]?|[¼½¾⅛⅜⅝⅞]`;
const UNITS: Record<string, { unit: string; per: number; step: number }> = {
  in: { unit: 'cm', per: INCH * 100, step: 0.5 },
  ft: { unit: 'm', per: FOOT, step: 0.1 },
  yd: { unit: 'm', per: 0.9144, step: 10 },
  lb: { unit: 'kg', per: 0.45359237, step: 0.5 },
  mph: { unit: 'km/h', per: 1.609344, step: 1 },
};
const WORDS: [RegExp, string][] = [
  [/\bhalf an inch\b/gi, '1 cm'],
  [/\ban inch\b/gi, '2.5 cm'],
  [/\ba foot (?=in front|out|over|under|deep|wide|long)/gi, '30 cm '],
];
const MEASURE = new RegExp(
  `(−?)(${NUMBER})(?:( to |–| or | and )(${NUMBER}))? (in|ft|yd|lb|mph)\\b(?! (?:the|a|an|it|its|their|use|front|place|order|this|that|which|between)\\b| \\d)`,
  'g',
);

/** A figure of practice in another unit is a figure of practice: it is rounded to what a tape or a scale shows. */
function turned(text: string, { per, step }: { per: number; step: number }): string {
  const value = readNumber(text.trim());
  if (value === null) return text;
  const size = value * per;
  const rounded = Math.max(step, Math.round(size / step) * step);
  return String(Math.round(rounded * 10) / 10);
}

/**
 * A text of the trade that was written in inches, feet and pounds, for its reader: `6 to 8 in deep` is `15 to 20.5 cm deep` to a metric one.
 * Trap sizes and numbers without a unit stay as they are.
 */
export function inWords(text: string, system: System): string {
  if (system === 'us') return text;
  const measured = text.replace(MEASURE, (_, sign: string, a: string, joined: string | undefined, b: string | undefined, unit: string) => {
    const to = UNITS[unit] as (typeof UNITS)[string];
    return `${sign}${turned(a, to)}${joined && b ? joined + turned(b, to) : ''} ${to.unit}`;
  });
  return WORDS.reduce((said, [pattern, metric]) => said.replace(pattern, metric), measured);
}
