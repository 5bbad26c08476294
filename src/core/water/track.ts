import { levelOn } from './balance';
import type { Courses } from './pondForecast';

/** A course with its band at equal steps, as it goes to the page: levels in m. */
export interface Track {
  /** ms of the first point */
  from: number;
  /** ms between two points */
  every: number;
  low: number[];
  middle: number[];
  high: number[];
}

export interface Band {
  low: number;
  middle: number;
  high: number;
}

const short = (n: number): number => Math.round(n * 1e4) / 1e4;

/** A course as a track. @param from ms of its first point, @param every s */
export function trackOf({ low, middle, high }: Courses, from: number, every = 1800): Track {
  const end = middle.at(-1)?.at ?? 0;
  const times = Array.from({ length: Math.floor(end / every) + 1 }, (_, n) => n * every);
  const at = (course: Courses['low']): number[] => times.map((s) => short(levelOn(course, s)));
  return { from, every: every * 1000, low: at(low), middle: at(middle), high: at(high) };
}

/** The end of a track, ms. */
export const endOf = ({ from, every, middle }: Track): number => from + every * (middle.length - 1);

/** Where a track stands at a time, linear between its points, its ends held. */
export function trackAt(track: Track, at: number): Band {
  const n = Math.min(Math.max((at - track.from) / track.every, 0), track.middle.length - 1);
  const [i, share] = [Math.floor(n), n - Math.floor(n)];
  const mix = (list: number[]): number => (list[i] ?? 0) + share * ((list[i + 1] ?? list[i] ?? 0) - (list[i] ?? 0));
  return { low: mix(track.low), middle: mix(track.middle), high: mix(track.high) };
}
