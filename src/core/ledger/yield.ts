import { nightsSay, rateOf, rateSays } from '../effort/rate';

/** What a place gave in one season. */
export interface SeasonYield {
  season: string;
  /** hours it worked, surely and at most (where the level was not read) */
  hours: { low: number; high: number };
  caught: number;
}

/** What a place gave, in words: catch, nights, and from ten nights on the rate with its exact 95% limits. */
export function yieldSentence({ season, hours, caught }: SeasonYield): string {
  const got = caught === 0 ? 'nothing' : String(caught);
  if (hours.high <= 0) return caught === 0 ? `Season ${season}: no working night.` : `Season ${season}: ${got}, in no night that counts.`;
  return `Season ${season}: ${got} in ${nightsSay(hours)}${rateOf(caught, hours) ? `, ${rateSays(caught, hours)}` : ''}.`;
}
