import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import type { Knex } from 'knex';
import { digests } from './replay';

/** The shape of the file itself; a newer one is refused. */
export const FORMAT = 1;

/** What a copy of the record says of itself in its first line. */
export interface Head {
  zaprud: 'record';
  format: number;
  made: string;
  /** the newest step of shape that the record had */
  step: string;
  crews: { id: string; name: string }[];
  entries: number;
  /** of the tables of current truth, as `npm run replay` prints it; null for one crew of several */
  digest: string | null;
}

/** What is kept beside the entries: photos, and what a device sent that nobody decided on yet. Tables of truth are written from the entries. */
export const BESIDE = ['photo', 'held_entry'] as const;
export type Table = 'entry' | (typeof BESIDE)[number];

export const digestOf = async (db: Knex): Promise<string> =>
  createHash('sha256')
    .update(JSON.stringify(await digests(db)))
    .digest('hex')
    .slice(0, 16);

const CHUNK = 500;

/** Lines of a table in their order, after the one whose key is named and up to another. @returns them, and the key of the last */
export async function linesAfter(
  trx: Knex,
  { table, crew, after, until, most }: { table: Table; crew: string | null; after: string | null; until?: number; most: number },
): Promise<{ lines: string[]; last: string | null }> {
  const key = table === 'entry' ? 'seq' : 'id';
  const query = trx
    .from(table)
    .select(trx.raw('to_jsonb(??.*)::text as row, ??::text as key', [table, key]))
    .orderBy(key)
    .limit(most);
  if (crew) query.where('crew_id', crew);
  if (after !== null) query.where(key, '>', after);
  if (until !== undefined) query.where(key, '<=', until);
  const rows: { row: string; key: string }[] = await query;
  return { lines: rows.map(({ row }) => `{"${table}":${row}}`), last: rows.at(-1)?.key ?? null };
}

async function* rowsOf(trx: Knex, table: Table, crew: string | null): AsyncGenerator<string> {
  let after: string | null = null;
  for (;;) {
    const { lines, last } = await linesAfter(trx, { table, crew, after, most: CHUNK });
    yield* lines;
    if (lines.length < CHUNK) return;
    after = last;
  }
}

export const endOf = (lines: number, sha256: string): string => `${JSON.stringify({ end: { lines, sha256 } })}\n`;

/** Every line of a copy: what it is, the entries in their order, what stands beside them, and an end by which a reader knows that it is whole. */
async function* linesOf(trx: Knex, head: Head, crew: string | null): AsyncGenerator<string> {
  const hash = createHash('sha256');
  let count = 0;
  const line = (text: string): string => {
    hash.update(`${text}\n`);
    count += 1;
    return `${text}\n`;
  };
  yield line(JSON.stringify(head));
  for (const table of ['entry', ...BESIDE] as const) for await (const row of rowsOf(trx, table, crew)) yield line(row);
  yield endOf(count, hash.digest('hex'));
}

/** The first line of a copy: of one crew, or of all. */
export async function headOf(trx: Knex, crew: string | null): Promise<Head> {
  const crews: { id: string; name: string }[] = await trx('crew')
    .select('id', 'name')
    .modify((q) => (crew ? q.where('id', crew) : q))
    .orderBy('name');
  const last: { name: string } | undefined = await trx('knex_migrations').orderBy('id', 'desc').first('name');
  const counted = await trx('entry')
    .modify((q) => (crew ? q.where('crew_id', crew) : q))
    .count('* as n')
    .first();
  return {
    ...{ zaprud: 'record', format: FORMAT, made: new Date().toISOString(), step: last?.name ?? '', crews },
    entries: Number(counted?.n ?? 0),
    digest: crew ? null : await digestOf(trx),
  };
}

/**
 * Writes a copy of the record while it is in use: as it stood at one moment. The file appears whole or not at all.
 *
 * @param crew one crew alone; null for all
 * @throws what the disk says; then no file is left
 */
export async function dump(db: Knex, path: string, crew: string | null = null): Promise<Head> {
  const part = `${path}.part`;
  try {
    const head = await db.transaction(
      async (trx) => {
        const found = await headOf(trx, crew);
        await pipeline(Readable.from(linesOf(trx, found, crew)), createGzip(), createWriteStream(part, { mode: 0o600, flags: 'w' }));
        return found;
      },
      { isolationLevel: 'repeatable read', readOnly: true },
    );
    const file = await open(part, 'r');
    await file.sync();
    await file.close();
    await rename(part, path);
    return head;
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

/** A copy that cannot be taken in, with what is wrong with it. */
export class Unusable extends Error {}

/** The lines of a copy, without its first and its last, each checked as it is read; whole only once the last was. */
export async function* readDump(path: string): AsyncGenerator<{ table: Table; row: string }, void> {
  for await (const line of checked(path)) {
    const found = /^\{"(entry|photo|held_entry)":(.*)\}$/s.exec(line);
    if (found?.[1] && found[2]) yield { table: found[1] as Table, row: found[2] };
  }
}

async function* checked(path: string): AsyncGenerator<string> {
  const hash = createHash('sha256');
  let count = 0;
  const ends: { lines: number; sha256: string }[] = [];
  try {
    const file = await open(path, 'r');
    const unpacked = createGunzip();
    const packed = file.createReadStream();
    packed.on('error', (error) => unpacked.destroy(error));
    const lines = createInterface({ input: packed.pipe(unpacked), crlfDelay: Infinity });
    for await (const line of lines) {
      if (ends.length > 0) throw new Unusable('It goes on after its end: it was not written by ./backup.');
      if (line.startsWith('{"end":')) {
        ends.push((JSON.parse(line) as { end: { lines: number; sha256: string } }).end);
        continue;
      }
      hash.update(`${line}\n`);
      count += 1;
      yield line;
    }
  } catch (error) {
    if (error instanceof Unusable) throw error;
    const { code } = error as { code?: string };
    if (code === 'ENOENT') throw new Unusable('There is no such file.');
    if (code === 'EACCES') throw new Unusable('It may not be read by you.');
    throw new Unusable('It is broken: it is no copy made by ./backup, or was cut off.');
  }
  const [end] = ends;
  if (end?.lines !== count || end.sha256 !== hash.digest('hex'))
    throw new Unusable('It is broken: a part of it is missing or was changed.');
}

/** Reads a copy to its end, and tells what it holds. @throws Unusable when it is not whole, or newer than this program */
export async function headOfDump(path: string, steps: readonly string[]): Promise<Head> {
  let head: Head | null = null;
  for await (const line of checked(path)) head ??= firstLine(line, steps);
  if (!head) throw new Unusable('It is empty.');
  return head;
}

function firstLine(line: string, steps: readonly string[]): Head {
  let head: Partial<Head>;
  try {
    head = JSON.parse(line) as Partial<Head>;
  } catch {
    throw new Unusable('It is no copy made by ./backup.');
  }
  if (head.zaprud !== 'record' || typeof head.format !== 'number') throw new Unusable('It is no copy made by ./backup.');
  if (head.format > FORMAT || !steps.includes(head.step ?? ''))
    throw new Unusable('It was made by a newer Zaprud: bring this one up to date first.');
  return head as Head;
}
