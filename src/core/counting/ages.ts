import type { AGE_CLASSES } from '../animals/species';
import type { Count } from './nights';

/** What is known of adults (and two-year-olds) and of young (yearlings and kits) apart. */
export interface AgesMet {
  /** caught, of those whose age was told */
  adults: number;
  young: number;
  /** no fewer of each lived there: seen at once, or caught */
  leastAdults: number;
  leastYoung: number;
}

export const NO_AGES: AgesMet = { adults: 0, young: 0, leastAdults: 0, leastYoung: 0 };

type Age = (typeof AGE_CLASSES)[number];
const isYoung = (age: Age): boolean => age === 'yearling' || age === 'kit';
const isKnown = (age: Age): boolean => age !== 'unknown';

/** What cameras and catches tell of adults and young. @param all ages of what was caught @param since of these, what was caught after the first picture */
export function agesMet({ sizes }: Pick<Count, 'sizes'>, all: readonly Age[], since: readonly Age[]): AgesMet {
  const young = all.filter(isYoung).length;
  const adults = all.filter(isKnown).length - young;
  const [youngSince, unknown] = [since.filter(isYoung).length, since.filter((age) => !isKnown(age)).length];
  const still = (seen: number, caught: number): number => Math.max(0, seen - caught - unknown);
  return {
    adults,
    young,
    leastAdults: adults + still(sizes.large ?? 0, since.length - unknown - youngSince),
    leastYoung: young + still((sizes.middle ?? 0) + (sizes.small ?? 0), youngSince),
  };
}

/** How likely 0, 1, 2 ... adults live in a family: a pair mostly. [practice] */
const ADULTS = [0.02, 0.13, 0.65, 0.14];
/** Each one more is so much rarer, and never impossible: not every age is told rightly. [practice] */
const RARER = 0.3;
const MOST = 60;
const IN_A_FAMILY = Array.from({ length: MOST }, (_, n) => ADULTS[n] ?? (ADULTS.at(-1) ?? 0) * RARER ** (n - ADULTS.length + 1));
/** So many are more than one family. [practice] */
const FAMILY = 9;

const sumOf = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const both = (a: readonly number[], b: readonly number[]): number[] =>
  Array.from({ length: a.length + b.length - 1 }, (_, n) => sumOf(a.map((odds, i) => odds * (b[n - i] ?? 0))));

const usualOf: number[][] = [];
/** How likely 0, 1, 2 ... adults live among so many animals. */
function usualAdults(animals: number): number[] {
  const families = Math.max(1, Math.ceil(animals / FAMILY));
  for (let n = usualOf.length; n <= families; n += 1) usualOf.push(n === 0 ? [1] : both(usualOf[n - 1] ?? [1], IN_A_FAMILY).slice(0, MOST));
  const odds = Array.from({ length: animals + 1 }, (_, n) => usualOf[families]?.[n] ?? 0);
  const total = sumOf(odds);
  return odds.map((own) => own / total);
}

const logs: number[] = [0];
const logFactorial = (n: number): number => {
  for (let i = logs.length; i <= n; i += 1) logs.push((logs[i - 1] ?? 0) + Math.log(i));
  return logs[n] ?? 0;
};
const choose = (n: number, k: number): number => (k < 0 || k > n ? 0 : Math.exp(logFactorial(n) - logFactorial(k) - logFactorial(n - k)));

/** Of `drawn` out of `all`, the chance that `met` are of the `own`. @source hypergeometric distribution */
export const drawnOf = (all: number, own: number, drawn: number, met: number): number =>
  (choose(own, met) * choose(all - own, drawn - met)) / choose(all, drawn);

/** Of each number of adults that can have lived among so many animals, how likely it is with what was met; together the chance of what was met. */
function adultsAmong(animals: number, { adults, young, leastAdults, leastYoung }: AgesMet): number[] {
  return usualAdults(animals).map((odds, n) =>
    n < leastAdults || animals - n < leastYoung ? 0 : odds * drawnOf(animals, n, adults + young, adults),
  );
}

/** How likely is what was met of adults and young, where so many animals lived: 0 to 1. Old and young are taken alike. [practice] */
export const likelyAges = (animals: number, met: AgesMet): number => sumOf(adultsAmong(animals, met));

/**
 * Of so many that are left of so many animals, how likely 0, 1, 2 ... are adults. Those that were caught without an age told, and those left,
 * are alike in what is known of them.
 */
export function adultsLeft(animals: number, left: number, met: AgesMet): number[] {
  const lived = adultsAmong(animals, met);
  const total = sumOf(lived);
  const rest = animals - met.adults - met.young;
  return Array.from({ length: left + 1 }, (_, n) =>
    total > 0 ? lived.reduce((sum, chance, adults) => sum + (chance / total) * drawnOf(rest, adults - met.adults, left, n), 0) : 0,
  );
}
