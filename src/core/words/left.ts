import { shortestRun, type Left } from '../counting/left';
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
const oddsOf = (chance: number): string => ODDS.find(([least]) => chance >= least - 1e-9)?.[1] ?? 'less than one in ten';

/** A run that wide tells nothing. */
const WIDE = 6;

/** How many are left in one sentence, with its odds, or that it cannot be told. */
export function leftText({ chances, caught, nights }: Left): string {
  const run = shortestRun(chances, 0.8);
  if (run.high - run.low >= WIDE) {
    const wide = shortestRun(chances, 0.95);
    const fits = `${wide.low} to ${wide.high} left`;
    return `Cannot tell: ${many(caught, 'catch', 'catches')} in ${many(nights, 'night')} fit any number from ${fits}.`;
  }
  if (run.high === 0) return `Nobody left, ${oddsOf(run.holds)}.`;
  const range = (low: number, high: number): string => (low === high ? String(low) : `${low} to ${high}`);
  const gone = chances[0] ?? 0;
  if (run.low === 0) return `Gone, or ${range(1, run.high)} left: gone is as likely as ${oddsOf(gone)}.`;
  return `${range(run.low, run.high)} left, ${oddsOf(run.holds)}.`;
}
