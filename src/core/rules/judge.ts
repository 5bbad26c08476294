import type { Species } from '../animals/species';
import type { FilledPosition } from '../sets/setType';
import type { CheckRule } from '../time/deadline';
import type { RuleCode, RuleValues } from '../words/rules';
import { SITUATIONS, type BookPart, type Rulebook, type Situation } from './book';
import { seasonAt, type Day } from './seasons';

/** `told` is what somebody said is so; `asks` what the book wants and nobody said; `silent` what the book does not speak of. */
export type RuleVerdict = 'fits' | 'breaks' | 'asks' | 'told' | 'silent';

/** An answer names its rule; one of a silent book has none. */
export type Answer = {
  [K in RuleCode]: { part: BookPart; rule: string | null; verdict: RuleVerdict; code: K; values: RuleValues<K> };
}[RuleCode];

/** A set as a rulebook looks at it; lengths in m. */
export interface Stand {
  species: Species;
  devices: readonly FilledPosition[];
  situation: Situation | null;
  day: Day;
  /** the inside diameter of its loop, and what ends its closing; null where it has none or nobody said */
  loop: { across: number | null; stop: boolean | null; breakaway: boolean | null } | null;
  /** measured or computed distances from what the record knows of */
  away: Partial<Record<Rulebook['distances'][number]['from'], number>>;
  /** by how much its highest part stands over the lowest level forecast to the next check; null where nothing is forecast */
  shows: number | null;
  /** it opens a dam */
  opensDam: boolean;
  /** rules of which somebody said that it is so */
  attested: readonly string[];
}

const speaksOf = <T>(list: readonly T[], one: T): boolean => list.length === 0 || list.includes(one);
const wetter = (situation: Situation, least: Situation): boolean => SITUATIONS.indexOf(situation) >= SITUATIONS.indexOf(least);

/**
 * What a book says of a set on a day, every answer with its rule. It says what the book says and nothing of what is lawful.
 */
export function judge(book: Rulebook, stand: Stand): Answer[] {
  return [
    ofSeason(book, stand),
    ...ofDevices(book, stand),
    ...ofSubmersion(book, stand),
    ...ofLoops(book, stand),
    ...ofDistances(book, stand),
    ...ofDams(book, stand),
    ...ofSpare(book, stand),
    ...ofGround(book, stand),
  ];
}

/** What stands against a set going live. */
export const broken = (answers: readonly Answer[]): Answer[] => answers.filter((a) => a.verdict === 'breaks');

const answer = <K extends RuleCode>(code: K, part: BookPart, rule: string | null, verdict: RuleVerdict, values: RuleValues<K>): Answer =>
  ({ part, rule, verdict, code, values }) as Answer;

/** What only somebody there can know: asked until it was said. */
const attested = ({ attested: said }: Stand, rule: string): RuleVerdict => (said.includes(rule) ? 'told' : 'asks');

function ofSeason(book: Rulebook, { species, day }: Stand): Answer {
  const found = seasonAt(book, species, day);
  if (found.is === 'silent') return answer('seasonSilent', 'seasons', null, 'silent', { species });
  if (found.is === 'open') return answer('open', 'seasons', found.rule, 'fits', { species, until: found.until });
  const { because, opens } = found;
  return answer('closed', 'seasons', found.rule, 'breaks', { species, because, opens: opens?.date ?? null, from: opens?.from ?? null });
}

function ofDevices(book: Rulebook, stand: Stand): Answer[] {
  const { species, situation, shows } = stand;
  return distinct(stand.devices).map(({ class: kind, size }) => {
    const named = book.devices.filter((d) => d.class === kind);
    const [first] = named;
    if (!first) return answer('deviceSilent', 'devices', null, 'silent', { kind, size });
    const own = named.filter((d) => speaksOf(d.species, species) && speaksOf(d.sizes, size));
    const [rule] = own;
    if (!rule) return answer('notApproved', 'devices', first.id, 'breaks', { kind, size, species });
    const anywhere = own.find((d) => d.least === 'on dry ground');
    if (anywhere) return answer('approved', 'devices', anywhere.id, 'fits', { kind, size, species, least: anywhere.least });
    if (situation === null) return answer('situationAsked', 'devices', rule.id, 'asks', { kind, size, least: rule.least });
    const fits = own.find((d) => wetter(situation, d.least));
    if (!fits) return answer('tooDry', 'devices', rule.id, 'breaks', { kind, size, least: rule.least, situation });
    if (fits.least === 'fully under' && shows !== null && shows > 0)
      return answer('willShow', 'devices', fits.id, 'breaks', { kind, size, by: shows });
    return answer('approved', 'devices', fits.id, 'fits', { kind, size, species, least: fits.least });
  });
}

