import { many } from '../units/many';
import { rateWithLimits } from '../effort/rate';

/** What a place gave in one season. */
export interface SeasonYield {
  season: string;
  /** nights in its band, at most (where the level was not read) */
  nights: number;
  caught: number;
}

/** What a place gave, in words: catch, nights, and the rate per 100 nights with its exact 95 % limits. */
export function yieldSentence({ season, nights, caught }: SeasonYield): string {
  const rate = rateWithLimits(caught, nights);
  if (!rate) return `Season ${season}: no working night.`;
  return `Season ${season}: ${caught === 0 ? 'nothing' : caught} in ${many(Math.round(nights), 'working night')}${nights < 10 ? '' : `, ${Math.round(rate.rate)} per 100 nights (likely ${Math.round(rate.low)} to ${Math.round(rate.high)})`}.`;
}
