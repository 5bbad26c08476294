import { getTimes } from 'suncalc';
import { addDays, instantOf } from './localTime';

/** Where a line lies, degrees, WGS84; null where nobody said so yet. */
export interface Place {
  lat: number | null;
  lon: number | null;
}

export const isPlaced = ({ lat, lon }: Place): boolean => lat !== null && lon !== null;

/** The light of one local date; a field is null where the sun does not do that on that day, or the place is not known. */
export interface SunDay {
  dawn: Date | null;
  sunrise: Date | null;
  sunset: Date | null;
  dusk: Date | null;
}

/**
 * Civil dawn, sunrise, sunset and civil dusk of a local date.
 *
 * @param date local date, ISO
 * @source the package suncalc 2, tested within 60 s of astronomy-engine
 */
export function sunOf(date: string, zone: string, { lat, lon }: Place): SunDay {
  if (lat === null || lon === null) return { dawn: null, sunrise: null, sunset: null, dusk: null };
  const times = getTimes(instantOf(date, '12:00', zone), lat, lon);
  return { dawn: times.dawn, sunrise: times.sunrise, sunset: times.sunset, dusk: times.dusk };
}

/** The last light of a local date by the user's rule: `after` minutes behind sunset; falls back to the day's end in polar night. */
export function lastLight(date: string, zone: string, place: Place, after: number): Date {
  const sunset = sunOf(date, zone, place).sunset;
  return sunset ? new Date(sunset.getTime() + after * 60_000) : instantOf(addDays(date, 1), '00:00', zone);
}
