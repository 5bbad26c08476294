import type { Knex } from 'knex';

/** What others used on a water as devices, and what they left alive: the survivors may know them. What an animal did before a camera. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`alter table camera_event add column did text not null default 'not seen'`);
  await knex.raw(
    `alter table earlier add column devices jsonb not null default '[]', add column survivors text not null default 'not known'`,
  );
}

export function down(): never {
  throw new Error('migrations only go forward');
}
