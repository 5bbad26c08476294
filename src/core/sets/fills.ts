import { dayText } from '../time/localTime';
import type { System } from '../units/factors';
import { printLength } from '../units/length';
import { surfaceAt } from '../water/ownLevel';
import type { Known } from '../water/levels';
import type { StationKind } from '../stations/kinds';
import { latest, measuresFor, type MeasureId } from '../stations/measures';
import type { ChoiceKey, NumberKey } from './keys';
import type { Laying, NumberSpec, Place, SetType } from './setType';

/** A number of a set that its place knows: measured there, and when. Metres. */
export interface Filled {
  value: number;
  at: string;
}

/**
 * What the station of a set measured of the numbers of its type, as they stand at a level: the newest measure of each, moved with the level since where it
 * is measured from the surface. A number that would lie out of its range is left out.
 */
export function filled(type: Pick<SetType, 'numbers'>, place: Place, then: Known): Partial<Record<NumberKey, Filled>> {
  const { measures = [], follows, surface } = place;
  const own = (level: number): number => (follows ? surfaceAt(follows, level) : level);
  const found: Partial<Record<NumberKey, Filled>> = {};
  if (measures.length === 0) return found;
  for (const [key, spec] of Object.entries(type.numbers)) {
    const newest = spec.from && latest(measures, ...spec.from);
    if (!newest) continue;
    const now = then[surface];
    const rise = newest.level === null || now === undefined ? 0 : own(now) - own(newest.level);
    const value = newest.value + (spec.withLevel ?? 0) * rise;
    if (value >= spec.min && value <= spec.max) found[key as NumberKey] = { value, at: newest.at };
  }
  return found;
}

/** The measure of a place under which a number of a set is kept there; null where the number is none of the place's. */
export function keptAs({ from }: Pick<NumberSpec, 'from'>, kind: StationKind): MeasureId | null {
  return from?.find((what) => measuresFor(kind).includes(what)) ?? from?.[0] ?? null;
}

/** Whether it is known how deep a set lies: as it was seen, or over a depth that was typed or measured there. */
export const lyingKnown = (
  type: Pick<SetType, 'numbers' | 'seen'>,
  { numbers, place, then }: Pick<Laying, 'numbers' | 'place' | 'then'>,
): boolean =>
  (type.seen !== null && numbers[type.seen] !== undefined) || numbers.depth !== undefined || filled(type, place, then).depth !== undefined;

/** A filled number with its source: `16 in, measured here 3 Nov`. */
export const filledText = ({ value, at }: Filled, system: System, zone: string): string =>
  `${printLength(value, system)}, measured here ${dayText(new Date(at), zone)}`;

/** What the measures of a place answer of the choices of a type; a choice that nothing was measured for is left out. */
export function answered(type: Pick<SetType, 'choices'>, { measures = [] }: Pick<Place, 'measures'>): Partial<Record<ChoiceKey, string>> {
  const found: Partial<Record<ChoiceKey, string>> = {};
  for (const [key, { from }] of Object.entries(type.choices)) {
    const taken = from && latest(measures, from.what);
    if (from && taken) found[key as ChoiceKey] = from.is(taken.value);
  }
  return found;
}
