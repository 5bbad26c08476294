import type { Knex } from 'knex';

/** Rulebooks of the crew with their versions; a set says how it stands, what was said of it and by which version it was judged; a catch has its tag and its duties. */
export async function up(knex: Knex): Promise<void> {
  const keys = `id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id)`;
  await knex.raw(
    `create table rulebook (${keys}, version integer not null check (version >= 1), book jsonb not null, note text not null, constraint rulebook_of_crew unique (crew_id, id))`,
  );
  await knex.raw(`alter table catch add constraint catch_of_crew unique (crew_id, id), add column tag text not null default ''`);
  await knex.raw(
    `create table duty (${keys}, catch_id uuid not null, rule text not null, at minute_time not null, note text not null,
      constraint duty_once unique (crew_id, catch_id, rule))`,
  );
  await knex.raw('create index duty_by_catch on duty (catch_id)');
  await knex.raw(`alter table site add column area text not null default ''`);
  await knex.raw(
    `alter table line add column book uuid, add constraint line_has_book foreign key (crew_id, book) references rulebook (crew_id, id) deferrable initially deferred`,
  );
  await knex.raw(
    `alter table trap_set add column situation text, add column attested jsonb not null default '[]', add column exemption text not null default '', add column judged jsonb`,
  );
}

export function down(): never {
  throw new Error('migrations only go forward');
}
