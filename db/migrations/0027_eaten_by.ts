import type { Knex } from 'knex';

/** Who ate of a catch before somebody came. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table catch add column eaten_by text not null default 'not said'`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
