import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { alone } from './locks';
import { digests, replay, TRUTH } from './replay';

const SCHEMA = 'replayed';

/** What the tables say of each other: a pull moves the life of its checks with it, in the copy as in the tables themselves. */
async function linksOf(db: Knex, beside: Knex): Promise<void> {
  const { rows } = await db.raw<{ rows: { name: string; on: string; says: string }[] }>(
    `select c.conname as name, c.conrelid::regclass::text as on, pg_get_constraintdef(c.oid) as says
     from pg_constraint c join pg_namespace n on n.oid = c.connamespace
     where c.contype = 'f' and n.nspname = 'public' and c.conrelid::regclass::text = any(?)`,
    [[...TRUTH]],
  );
  for (const { name, on, says } of rows) await beside.raw(`alter table ??.?? add constraint ?? ${says}`, [SCHEMA, on, name]);
}

/**
 * Rebuilds the tables of current truth from the entries alone in a schema of their own, holds them against the present ones, and drops them.
 * The present tables are only read.
 *
 * @param connectTo a connection whose tables are looked for in these schemas, in their order
 */
export async function replayBeside(db: Knex, connectTo: (searchPath: string[]) => Knex): Promise<Held> {
  const held = await alone(db, SCHEMA, () => rebuilt(db, connectTo));
  if (!held) throw new Error('The tables are being rebuilt by another process just now: wait until that is done.');
  return held.done;
}

interface Held {
  entries: number;
  digest: string;
  differing: string[];
}

async function rebuilt(db: Knex, connectTo: (searchPath: string[]) => Knex): Promise<Held> {
  await db.raw('drop schema if exists ?? cascade', [SCHEMA]);
  await db.raw('create schema ??', [SCHEMA]);
  const beside = connectTo([SCHEMA, 'public']);
  try {
    for (const table of TRUTH)
      await db.raw('create table ??.?? (like public.?? including defaults including indexes)', [SCHEMA, table, table]);
    await linksOf(db, beside);
    const entries = await replay(beside);
    const [there, here] = [await digests(db), await digests(beside)];
    const digest = createHash('sha256').update(JSON.stringify(here)).digest('hex').slice(0, 16);
    return { entries, digest, differing: TRUTH.filter((table) => there[table] !== here[table]) };
  } finally {
    await beside.destroy();
    await db.raw('drop schema if exists ?? cascade', [SCHEMA]);
  }
}