function distinct(devices: readonly FilledPosition[]): FilledPosition[] {
  return devices.filter((d, n) => devices.findIndex((e) => e.class === d.class && e.size === d.size) === n);
}

function ofSubmersion({ submersion }: Rulebook, { devices, situation, shows }: Stand): Answer[] {
  return submersion.flatMap(({ id, classes, must }): Answer[] => {
    if (!devices.some((d) => speaksOf(classes, d.class))) return [];
    if (situation === null) return [answer('submersionAsked', 'submersion', id, 'asks', { must })];
    const isUnder = situation === 'fully under';
    if (isUnder !== (must === 'fully under')) return [answer('submersionBroken', 'submersion', id, 'breaks', { must, situation })];
    if (isUnder && shows !== null && shows > 0) return [answer('showsLater', 'submersion', id, 'breaks', { by: shows })];
    return [answer('submersionFits', 'submersion', id, 'fits', { must })];
  });
}

function ofLoops({ loops }: Rulebook, { loop, species }: Stand): Answer[] {
  if (!loop) return [];
  return loops
    .filter((rule) => speaksOf(rule.species, species))
    .flatMap(({ id, most, least, stop, breakaway }): Answer[] => {
      const { across } = loop;
      const found: Answer[] = [];
      if (across !== null && most !== null && across > most + 1e-6)
        found.push(answer('loopLarge', 'loops', id, 'breaks', { across, most }));
      if (across !== null && least !== null && across < least - 1e-6)
        found.push(answer('loopSmall', 'loops', id, 'breaks', { across, least }));
      for (const [wanted, has, what] of [
        [stop, loop.stop, 'a stop'],
        [breakaway, loop.breakaway, 'a breakaway'],
      ] as const)
        if (wanted && has !== true) found.push(answer('loopWants', 'loops', id, has === null ? 'asks' : 'breaks', { what }));
      return found.length > 0 ? found : [answer('loopFits', 'loops', id, 'fits', { across: across ?? 0 })];
    });
}

function ofDistances({ distances }: Rulebook, stand: Stand): Answer[] {
  return distances
    .filter(({ classes }) => stand.devices.some((d) => speaksOf(classes, d.class)))
    .map(({ id, from, least }) => {
      const measured = stand.away[from];
      // a road that was drawn shows what is too near; that no other lies nearer only somebody there can say
      if (measured === undefined || (from === 'road' && measured >= least))
        return answer('distanceAsked', 'distances', id, attested(stand, id), { from, least });
      const near = measured < least;
      return answer(near ? 'tooNear' : 'farEnough', 'distances', id, near ? 'breaks' : 'fits', { from, least, measured });
    });
}

function ofDams({ dams }: Rulebook, stand: Stand): Answer[] {
  if (!stand.opensDam) return [];
  if (dams.length === 0) return [answer('damSilent', 'dams', null, 'silent', {})];
  return dams.map(({ id, opening }) => {
    if (opening === 'with leave') return answer('damLeave', 'dams', id, attested(stand, id), {});
    return answer(opening === 'allowed' ? 'damAllowed' : 'damForbidden', 'dams', id, opening === 'allowed' ? 'fits' : 'breaks', {});
  });
}

const ofSpare = ({ spare }: Rulebook, stand: Stand): Answer[] =>
  spare
    .filter(({ species, classes }) => species !== stand.species && stand.devices.some((d) => speaksOf(classes, d.class)))
    .map(({ id, species, measure }) => answer('spare', 'spare', id, attested(stand, id), { species, measure }));

const ofGround = ({ ground }: Rulebook, stand: Stand): Answer[] =>
  ground.map(({ id, leave }) => answer('leave', 'ground', id, attested(stand, id), { leave }));

/** How often a set is checked: the first rule of the book that speaks of its traps, its situation and ice; else what the line says. */
export function checkRuleOf(
  book: Pick<Rulebook, 'checks'> | null,
  line: CheckRule,
  { classes, situation, underIce }: { classes: readonly FilledPosition['class'][]; situation: Situation | null; underIce: boolean },
): { rule: string | null; every: CheckRule } {
  const found = book?.checks.find(
    (c) =>
      (c.classes.length === 0 || classes.some((k) => c.classes.includes(k))) &&
      (c.situation === null || (situation !== null && wetter(situation, c.situation))) &&
      (!c.underIce || underIce),
  );
  return found ? { rule: found.id, every: found.every } : { rule: null, every: line };
}
