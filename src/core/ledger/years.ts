import type { Check, Setting, TrapSet } from '../record/kinds';
import { numberSpec, type SetType } from '../sets/setType';
import { printNumber } from '../sets/numberText';
import type { System } from '../units/factors';
import type { Did } from '../counting/atSet';

/** What one set at a place came to, of whatever season. */
export interface SetYear {
  looks: number;
  /** by animal */
  caught: Record<string, number>;
  met: number;
  /** days on which somebody set out for it and did not get there, with the reason */
  notReached: { at: Date; why: string }[];
}

const MET: readonly string[] = ['miss', 'escaped', 'sprung empty', 'knocked', 'plugged', 'bait taken'];

/** Adds up the looks at a set. */
export function setYear(visits: readonly Check[]): SetYear {
  const devices = visits.flatMap((v) => v.devices);
  const caught: Record<string, number> = {};
  for (const { catch: own } of devices) if (own) caught[own.species] = (caught[own.species] ?? 0) + 1;
  return {
    looks: visits.filter((v) => v.devices.some((d) => d.outcome !== 'not reached')).length,
    caught,
    met: devices.filter((d) => MET.includes(d.outcome)).length,
    notReached: visits.flatMap((v) => {
      const missed = v.devices.find((d) => d.outcome === 'not reached');
      return missed ? [{ at: new Date(v.at), why: missed.searched }] : [];
    }),
  };
}

/** How a set was built in the end: the numbers that somebody measured or typed, as its type calls them. */
export const builtText = (type: SetType, { numbers }: Pick<Setting, 'numbers'>, system: System): string[] =>
  Object.entries(numbers).flatMap(([key, value]) => {
    const spec = numberSpec(type, key);
    return spec && value !== undefined ? [`${spec.label.toLowerCase()} ${printNumber(spec, value, system)}`] : [];
  });

/** From when to when a set stood; null for one that never did. */
export function stoodFrom({ stays }: Pick<TrapSet, 'stays'>): { from: Date; to: Date | null } | null {
  if (stays.length === 0) return null;
  const from = new Date(Math.min(...stays.map((s) => Date.parse(s.from))));
  const ends = stays.map((s) => s.to);
  return { from, to: ends.includes(null) ? null : new Date(Math.max(...ends.map((to) => Date.parse(to ?? '')))) };
}

interface Seen {
  at: Date;
  species: string;
  did: Did;
}

/** When an animal went into a set, by the camera at its place: the last of its kind at the set before it was found; null where none was seen. */
export function hourCaught(events: readonly Seen[], species: string, since: Date, found: Date): Date | null {
  const own = events.filter((e) => e.species === species && e.did === 'at the set' && e.at > since && e.at <= found);
  return own.reduce<Date | null>((last, { at }) => (last === null || at > last ? at : last), null);
}
