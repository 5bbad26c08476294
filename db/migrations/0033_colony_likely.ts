import type { Knex } from 'knex';

/** What somebody holds of a colony's nights instead of practice. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table colony add column likely jsonb not null default '[]'`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
