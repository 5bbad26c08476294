import { dayText, hourText, type Clock } from '#core/time/clock';
import { wallOf } from '#core/time/localTime';

/** Marks of a slider over some days: every six hours of the clock, the date at midnight. */
export function quarterDays(now: number, most: number, clock: Clock): { minutes: number; text: string }[] {
  const wall = (at: Date): string => wallOf(at, clock.zone).clock;
  const [hour = 0, minute = 0] = wall(new Date(now)).split(':').map(Number);
  const first = 360 - ((hour * 60 + minute) % 360);
  const every = most > 2160 ? 720 : 360;
  const start = every === 720 && (hour < 6 || (hour >= 12 && hour < 18)) ? first + 360 : first;
  return Array.from({ length: Math.max(0, Math.floor((most - start) / every) + 1) }, (_, n) => {
    const minutes = start + n * every;
    const at = new Date(now + minutes * 60_000);
    return { minutes, text: wall(at) === '00:00' ? dayText(at, clock) : hourText(at, clock) };
  });
}
