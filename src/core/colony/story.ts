/** What is drawn of a colony: its places, its nights, and who was met where and when. */
export const MARKS = ['caught', 'other', 'met', 'mended', 'turned', 'passed', 'sign'] as const;
export type Mark = (typeof MARKS)[number];

/** One thing that happened, at a place, in a night. */
export interface Happened {
  place: string;
  /** local date of the evening */
  night: string;
  mark: Mark;
  count: number;
  /** as the cell is read out */
  said: string;
}

export interface Cell {
  night: string;
  /** device-nights in range; 0 where nothing stood, or stood out of it */
  effort: number;
  /** a set stood there, in its range or not */
  stood: boolean;
  marks: { mark: Mark; count: number; said: string }[];
}

export interface Row {
  place: string;
  name: string;
  cells: Cell[];
}

export interface Story {
  nights: string[];
  rows: Row[];
  /** device-nights in range by night, all places together */
  effort: number[];
}

interface Asked {
  nights: readonly string[];
  places: readonly { id: string; name: string }[];
  happened: readonly Happened[];
  /** of each set at a place: device-nights in range and whether it stood, by night */
  worked: readonly { place: string; effort: readonly number[]; stood: readonly boolean[] }[];
}

/** All places of a story as one row, of its own animals alone. */
export function together({ nights, rows, effort }: Story, name: string): Story {
  const cells = nights.map((night, n): Cell => {
    const here = rows.flatMap((r) => r.cells[n] ?? []);
    const marks = MARKS.filter((mark) => mark !== 'other').flatMap((mark) => {
      const alike = here.flatMap((c) => c.marks.filter((m) => m.mark === mark));
      return alike.length === 0
        ? []
        : [{ mark, count: alike.reduce((sum, m) => sum + m.count, 0), said: alike.map((m) => m.said).join('; ') }];
    });
    return { night, effort: effort[n] ?? 0, stood: here.some((c) => c.stood), marks };
  });
  return { nights, rows: rows.length === 0 ? [] : [{ place: '', name, cells }], effort };
}

/** The nights of a colony by place: a row for every place at which anything happened or stood. Alike marks of a night are one, counted. */
export function storyOf({ nights, places, happened, worked }: Asked): Story {
  const rows = places.flatMap(({ id, name }): Row[] => {
    const sets = worked.filter((w) => w.place === id);
    const own = happened.filter((h) => h.place === id);
    const cells = nights.map((night, n): Cell => {
      const here = own.filter((h) => h.night === night);
      return {
        night,
        effort: sets.reduce((sum, s) => sum + (s.effort[n] ?? 0), 0),
        stood: sets.some((s) => s.stood[n]),
        marks: MARKS.flatMap((mark) => {
          const alike = here.filter((h) => h.mark === mark);
          const count = alike.reduce((sum, h) => sum + h.count, 0);
          return count === 0 ? [] : [{ mark, count, said: [...new Set(alike.map((h) => h.said))].join('; ') }];
        }),
      };
    });
    return cells.some((c) => c.stood || c.marks.length > 0) ? [{ place: id, name, cells }] : [];
  });
  return { nights: [...nights], rows, effort: nights.map((_, n) => rows.reduce((sum, r) => sum + (r.cells[n]?.effort ?? 0), 0)) };
}

/** What was met at each place in all nights together, without mere sign; a place at which nobody was met is left out. */
export const metAtPlaces = ({ rows }: Pick<Story, 'rows'>): Record<string, { mark: Mark; count: number }[]> =>
  Object.fromEntries(
    rows.flatMap(({ place, cells }) => {
      const marks = MARKS.filter((mark) => mark !== 'sign').flatMap((mark) => {
        const count = cells.reduce((all, c) => all + c.marks.reduce((sum, m) => sum + (m.mark === mark ? m.count : 0), 0), 0);
        return count > 0 ? [{ mark, count }] : [];
      });
      return marks.length > 0 ? [[place, marks]] : [];
    }),
  );
