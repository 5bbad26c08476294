import { moved, type Position } from '../ground/geodesic';
import type { Wind } from '../ground/wind';
import { seeded } from './random';

/** The wind of one hour at a place: it turns slowly and freshens at noon. Stands in for a weather service. */
export function simulateWind(seed: number, at: Date): Wind {
  const day = Math.floor(at.getTime() / 86_400_000);
  const random = seeded(seed + day);
  const base = random() * 360;
  const turn = (random() - 0.5) * 90;
  const hour = at.getUTCHours() + at.getUTCMinutes() / 60;
  const speed = 0.5 + random() * 4 + 2 * Math.max(0, Math.sin(((hour - 10) / 12) * Math.PI));
  return { from: (base + (turn * hour) / 24 + 360) % 360, speed: Math.round(speed * 10) / 10 };
}

export interface Fix {
  at: Position;
  /** radius in which the true place lies in two of three fixes, m */
  within: number;
}

/** A position from the simulated receiver: the true place, off by a few metres. Stands in for a satellite receiver. */
export function simulateFix(seed: number, truth: Position): Fix {
  const random = seeded(seed);
  const within = 3 + Math.round(random() * 4);
  return { at: moved(truth, random() * 360, within * Math.sqrt(-2 * Math.log(1 - random() * 0.99)) * 0.66), within };
}
