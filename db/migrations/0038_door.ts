import type { Knex } from 'knex';

/**
 * The door: with what a person signs in, what he may do, which waters are shared with a client; a device's session ends after a time. Of
 * passphrases, codes and tokens only hashes are kept, and of misses only those of the last minutes.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table account (crew_id uuid not null references crew (id) deferrable initially deferred, person_id uuid not null,
      role text not null check (role in ('owner', 'trapper', 'helper', 'reader')),
      login text, passphrase text, recovery text, made_at timestamptz not null, primary key (crew_id, person_id),
      constraint account_of_person foreign key (crew_id, person_id) references person (crew_id, id) deferrable initially deferred,
      constraint login_has_passphrase check ((login is null) = (passphrase is null)));
    create unique index login_once on account (lower(login));
    create table shared_water (crew_id uuid not null references crew (id) deferrable initially deferred, person_id uuid not null, water_id uuid not null,
      coordinates boolean not null default false, primary key (crew_id, person_id, water_id),
      constraint shared_with_person foreign key (crew_id, person_id) references person (crew_id, id) deferrable initially deferred,
      constraint shared_of_water foreign key (crew_id, water_id) references water (crew_id, id) deferrable initially deferred);
    alter table paired_device add column ends_at timestamptz, add column idle_days int not null default 240;
    update paired_device set ends_at = paired_at + interval '400 days';
    alter table paired_device alter column ends_at set not null;
    drop table pairing_miss;
    create table door_miss (at timestamptz not null, address text not null, login text not null);
    create index door_miss_at on door_miss (at)`);
  for (const table of ['account', 'shared_water']) {
    await knex.raw('alter table ?? enable row level security, force row level security', [table]);
    await knex.raw(`create policy own_crew on ?? using (crew_id = nullif(current_setting('zaprud.crew', true), '')::uuid)`, [table]);
    await knex.raw(`create policy whole on ?? to current_user using (current_setting('zaprud.all', true) = 'on')`, [table]);
  }
  await knex.raw(`create policy at_the_door on account using (current_setting('zaprud.door', true) = 'on')`);
  const { rows } = await knex.raw<{ rows: unknown[] }>(`select 1 from pg_roles where rolname = 'zaprud_program'`);
  if (rows.length > 0) await knex.raw('grant select, insert, update, delete on account, shared_water, door_miss to zaprud_program');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
