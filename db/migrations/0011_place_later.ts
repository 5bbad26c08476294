import type { Knex } from 'knex';

/** Where a line and its ground lie may be said later: a first set does not wait for it. */
export async function up(knex: Knex): Promise<void> {
  for (const table of ['site', 'line'])
    await knex.raw(`alter table ${table} alter column lat drop not null, alter column lon drop not null`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
