import { levelNow, type Reading } from './series';
import type { Water } from './state';

/** What the readings of a water's gauges say of its surfaces at a moment. */
export function waterAt(gauges: { id: string; surface: 'pond' | 'tail' }[], readings: Record<string, Reading[]>, at: Date): Water {
  const water: Water = { known: {}, age: {}, atMost: {} };
  for (const { id, surface } of gauges) {
    const level = levelNow(readings[id] ?? [], at);
    if (!level) continue;
    water.known[surface] = level.level;
    water.age[surface] = level.age;
    water.atMost[surface] = level.atMost;
  }
  return water;
}
