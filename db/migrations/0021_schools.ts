import type { Knex } from 'knex';

/** The schools that a line picked, by the matter. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table line add column schools jsonb not null default '{}'`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
