import { clockText, dayText, localDate } from '#core/time/localTime';

/** A time as it is told on a page: the clock alone when it is of today. */
export function whenShort(at: number, now: number, zone: string): string {
  const when = new Date(Math.round(at / 60_000) * 60_000);
  return localDate(when, zone) === localDate(new Date(now), zone)
    ? clockText(when, zone)
    : `${dayText(when, zone)} ${clockText(when, zone)}`;
}

/** Marks of a slider over some days: every six hours of the clock, the date at midnight. */
export function quarterDays(now: number, most: number, zone: string): { minutes: number; text: string }[] {
  const [hour = 0, minute = 0] = clockText(new Date(now), zone).split(':').map(Number);
  const first = 360 - ((hour * 60 + minute) % 360);
  const every = most > 2160 ? 720 : 360;
  const start = every === 720 && (hour < 6 || (hour >= 12 && hour < 18)) ? first + 360 : first;
  return Array.from({ length: Math.max(0, Math.floor((most - start) / every) + 1) }, (_, n) => {
    const minutes = start + n * every;
    const at = new Date(now + minutes * 60_000);
    const clock = clockText(at, zone);
    return { minutes, text: clock === '00:00' ? dayText(at, zone) : clock };
  });
}
