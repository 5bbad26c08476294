import type { Species } from '../animals/species';
import type { Situation } from '../rules/book';
import type { DeviceClass } from '../devices/sizes';
import { sizeText } from '../devices/sizes';
import type { System } from '../units/factors';
import { printLength, printWay } from '../units/length';

/** How an answer of the rulebook is said: it tells what the book says, and never that something is lawful. */

export interface RuleReader {
  system: System;
  /** how the reader writes a local date */
  date: (date: string) => string;
  /** a time of day `07:00` */
  time: (time: string) => string;
}

const says = <V>(text: (values: V, reader: RuleReader) => string): ((values: V, reader: RuleReader) => string) => text;

type Named = { kind: DeviceClass; size: string };
const device = ({ kind, size }: Named): string =>
  `a ${sizeText(kind, size)}${kind === 'bodyGrip' ? ' body-grip' : kind === 'foothold' ? ' foothold' : ''}`;

const RULES = {
  open: says<{ species: Species; until: string }>(({ species, until }, { date }) => `${species} open to ${date(until)}`),
  closed: says<{ species: Species; because: string; opens: string | null; from: string | null }>(
    ({ species, because, opens, from }, { date, time }) =>
      `${species} closed today${because ? ` (${because})` : ''}${opens ? `; opens ${date(opens)}${from ? ` at ${time(from)}` : ''}` : '; the book names no opening'}`,
  ),
  seasonSilent: says<{ species: Species }>(({ species }) => `the book names no season of ${species}`),
  approved: says<Named & { species: Species; least: Situation }>(
    ({ least, ...of }) => `${device(of)} is on its list${least === 'on dry ground' ? '' : `, ${least}`}`,
  ),
  notApproved: says<Named & { species: Species }>(({ species, ...of }) => `${device(of)} is not on its list for ${species}`),
  deviceSilent: says<Named>((of) => `the book does not speak of ${device(of)}`),
  situationAsked: says<Named & { least: Situation }>(({ least, ...of }) => `${device(of)} has to be ${least}: say how it stands`),
  tooDry: says<Named & { least: Situation; situation: Situation }>(
    ({ least, situation, ...of }) => `${device(of)} has to be ${least}; this one is ${situation}`,
  ),
  willShow: says<Named & { by: number }>(
    ({ by, ...of }, { system }) =>
      `${device(of)} has to be fully under; at the lowest level forecast to the next check ${printLength(by, system)} of it show`,
  ),
  submersionAsked: says<{ must: string }>(({ must }) => `it has to be ${must}: say how it stands`),
  submersionBroken: says<{ must: string; situation: Situation }>(({ must, situation }) => `it has to be ${must}; it is ${situation}`),
  submersionFits: says<{ must: string }>(({ must }) => `${must}, as it has to be`),
  showsLater: says<{ by: number }>(
    ({ by }, { system }) =>
      `it has to be fully under; at the lowest level forecast to the next check ${printLength(by, system)} of it show`,
  ),
  loopLarge: says<{ across: number; most: number }>(
    ({ across, most }, { system }) => `a loop of ${printLength(across, system)}; ${printLength(most, system)} at most`,
  ),
  loopSmall: says<{ across: number; least: number }>(
    ({ across, least }, { system }) => `a loop of ${printLength(across, system)}; ${printLength(least, system)} at least`,
  ),
  loopWants: says<{ what: string }>(({ what }) => `a snare has ${what}`),
  loopFits: says<{ across: number }>(({ across }, { system }) => `a loop of ${printLength(across, system)} is within its limits`),
  tooNear: says<{ from: string; least: number; measured: number }>(
    ({ from, least, measured }, { system }) => `${printWay(measured, system)} from the ${from}; ${printWay(least, system)} at least`,
  ),
  farEnough: says<{ from: string; least: number; measured: number }>(
    ({ from, least, measured }, { system }) => `${printWay(measured, system)} from the ${from}, ${printWay(least, system)} wanted`,
  ),
  distanceAsked: says<{ from: string; least: number }>(
    ({ from, least }, { system }) => `at least ${printWay(least, system)} from a ${from}`,
  ),
  damAllowed: says<object>(() => 'a dam may be opened'),
  damForbidden: says<object>(() => 'no dam is opened'),
  damLeave: says<object>(() => 'a dam is opened with leave only'),
  damSilent: says<object>(() => 'the book does not speak of opening a dam'),
  spare: says<{ species: Species; measure: string }>(({ species, measure }) => `to spare ${species}: ${measure}`),
  leave: says<{ leave: string }>(({ leave }) => `${leave} leave of whose ground it is`),
} as const;

export type RuleCode = keyof typeof RULES;
export type RuleValues<K extends RuleCode> = Parameters<(typeof RULES)[K]>[0];

/** One answer as a line. */
export const answerText = <K extends RuleCode>({ code, values }: { code: K; values: RuleValues<K> }, reader: RuleReader): string =>
  (RULES[code] as (values: RuleValues<K>, reader: RuleReader) => string)(values, reader);

/** What stands wherever a rulebook is quoted. */
export const YOUR_BOOK = 'This is your book; the local code decides.';
