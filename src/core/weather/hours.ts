/** The weather of one hour at a place. */
export interface WeatherHour {
  /** begin of the hour, ms */
  at: number;
  /** °C */
  temperature: number;
  /** m/s, and the degrees it comes from */
  wind: number;
  from: number;
  /** mm of rain, cm of new snow */
  rain: number;
  snow: number;
}

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** The first of rising hours that ends after a time. */
function firstAfter(hours: readonly WeatherHour[], at: number): number {
  let [low, high] = [0, hours.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((hours[middle] as WeatherHour).at + HOUR <= at) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Hours that touch a time, each with the share of it that does; hours are in the order of time. */
function within(hours: readonly WeatherHour[], from: number, to: number): [WeatherHour, number][] {
  const found: [WeatherHour, number][] = [];
  for (let i = firstAfter(hours, from); i < hours.length; i += 1) {
    const hour = hours[i] as WeatherHour;
    const share = (Math.min(hour.at + HOUR, to) - Math.max(hour.at, from)) / HOUR;
    if (share <= 0) break;
    found.push([hour, share]);
  }
  return found;
}

/** Hours that the weather told ends in and that go on as it was. [practice] */
const GOES_ON = 48;

/** Hours as far as a time: where the telling ends, the cold of its last two days goes on, dry. Left as they are where under a day was told. [practice] */
export function carriedOn(hours: readonly WeatherHour[], until: number): readonly WeatherHour[] {
  const last = hours.at(-1);
  if (!last || last.at + HOUR >= until) return hours;
  const own = hours.slice(firstAfter(hours, last.at + HOUR - GOES_ON * HOUR));
  if (own.length < 24) return hours;
  const more = Math.ceil((until - last.at) / HOUR) - 1;
  return [
    ...hours,
    ...Array.from({ length: more }, (_, i): WeatherHour => ({
      ...(own[i % own.length] as WeatherHour),
      at: last.at + (i + 1) * HOUR,
      rain: 0,
      snow: 0,
    })),
  ];
}

/** Frost of a time, °C·days: every hour under 0 °C counts with its cold. */
export const freezingDegreeDays = (hours: readonly WeatherHour[], from: number, to: number): number =>
  within(hours, from, to).reduce((sum, [h, share]) => sum + (Math.max(0, -h.temperature) * share) / 24, 0);

/** Warmth of a time over 0 °C, °C·days. */
export const thawingDegreeDays = (hours: readonly WeatherHour[], from: number, to: number): number =>
  within(hours, from, to).reduce((sum, [h, share]) => sum + (Math.max(0, h.temperature) * share) / 24, 0);

/** Rain of a time, mm. */
export const rainOf = (hours: readonly WeatherHour[], from: number, to: number): number =>
  within(hours, from, to).reduce((sum, [h, share]) => sum + h.rain * share, 0);

/** New snow of a time, cm. */
export const snowOf = (hours: readonly WeatherHour[], from: number, to: number): number =>
  within(hours, from, to).reduce((sum, [h, share]) => sum + h.snow * share, 0);

/** The coldest hour of a time, °C; null when none of it is known. */
export function coldest(hours: readonly WeatherHour[], from: number, to: number): number | null {
  const known = within(hours, from, to).map(([h]) => h.temperature);
  return known.length === 0 ? null : Math.min(...known);
}

/** Hours of a time of which nothing is known, h. */
export const unknownHours = (hours: readonly WeatherHour[], from: number, to: number): number =>
  Math.max(0, (to - from) / HOUR - within(hours, from, to).reduce((sum, [, share]) => sum + share, 0));

export interface WeatherDay {
  /** begin of the day, ms */
  at: number;
  low: number;
  high: number;
  rain: number;
  snow: number;
  frost: number;
  /** the strongest hour, m/s */
  wind: number;
}

/** Days of 24 hours from a time on, those of which something is known. */
export function daysOf(hours: readonly WeatherHour[], from: number, days: number): WeatherDay[] {
  return Array.from({ length: days }, (_, i) => from + i * DAY).flatMap((at): WeatherDay[] => {
    const told = within(hours, at, at + DAY).map(([h]) => h);
    if (told.length === 0) return [];
    const own = told.map((h) => h.temperature);
    return [
      {
        at,
        low: Math.min(...own),
        high: Math.max(...own),
        rain: rainOf(hours, at, at + DAY),
        snow: snowOf(hours, at, at + DAY),
        frost: freezingDegreeDays(hours, at, at + DAY),
        wind: Math.max(...told.map((h) => h.wind)),
      },
    ];
  });
}

/** A stretch of hours as one station told it at a time; hours after `made` are what it expected. */
export interface WeatherStretch {
  made: number;
  hours: readonly WeatherHour[];
}

/** Begins of the hours that a station told after they were over; what was only expected may be told anew. */
export const observed = (stretches: readonly WeatherStretch[]): Set<number> =>
  new Set(stretches.flatMap(({ made, hours }) => hours.filter((h) => h.at + HOUR <= made).map((h) => h.at)));

/** One list of hours out of all stretches: of an hour told twice the later telling stands. */
export function merged(stretches: readonly WeatherStretch[]): WeatherHour[] {
  const found = new Map<number, WeatherHour>();
  for (const { hours } of [...stretches].sort((a, b) => a.made - b.made)) for (const hour of hours) found.set(hour.at, hour);
  return [...found.values()].sort((a, b) => a.at - b.at);
}
