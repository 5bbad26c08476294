import Papa from 'papaparse';
import { stamp, type Exchange } from '#core/formats/exchange';
import { toWkt } from '#core/formats/wkt';

/** A leading = + - @ would be run by a spreadsheet as a formula: it gets an apostrophe in front, and loses it on the way back. */
const FORMULA = /^[=+\-@\t\r]/;
const harmless = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
export const restored = (text: string): string => (text.startsWith("'") && FORMULA.test(text.slice(1)) ? text.slice(1) : text);

/** Any table as CSV, its text made harmless for spreadsheets; numbers stay numbers. */
export const toCsv = (rows: Record<string, string | number | null>[], columns: string[]): string =>
  Papa.unparse(
    {
      fields: columns,
      data: rows.map((row) =>
        columns.map((c) => {
          const value = row[c] ?? '';
          return typeof value === 'string' ? harmless(value) : value;
        }),
      ),
    },
    { newline: '\r\n' },
  );

const COLUMNS = ['record', 'number', 'name', 'kind', 'latitude', 'longitude', 'note', 'shape', 'zaprud'];

/** Things of the map as a table, one a row; a line or an area stands in its shape column. */
export const thingsToCsv = (things: readonly Exchange[]): string =>
  toCsv(
    things.map((t) => ({
      record: t.record,
      number: typeof t.properties.number === 'number' ? t.properties.number : null,
      name: t.name,
      kind: String(t.properties.kind ?? ''),
      latitude: t.shape.type === 'Point' ? t.shape.coordinates[1] : null,
      longitude: t.shape.type === 'Point' ? t.shape.coordinates[0] : null,
      note: String(t.properties.note ?? ''),
      shape: t.shape.type === 'Point' ? '' : toWkt(t.shape),
      zaprud: stamp(t),
    })),
    COLUMNS,
  );

/** A CSV with a header as rows of text; the first fault of the file in words. */
export function csvRows(text: string): { rows: Record<string, string>[]; problem: string | null } {
  const { data, errors } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  const first = errors.find((e) => e.type === 'Quotes' || e.code === 'TooManyFields' || e.code === 'TooFewFields');
  const rows = data.map((row) =>
    Object.fromEntries(
      Object.entries(row)
        .filter(([, v]) => typeof v === 'string')
        .map(([k, v]) => [k, restored(v.trim())]),
    ),
  );
  return { rows, problem: first ? `Row ${(first.row ?? 0) + 2} is broken: ${first.message}.` : null };
}
