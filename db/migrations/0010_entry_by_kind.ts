import type { Knex } from 'knex';

/** The book of many seasons: how many entries it has, and the newest one about each thing of a kind, from an index alone. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('create index entry_by_kind on entry (crew_id, kind, subject, seq) include (id)');
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop index entry_by_kind');
}
