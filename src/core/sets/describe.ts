import type { System } from '../units/factors';
import { printLength } from '../units/length';
import { heightLimits, type Need } from '../water/need';
import type { Design } from './design';

const FROM: Record<string, string> = {
  pond: 'the water',
  tail: 'the tailwater',
  iceTop: 'the top of the ice',
  iceUnderside: 'the underside of the ice',
};

/** What has to be where, as sentences: part, limits and datum of every need. */
export function needTexts(design: Pick<Design, 'needs' | 'parts'>, system: System): string[] {
  return [...new Set(design.needs.map((need) => needText(need, design.parts, system)))];
}

function needText(need: Need, parts: Design['parts'], system: System): string {
  const from = typeof need.from === 'string' ? (FROM[need.from] ?? need.from) : 'the bed';
  const print = (m: number): string => printLength(Math.abs(m), system);
  const spot = `${need.called.charAt(0).toUpperCase()}${need.called.slice(1)}`;
  if ('share' in need.of) {
    const percent = (n: number | undefined, otherwise: string): string => (n === undefined ? otherwise : `${Math.round(n * 100)} %`);
    return `${percent(need.min, '0 %')} to ${percent(need.max, '100 %')} of the loop’s height under ${from}.`;
  }
  const { min, max } = heightLimits(need, parts);
  const side = (m: number): string => (Math.abs(m) < 1e-9 ? `level with ${from}` : `${print(m)} ${m < 0 ? 'under' : 'over'} ${from}`);
  if (Number.isFinite(min) && Number.isFinite(max)) return `${spot} between ${side(max)} and ${side(min)}.`;
  return Number.isFinite(max) ? `${spot} not higher than ${side(max)}.` : `${spot} not lower than ${side(min)}.`;
}

const BEARER = { bed: 'the bed', bank: 'the bank', float: 'the water, afloat', ice: 'the ice' } as const;

/** What carries its devices, and so how they move with the water. */
export const bearersText = ({ parts }: Pick<Design, 'parts'>): string =>
  [...new Set(parts.filter((p) => p.device).map((p) => BEARER[p.bearer]))].join(', ') || 'the bed';
