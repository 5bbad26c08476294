import type { Knex } from 'knex';

/** What was found of a pelt. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table catch add column pelt text not null default 'not looked'`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
