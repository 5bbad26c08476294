import { levelAt } from './levelAt';
import type { Reading } from './series';
import type { Water } from './state';

/** What the readings of a water's gauges say of its surfaces at a moment. */
export function waterAt(gauges: { id: string; surface: 'pond' | 'tail' }[], readings: Record<string, Reading[]>, at: Date): Water {
  const water: Water = { known: {}, age: {}, atMost: {} };
  for (const { id, surface } of gauges) {
    const level = levelAt(
      (readings[id] ?? []).filter((r) => r.at <= at),
      at,
    );
    if (level.how === 'unknown') continue;
    water.known[surface] = level.level;
    water.age[surface] = level.how === 'carried' ? level.age : 0;
    water.atMost[surface] = level.how === 'carried' && level.atMost;
  }
  return water;
}
