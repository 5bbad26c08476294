import type { DeviceClass } from '../devices/sizes';

/** What a sort of trap took, and how long it stood in its range for that. */
export interface Took {
  device: DeviceClass;
  caught: number;
  /** device-nights in range */
  nights: number;
}

/** So many catches it takes until a sort of trap speaks for itself half. [practice] */
const CATCHES = 4;

/**
 * What each sort of trap takes in a night beside all of them together: 1 where nothing tells them apart, drawn to 1 where few were caught.
 *
 * @source Gamma prior on a relative rate, (O + k) / (E + k): D. Clayton and J. Kaldor, Empirical Bayes estimates of age-standardized relative
 * risks, Biometrics 43 (1987), from memory
 */
export function takesBeside(all: readonly Took[]): Partial<Record<DeviceClass, number>> {
  const caught = all.reduce((sum, own) => sum + own.caught, 0);
  const nights = all.reduce((sum, own) => sum + own.nights, 0);
  if (nights === 0) return {};
  return Object.fromEntries(all.map((own) => [own.device, (CATCHES + own.caught) / (CATCHES + (caught * own.nights) / nights)]));
}
