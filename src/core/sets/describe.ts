import type { System } from '../units/factors';
import { printLength } from '../units/length';
import type { Known } from '../water/levels';
import { heightAt, heightLimits, type Limits, type Need } from '../water/need';
import type { Design } from './design';

const FROM: Record<string, string> = {
  pond: 'water',
  tail: 'the water below the dam',
  iceTop: 'the top of the ice',
  iceUnderside: 'the underside of the ice',
};

/** What has to be where, as sentences: part, limits and datum of every need. */
export function needTexts(design: Pick<Design, 'needs' | 'parts'>, system: System): string[] {
  return [...new Set(design.needs.map((need) => needText(need, design.parts, system)))];
}

/** Where a device is aimed and how it lies now, of every need it is put by: a note at placing, no fault. @param known the levels now */
export function aimTexts({ needs, parts }: Pick<Design, 'needs' | 'parts'>, device: string, known: Known, system: System): string[] {
  return needs.flatMap((need) => {
    const height = need.device === device && need.aim ? heightAt(need, parts, known) : null;
    if (height === null || !need.aim) return [];
    const { min, max } = heightLimits(need, parts, need.aim);
    const aside = height < min - 1e-6 || height > max + 1e-6;
    return [`Aim: ${'share' in need.of ? 'loop' : need.called} ${rangeText(need, need.aim, parts, system)}${aside ? ', not so now' : ''}.`];
  });
}

function needText(need: Need, parts: Design['parts'], system: System): string {
  const spot = `${need.called.charAt(0).toUpperCase()}${need.called.slice(1)}`;
  const range = (limits: Limits): string => rangeText(need, limits, parts, system);
  if (need.serves) return `${spot} within reach of an arm ${range(need)}.`;
  const what = 'share' in need.of ? 'Loop' : spot;
  const aim = need.aim ? `aim ${range(need.aim)}; works ` : '';
  const perhaps = need.perhaps ? range(need.perhaps) : '';
  return `${what}: ${aim}${range(need)}${perhaps && perhaps !== range(need) ? `, perhaps ${perhaps}` : ''}.`;
}

/** Limits as a person says them: `between 2 in and 3 in under the water`. */
function rangeText(need: Need, limits: Limits, parts: Design['parts'], system: System): string {
  const from = typeof need.from === 'string' ? (FROM[need.from] ?? need.from) : 'the bed';
  if ('share' in need.of) {
    const percent = (n: number | undefined, otherwise: string): string => (n === undefined ? otherwise : `${Math.round(n * 100)}%`);
    return `${percent(limits.min, 'from dry')} to ${percent(limits.max, '100%')} below ${from}`;
  }
  const { min, max } = heightLimits(need, parts, limits);
  const print = (m: number): string => printLength(Math.abs(m), system);
  const side = (m: number): string => (Math.abs(m) < 1e-9 ? `level with ${from}` : `${print(m)} ${m < 0 ? 'below' : 'above'} ${from}`);
  if (Number.isFinite(min) && Number.isFinite(max)) {
    if (max <= 0) return `${print(max)} to ${print(min)} below ${from}`;
    return min >= 0 ? `${print(min)} to ${print(max)} above ${from}` : `${print(max)} above to ${side(min)}`;
  }
  if (Number.isFinite(max)) return `at ${side(max)} or lower`;
  return Number.isFinite(min) ? `at ${side(min)} or higher` : 'at any depth';
}

const BEARER = { bed: 'the bed', bank: 'the bank', float: 'the water, afloat', ice: 'the ice' } as const;

/** What carries its devices, and so how they move with the water. */
export const bearersText = ({ parts }: Pick<Design, 'parts'>): string =>
  [...new Set(parts.filter((p) => p.device).map((p) => BEARER[p.bearer]))].join(', ') || 'the bed';
