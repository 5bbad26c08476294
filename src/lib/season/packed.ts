import { elevationOf, type Hung } from '#core/water/gauge';
import type { Reading } from '#core/water/series';

export type ReadingsByGauge = Record<string, Reading[]>;
type Board = Hung & { id: string };

/** A reading as the database packs it: many of them are read far faster in one text than as rows. */
export type Packed = [at: number, level: number, bound: Reading['bound'], by: string | null, since: number | null, doubt: number | null];
export type PackedReadings = { gauge_id: string; packed: Packed[] }[];

/** Packed readings as elevations: where the zero of each gauge lay then is added. */
export function hungOn(boards: readonly Board[], rows: PackedReadings): ReadingsByGauge {
  const hung = new Map(boards.map((g) => [g.id, g]));
  return Object.fromEntries(
    rows.map(({ gauge_id, packed }): [string, Reading[]] => {
      const board = hung.get(gauge_id);
      return [gauge_id, packed.map((row) => readingOf(row, board))];
    }),
  );
}

function readingOf([at, level, bound, by, since, doubt]: Packed, board: Board | undefined): Reading {
  const reading: Reading = { at: new Date(at), level: elevationOf(board, level, at), bound, by };
  return since === null ? reading : { ...reading, since: new Date(since), doubt };
}

/** Names a moment of a gauge. */
export const momentKey = (gauge: string, at: Date): string => `${gauge} ${at.getTime()}`;
