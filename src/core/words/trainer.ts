import type { DeviceClass } from '../devices/sizes';
import { AGES, type Age, type Gear } from '../sim/colony/rules';
import type { FoundSign } from '../sign/activity';
import { signKind, type Freshness } from '../sign/kinds';
import type { Event } from '../sim/colony/night';
import type { Debrief, PlaceTold } from '../trainer/debrief';
import { LESSONS, type Level } from '../trainer/lessons';
import type { Found, Lesson, Look } from '../trainer/lived';
import type { Stranger } from '../trainer/stranger';
import type { System } from '../units/factors';
import { printLength } from '../units/length';
import { an, many } from '../units/many';
import { printWeight } from '../units/weight';
import { oddsOf } from './left';
import { capital } from './say';

export const LEVEL_WORDS: Readonly<Record<Level, string>> = { first: 'First lesson', usual: 'A usual pond', hard: 'A hard one' };
export const LEVEL_SAYS: Readonly<Record<Level, string>> = {
  first: 'Ten minutes: five places, four traps, five nights, still water, beaver that met no trap before.',
  usual: 'Seven places, eight traps, eight nights, and rain.',
  hard: 'Eight places, three of them left, short days, rain, frost, and beaver that mostly know body-grips.',
};

const SEVERAL: Readonly<Record<Age, string>> = { kit: 'kits', yearling: 'yearlings', adult: 'adults' };
const CLASS_SEVERAL: Readonly<Record<DeviceClass, string>> = {
  bodyGrip: 'body-grips',
  foothold: 'footholds',
  snare: 'snares',
  enclosed: 'foot traps',
};

/** What is known of the pond before anything is set. */
export function storyText({ level, traps, before, stations }: Stranger): string {
  const { nights, minutes } = LESSONS[level];
  const lent = [...new Set(traps.map((t) => t.class))].map((gear) => {
    const own = traps.filter((t) => t.class === gear);
    return `${own.length} ${own.length === 1 ? CLASS_SEVERAL[gear].replace(/s$/, '') : CLASS_SEVERAL[gear]}`;
  });
  const met =
    before.length > 0
      ? ` Somebody trapped here last winter with ${before.map((d) => CLASS_SEVERAL[d]).join(' and ')}, and some were left.`
      : '';
  return `${many(stations.length, 'place')}, ${lent.join(', ')}, ${many(nights, 'night')}, ${minutes} minutes a day.${met}`;
}

/** What to do next, for somebody who never did it. */
export function nextText(pond: Stranger, lesson: Lesson): string {
  if (lesson.over) return 'The lesson is over: read what really happened.';
  const open = lesson.looks.filter((l) => l.day === lesson.day && NEEDS_HAND.includes(l.found));
  if (open.length > 0)
    return `${many(open.length, 'set')} ${open.length === 1 ? 'does' : 'do'} not fish: remake or move ${open.length === 1 ? 'it' : 'them'}, or pull ${open.length === 1 ? 'it' : 'them'}.`;
  const used = lesson.sets.filter((s) => !s.pulled).flatMap((s) => Object.keys(s.build.traps)).length;
  if (used === 0) return 'Look at each place: fresh sign tells where they go. Then set where it is fresh.';
  if (used < pond.traps.length) return `${many(pond.traps.length - used, 'trap')} in the bag: set on, or let the night come.`;
  return 'Every trap stands: let the night come.';
}
const NEEDS_HAND: readonly Found[] = ['caught', 'touched', 'sprung', 'meddled', 'frozen', 'outside'];

/** How a trap was found, as a check says it. */
export function lookText({ found, animal }: Pick<Look, 'found' | 'animal'>, system: System): string {
  if (found === 'caught') return animal ? `Caught: ${animal.age} beaver, ${printWeight(animal.weight, system)}` : 'Caught';
  return FOUND_WORDS[found];
}
const FOUND_WORDS: Readonly<Record<Exclude<Found, 'caught'>, string>> = {
  touched: 'Sprung, hair in it',
  sprung: 'Sprung empty',
  meddled: 'Knocked or plugged',
  frozen: 'Frozen in',
  outside: 'Outside its levels',
  untouched: 'Untouched',
};

/** The water of a morning: `Water 3 in down. Ice 1 in.` */
export function morningText({ levels, ice }: Pick<Lesson, 'levels' | 'ice'>, system: System): string {
  const level = levels.pond ?? 0;
  const stands = Math.abs(level) < 0.006 ? 'Water as it was' : `Water ${printLength(Math.abs(level), system)} ${level < 0 ? 'down' : 'up'}`;
  return `${stands}.${ice > 0.005 ? ` Ice ${printLength(ice, system)}.` : ''}`;
}

