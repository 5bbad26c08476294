import type { Knex } from 'knex';

/** What draws to a set; null where nobody said, and what its type is built with stands. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table setting add column lures jsonb');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
