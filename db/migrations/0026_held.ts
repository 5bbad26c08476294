import type { Knex } from 'knex';

/** Entries of a device that the record could not take when they came: kept as they were sent until somebody decides. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table held_entry (id uuid primary key, crew_id uuid not null references crew (id), batch uuid not null, kind text not null, body jsonb not null,
      occurred_at timestamptz not null, by uuid, opened uuid, version integer not null, reason text not null, received_at timestamptz not null,
      decided_at timestamptz, decision text check (decision in ('taken', 'left')), decided_by uuid,
      check ((decided_at is null) = (decision is null)))`);
  await knex.raw('create index held_open on held_entry (crew_id) where decided_at is null');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
