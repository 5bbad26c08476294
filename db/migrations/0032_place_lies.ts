import type { Knex } from 'knex';

/** What was built or left at a place, with its dates: it stands there again next year. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table station add column lies jsonb not null default '[]'`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
