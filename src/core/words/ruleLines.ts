import type { BookPart, BookRule } from '../rules/book';
import { CLASS_WORDS, type DeviceClass } from '../devices/sizes';
import { ruleText } from '../time/deadline';
import type { RuleReader } from './rules';
import { printLength, printWay } from '../units/length';

/** What a rule of a book says, in a line. */

export interface LineReader extends RuleReader {
  /** a day of the year `11-25`, as the reader writes it */
  day: (monthDay: string) => string;
}

type Lines = { [P in BookPart]: (rule: BookRule<P>, reader: LineReader) => string };

const traps = (classes: readonly DeviceClass[]): string =>
  classes.length === 0 ? 'every trap' : classes.map((c) => `${CLASS_WORDS[c]}s`).join(', ');
const animals = (species: readonly string[], every = 'every animal'): string => (species.length === 0 ? every : species.join(', '));
const within = (area: string): string => (area === '' ? '' : `, ${area}`);
const some = (...parts: (string | false | null)[]): string => parts.filter(Boolean).join(', ');

const LINES: Lines = {
  seasons: ({ species, area, opens, closes, from, hours }, { day, time }) =>
    `${species}${within(area)}: ${some(`${day(opens)} to ${day(closes)}`, from && `from ${time(from)} on the first day`, hours && `${time(hours.from)} to ${time(hours.to)}`)}`,
  closures: ({ species, area, from, until, because }, { date }) =>
    `${species}${within(area)}: closed from ${date(from)} ${until ? `to ${date(until)}` : 'until further notice'}${because ? `, ${because}` : ''}`,
  limits: ({ species, most, per, tag }) =>
    `${species}: ${some(most !== null && `${most} a ${per}`, tag && 'each with a tag') || 'no limit'}`,
  devices: ({ class: kind, sizes, species, least }) =>
    some(`${CLASS_WORDS[kind]} ${sizes.join(', ')}`.trim(), `for ${animals(species)}`, least === 'on dry ground' ? 'anywhere' : least),
  distances: ({ from, least, classes }, { system }) => `${printWay(least, system)} from a ${from} for ${traps(classes)}`,
  checks: ({ classes, situation, underIce, every }) => `${some(traps(classes), situation, underIce && 'under ice')}: ${ruleText(every)}`,
  loops: ({ species, most, least, stop, breakaway }, { system }) =>
    `${animals(species)}: ${some(
      most !== null && `${printLength(most, system)} at most`,
      least !== null && `${printLength(least, system)} at least`,
      stop && 'a stop',
      breakaway && 'a breakaway',
    )}`,
  submersion: ({ classes, must }) => `${traps(classes)}: ${must}`,
  dams: ({ opening }) => `opening a dam: ${opening}`,
  spare: ({ species, classes, measure }) => `${species}, at ${traps(classes)}: ${measure}`,
  tell: ({ species, of, whom, hours, how }) => `${of} of ${animals(species)}: ${whom} within ${hours} h${how ? `, ${how}` : ''}`,
  ground: ({ leave }) => `${leave} leave`,
};

export const ruleLine = <P extends BookPart>(part: P, rule: BookRule<P>, reader: LineReader): string =>
  (LINES[part] as (rule: BookRule<P>, reader: LineReader) => string)(rule, reader);
