import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import type { Knex } from 'knex';
import { keepStep, partsOf, type Job } from '../repositories/jobs';
import { BESIDE, endOf, headOf, linesAfter, type Table } from './dump';

/** Rows of one step: entries are small, a photo is up to a megabyte as text. */
const ROWS: Record<Table, number> = { entry: 1000, photo: 10, held_entry: 500 };
const TABLES: readonly Table[] = ['entry', ...BESIDE];

/** Where a copy goes on: after which row of which table, and how many lines it has. */
interface At {
  table: Table | 'head' | 'end';
  after: string | null;
  lines: number;
  /** the last entry that it holds, and the writers who may still have written one before that */
  until: number;
  writers: string;
}

const pack = promisify(gzip);
const unpack = promisify(gunzip);

/**
 * Does one step of a crew's copy, in the transaction that holds the work. The file is the one that `./backup --crew` writes, packed part by part.
 *
 * @returns whether a step was done; not while somebody still writes who began before the copy did
 */
export async function copyStep(trx: Knex, job: Job): Promise<boolean> {
  const at = job.step as Partial<At>;
  if (!at.table) return begin(trx, job);
  const known = at as At;
  if (known.table === 'head') return (await wroteAll(trx, known.writers)) && head(trx, job, known);
  if (known.table === 'end') return end(trx, job, known);
  const { table, after } = known;
  const until = table === 'entry' ? { until: known.until } : {};
  const { lines, last } = await linesAfter(trx, { table, crew: job.crew_id, after, most: ROWS[table], ...until });
  const isOver = lines.length < ROWS[table];
  const next = isOver ? (TABLES[TABLES.indexOf(table) + 1] ?? 'end') : table;
  const step = { ...known, table: next, after: isOver ? null : last, lines: known.lines + lines.length };
  await keepStep(trx, job, { step, steps: job.steps ?? 1, part: await packed(lines), isDone: false });
  return true;
}

const packed = (lines: readonly string[]): Promise<Buffer> => pack(lines.map((l) => `${l}\n`).join(''));

async function begin(trx: Knex, job: Job): Promise<true> {
  const { rows } = await trx.raw<{ rows: { until: number; writers: string }[] }>(
    `select coalesce(max(seq), 0)::int8 as until, pg_snapshot_xmax(pg_current_snapshot())::text as writers from entry where crew_id = ?`,
    [job.crew_id],
  );
  const step = { table: 'head', after: null, lines: 0, ...rows[0] };
  await keepStep(trx, job, { step, steps: LEAST, part: Buffer.alloc(0), isDone: false });
  return true;
}

/** Two to begin, one a table, one to end. */
const LEAST = 3 + TABLES.length;

async function head(trx: Knex, job: Job, known: At): Promise<true> {
  const crew = job.crew_id;
  const count = async (table: Table): Promise<number> => {
    const query = trx(table).where('crew_id', crew).count({ n: '*' });
    if (table === 'entry') query.where('seq', '<=', known.until);
    return Number((await query)[0]?.n ?? 0);
  };
  const [entries = 0, photos = 0, held = 0] = await Promise.all(TABLES.map(count));
  const more = [entries / ROWS.entry, photos / ROWS.photo, held / ROWS.held_entry].map(Math.floor);
  const steps = LEAST + more.reduce((sum, turns) => sum + turns, 0);
  const line = JSON.stringify({ ...(await headOf(trx, crew)), entries });
  await keepStep(trx, job, { step: { ...known, table: 'entry', lines: 1 }, steps, part: await packed([line]), isDone: false });
  return true;
}

/** Whether everybody who was writing as the copy began has ended: an entry gets its number before it can be seen. */
async function wroteAll(trx: Knex, writers: string): Promise<boolean> {
  const { rows } = await trx.raw<{ rows: { over: boolean }[] }>(
    `select pg_snapshot_xmin(pg_current_snapshot())::text::bigint >= ?::bigint as over`,
    [writers],
  );
  return rows[0]?.over ?? false;
}

/** The last line says how many there were, and what they come to: a reader knows by it that the file is whole. */
async function end(trx: Knex, job: Job, { lines }: At): Promise<true> {
  const hash = createHash('sha256');
  for await (const part of partsOf(trx, job)) if (part.length > 0) hash.update(await unpack(part));
  const last = await pack(endOf(lines, hash.digest('hex')));
  await keepStep(trx, job, { step: {}, steps: job.steps_done + 1, part: last, isDone: true });
  return true;
}
