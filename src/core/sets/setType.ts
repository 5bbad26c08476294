import type { StationKind } from '../stations/kinds';
import type { MeasureId, Taken } from '../stations/measures';
import type { When } from './offer';
import type { Verdict } from '../water/need';
import type { Species } from '../animals/species';
import type { DeviceClass } from '../devices/sizes';
import { inches, type System } from '../units/factors';
import type { Known } from '../water/levels';
import type { Follows } from '../water/ownLevel';
import type { Design } from './design';
import type { ChoiceKey, NumberKey } from './keys';
import type { AtWork, Order } from './work';
import type { Origin } from '../water/need';
import type { BreakShape } from '../water/outflow';

/** A number of a set: its range in SI, where its default comes from, and what is measured. */
export interface NumberSpec {
  label: string;
  help: string;
  unit: 'length' | 'share' | 'weight';
  /** undefined when only a measurement will do; the field may stay empty */
  default?: number;
  min: number;
  max: number;
  origin: Origin;
  /** it is measured from the surface: it grows (1) or shrinks (−1) as much as the level rises */
  withLevel?: 1 | -1;
  /** the measures of a station that are this number, wherever the set stands at it */
  from?: readonly MeasureId[];
  /** a length of the place that is added to it */
  plus?: MeasureId;
  /** a depth of the place that is taken off it */
  less?: MeasureId;
  /** what the set's own numbers and its device take off it, m */
  lessOwn?: (own: { numbers: Readonly<Record<string, number>>; devices: Record<string, FilledPosition> }) => number;
  /** the measure grows (1) or shrinks (−1) with the level, where the number itself does not */
  fromWithLevel?: 1 | -1;
  /** it is asked only where a choice says so */
  when?: AskedWhen;
}

/** A choice that must have been made so, for something else to be asked. */
export interface AskedWhen {
  choice: ChoiceKey;
  is: string | readonly string[];
}

/** A number that belongs to the place: the station's measures fill it. */
export const here = (spec: NumberSpec, ...from: MeasureId[]): NumberSpec => ({ ...spec, from });

/** The numbers and the choices of a type, by their words; a record or a form may ask for any text. */
export type Numbers = Partial<Record<NumberKey, NumberSpec>>;
export type Choices = Partial<Record<ChoiceKey, ChoiceSpec>>;

/** A length in inches by practice. @param range least, most; inches */
export const practised = (label: string, help: string, usual: number, [min, max]: [number, number], withLevel?: 1 | -1): NumberSpec => ({
  label,
  help,
  unit: 'length',
  default: inches(usual),
  min: inches(min),
  max: inches(max),
  origin: 'practice',
  ...(withLevel ? { withLevel } : {}),
});

/** A length that only a measurement gives. @param range least, most; inches */
export const measured = (label: string, help: string, [min, max]: [number, number], withLevel?: 1 | -1): NumberSpec => ({
  label,
  help,
  unit: 'length',
  min: inches(min),
  max: inches(max),
  origin: 'measured',
  ...(withLevel ? { withLevel } : {}),
});

export interface ChoiceSpec {
  label: string;
  /** it says what the place is like, and is never taken from another */
  ofPlace?: true;
  /** it is rarely otherwise: it stands folded at the bench */
  seldom?: true;
  /** the measure of a station that answers it */
  from?: { what: MeasureId; is: (value: number) => string };
  options: Record<string, string>;
  default: string;
  /** it is asked only where another choice says so */
  when?: AskedWhen;
}

/** A place of a device in a set: `outer`, `inner`. */
export interface Position {
  id: string;
  label: string;
  optional: boolean;
}

/** What a set type knows of its station when it lays itself out. */
export interface Place {
  kind: StationKind;
  /** which surface stands here */
  surface: 'pond' | 'tail';
  /** elevation of the bed, m in the water's datum; null when not measured */
  bed: number | null;
  /** how its surface follows the gauge, on a stream where two readings told; otherwise it stands at the gauge's level */
  follows?: Follows | null;
  /** what was measured at it, with the level of its surface then where that is known */
  measures?: readonly Taken[];
}

export interface FilledPosition {
  class: DeviceClass;
  size: string;
}

/** Everything a layout is made from. Numbers are metres or shares; a missing one was not given. */
export interface Laying {
  numbers: Partial<Record<NumberKey, number>>;
  choices: Partial<Record<ChoiceKey, string>>;
  place: Place;
  devices: Record<string, FilledPosition>;
  /** the levels when it was set; what was seen at the surface is measured from them */
  then: Known;
  /** the thickest sheet that the forecast expects at the next check, m; left out where nothing is forecast */
  iceNext?: number | null;
  /** frost to the next check, °C·days; left out where no weather is known */
  frostToCheck?: number | null;
  system: System;
}

export interface Variant {
  id: string;
  name: string;
  device?: FilledPosition;
  /** so many of its positions hold a device */
  fills?: number;
  choices?: Partial<Record<ChoiceKey, string>>;
  numbers?: Partial<Record<NumberKey, number>>;
}

