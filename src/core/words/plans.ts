import type { AFTER_A_MISS, BREAKS, FROSTS, KNOWN_GEAR, PACES, PickedPlan } from '../colony/plans';
import { whatShows, type Against, type MeasureOf } from '../sim/colony/seasons';
import type { Gear } from '../sim/colony/rules';
import type { Night, Season } from '../sim/colony/trapline';
import { many } from '../units/many';
import { inches, type System } from '../units/factors';
import { printLength } from '../units/length';
import { capital } from './say';

export const GEAR_WORDS: Readonly<Record<Gear, string>> = { bodyGrip: 'body-grips', foothold: 'footholds', snare: 'snares' };
export const PACE_WORDS: Readonly<Record<(typeof PACES)[number], string>> = { all: 'all at once', two: 'two a day', one: 'one a day' };
export const BREAK_WORDS: Readonly<Record<(typeof BREAKS)[number], string>> = {
  none: 'left whole',
  small: 'two small breaks',
  wide: 'a wide break',
};
export const MISS_WORDS: Readonly<Record<(typeof AFTER_A_MISS)[number], string>> = {
  same: 'remade as it was',
  bodyGrip: 'a body-grip instead',
  foothold: 'a foothold instead',
  snare: 'a snare instead',
};
export const FROST_WORDS: Readonly<Record<(typeof FROSTS)[number], string>> = {
  none: 'none',
  late: 'from about the eighth night',
  early: 'from about the third night',
};
export const KNOWN_WORDS: Readonly<Record<(typeof KNOWN_GEAR)[number], string>> = {
  practice: 'as practice has it: mostly nothing',
  nothing: 'nothing',
  bodyGrip: 'body-grips',
  foothold: 'footholds',
  snare: 'snares',
};
export const MEASURE_WORDS: Readonly<Record<MeasureOf, string>> = {
  caught: 'Caught',
  left: 'Left at the end',
  missed: 'Struck and not held',
  minutes: 'Minutes of work',
};

/** A plan in a few words: `6 body-grips, all at once`. */
export function planText({ gear, traps, pace, breaks, every, miss }: PickedPlan): string {
  const rest = [
    breaks === 'none' ? '' : BREAK_WORDS[breaks],
    every === 1 ? '' : `checked every ${many(every, 'night')}`,
    miss === 'same' ? '' : `after a miss ${MISS_WORDS[miss]}`,
  ].filter(Boolean);
  const words = traps === 1 ? GEAR_WORDS[gear].replace(/s$/, '') : GEAR_WORDS[gear];
  return [`${traps} ${words}, ${traps === 1 ? 'alone' : PACE_WORDS[pace]}`, ...rest].join(', ');
}

const share = (chance: number): string => `${Math.round(chance * 100)} in 100`;

/** Whether the plans differ, and whether one season could show it. @param names of the two */
export function againstText(found: Against, [first, second]: readonly [string, string]): string {
  const { first: a, second: b, even } = found;
  const [ahead, chance] = a >= b ? [first, a] : [second, b];
  switch (whatShows(found)) {
    case 'none':
      return 'No difference, not even over all these seasons.';
    case 'first':
    case 'second':
      return `The ${ahead} is better, and one season mostly shows it: ${share(chance)}.`;
    case 'not in one':
      return `No difference that one season could show: the ${ahead} comes out better in ${share(chance)}, even in ${share(even)}.`;
  }
}

/** What the model is, and what it leaves out. */
export const LEAVES_OUT =
  'A model with rules of thumb of our own. It leaves out other animals, newcomers from other waters, sets made through the ice, theft, a hand that slips, and what only your pond has. It compares plans; it does not foretell yours.';

/** A season in a sentence: `5 of 7 caught, the last in night 9 of 12; 2 left.` */
export function seasonText({ lived, caught, left, went, last, nights }: Season): string {
  const when =
    last === null
      ? `none of ${lived} caught in ${many(nights.length, 'night')}`
      : `${caught} of ${lived} caught, the last in night ${last} of ${nights.length}`;
  const gone = went > 0 ? `, ${went} gone by themselves` : '';
  return `${capital(when)}; ${left === 0 ? 'none' : left} left${gone}.`;
}

/** What matters of a night: catches, misses, refusals, leaks; else how many passed. */
export function nightText(
  { events, minutes, looked, owed, levels, ice }: Night,
  places: Readonly<Record<string, string>>,
  system: System,
): string {
  const told = SAID.flatMap((did) => {
    const own = events.filter((e) => e.did === did);
    if (own.length === 0) return [];
    const where = [...new Set(own.flatMap((e) => (e.ground ? [places[e.ground] ?? e.ground] : [])))];
    return [`${own.length === 1 ? '' : `${own.length} `}${NIGHT_WORDS[did]}${where.length > 0 ? ` (${where.join(', ')})` : ''}`];
  });
  const passed = events.filter((e) => e.did === 'passed').length;
  if (told.length === 0) told.push(passed > 0 ? `${many(passed, 'pass', 'passes')}, nothing touched` : 'nobody came by');
  const work = looked ? ` ${minutes} minutes before it${owed > 0 ? `, ${many(owed, 'stop')} left undone` : ''}.` : '';
  return `${capital(told.join('; '))}.${waterText(levels, ice, system)}${work}`;
}

/** Less than this is not told of, m. */
const TOLD = inches(2);

function waterText(levels: readonly number[], ice: number, system: System): string {
  const [low, high] = [Math.min(...levels), Math.max(...levels)];
  const moved =
    low < -TOLD
      ? ` Water down to ${printLength(-low, system)} under rest.`
      : high > TOLD
        ? ` Water up to ${printLength(high, system)} over rest.`
        : '';
  return `${moved}${ice > 0.005 ? ` Ice ${printLength(ice, system)}.` : ''}`;
}

const SAID = ['caught', 'touched', 'sprung', 'meddled', 'turned', 'over', 'frozen', 'mended'] as const;
const NIGHT_WORDS: Readonly<Record<(typeof SAID)[number], string>> = {
  caught: 'caught',
  touched: 'struck and got off',
  sprung: 'sprung empty',
  meddled: 'knocked or plugged',
  turned: 'turned away',
  over: 'passed outside the levels of the set',
  frozen: 'passed a set frozen in',
  mended: 'leak closed',
};
