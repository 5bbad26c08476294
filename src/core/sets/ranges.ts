import type { System } from '../units/factors';
import { printNumber } from './numberText';
import { numberSpec, type NumberSpec, type SetType } from './setType';

const SIDES = { 'below water': 'above water', 'above water': 'below water' } as const;

/** The range of a number in the reader's words, as its field's sentence and the catalogue say it; a height on the other side of the water is called by that side. */
export function boundsText({ unit, min, max, label }: NumberSpec, system: System): string {
  if (unit === 'share') return `between ${Math.round(min * 100)} and ${Math.round(max * 100)}%`;
  const print = (value: number): string => printNumber({ unit }, value, system);
  const side = (Object.keys(SIDES) as (keyof typeof SIDES)[]).find((s) => label.endsWith(s));
  return min < 0 && side ? `between ${print(-min)} ${SIDES[side]} and ${print(max)} ${side}` : `between ${print(min)} and ${print(max)}`;
}

/** The numbers of a set that lie outside the range of their type, or that its type does not know: key and sentence. */
export function numberFaults(type: SetType, numbers: Record<string, number>, system: System): [key: string, sentence: string][] {
  return Object.entries(numbers).flatMap(([key, value]): [string, string][] => {
    const spec = numberSpec(type, key);
    if (!spec) return [[key, `A ${type.name.toLowerCase()} has no number called ${key}.`]];
    if (value >= spec.min - 1e-9 && value <= spec.max + 1e-9) return [];
    return [[key, `${spec.label} lies ${boundsText(spec, system)}.`]];
  });
}
