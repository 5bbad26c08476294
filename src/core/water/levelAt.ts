import { exactOf, GAP, type Reading } from './series';

/** A reading that a level rests on. */
export type Look = Pick<Reading, 'at' | 'level' | 'by'>;

/**
 * The level of a surface at an instant, m in the water's datum, and how it is known: read then, on the line between two readings,
 * carried forward from the last one, or not at all.
 */
export type LevelAt =
  | { how: 'read'; level: number; reading: Look }
  | { how: 'between'; level: number; before: Look; after: Look }
  /** `atMost`: the level is an upper bound, since a set was seen standing dry after the gauge was read */
  | { how: 'carried'; level: number; reading: Look; age: number; atMost: boolean }
  | { how: 'unknown' };

export const UNKNOWN: LevelAt = { how: 'unknown' };

/**
 * The one answer to what level a surface had at an instant. Between two readings over 48 h apart the way the water took is not known:
 * the earlier one is carried forward with its age.
 */
export function levelAt(readings: readonly Reading[], at: Date): LevelAt {
  const known = exactOf(readings);
  const next = known.findIndex((r) => r.at > at);
  const before = next === -1 ? known.at(-1) : known[next - 1];
  const after = next === -1 ? undefined : known[next];
  const bound = readings
    .filter((r) => r.bound === 'atMost' && r.at <= at && (!before || r.at > before.at))
    .sort((a, b) => a.level - b.level)[0];
  if (!before) return bound ? carried(bound, at) : UNKNOWN;
  if (before.at.getTime() === at.getTime()) return { how: 'read', level: before.level, reading: before };
  if (after && after.at.getTime() - before.at.getTime() <= GAP) {
    const share = (at.getTime() - before.at.getTime()) / (after.at.getTime() - before.at.getTime());
    return { how: 'between', level: before.level + share * (after.level - before.level), before, after };
  }
  return carried(bound && bound.level < before.level ? bound : before, at);
}

const carried = (reading: Reading, at: Date): LevelAt => ({
  how: 'carried',
  level: reading.level,
  reading,
  age: at.getTime() - reading.at.getTime(),
  atMost: reading.bound === 'atMost',
});

/** The level alone; null when nothing is known. */
export const elevationAt = (readings: readonly Reading[], at: Date): number | null => {
  const found = levelAt(readings, at);
  return found.how === 'unknown' ? null : found.level;
};

/** A surface at a moment that something was measured from. */
export interface Moment {
  water: string;
  surface: 'pond' | 'tail';
  at: string | Date;
}

/** Where surfaces stood at the moments that matter: for each, what the readings of its gauge say. */
export interface Surfaces {
  at: (water: string, surface: 'pond' | 'tail', at: string | Date) => LevelAt;
  /** elevation of what a gauge shows at a moment, m; the figure itself where no gauge hangs */
  elevation: (water: string, surface: 'pond' | 'tail', at: string | Date, shown: number) => number;
}

/** The surfaces of a water at an instant as levels that are known. */
export function knownAt(surfaces: Surfaces, water: string, at: string | Date): Partial<Record<'pond' | 'tail', number>> {
  const known: Partial<Record<'pond' | 'tail', number>> = {};
  for (const surface of ['pond', 'tail'] as const) {
    const found = surfaces.at(water, surface, at);
    if (found.how !== 'unknown') known[surface] = found.level;
  }
  return known;
}
