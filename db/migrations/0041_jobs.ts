import type { Knex } from 'knex';

/**
 * Long work that somebody asked for, done in steps by whichever server comes first: how far it is, and the parts of what comes of it. It is looked
 * for before a crew is known, and only by its state.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table job (crew_id uuid not null references crew (id) deferrable initially deferred, id uuid not null, person_id uuid not null,
      kind text not null check (kind in ('copy')), asked_at timestamptz not null, ends_at timestamptz not null,
      state text not null default 'waiting' check (state in ('waiting', 'done', 'failed')),
      step jsonb not null default '{}', steps_done int not null default 0, steps int, tried int not null default 0, bytes bigint not null default 0,
      primary key (crew_id, id),
      constraint job_of_person foreign key (crew_id, person_id) references person (crew_id, id) deferrable initially deferred);
    create index job_waits on job (asked_at) where state = 'waiting';
    create index job_ends on job (ends_at);
    create table job_part (crew_id uuid not null, job_id uuid not null, part int not null, bytes bytea not null, primary key (crew_id, job_id, part),
      constraint part_of_job foreign key (crew_id, job_id) references job (crew_id, id) on delete cascade)`);
  for (const table of ['job', 'job_part']) {
    await knex.raw('alter table ?? enable row level security, force row level security', [table]);
    await knex.raw(`create policy own_crew on ?? using (crew_id = nullif(current_setting('zaprud.crew', true), '')::uuid)`, [table]);
    await knex.raw(`create policy whole on ?? to current_user using (current_setting('zaprud.all', true) = 'on')`, [table]);
  }
  await knex.raw(`create policy at_the_door on job using (current_setting('zaprud.door', true) = 'on')`);
  const { rows } = await knex.raw<{ rows: unknown[] }>(`select 1 from pg_roles where rolname = 'zaprud_program'`);
  if (rows.length > 0) await knex.raw('grant select, insert, update, delete on job, job_part to zaprud_program');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
