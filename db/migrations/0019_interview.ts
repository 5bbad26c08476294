import type { Knex } from 'knex';

/** What somebody who catches nothing answered, the first cause it pointed to, and when to look again. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table interview (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id),
      set_id uuid, water_id uuid, at minute_time not null, answers jsonb not null, cause text not null, share double precision not null check (share > 0 and share <= 1),
      again date not null, note text not null,
      constraint interview_of_set foreign key (crew_id, set_id) references trap_set (crew_id, id) deferrable initially deferred)`);
  await knex.raw('create index interview_by_set on interview (set_id, at)');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
