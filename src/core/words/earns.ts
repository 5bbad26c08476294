import { perHour, type Ratio } from '../effort/compare';

const round = (n: number): string => (n < 9.95 ? n.toFixed(1) : n.toFixed(0));

/** Catches an hour of work: `0.8 (0.3 to 1.6)`; one side where nothing was caught. */
export function hourText(caught: number, minutes: number): string {
  const found = perHour(caught, minutes);
  if (!found) return 'no work yet';
  return caught === 0 ? `at most ${round(found.high)}` : `${round(found.rate)} (${round(found.low)} to ${round(found.high)})`;
}

/** How it stands beside all the others, or that they cannot be told apart. */
export function againstText(against: Ratio | null): string {
  if (!against) return 'nothing to compare';
  const { low, high } = against;
  if (low > 1) return Number.isFinite(high) ? `${round(low)} to ${round(high)} times as often` : `${round(low)} times as often, at least`;
  if (high < 1) return `less often: ${round(low)} to ${round(high)} times`;
  return 'cannot tell apart';
}
