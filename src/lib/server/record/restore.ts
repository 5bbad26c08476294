import type { Knex } from 'knex';
import { digestOf, headOfDump, readDump, Unusable, type Head, type Table } from './dump';
import { alone } from './locks';
import { replay } from './replay';

const SCHEMA = 'restored';
const CHUNK = 500;

/** How the record here stands to a copy. */
export interface Beside {
  /** entries here that the copy does not hold */
  onlyHere: number;
  onlyThere: number;
  crews: string[];
}

/** Holds the ids of a copy against the record. */
export async function besideDump(db: Knex, path: string): Promise<Beside> {
  const here = new Set<string>((await db('entry').select('id')).map((r: { id: string }) => r.id));
  let [both, there] = [0, 0];
  for await (const { table, row } of readDump(path)) {
    if (table !== 'entry') continue;
    there += 1;
    if (here.has((JSON.parse(row) as { id: string }).id)) both += 1;
  }
  const crews: { name: string }[] = await db('crew').select('name').orderBy('name');
  return { onlyHere: here.size - both, onlyThere: there - both, crews: crews.map((c) => c.name) };
}

interface Means {
  /** connections whose tables are looked for in these schemas, in their order */
  connectTo: (searchPath: string[]) => Knex;
  /** brings a database to the newest shape */
  migrate: (db: Knex) => Promise<unknown>;
  /** every step of shape that this program knows */
  steps: readonly string[];
}

/**
 * Puts a copy in the place of the record while it is in use. It is built beside the present one and changes places with it in one
 * moment, or not at all: whatever fails leaves the record as it was.
 *
 * @throws Unusable when the copy is broken or newer, or what it says does not give the record that it was made of
 */
export async function restore(db: Knex, path: string, means: Means): Promise<{ head: Head; digest: string }> {
  const head = await headOfDump(path, means.steps);
  const restored = await alone(db, SCHEMA, () => putBack(db, path, head, means));
  if (!restored) throw new Unusable('Another copy is being put back just now: wait until that is done.');
  return { head, digest: restored.done };
}

/** @returns the digest of what was put back */
async function putBack(db: Knex, path: string, head: Head, { connectTo, migrate, steps }: Means): Promise<string> {
  await db.raw('drop schema if exists ?? cascade', [SCHEMA]);
  await db.raw('create schema ??', [SCHEMA]);
  const beside = connectTo([SCHEMA, 'public']);
  let digest = '';
  try {
    await migrate(beside);
    await beside.transaction((trx) => fill(trx, path));
    digest = await digestOf(beside);
    if (head.digest !== null && head.step === steps.at(-1) && digest !== head.digest)
      throw new Unusable(`What it holds gives another record (${digest}) than it was made of (${head.digest}).`);
    await beside.destroy();
    await changePlaces(db);
  } catch (error) {
    await beside.destroy();
    await db.raw('drop schema if exists ?? cascade', [SCHEMA]);
    throw error;
  }
  return digest;
}

async function changePlaces(db: Knex): Promise<void> {
  await db.transaction(async (trx) => {
    for (const table of AT_THE_DOOR) await keepDoor(trx, table);
    // what indexes are made of moves along, before the old schema goes
    await trx.raw('alter extension btree_gist set schema ??', [SCHEMA]);
    await trx.raw('drop schema public cascade');
    await trx.raw('alter schema ?? rename to public', [SCHEMA]);
  });
}

/** Who may come in is this machine's own: it stays, as far as the copy knows the person and the water. */
const AT_THE_DOOR = ['account', 'paired_device', 'passkey', 'shared_water'] as const;

async function keepDoor(trx: Knex, table: (typeof AT_THE_DOOR)[number]): Promise<void> {
  const { rows } = await trx.raw<{ rows: { there: boolean }[] }>(`select to_regclass('public.' || ?) is not null as there`, [table]);
  if (!rows[0]?.there) return;
  const water = table === 'shared_water' ? 'and exists (select 1 from ??.water w where w.crew_id = d.crew_id and w.id = d.water_id)' : '';
  await trx.raw(
    `insert into ??.?? select d.* from public.?? d
     where exists (select 1 from ??.person p where p.crew_id = d.crew_id and p.id = d.person_id) ${water}`,
    [SCHEMA, table, table, SCHEMA, ...(water ? [SCHEMA] : [])],
  );
}

/** Entries and photos first; truth is written from them; what waits for a decision names a crew, and comes last. */
async function fill(trx: Knex, path: string): Promise<void> {
  await trx.raw('set constraints all deferred');
  const held: string[] = [];
  let rows: string[] = [];
  let table: Table = 'entry';
  const flush = async (): Promise<void> => {
    if (rows.length > 0) await insert(trx, table, rows);
    rows = [];
  };
  for await (const own of readDump(path)) {
    if (own.table === 'held_entry') {
      held.push(own.row);
      continue;
    }
    if (own.table !== table || rows.length >= CHUNK) await flush();
    table = own.table;
    rows.push(own.row);
  }
  await flush();
  await trx.raw(`select setval(pg_get_serial_sequence('entry', 'seq'), greatest(1, (select coalesce(max(seq), 1) from entry)))`);
  await replay(trx);
  if (held.length > 0) await insert(trx, 'held_entry', held);
}

/** Writes rows by the columns that they have: a column that came later keeps its default. */
async function insert(trx: Knex, table: Table, rows: readonly string[]): Promise<void> {
  const columns = Object.keys(JSON.parse(rows[0] ?? '{}') as object);
  const names = columns.map((c) => trx.ref(c));
  const list = names.map(() => '??').join(', ');
  const over = table === 'entry' ? 'overriding system value' : '';
  await trx.raw(`insert into ?? (${list}) ${over} select ${list} from jsonb_populate_recordset(null::??, ?::jsonb)`, [
    table,
    ...columns,
    ...columns,
    table,
    `[${rows.join(',')}]`,
  ]);
}
