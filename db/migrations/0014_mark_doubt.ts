import type { Knex } from 'knex';

/** How sure a high-water mark is: give or take so much, m. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table reading add column doubt double precision check (doubt >= 0)');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