const AGE_OF_SIGN: Readonly<Record<Freshness, string>> = { hours: 'hours old', days: 'days old', weeks: 'weeks old', old: 'old' };

/** The sign of a place as it lies there, without what it means: that is to be learned. */
export const signText = (signs: readonly FoundSign[]): string =>
  signs.length === 0
    ? 'No sign.'
    : `${capital(signs.map((s) => `${signKind(s.kind).label.replace(/^fresh /, '')}, ${AGE_OF_SIGN[s.freshness]}`).join('; '))}.`;

/** What tracks of a morning tell. */
export const tracksText = (went: 'by' | 'round'): string => (went === 'round' ? 'fresh tracks that go round the set' : 'fresh tracks');

/** The outcome in two sentences: what was caught against what a plain plan catches, and who is left. */
export function outcomeText({ lived, caught, left, plain }: Debrief): string {
  const range = plain.low === plain.high ? String(plain.low) : `${plain.low} to ${plain.high}`;
  const here = AGES.filter((age) => left[age] > 0).map((age) => (left[age] === 1 ? `1 ${age}` : `${left[age]} ${SEVERAL[age]}`));
  const rest = here.length === 0 ? 'Nobody is left.' : `Left: ${here.join(', ')}.`;
  return `${caught} of ${lived} caught; a plain set at each place in use, made on the first day, catches ${range} here in four seasons of five. ${rest}`;
}

/** What those that are left have learned from you. */
export function shyText({ shy, left }: Debrief): string {
  if (AGES.every((age) => left[age] === 0)) return '';
  const known = (Object.entries(shy) as [Gear, number][]).filter(([, chance]) => chance >= 0.1).sort((a, b) => b[1] - a[1]);
  if (known.length === 0) return 'They learned nothing from you.';
  return `Those left turn from ${known.map(([gear, chance]) => `${CLASS_SEVERAL[gear]} ${oddsOf(chance)}`).join(', from ')}.`;
}

/** What one place tells in the end. */
export function placeText({ used, passes, idle, turned, caught, nights }: PlaceTold): string {
  const went = passes === 0 ? 'nobody came by' : `${many(passes, 'pass', 'passes')}`;
  if (!used)
    return nights > 0
      ? `Left long ago: ${went}, and a set stood here ${many(nights, 'night')}.`
      : `Left long ago: ${went}. Rightly let alone.`;
  if (nights === 0) return `In use: ${went}, and no set.`;
  const why = [
    caught > 0 ? `${caught} caught` : '',
    turned > 0 ? `${turned} turned away` : '',
    idle > 0 ? `${idle} while the set stood outside its levels or in ice` : '',
  ].filter(Boolean);
  return `In use: ${went} in ${many(nights, 'night')}${why.length > 0 ? `, ${why.join(', ')}` : ', nothing touched'}.`;
}

/** Whether a place costs the player something he could have read. */
export const isLesson = ({ used, passes, idle, nights }: PlaceTold): boolean => (used ? nights === 0 || idle > passes / 3 : nights > 0);

/** What does not fit any more today. */
export const fullDayText = (minutes: number, of: number): string => `Takes ${minutes} minutes: ${Math.max(0, of)} are left of the day.`;

const DID: Readonly<Record<Exclude<Event['did'], 'passed'>, string>> = {
  caught: 'was caught',
  touched: 'was struck and got off',
  sprung: 'sprang the trap unhurt',
  meddled: 'knocked it over',
  turned: 'turned away',
  over: 'passed while the set stood outside its levels',
  frozen: 'passed a set frozen in',
  leak: 'found the leak',
  mended: 'closed the leak',
};

/** One night as the animals lived it, by the hour; who only passed is counted. @param who the age of an animal @param where the name of a place */
export function nightStory(events: readonly Event[], who: (id: number) => string, where: (ground: string) => string): string[] {
  const told = events.flatMap(({ did, hour, animal, ground }) => {
    if (did === 'passed') return [];
    const subject = animal === null ? 'They' : capital(an(who(animal)));
    return [
      `${subject} ${DID[did]}${ground === null ? '' : ` at the ${where(ground)}`}, ${hour === 0 ? 'at dusk' : `${many(hour, 'hour')} after dusk`}.`,
    ];
  });
  const passed = events.filter((e) => e.did === 'passed').length;
  return [
    ...told,
    ...(passed > 0 ? [`${capital(many(passed, 'pass', 'passes'))} that touched nothing.`] : []),
    ...(events.length === 0 ? ['Nobody came by.'] : []),
  ];
}
