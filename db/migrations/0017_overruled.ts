import type { Knex } from 'knex';

/** A set keeps which remarks of the critique somebody knows better than, each with the reason. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table trap_set add column overruled jsonb not null default '{}'`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
