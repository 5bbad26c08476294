import { printNumber } from './numberText';
import { numberSpec, type NumberSpec, type SetType } from './setType';

/** The range of a number in words, both systems, for the sentence beside its field. */
export function rangeText({ unit, min, max }: NumberSpec): string {
  if (unit === 'share') return `between ${Math.round(min * 100)} and ${Math.round(max * 100)}%`;
  const span = (system: 'us' | 'metric') => `${printNumber({ unit }, min, system)} and ${printNumber({ unit }, max, system)}`;
  return `between ${span('us')} (${span('metric')})`;
}

/** The numbers of a set that lie outside the range of their type, or that its type does not know: key and sentence. */
export function numberFaults(type: SetType, numbers: Record<string, number>): [key: string, sentence: string][] {
  return Object.entries(numbers).flatMap(([key, value]): [string, string][] => {
    const spec = numberSpec(type, key);
    if (!spec) return [[key, `A ${type.name.toLowerCase()} has no number called ${key}.`]];
    if (value >= spec.min - 1e-9 && value <= spec.max + 1e-9) return [];
    return [[key, `${spec.label} lies ${rangeText(spec)}.`]];
  });
}
