import type { Knex } from 'knex';

/** The reading before a moment is found at once, however long the book: of two in one minute the one entered later counts. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('create index reading_in_order on reading (gauge_id, at, entry_id)');
  await knex.raw('drop index reading_by_time');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
