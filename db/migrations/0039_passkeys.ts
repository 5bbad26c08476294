import type { Knex } from 'knex';

/** Passkeys: the public half of what a person's device or key holds, and the challenges that are under way, each once. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table passkey (crew_id uuid not null references crew (id) deferrable initially deferred, person_id uuid not null, id text not null,
      public_key bytea not null, counter bigint not null, name text not null, made_at timestamptz not null, primary key (crew_id, id),
      constraint passkey_of_person foreign key (crew_id, person_id) references person (crew_id, id) deferrable initially deferred);
    create unique index passkey_once on passkey (id);
    create table door_challenge (challenge text primary key, expires_at timestamptz not null)`);
  await knex.raw('alter table passkey enable row level security, force row level security');
  await knex.raw(`create policy own_crew on passkey using (crew_id = nullif(current_setting('zaprud.crew', true), '')::uuid)`);
  await knex.raw(`create policy whole on passkey to current_user using (current_setting('zaprud.all', true) = 'on')`);
  await knex.raw(`create policy at_the_door on passkey using (current_setting('zaprud.door', true) = 'on')`);
  const { rows } = await knex.raw<{ rows: unknown[] }>(`select 1 from pg_roles where rolname = 'zaprud_program'`);
  if (rows.length > 0) await knex.raw('grant select, insert, update, delete on passkey, door_challenge to zaprud_program');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
