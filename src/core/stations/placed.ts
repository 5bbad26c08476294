import type { Body } from '../record/kinds';
import type { Surfaces } from '../water/levelAt';

type Stored = Body<'station'>;

/** A station with its elevations: what was measured at it, put where the readings of its surface say it lies. Metres in the water's datum. */
export interface Station extends Omit<Stored, 'bed' | 'crest' | 'measures' | 'across'> {
  /** depth measured, and the level it was measured under; null as a whole when either is not known */
  bed: { depth: number; level: number; at: string } | null;
  /** depth that was measured, whether or not its level is known */
  sounded: Stored['bed'];
  crest: number | null;
  measures: (Stored['measures'][number] & { level: number | null })[];
  across: (NonNullable<Stored['across']> & { level: number | null }) | null;
}

/** Puts a station where the readings say: correct one of them, or how the gauge hangs, and everything measured by it moves. */
export function placed(station: Stored, surfaces: Surfaces): Station {
  const { water, surface } = station;
  const level = (at: string, noted?: number): number | null => {
    const found = surfaces.at(water, surface, at);
    if (found.how !== 'unknown') return found.level;
    return noted === undefined ? null : surfaces.elevation(water, surface, at, noted);
  };
  const under = station.bed && level(station.bed.at, station.bed.noted);
  return {
    ...station,
    sounded: station.bed,
    bed: station.bed && under !== null ? { ...station.bed, level: under } : null,
    crest: station.crest && surfaces.elevation(water, surface, station.crest.at, station.crest.height),
    measures: station.measures.map((taken) => ({ ...taken, level: level(taken.at) })),
    across: station.across && { ...station.across, level: level(station.across.at, station.across.noted) },
  };
}

/** Elevation of the bed at a station; null when it was not measured, or under a level that is not known. */
export const bedOf = ({ bed }: Pick<Station, 'bed'>): number | null => bed && bed.level - bed.depth;

/** The moments at which something was measured at a station: its levels then are asked for. */
export const momentsOf = ({ bed, measures, across }: Stored): string[] => [
  ...(bed ? [bed.at] : []),
  ...measures.map((m) => m.at),
  ...(across ? [across.at] : []),
];
