import type { CheckPlace } from '#lib/check/checkForm';
import { surfacesAt } from './surfaces';
import { takenAtChecks } from './usedUp';

/** What a form of a check is read against: the season, what the shed has, and the levels of whatever moment it names. */
export async function checkPlace(of: Pick<CheckPlace, 'season' | 'set' | 'view'>, { who, now }: App.Locals): Promise<CheckPlace> {
  const supplies = await takenAtChecks({ who, now });
  return { ...of, who, now, supplies, surfacesAt: (moments) => surfacesAt(of.season.gauges, moments) };
}
