import type { CameraEvent } from '../counting/nights';
import { seeded } from './random';

/** A family before a simulated camera: who lives there, and how often one passes in a night. */
export interface Family {
  species: string;
  large: number;
  middle: number;
  small: number;
  passes: number;
}

const HOUR = 3_600_000;

/** Events of one simulated night from sunset to sunrise, most of them in the hours after dusk and before dawn. Stands in for a trail camera. */
export function simulateNight(seed: number, sunset: Date, sunrise: Date, family: Family): CameraEvent[] {
  const random = seeded(seed);
  const length = sunrise.getTime() - sunset.getTime();
  const passes = Math.floor(family.passes * (0.4 + 1.2 * random()));
  const sizes = (['large', 'middle', 'small'] as const).filter((size) => family[size] > 0);
  const events: CameraEvent[] = [];
  for (let n = 0; n < passes && sizes.length > 0; n += 1) {
    const share = random() < 0.65 ? (random() * 3 * HOUR) / length : random() < 0.6 ? 1 - (random() * 2 * HOUR) / length : random();
    const size = sizes[Math.floor(random() * sizes.length)] ?? 'large';
    const at = new Date(Math.round((sunset.getTime() + share * length) / 1000) * 1000);
    events.push({ at, species: family.species, count: 1 + Math.floor(random() * Math.min(3, family[size])), size });
  }
  return events.sort((a, b) => a.at.getTime() - b.at.getTime());
}
