import { takesBeside, type Took } from '../counting/bySort';
import { CLASS_WORDS } from '../devices/sizes';
import { shortestRun, type Left, type LeftEvidence } from '../counting/left';
import type { Settles } from '../counting/decide';
import { many } from '../units/many';

/** A chance as odds in small numbers, never said higher than it is: `four in five`. */
const ODDS: readonly (readonly [least: number, said: string])[] = [
  [0.98, 'forty-nine in fifty'],
  [0.95, 'nineteen in twenty'],
  [0.9, 'nine in ten'],
  [5 / 6, 'five in six'],
  [0.8, 'four in five'],
  [0.75, 'three in four'],
  [2 / 3, 'two in three'],
  [0.5, 'one in two'],
  [0.4, 'two in five'],
  [1 / 3, 'one in three'],
  [0.25, 'one in four'],
  [0.2, 'one in five'],
  [0.1, 'one in ten'],
];
export const oddsOf = (chance: number): string => ODDS.find(([least]) => chance >= least - 1e-9)?.[1] ?? 'less than one in ten';

/** From how sure on that nobody is left nobody asks who. [practice] */
const ALL_GONE = 0.8;

/** A run that wide tells nothing. */
const WIDE = 6;

/** How many are left in one sentence, with its odds, or that it cannot be told. */
export function leftText({ chances, moved, caught, nights }: Left): string {
  const run = shortestRun(chances, 0.8);
  if (run.high - run.low >= WIDE) {
    const wide = shortestRun(chances, 0.95);
    const fits = `${wide.low} to ${wide.high} left`;
    return nights === 0
      ? `Cannot tell: what was seen fits any number from ${fits}.`
      : `Cannot tell: ${many(caught, 'catch', 'catches')} in ${many(nights, 'night')} fit any number from ${fits}.`;
  }
  const none = chances[0] ?? 0;
  if (run.high === 0) {
    const why = moved > none / 2 && caught > 0 ? ' The rest may have left the water.' : '';
    return `${caught === 0 ? 'Nobody home' : 'Nobody left'}, ${oddsOf(run.holds)}.${why}`;
  }
  const range = (low: number, high: number): string => (low === high ? String(low) : `${low} to ${high}`);
  if (run.low === 0) return `Gone, or ${range(1, run.high)} left: gone is as likely as ${oddsOf(none)}.`;
  return `${range(run.low, run.high)} left, ${oddsOf(run.holds)}.`;
}

/** How many adults and how many young are left, each with its odds; empty where nothing tells them apart. */
export function agesText({ ages, chances }: Left): string {
  if (!ages || (chances[0] ?? 0) >= ALL_GONE) return '';
  const of = (who: string, own: readonly number[]): string => {
    const run = shortestRun(own, 0.8);
    if (run.high - run.low >= WIDE) return `${who}: cannot tell`;
    if (run.high === 0) return `${who}: none, ${oddsOf(run.holds)}`;
    return `${who}: ${run.low === run.high ? run.low : `${run.low} to ${run.high}`}, ${oddsOf(run.holds)}`;
  };
  return `${of('Adults left', ages.adults)}; ${of('young', ages.young)}.`;
}

const SETTLES: Readonly<Record<Settles['by'], (nights: string) => string>> = {
  camera: (nights) => `${nights} before a camera without one`,
  break: (nights) => `${nights} of an open break that nobody mends`,
  traps: (nights) => `${nights} of the traps as they stand without a touch`,
};

/** What would settle it soonest, in a sentence. @param clear from how sure on it is called done, 0 to 1 */
export function settlesText(ways: readonly Settles[], clear: number): string {
  if (ways.length === 0) return '';
  const all = ways.map(({ by, nights }) => SETTLES[by](many(nights, 'night')));
  return `To be ${oddsOf(clear)} sure that none is left: ${all.join('; or ')}.`;
}

/** What is held for and against any being left, beside catches and signs. */
export function heldText({ nights, quiet, unmended, mended, bitten, moved }: LeftEvidence): string[] {
  const worked = nights.reduce((sum, n) => sum + n.effort, 0);
  const told: [boolean, string][] = [
    [worked > 0, `${many(Math.round(worked), 'trap-night')} in range, what they shy from and what does not work counted less`],
    [mended, 'somebody mended after the last catch: one at least is left'],
    [bitten, 'the last one caught had fresh bites: another was near (rule of thumb)'],
    [unmended !== null && unmended > 0, `a break stayed open for ${many(unmended ?? 0, 'night')} since the last catch`],
    [quiet > 0, `a camera watched ${many(quiet, 'night')} without one since the last catch`],
    [moved >= 0.5, 'its freshest sign is old: they may have left the water (rule of thumb)'],
  ];
  return told.flatMap(([holds, said]) => (holds ? [said] : []));
}

/** So near to 1 no sort of trap is said to take more than another. */
const ALIKE = 0.05;

/** What sorts of trap take beside each other, and from how much that is known. @param sorts what each took of the animal elsewhere */
export function sortsText(sorts: readonly Took[]): string {
  const takes = takesBeside(sorts);
  const told = sorts.filter(({ device }) => Math.abs((takes[device] ?? 1) - 1) >= ALIKE);
  if (sorts.length < 2 || told.length === 0)
    return 'a night of any trap counts alike: your sets elsewhere do not tell sorts of trap apart (rule of thumb)';
  const each = told.map(
    ({ device, caught, nights }) =>
      `${CLASS_WORDS[device]} ${(takes[device] ?? 1).toFixed(1)} (${caught} in ${many(Math.round(nights), 'night')})`,
  );
  return `a night of each sort counts by what it took in your sets elsewhere, beside all of them: ${each.join(', ')}`;
}
