import type { Knex } from 'knex';

/** What an animal felt that met a trap and got away: what it has learned follows from it. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table check_device add column felt text not null default 'not said'`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
