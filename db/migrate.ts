import { fileURLToPath } from 'node:url';
import type { Knex } from 'knex';
import { replay } from '#server/record/replay';

const directory = fileURLToPath(new URL('./migrations', import.meta.url));

/** In which shape the tables of current truth are written; when it changes they are written anew from the entries. */
const TRUTH_SHAPE = 2;

/** Brings a database to the newest shape; running it again changes nothing. */
export async function migrate(knex: Knex): Promise<string[]> {
  const [, done] = await knex.migrate.latest({ directory, loadExtensions: ['.ts'] });
  const note = await knex('note_of_the_house').where({ key: 'truth' }).first('value');
  if ((note as { value: number } | undefined)?.value !== TRUTH_SHAPE) {
    await replay(knex);
    await knex('note_of_the_house').insert({ key: 'truth', value: TRUTH_SHAPE }).onConflict('key').merge();
  }
  return done as string[];
}

/** Empties the whole database: only for `--fresh`, for a demo nobody touched, and for tests. */
export async function wipe(knex: Knex): Promise<void> {
  await knex.raw('drop schema public cascade');
  await knex.raw('create schema public');
}
