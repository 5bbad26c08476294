import { dayText } from '../time/clock';
import type { Frame } from '../units/frame';
import { printLength, type Gauge } from '../units/length';
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
 * is measured from the surface. A number that would lie out of its range is left out, and so is one made of several of which one is not known.
 *
 * @param own what the set itself says, for a number that its place and it make together
 */
export function filled(
  type: Pick<SetType, 'numbers'>,
  place: Place,
  then: Known,
  own: Pick<Laying, 'numbers' | 'devices'> = { numbers: {}, devices: {} },
): Partial<Record<NumberKey, Filled>> {
  const { measures = [], follows, surface } = place;
  const here = (level: number): number => (follows ? surfaceAt(follows, level) : level);
  const afloat = latest(measures, 'fixed')?.value === 0;
  const found: Partial<Record<NumberKey, Filled>> = {};
  if (measures.length === 0) return found;
  for (const [key, spec] of Object.entries(type.numbers)) {
    const newest = spec.from && latest(measures, ...spec.from);
    if (!newest) continue;
    const beside = { plus: spec.plus && latest(measures, spec.plus), less: spec.less && latest(measures, spec.less) };
    if ((spec.plus && !beside.plus) || (spec.less && !beside.less)) continue;
    const since = (level: number | null, now: number | undefined): number =>
      level === null || now === undefined ? 0 : here(now) - here(level);
    // a log that floats lies as it lay, whatever the water does
    const moves = afloat && newest.what === 'overWater' ? 0 : (spec.fromWithLevel ?? spec.withLevel ?? 0);
    const less = beside.less ? beside.less.value + since(beside.less.level, newest.level ?? undefined) : 0;
    const value = newest.value + moves * since(newest.level, then[surface]) + (beside.plus?.value ?? 0) - less - (spec.lessOwn?.(own) ?? 0);
    if (value >= spec.min && value <= spec.max) found[key as NumberKey] = { value, at: newest.at };
  }
  return found;
}

/** What a person measured of himself, where a type asks how far an arm reaches and how deep he can stand. */
export function handsOf(type: Pick<SetType, 'numbers'>, { arm, waders }: Gauge): Partial<Record<NumberKey, number>> {
  return {
    ...(type.numbers.reach && arm !== undefined ? { reach: arm } : {}),
    ...(type.numbers.waders && waders !== undefined ? { waders } : {}),
  };
}

/** The measure of a place under which a number of a set is kept there; null where the number is none of the place's. */
export function keptAs(
  { from, plus, less, lessOwn }: Pick<NumberSpec, 'from' | 'plus' | 'less' | 'lessOwn'>,
  kind: StationKind,
): MeasureId | null {
  if (plus || less || lessOwn) return null;
  return from?.find((what) => measuresFor(kind).includes(what)) ?? from?.[0] ?? null;
}

/** Whether it is known how deep a set lies: as it was seen, or over a depth that was typed or measured there. */
export const lyingKnown = (
  type: Pick<SetType, 'numbers' | 'seen'>,
  { numbers, place, then }: Pick<Laying, 'numbers' | 'place' | 'then'>,
): boolean =>
  (type.seen !== null && numbers[type.seen] !== undefined) || numbers.depth !== undefined || filled(type, place, then).depth !== undefined;

/** A filled number with its source: `16 in, measured here 3 Nov`. */
export const filledText = ({ value, at }: Filled, frame: Frame): string =>
  `${printLength(value, frame.system)}, measured here ${dayText(new Date(at), frame)}`;

/** What the measures of a place answer of the choices of a type; a choice that nothing was measured for is left out. */
export function answered(type: Pick<SetType, 'choices'>, { measures = [] }: Pick<Place, 'measures'>): Partial<Record<ChoiceKey, string>> {
  const found: Partial<Record<ChoiceKey, string>> = {};
  for (const [key, { from }] of Object.entries(type.choices)) {
    const taken = from && latest(measures, from.what);
    if (from && taken) found[key as ChoiceKey] = from.is(taken.value);
  }
  return found;
}
