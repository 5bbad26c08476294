import { datedText, type Clock } from '../time/clock';
import { readLocalTime } from '../time/localTime';
import type { System } from '../units/factors';
import { fieldsOf, type RecordField } from './fields';
import type { Body, Kind } from './kinds';

/** One leaf of a body that differs between two of its states, as a person reads it. */
export interface Change {
  label: string;
  from: string;
  to: string;
}

/** An instant as it is told, where the field writes it as it is typed. */
function said({ kind, text }: RecordField, clock: Clock): string {
  const read = kind === 'instant' ? readLocalTime(text, clock.zone, 'first') : null;
  return read?.ok ? datedText(read.at, clock) : text;
}

/** A body with the things of its lists in the order of another: only where they lie in a list is no change. */
function inOrderOf(was: unknown, is: unknown): unknown {
  if (Array.isArray(was) && Array.isArray(is)) {
    if (!is.every(hasId)) return is;
    const old = (thing: { id: string }): number => was.findIndex((w) => hasId(w) && w.id === thing.id);
    /** what is new comes last */
    const place = (thing: { id: string }): number => (old(thing) === -1 ? was.length : old(thing));
    return is.toSorted((a, b) => place(a) - place(b)).map((thing) => inOrderOf(was[old(thing)], thing));
  }
  if (typeof was !== 'object' || was === null || typeof is !== 'object' || is === null) return is;
  return Object.fromEntries(Object.entries(is).map(([key, value]) => [key, inOrderOf((was as Record<string, unknown>)[key], value)]));
}

const hasId = (thing: unknown): thing is { id: string } => typeof thing === 'object' && thing !== null && 'id' in thing;

/** What a person would see changed between two states of one thing, in the order of its fields. */
export function changesOf<K extends Kind>(kind: K, was: Body<K>, is: Body<K>, system: System, clock: Clock): Change[] {
  const texts = (body: Body<K>): Map<string, { label: string; text: string }> =>
    new Map(fieldsOf(kind, body, system, clock.zone).map((f) => [f.path.join('.'), { label: f.label, text: said(f, clock) }]));
  const [before, after] = [texts(was), texts(inOrderOf(was, is) as Body<K>)];
  return [...new Set([...before.keys(), ...after.keys()])].flatMap((key) => {
    const [from, to] = [before.get(key), after.get(key)];
    return from?.text === to?.text ? [] : [{ label: (to ?? from)?.label ?? key, from: from?.text ?? '', to: to?.text ?? '' }];
  });
}

/** `Anchor: alder root → stump.` Ids are named where a name is known; at most six changes are told. */
export function changesText(changes: readonly Change[], names: Readonly<Record<string, string>> = {}): string {
  const say = (text: string): string => names[text] ?? (text === '' ? 'empty' : text);
  const told = changes.slice(0, 6).map(({ label, from, to }) => `${label}: ${say(from)} → ${say(to)}`);
  const more = changes.length - told.length;
  return `${told.join('; ')}${more > 0 ? `; and ${more} more` : ''}.`;
}
