import { clockText, dayText, localDate } from '#core/time/localTime';

/** A time as it is told on a page: the clock alone when it is of today. */
export function whenShort(at: number, now: number, zone: string): string {
  const when = new Date(Math.round(at / 60_000) * 60_000);
  return localDate(when, zone) === localDate(new Date(now), zone)
    ? clockText(when, zone)
    : `${dayText(when, zone)} ${clockText(when, zone)}`;
}
