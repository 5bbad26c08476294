import type { System } from '../units/factors';
import { inWords } from '../units/inWords';
import type { Origin } from '../water/need';
import { BED } from './findings/bed';
import { GRIP } from './findings/grip';
import { HOLD } from './findings/hold';
import { ICE } from './findings/ice';
import { LOOP } from './findings/loop';
import { PLACE } from './findings/place';
import { WEATHER } from './findings/weather';
import { sayFor, type Words } from './say';

/** Every finding of a design, a place or a night, and what is said of it. */
export const FINDINGS = { ...GRIP, ...HOLD, ...LOOP, ...BED, ...ICE, ...PLACE, ...WEATHER };
export type FindingId = keyof typeof FINDINGS;
export type FindingValues<K extends FindingId> = (typeof FINDINGS)[K] extends Words<infer V> ? V : never;

interface Found {
  /** once in a design */
  id: string;
  verdict: 'holds' | 'warns' | 'fails' | 'unknown';
  origin: Origin;
  /** the number or choice it is about, when it fails: said beside that field too */
  field?: string;
  /** which of several devices it speaks of */
  of?: string;
}

/** What a rule found, in SI and without words: they are put to it for a reader. */
export type Finding = { [K in FindingId]: Found & { says: K; values: FindingValues<K> } }[FindingId];

/** A finding as it is read. */
export interface Told extends Omit<Found, 'of'> {
  about: string;
  figure: string;
  sentence: string;
}

type More = Partial<Pick<Found, 'id' | 'field' | 'of'>>;

/** What a rule found; its id is that of its words unless the design has another finding of that name. */
export const found = <K extends FindingId>(
  says: K,
  verdict: Found['verdict'],
  origin: Origin,
  values: FindingValues<K>,
  more: More = {},
): Finding => ({ id: says, says, verdict, origin, values, ...more }) as Finding;

/** A finding in words. */
export function tell({ says, values, of, ...own }: Finding, system: System): Told {
  const { about, figure, sentence } = FINDINGS[says] as Words<unknown>;
  const say = sayFor(system);
  const what = typeof about === 'string' ? about : about(values);
  const read = (text: string): string => (system === 'us' ? text : inWords(text, system));
  return { ...own, about: of ? `${what}, ${of}` : what, figure: figure(values, say), sentence: read(sentence(values, say)) };
}
