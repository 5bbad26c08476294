import { exactOf, type Reading } from './series';

/** Two looks this close together tell of one state of the water. [practice] */
const APART = 6 * 3_600_000;

/** What two readings say of a change: both were read. */
export interface Change {
  from: Reading;
  to: Reading;
}

/** The last reading until a moment and the latest one that was read six hours before it or earlier; null while there is nothing to compare with. */
export function changeOf(readings: readonly Reading[], now: Date): Change | null {
  const past = exactOf(readings).filter((r) => r.at <= now);
  const to = past.at(-1);
  const from = to && past.filter((r) => to.at.getTime() - r.at.getTime() >= APART).at(-1);
  return to && from ? { from, to } : null;
}
