import type { DeviceClass } from '../devices/sizes';
import { bottomAt, type PartKind } from '../water/part';
import type { Asked } from './asked';

/** A choice as it was made, or as the type begins. */
export const chosen = ({ choices, type }: Asked, key: string): string | undefined =>
  choices[key] || type.choices[key as never]?.['default'];

/** A length of the set, m: typed, or by practice; undefined where its type has none. */
export const lengthOf = ({ numbers, type }: Asked, key: string): number | undefined =>
  numbers[key] ?? (type.numbers as Record<string, { default?: number } | undefined>)[key]?.default;

/** The devices of a class in it, by size. */
export const sizesOf = ({ devices }: Asked, wanted: DeviceClass): string[] =>
  Object.values(devices).flatMap(({ class: own, size }) => (own === wanted ? [size] : []));

export const holds = (asked: Asked, wanted: DeviceClass): boolean => sizesOf(asked, wanted).length > 0;

/** Elevation of the highest point of its parts of a kind, m; null where there is none or no level is known. */
export function topOf({ design, then }: Asked, kind: PartKind): number | null {
  const tops = design.parts.flatMap((part) => {
    const bottom = part.kind === kind ? bottomAt(part, then) : null;
    return bottom === null ? [] : [bottom + part.height];
  });
  return tops.length === 0 ? null : Math.max(...tops);
}

/** The water over which it stands, m; null where it is not known. */
export const surfaceOf = ({ then, surface }: Pick<Asked, 'then' | 'surface'>): number | null => then[surface] ?? null;

/** How often one of the looks since the last change came out so. */
export const looksAs = ({ around }: Asked, ...outcomes: string[]): number => around.looks.filter((look) => outcomes.includes(look)).length;

/** Looks in a row, newest first, that found it untouched. */
export function untouched({ around }: Asked): number {
  const first = around.looks.findIndex((look) => look !== 'untouched');
  return first === -1 ? around.looks.length : first;
}
