import { inches } from '../units/factors';
import { seeded } from './random';

/** A simulated gauge board: its level morning and evening of each day, m. Stands in for a real gauge, and says so wherever it is shown. */
export interface SimulatedGauge {
  morning: number[];
  evening: number[];
}

export interface Weather {
  /** rain of each day, inches; index 0 is the first day */
  rain: number[];
}

/** Rain of a season: mostly dry days, a few wet ones, one storm on `stormDay`. */
export function simulateWeather(seed: number, days: number, stormDay: number): Weather {
  const random = seeded(seed);
  const rain = Array.from({ length: days }, (_, day) => (day === stormDay ? 1.9 : random() < 0.25 ? Math.round(random() * 40) / 100 : 0));
  return { rain };
}

/** A pond behind a dam: it holds its height, rises a little with rain, and falls through a break in the night before the last day. */
export function simulatePond(seed: number, weather: Weather, start: number, lastDrop: number): SimulatedGauge {
  const random = seeded(seed);
  const days = weather.rain.length;
  const morning: number[] = [];
  const evening: number[] = [];
  let level = start;
  for (let day = 0; day < days; day += 1) {
    level += inches((random() - 0.5) * 0.6 + (weather.rain[day] ?? 0) * 0.7) + (start - level) * 0.25;
    morning.push(level);
    evening.push(level + inches((random() - 0.5) * 0.4));
  }
  const last = evening[days - 2] ?? start;
  morning[days - 1] = last - lastDrop;
  evening[days - 1] = last - lastDrop - inches(1);
  return { morning, evening };
}

/** A stream: rain lifts it by inches a day and it falls back by a third of the rise each day. */
export function simulateStream(seed: number, weather: Weather, base: number, response: number): SimulatedGauge {
  const random = seeded(seed);
  const morning: number[] = [];
  const evening: number[] = [];
  let over = 0;
  for (const rain of weather.rain) {
    over = over * 0.66 + rain * response;
    morning.push(base + over * 0.9 + inches((random() - 0.5) * 0.3));
    evening.push(base + over + inches((random() - 0.5) * 0.3));
  }
  return { morning, evening };
}
