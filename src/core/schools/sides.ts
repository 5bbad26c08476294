import type { Species } from '../animals/species';
import { BODY_GRIPS, type DeviceClass } from '../devices/sizes';
import type { Mend } from '../critique/rule';
import type { Attract } from '../lure/lure';
import type { FilledPosition, SetType } from '../sets/setType';
import { inches } from '../units/factors';
import type { Part } from '../water/part';
import { SCHOOL_IDS, type Picked, type SchoolId, type Side } from '../words/schools';

/** A set as it is built, in what schools differ about. */
export interface Built {
  type: Pick<SetType, 'underIce' | 'acts' | 'positions' | 'choices'>;
  species: Species | 'other';
  choices: Readonly<Partial<Record<string, string>>>;
  devices: readonly FilledPosition[];
  lures?: readonly Attract[] | undefined;
  /** sticks that close the way beside it */
  sticks: number;
  /** its cable, m; null where it has none */
  tie: number | null;
}

/** A set as schools see it, out of how it is laid: the sticks of its design, and its cable as typed or by practice. */
export const builtOf = ({
  type,
  numbers,
  parts,
  ...own
}: Omit<Built, 'type' | 'sticks' | 'tie'> & {
  type: Pick<SetType, 'underIce' | 'acts' | 'positions' | 'choices' | 'numbers'>;
  numbers: Readonly<Record<string, number>>;
  parts: readonly Pick<Part, 'kind'>[];
}): Built => ({
  ...own,
  type,
  sticks: parts.filter((p) => p.kind === 'stick').length,
  tie: type.numbers.tie ? (numbers.tie ?? type.numbers.tie.default ?? null) : null,
});

/** The largest opening of a 110 or 120. [practice] */
const SMALL = inches(5.2);
/** A catch on so short a cable stays at the trap. [practice] */
const FIXED = inches(24);
/** Two thin sticks are no fence. [practice] */
const STICKS = 2;
/** Portions above which it is plenty. [practice] */
const SPARING = 1;

const either = (isOne: boolean): Side => (isOne ? 'one' : 'other');
const holds = ({ devices }: Built, kind: DeviceClass): boolean => devices.some((d) => d.class === kind);

/** On which side a set stands as it is built; null where the matter does not touch it. */
const SIDE: Record<SchoolId, (built: Built) => Side | null> = {
  hold: ({ choices }) => (choices.hold === 'live' ? 'one' : choices.hold === 'slide' ? 'other' : null),
  device: (built) => (built.species !== 'beaver' || built.devices.length === 0 ? null : either(holds(built, 'bodyGrip'))),
  pace: () => null,
  break: ({ type }) => (type.acts ? either(type.acts.holdsTrap === true) : null),
  fence: (built) => (built.species === 'beaver' && holds(built, 'bodyGrip') ? either(built.sticks > STICKS) : null),
  lure: ({ lures = [] }) => (lures.length === 0 ? null : either(lures.reduce((sum, l) => sum + l.amount, 0) <= SPARING)),
  foot: ({ choices }) => (choices.foot === 'front' ? 'one' : choices.foot === 'hind' ? 'other' : null),
  minkSize: (built) =>
    built.species === 'mink' && holds(built, 'bodyGrip')
      ? either(built.devices.every((d) => (BODY_GRIPS[d.size]?.opening ?? 0) <= SMALL))
      : null,
  notch: ({ species, choices }) =>
    species !== 'mink' || choices.notch === undefined || choices.notch === 'firm' ? null : either(choices.notch === 'light'),
  loops: ({ type, devices }) => (type.positions.length > 6 && devices.length > 0 ? either(devices.length <= 6) : null),
  trigger: ({ type, choices }) => (type.choices.trigger?.options.v && choices.trigger ? either(choices.trigger === 'v') : null),
  bag: ({ choices }) => (choices.hold === 'bag' ? 'one' : null),
  check: () => null,
  catch: (built) => (built.tie === null || !holds(built, 'bodyGrip') ? null : either(built.tie <= FIXED)),
};

export const sideOf = (matter: SchoolId, built: Built): Side | null => SIDE[matter](built);

/** The matters that touch a set, with the side on which it stands. */
export const sidesOf = (built: Built): { matter: SchoolId; side: Side }[] =>
  SCHOOL_IDS.flatMap((matter) => {
    const side = sideOf(matter, built);
    return side ? [{ matter, side }] : [];
  });

/** The choice of a form that stands for a side. */
const CHOICE: Partial<Record<SchoolId, { key: string; one: string; other: string; species?: Species }>> = {
  hold: { key: 'hold', one: 'live', other: 'slide' },
  foot: { key: 'foot', one: 'front', other: 'hind' },
  notch: { key: 'notch', one: 'light', other: 'middle', species: 'mink' },
};

/** A change of the form that brings a set to a side: a choice of it, or the length of its cable; null where it takes another set. */
export function towards(matter: SchoolId, side: Side, type: Pick<SetType, 'choices' | 'numbers'>): Mend | null {
  const own = CHOICE[matter];
  if (own)
    return own[side] in ((type.choices[own.key as never] as { options: object } | undefined) ?? { options: {} }).options
      ? { field: `c.${own.key}`, value: own[side] }
      : null;
  if (matter === 'catch' && type.numbers.tie) return { field: 'n.tie', value: side === 'one' ? inches(18) : inches(72) };
  return null;
}

/** What a new set of a type begins with by the schools of its line, by choice. */
export function beginsWith(picked: Picked, type: Pick<SetType, 'choices' | 'numbers'>, species: string): Record<string, string> {
  const found = SCHOOL_IDS.flatMap((matter): [string, string][] => {
    const side = picked[matter];
    const own = CHOICE[matter];
    if (!side || !own || (own.species && own.species !== species)) return [];
    const change = towards(matter, side, type);
    return change ? [[own.key, String(change.value)]] : [];
  });
  return Object.fromEntries(found);
}

/** A type that stands on the other side than its line comes after those that stand on this one. @param usual its device and animal */
export function againstSchool(
  picked: Picked,
  type: Pick<SetType, 'usual' | 'underIce' | 'acts' | 'positions' | 'choices'>,
  species: Species,
): boolean {
  const built: Built = { type, species, choices: {}, devices: [type.usual], sticks: 0, tie: null };
  return (['device', 'break'] as const).some((matter) => {
    const [side, wanted] = [sideOf(matter, built), picked[matter]];
    return side !== null && wanted !== undefined && side !== wanted;
  });
}

/** What a side of a matter came to: its sets, their working nights and their animals. */
export interface Tally {
  sets: number;
  nights: number;
  caught: number;
}

/** Both sides of every matter, out of sets with what each came to. */
export function tallies(all: readonly { built: Built; nights: number; caught: number }[]): Record<SchoolId, Record<Side, Tally>> {
  const empty = (): Tally => ({ sets: 0, nights: 0, caught: 0 });
  const found = Object.fromEntries(SCHOOL_IDS.map((id) => [id, { one: empty(), other: empty() }])) as Record<SchoolId, Record<Side, Tally>>;
  for (const { built, nights, caught } of all)
    for (const { matter, side } of sidesOf(built)) {
      const own = found[matter][side];
      own.sets += 1;
      own.nights += nights;
      own.caught += caught;
    }
  return found;
}
