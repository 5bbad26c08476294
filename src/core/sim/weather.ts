import { seeded } from './random';

/** The simulated weather station: an hour as it tells it. It knows nothing of what the program calculates from it. */
export interface SimulatedHour {
  at: number;
  temperature: number;
  wind: number;
  from: number;
  rain: number;
  snow: number;
}

const HOUR = 3_600_000;
const round = (n: number, digits = 1): number => Math.round(n * 10 ** digits) / 10 ** digits;

/** The mean of each day and the rain it brings, mm; what falls in the night falls between 20 and 5 o'clock. */
export interface SimulatedDay {
  mean: number;
  rain: number;
  atNight?: boolean;
}

/**
 * Hours of a stretch of days: a daily wave around each day's mean, wind that turns slowly, rain in one spell of the day, snow when it is cold.
 *
 * @param start local midnight of the first day, ms
 */
export function simulateHours(seed: number, start: number, days: readonly SimulatedDay[]): SimulatedHour[] {
  const random = seeded(seed);
  let from = random() * 360;
  return days.flatMap((day, n) => {
    const begins = day.atNight ? 20 : 6 + Math.floor(random() * 5);
    const lasts = day.atNight ? 9 : 4 + Math.floor(random() * 6);
    const next = days[n + 1] ?? day;
    from = (from + (random() - 0.5) * 80 + 360) % 360;
    return Array.from({ length: 24 }, (_, hour): SimulatedHour => {
      const mean = day.mean + ((next.mean - day.mean) * hour) / 24;
      const temperature = mean + 3.5 * Math.cos(((hour - 14) / 12) * Math.PI) + (random() - 0.5);
      const wet = day.rain > 0 && hour >= begins && hour < Math.min(24, begins + lasts);
      const falls = wet ? day.rain / Math.min(lasts, 24 - begins) : 0;
      const cold = temperature < -0.5;
      return {
        at: start + (n * 24 + hour) * HOUR,
        temperature: round(temperature),
        wind: round(1 + random() * 2.5 + 2 * Math.max(0, Math.sin(((hour - 8) / 12) * Math.PI))),
        from: Math.round((from + hour * 1.5) % 360),
        rain: cold ? 0 : round(falls, 2),
        snow: cold ? round(falls / 10, 2) : 0,
      };
    });
  });
}

/** The same hours as the station expected them some time before: off by more the further ahead. */
export function simulateExpected(seed: number, hours: readonly SimulatedHour[], told: number): SimulatedHour[] {
  const random = seeded(seed);
  const share = 0.6 + random() * 0.8;
  const bias = (random() - 0.5) * 2;
  return hours.map((h) => {
    const ahead = Math.max(0, (h.at - told) / (24 * HOUR));
    return {
      ...h,
      temperature: round(h.temperature + bias * Math.min(1, ahead)),
      rain: round(h.rain * (1 + (share - 1) * Math.min(1, 0.4 + ahead)), 2),
      snow: round(h.snow * (1 + (share - 1) * Math.min(1, 0.4 + ahead)), 2),
    };
  });
}
