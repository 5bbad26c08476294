import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { digests, replay, TRUTH } from './replay';

const SCHEMA = 'replayed';

/**
 * Rebuilds the tables of current truth from the entries alone in a schema of their own, holds them against the present ones, and drops them.
 * The present tables are only read.
 *
 * @param connectTo a connection whose tables are looked for in these schemas, in their order
 */
export async function replayBeside(
  db: Knex,
  connectTo: (searchPath: string[]) => Knex,
): Promise<{ entries: number; digest: string; differing: string[] }> {
  await db.raw('drop schema if exists ?? cascade', [SCHEMA]);
  await db.raw('create schema ??', [SCHEMA]);
  const beside = connectTo([SCHEMA, 'public']);
  try {
    for (const table of TRUTH)
      await db.raw('create table ??.?? (like public.?? including defaults including indexes)', [SCHEMA, table, table]);
    const entries = await replay(beside);
    const [there, here] = [await digests(db), await digests(beside)];
    const digest = createHash('sha256').update(JSON.stringify(here)).digest('hex').slice(0, 16);
    return { entries, digest, differing: TRUTH.filter((table) => there[table] !== here[table]) };
  } finally {
    await beside.destroy();
    await db.raw('drop schema if exists ?? cascade', [SCHEMA]);
  }
}
