import type { Knex } from 'knex';

/** Devices beyond this machine: each was paired once with a code, works as one person, and can be ended. Of code and token only a hash is kept. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table paired_device (id uuid primary key, crew_id uuid not null references crew (id), person_id uuid not null references person (id),
      name text not null, token_hash text not null unique, paired_at timestamptz not null, seen_at timestamptz not null, ended_at timestamptz);
    create table pairing_code (hash text primary key, crew_id uuid not null references crew (id), person_id uuid not null references person (id),
      expires_at timestamptz not null, used_at timestamptz);
    create table pairing_miss (at timestamptz not null)`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