export interface SetType {
  id: string;
  name: string;
  species: Species[];
  stations: StationKind[];
  devices: DeviceClass[];
  positions: Position[];
  numbers: Numbers;
  choices: Choices;
  /** what is drawn and calculated with while no tag is chosen, for every position that is not optional. [practice] */
  usual: FilledPosition;
  /** other ways to build it, each a drawing of its own in the catalogue */
  variants?: Variant[];
  /** months in which it is mostly made, 1 to 12; all of them when left out. [practice] */
  months?: readonly number[];
  /** which stand, clip or hook suits, and which way the springs point */
  fit: string;
  /** which animals each of its baits draws. @source common practice */
  draws?: Readonly<Record<string, readonly Species[]>>;
  /** carried for it beside its parts: tools */
  tools: readonly string[];
  /** what mostly goes wrong, and what is done */
  faults: readonly string[];
  /** what a remake of it asks for beside the sheet of its class */
  remake?: readonly string[];
  /** where practitioners differ, or where nobody knows: both views, the cautious one is what counts */
  disputed?: readonly string[];
  /** where a catch may lie beside tie and deep end */
  hides?: readonly string[];
  /** the number that says how high the device stands, as it is seen at the surface; null where it floats */
  seen: NumberKey | null;
  /** which spot of the first need's part that number speaks of, where it is not the need's own */
  seenAt?: 'bottom' | 'middle' | 'top';
  layOut: (laying: Laying) => Design;
  /** where, when and for whom it is the one to try: its rank among the types there, and the reason. @source common practice */
  suits?: readonly Suit[];
  /** what is looked at when nothing is to be done, by its state; `else` for every other */
  looks?: Partial<Record<Verdict | 'else', string>>;
  /** the type that rides a level which moves farther than this one works over */
  afloat?: string;
  /** a pole through a hole that new ice has to hold */
  needsHold?: true;
  /** what the set does to the water: breaks of a shape, each so wide and deep, m; whether the trap stands in it */
  acts?: { breaks: number; shape: BreakShape['kind']; width: number; depth: number; words: string; holdsTrap?: true };
  /** it stands where they pass anyway: nothing draws to it */
  blind?: true;
  /** its catch goes from where it stood to water or cover, and its support gives */
  travels?: true;
  /** it stands under ice */
  underIce?: true;
  /** its trigger is a pan, or wires bent out of the jaws on purpose, where no choice says so: asked for as such before it is live */
  fires?: 'pan' | 'bent';
  /** the work from bare ground to live, in the order of hands, for the device, the hold and the depth that were chosen */
  orders: (at: AtWork) => Order[];
  /** one sentence: how the set takes its animal */
  idea: string;
}

/** A kind of place, for an animal and in months (from and to, around the year), at which a type is tried in this order. */
export interface Suit {
  species: Species;
  places: readonly StationKind[];
  /** 1 is tried first */
  rank: number;
  why: string;
  months?: readonly [number, number];
  /** only at a place that was measured to be so */
  when?: When;
}

export const suit = (
  species: Species,
  places: readonly StationKind[],
  rank: number,
  why: string,
  more: Pick<Suit, 'months' | 'when'> = {},
): Suit => ({ species, places, rank, why, ...more });

/** The level that stood at the place when the set was made; a set made without any reading counts from 0 and says so. */
export const levelThen = ({ then, place }: Laying): number => then[place.surface] ?? 0;

/** The device in its one place; a design is asked for only where something fills one of its places. */
export const trapIn = ({ devices }: Pick<Laying, 'devices'>): FilledPosition =>
  devices.trap ?? Object.values(devices)[0] ?? { class: 'bodyGrip', size: '330' };

/** The bed under the set: measured with it, otherwise the station's own; null when neither is known. */
export function bedOf(laying: Laying): number | null {
  const depth = laying.numbers.depth;
  return depth === undefined ? laying.place.bed : levelThen(laying) - depth;
}

/** A number of the set, its type's default when not given. @throws RangeError when it has neither */
export function numberOf<N extends Numbers>(laying: Laying, { numbers }: { numbers: N }, key: keyof N & NumberKey): number {
  const spec: NumberSpec | undefined = numbers[key];
  const value = laying.numbers[key] ?? spec?.default;
  if (value === undefined) throw new RangeError(`${spec?.label ?? key} was not given and has no default`);
  return value;
}

/** The number or the choice that a form or the record names by its text; undefined where the type has no such word. */
export const numberSpec = ({ numbers }: Pick<SetType, 'numbers'>, key: string): NumberSpec | undefined => numbers[key as NumberKey];
export const choiceSpec = ({ choices }: Pick<SetType, 'choices'>, key: string): ChoiceSpec | undefined => choices[key as ChoiceKey];

/** How a type asks for its own numbers. */
export const asks =
  <N extends Numbers>(numbers: N) =>
  (laying: Laying, key: keyof N & NumberKey): number =>
    numberOf(laying, { numbers }, key);
