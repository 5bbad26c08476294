import { fileURLToPath } from 'node:url';
import type { Knex } from 'knex';

const directory = fileURLToPath(new URL('./migrations', import.meta.url));

/** Brings a database to the newest shape; running it again changes nothing. */
export async function migrate(knex: Knex): Promise<string[]> {
  const [, done] = await knex.migrate.latest({ directory, loadExtensions: ['.ts'] });
  return done as string[];
}

/** Empties the whole database: only for `--fresh`, for a demo nobody touched, and for tests. */
export async function wipe(knex: Knex): Promise<void> {
  await knex.raw('drop schema public cascade');
  await knex.raw('create schema public');
}
