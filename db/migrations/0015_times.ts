import type { Knex } from 'knex';

/** How a person wants hours and dates told; null goes with the units. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw("alter table person add column times text check (times in ('12h', '24h'))");
}

export function down(): never {
  throw new Error('migrations only go forward');
}
