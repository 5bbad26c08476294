import type { Knex } from 'knex';

/** How long a visit and a placing took, minutes, where somebody wrote it. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table check_visit add column took double precision check (took > 0 and took <= 600)');
  await knex.raw('alter table trap_set add column took double precision check (took > 0 and took <= 600)');
  await knex.raw('create index check_visit_took on check_visit (crew_id, by) where took is not null');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
