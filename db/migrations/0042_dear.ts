import type { Knex } from 'knex';

/** How often a device asked, in a minute, for what costs much; only the last minutes stay. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table dear_use (crew_id uuid not null references crew (id) deferrable initially deferred, device_id uuid not null, minute timestamptz not null,
      uses int not null, primary key (crew_id, device_id, minute))`);
  await knex.raw('alter table dear_use enable row level security, force row level security');
  await knex.raw(`create policy own_crew on dear_use using (crew_id = nullif(current_setting('zaprud.crew', true), '')::uuid)`);
  await knex.raw(`create policy whole on dear_use to current_user using (current_setting('zaprud.all', true) = 'on')`);
  const { rows } = await knex.raw<{ rows: unknown[] }>(`select 1 from pg_roles where rolname = 'zaprud_program'`);
  if (rows.length > 0) await knex.raw('grant select, insert, update, delete on dear_use to zaprud_program');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
