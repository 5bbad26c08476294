import type { Knex } from 'knex';

/** Who took a bait, where on its tether a catch lay, and at which set of its place a camera hangs. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table check_device add column bait_by text not null default 'not said'`);
  await knex.raw(`alter table catch add column lay text not null default 'not said'`);
  await knex.raw(`alter table camera add column set_id uuid`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
